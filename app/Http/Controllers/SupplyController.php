<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Fields;
use App\Actions\SupplyBook;
use App\Exceptions\Refused;
use App\Exceptions\Several;
use App\Models\Bead;
use App\Models\Piece;
use App\Models\Supply;
use App\View\Ideas;
use Hebra\Core\Bead\Bead as CoreBead;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\UnitPrice;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;

/** Beads, findings, rings, crimps, chain and packing: what is counted, or bought by length. */
final class SupplyController extends Controller
{
    private const MOST = 1_000_000;

    public function __construct(private readonly SupplyBook $book, private readonly StockController $stock)
    {
    }

    /** What the latest pieces call their findings, as options: asked for when a name is about to be written. */
    public function names(Request $request): Response
    {
        $workshop = $this->workshop($request);
        $names = [];
        /** @var Collection<int, Piece> $pieces */
        $pieces = $workshop->pieces()->latest('id')->limit(12)->get();
        foreach ($pieces as $piece) {
            foreach (Planner::plan($piece->document(), $workshop->profile())->findings as $finding) {
                $names[] = $finding->isPin() ? '' : $finding->stock;
            }
        }

        return response(
            implode(
                '',
                array_map(
                    fn (string $name): string => '<option value="'.e($name).'"></option>',
                    array_unique(array_filter($names)),
                ),
            ),
        );
    }

    public function ideas(Request $request, Bead $bead): View
    {
        Gate::authorize('view', $bead);

        return view('stock.ideas', ['desk' => new Ideas($this->workshop($request), $bead)]);
    }

    public function store(Request $request): RedirectResponse|Response
    {
        try {
            $supply = $this->book->receive(
                $this->workshop($request),
                [
                    'kind' => $this->text($request, 'supply_kind'), 'name' => $this->text($request, 'supply'),
                    'amount' => $this->text($request, 'supply_amount'),
                    'price' => $this->text($request, 'supply_price'), 'low' => $this->text($request, 'supply_low'),
                ],
                $this->workshop($request)->profile(),
            );
        } catch (Problem $problem) {
            return $this->again($this->stock->index($request), Several::under('supply.', $problem));
        }

        return redirect('/stock?as=rows#supplies', 303)->with(
            'said',
            ucfirst($supply->name).': '.$supply->words($supply->held, $this->workshop($request)->profile())
                .' in stock.',
        );
    }

    public function update(Request $request, Supply $supply): RedirectResponse|Response
    {
        Gate::authorize('update', $supply);
        try {
            $held = $supply->read($this->text($request, 'held'), 'held', $this->workshop($request)->profile());
            $supply->forceFill(
                [...$this->costs($request), ...$this->low(
                    $request,
                    fn (string $text): int => $supply->read($text, 'low', $this->workshop($request)->profile()),
                )],
            )->save();
            $this->book->correct($this->workshop($request), $supply, $held);
        } catch (Problem $problem) {
            return $this->again($this->stock->index($request), Refused::at('held.'.$supply->ulid, $problem));
        }

        return redirect('/stock?as=rows#supplies', 303)->with('said', ucfirst($supply->name).': counted.');
    }

    public function destroy(Supply $supply): RedirectResponse
    {
        Gate::authorize('update', $supply);
        $supply->delete();

        return redirect('/stock?as=rows#supplies', 303)->with(
            'said',
            ucfirst($supply->name).' is off the list; its lines stay in the book.',
        );
    }

    public function bead(Request $request): RedirectResponse|Response
    {
        try {
            $fields = new Fields;
            $read = $fields->read(fn (): CoreBead => CoreBead::parse($this->text($request, 'bead')));
            $owned = $fields->read(fn (): int => self::owning(trim($this->text($request, 'owned'))));
            $fields->check();
            $bead = $read->value();
            $this->book->bead($this->workshop($request), $bead, $owned->value());
        } catch (Problem $problem) {
            return $this->again($this->stock->index($request), $problem);
        }

        return redirect('/stock?as=rows#beads', 303)->with('said', ucfirst($bead->words()).' is in the tray.');
    }

    private static function owning(string $many): int
    {
        return $many === '' ? 0 : Count::parse($many, 'owned', 0, self::MOST);
    }

    public function owned(Request $request, Bead $bead): RedirectResponse|Response
    {
        Gate::authorize('update', $bead);
        try {
            $owned = Count::parse($this->text($request, 'owned'), 'owned', 0, self::MOST);
            $bead->forceFill(
                [
                    ...$this->costs($request),
                    ...$this->low($request, fn (string $text): int => Count::parse($text, 'low', 0, self::MOST)),
                ],
            )->save();
            $this->book->correct($this->workshop($request), $bead, $owned);
        } catch (Problem $problem) {
            return $this->again($this->stock->index($request), Refused::at('owned.'.$bead->ulid, $problem));
        }

        return redirect('/stock?as=rows#beads', 303)->with('said', ucfirst($bead->core()->words()).': counted.');
    }

    public function forgetBead(Bead $bead): RedirectResponse
    {
        Gate::authorize('update', $bead);
        $bead->delete();

        return redirect('/stock?as=rows#beads', 303)->with(
            'said',
            ucfirst($bead->core()->words()).' is out of the tray. Pieces that use it keep it.',
        );
    }

    /** @return array<string, int|null> the price, where the form has one */
    private function costs(Request $request): array
    {
        $price = trim($this->text($request, 'price'));
        if (! $request->has('price')) {
            return [];
        }

        return ['price_e4' => $price === '' ? null : UnitPrice::parse($price)->e4()];
    }

    /**
     * @param  callable(string): int  $read
     * @return array<string, int|null>
     */
    private function low(Request $request, callable $read): array
    {
        $low = trim($this->text($request, 'low'));
        if (! $request->has('low')) {
            return [];
        }

        return ['low_at' => $low === '' ? null : $read($low)];
    }
}
