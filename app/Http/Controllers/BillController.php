<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Fields;
use App\Actions\History;
use App\Actions\SupplyBook;
use App\Exceptions\Refused;
use App\Http\Requests\PieceRequest;
use App\Models\Workshop;
use App\View\BillDesk;
use App\View\Market\CustomerSheet;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Price\Asking;
use Hebra\Core\Price\Costing;
use Hebra\Core\Price\PriceList;
use Hebra\Core\Price\PriceTerms;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Currency;
use Hebra\Core\Quantity\Money;
use Hebra\Core\Quantity\UnitPrice;
use Hebra\Core\Wire\Metal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a piece costs, and how this maker prices. */
final class BillController extends Controller
{
    public function show(PieceRequest $request): View
    {
        return view(
            'pieces.bill',
            ['desk' => new BillDesk($request->piece(), $this->workshop($request)), 'problem' => null],
        );
    }

    /** What a customer is told of it, by one of the lists. */
    public function quote(PieceRequest $request): View
    {
        $desk = new BillDesk($request->piece(), $this->workshop($request));
        $eachCents = $desk->eachBy($desk->listOf($this->text($request, 'list')));

        return view('market.sheet', [
            'sheet' => CustomerSheet::quote($desk->plan, $desk->workshop, $eachCents),
            'back' => "/pieces/{$desk->piece->ulid}/bill",
        ]);
    }

    /** Its price alone, among the figures of the board: asked for once they stand. */
    public function cost(PieceRequest $request): View
    {
        return view('stages.cost', ['desk' => new BillDesk($request->piece(), $this->workshop($request))]);
    }

    public function update(PieceRequest $request): RedirectResponse|Response
    {
        try {
            $this->keep($request, $this->workshop($request));
        } catch (Problem $problem) {
            return $this->again(
                view(
                    'pieces.bill',
                    [
                        'desk' => new BillDesk($request->piece(), $this->workshop($request)->refresh()),
                        'problem' => null,
                    ],
                ),
                $problem,
            );
        }

        return redirect("/pieces/{$request->piece()->ulid}/bill", 303)->with(
            'said',
            'Prices are set, here and for every piece.',
        );
    }

    /** The price of one bead or finding of the piece, asked where it is missing; it is kept in stock. */
    public function price(PieceRequest $request, SupplyBook $book): RedirectResponse|Response
    {
        $desk = new BillDesk($request->piece(), $this->workshop($request));
        $of = $this->text($request, 'of');
        try {
            $price = UnitPrice::parse($this->text($request, 'price'));
            if ($this->text($request, 'kind') === 'bead') {
                $book->priceBead($this->workshop($request), $desk->bead($of), $price);
            } else {
                $book->priceSupply($this->workshop($request), $desk->finding($of), $price);
            }
        } catch (Problem $problem) {
            return $this->again(
                view('pieces.bill', ['desk' => $desk, 'problem' => null]),
                Refused::at("price.{$of}", $problem),
            );
        }

        return redirect("/pieces/{$request->piece()->ulid}/bill", 303)->with(
            'said',
            'Its price is set, here and in stock.',
        );
    }

    /** One of the ways its parts could come from otherwise is taken. */
    public function take(PieceRequest $request, History $history): RedirectResponse|Response
    {
        $profile = $this->workshop($request)->profile();
        try {
            $change = ChangeReader::read($request->all(), $profile->unit(), $profile->schools);
            $history->change($request->piece(), $request->seenRevision(), $change);
        } catch (Problem $problem) {
            return $this->again(
                view(
                    'pieces.bill',
                    ['desk' => new BillDesk($request->piece(), $this->workshop($request)), 'problem' => null],
                ),
                Refused::at('offers', $problem),
            );
        }

        return redirect("/pieces/{$request->piece()->ulid}/bill", 303)->with(
            'said', 'It is made so now: undo stands with the piece.',
        );
    }

    /**
     * @return non-empty-list<PriceList>  what is not sent stays as it is
     *
     * @throws Problem if a percentage is unreadable or out of range
     */
    private function lists(Request $request, Workshop $workshop): array
    {
        return array_map(fn (PriceList $list): PriceList => PriceList::of(
            $list->name, $this->percent($request, 'margin', $list->name) ?? $list->marginPercent,
            $this->percent($request, 'fee', $list->name) ?? $list->feePercent,
        ), $workshop->priceLists());
    }

    private function percent(Request $request, string $of, string $list): ?int
    {
        $text = $request->input("{$of}.{$list}");
        try {
            return is_string($text) && trim($text) !== '' ? Count::parse($text, $of, 0, 500) : null;
        } catch (Problem $problem) {
            throw Refused::at("{$of}.{$list}", $problem);
        }
    }

    /**
     * @param  list<PriceList>  $lists
     * @return array<string, array{margin: int, fee: int}>
     */
    private static function kept(array $lists): array
    {
        $kept = [];
        foreach ($lists as $list) {
            $kept[$list->name] = ['margin' => $list->marginPercent, 'fee' => $list->feePercent];
        }

        return $kept;
    }

    private function currency(PieceRequest $request): Currency
    {
        $decimals = $this->text($request, 'decimals');

        return Currency::of(
            $this->text($request, 'currency'), $decimals === '' ? 2 : Count::parse($decimals, 'decimals', 0, 2),
        );
    }

    private function keep(PieceRequest $request, Workshop $workshop): void
    {
        $columns = Fields::all([
            'currency' => fn (): array => $this->currencyColumns($request),
            'costing' => fn (): array => $this->costingColumns($request),
            'asking' => fn (): array => $this->askingColumns($request, $workshop),
            'metals' => fn (): array => ['metal_prices_e4' => self::metalPrices($request, $workshop)],
        ]);
        $workshop->forceFill(array_merge(...array_values(array_filter($columns, is_array(...)))))->save();
    }

    /** @return array<string, mixed> */
    private function currencyColumns(PieceRequest $request): array
    {
        $currency = $this->currency($request);

        return ['currency' => $currency->code, 'decimals' => $currency->decimals];
    }

    /** @return array<string, mixed> */
    private function costingColumns(PieceRequest $request): array
    {
        $text = trim($this->text($request, 'packing'));
        $fields = new Fields;
        $hour = $fields->read(fn (): int => Money::parse($this->text($request, 'hour'), 'hour')->cents());
        $overhead = $fields->read(
            fn (): int => Count::parse($this->text($request, 'overhead'), 'overhead', 0, 500),
        );
        $packing = $fields->read(fn (): int => $text === '' ? 0 : Money::parse($text, 'packing')->cents());
        $fields->check();
        $costing = Costing::of($hour->value(), $overhead->value(), 0, $packing->value());

        return [
            'hour_cents' => $costing->hourCents, 'overhead_percent' => $costing->overheadPercent,
            'packing_cents' => $costing->packingCents,
        ];
    }

    /** @return array<string, mixed> */
    private function askingColumns(PieceRequest $request, Workshop $workshop): array
    {
        $terms = PriceTerms::of(
            Count::parse($this->text($request, 'tax') ?: '0', 'tax', 0, 60), $this->text($request, 'rounding'),
        );
        $lists = $this->lists($request, $workshop);
        foreach ($lists as $list) {
            Asking::of(0, $list, $terms);
        }

        return [
            'margin_percent' => $lists[0]->marginPercent, 'price_lists' => self::kept($lists),
            'tax_percent' => $terms->taxPercent, 'rounding' => $terms->rounding,
        ];
    }

    /** @return array<string, mixed> by metal: those that were given, and as they are the others */
    private static function metalPrices(PieceRequest $request, Workshop $workshop): array
    {
        $given = $reads = [];
        foreach ((array) $request->input('metal', []) as $name => $text) {
            $metal = Metal::tryFrom((string) $name) ?? throw Refused::invalid('metal', 'That metal is not known here.');
            // An empty field arrives as nothing.
            $text ??= '';
            is_string($text) || throw Refused::notText('metal');
            $given[$metal->value] = null;
            if (trim($text) !== '') {
                $reads[$metal->value] = fn (): int => UnitPrice::parse($text, 'metal.'.$metal->value)->e4();
            }
        }

        return [...array_diff_key($workshop->metal_prices_e4 ?? [], $given), ...Fields::all($reads)];
    }
}
