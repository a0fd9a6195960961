<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A piece of bought chain, in whole links: n links of inside length L hang n·L long, and 2d more over all. Soldered,
 * each piece costs a link that is cut through; unsoldered, a link is opened and nothing is lost. Millimetres. Common
 * practice. It also serves as an extension, any link of which the clasp takes.
 */
final class LinkChain implements Technique
{
    use LiesAsTold, Usual {
        LiesAsTold::settled insteadof Usual;
    }

    /** So many links are told one by one. */
    private const COUNTED = 60;

    public function name(): string
    {
        return 'chain';
    }

    public function label(): string
    {
        return 'chain';
    }

    public function role(): string
    {
        return 'chain';
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function usualWire(): Wire
    {
        return self::awg(22, Temper::HalfHard);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.8, effort: 4.0);
    }

    public function heft(Part $part): int
    {
        return 2 * $part->count('links');
    }

    public function parameters(): array
    {
        return [
            Parameter::countOrLength('links', 'links', 12, 1, 1000, 'inside'),
            Parameter::length('inside', 'link, inside length', 3.5, 0.8, 40.0),
            Parameter::length('wide', 'link, inside width', 2.0, 0.5, 30.0),
            Parameter::choice(
                'joined',
                'links are',
                'soldered',
                ['soldered' => 'soldered', 'open' => 'open, they can be bent open'],
            ),
            Parameter::choice(
                'bought',
                'bought',
                'long',
                ['long' => 'by length, and cut here', 'cut' => 'cut to length'],
            ),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return $key !== 'bought' || $part->choice('joined') === 'soldered';
    }

    private function isSoldered(Part $part): bool
    {
        return $part->choice('joined') === 'soldered';
    }

    /** Links that are cut through to part it from the rest. */
    private function lost(Part $part): int
    {
        return $this->isSoldered($part) && $part->choice('bought') === 'long' ? 1 : 0;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $kind = $this->isSoldered($part->part) ? EyeKind::Closed : EyeKind::Openable;
        $inside = min($part->part->mm('wide'), $part->part->mm('inside'));
        $eye = fn (string $name, string $words, float $taken = 0.0): Eye => new Eye(
            "{$instance}/{$name}", $kind, $inside - $taken, $part->wireMm(), $words, $part->mark('links'),
        );

        $links = [];
        foreach ($this->between($part->part) as $link) {
            $links["link-{$link}"] = $eye("link-{$link}", "chain’s link {$link}");
            // Where two links cross, what hangs goes through both, beside the wire of the other.
            $links["between-{$link}"] = $eye(
                "between-{$link}", "chain’s links {$link} and ".($link + 1), $part->wireMm(),
            );
        }

        return ['top' => $eye('top', 'chain’s first link'), ...$links, 'bottom' => $eye('bottom', 'chain’s last link')];
    }

    /** @return list<int> the links between its ends that something can hang in, of a chain that can be counted */
    private function between(Part $part): array
    {
        $links = $part->count('links');

        return $links > 2 && $links <= self::COUNTED ? range(2, $links - 1) : [];
    }

    public function along(PartPlan $part): array
    {
        return ['top', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return Figures::counted($part->part->count('links'), 'link');
    }

    public function courses(PartPlan $part): array
    {
        $links = [$this->link($part, 0), $this->link($part, 1)];
        $courses = [];
        for ($link = 0; $link < $part->part->count('links'); $link++) {
            $by = new Vector(0.0, ($link - $link % 2) * $part->part->mm('inside'));
            $courses[] = $link < 2 ? $links[$link] : $links[$link % 2]->moved($by);
        }

        return $courses;
    }

    /** One link: every other stands across its neighbours. */
    private function link(PartPlan $part, int $link): Course
    {
        [$long, $d] = [$part->part->mm('inside'), $part->wireMm()];
        $half = Arc::turns($part->part->mm('wide'), $d, 0.25);
        $side = new Straight(max(0.0, $long - $part->part->mm('wide')));
        $round = new Together($half, $side, $half, $half, $side, $half);
        $mm = $this->linkMm($part->part, $d);
        $top = Frame::right(0.0, $link * $long - $d / 2);
        $across = new Frame($top->at, new Vector(0.0, 0.0, 1.0), $top->towards);

        return (new Stretch($part))
            ->worked(
                SegmentKind::Loop, $mm, 'link', 'links', '2(L − B) + π(B + d)',
                '2 × ('.Figures::trim($long).' − '.Figures::trim($part->part->mm('wide')).') + π × ('
                    .Figures::trim($part->part->mm('wide')).' + '.Figures::trim($d, 3).')',
                shape: $round,
            )->by(fn (): Handwork => $this->parting($part))
            ->course('Link', $part->part->wire, $part->times, $link % 2 === 0 ? $top : $across);
    }

    /** The wire of one link: two straight sides and two half turns. */
    private function linkMm(Part $part, float $wireMm): float
    {
        return 2 * max(0.0, $part->mm('inside') - $part->mm('wide')) + M_PI * ($part->mm('wide') + $wireMm);
    }

    public function isBought(Part $part): bool
    {
        return true;
    }

    public function readyMade(PartPlan $part): array
    {
        $links = $part->part->count('links');
        $words = 'chain of '.Figures::trim($part->part->mm('inside')).' × '.Figures::mm($part->part->mm('wide'))
            .' links, '.$part->wire->words();

        $takesMm = ($links + $this->lost($part->part)) * $part->part->mm('inside');
        $lost = $this->lost($part->part) === 0 ? '' : ', one of them lost in the cut';

        return [
            new ReadyMade(
                $words.': '.Figures::counted($links + $this->lost($part->part), 'link').$lost.' ('
                    .$part->profile->length($takesMm).')',
                1,
                $links * $part->wire->gramsOf($this->linkMm($part->part, $part->wireMm())),
                $words,
                $takesMm,
            ),
        ];
    }

    private function parting(PartPlan $part): Handwork
    {
        $links = $part->part->count('links');
        [$title, $text, $operation, $tool, $cautions] = match (true) {
            ! $this->isSoldered($part->part) => [
                'Part the chain',
                "Count {$links} links, open the next one sideways and take them off; close it again.",
                Operation::Open, 'two pairs of pliers', [],
            ],
            $part->part->choice('bought') === 'cut' => [
                'Count the links',
                "It must have {$links} links: chain is matched link for link, not by the ruler.", Operation::Count,
                'fingers', [],
            ],
            default => [
                'Cut the chain', "Count {$links} links and cut through the next one, which is lost.", Operation::Cut,
                'flush cutter', [Caution::CutEnds],
            ],
        };

        return new Handwork(Moment::form('top'), $title, $text, $operation, $tool, $links, 'links', $cautions);
    }

    /** The longer side as its length; a round link where the other side has no room for two. */
    private function turnedAbout(PartPlan $part): Way
    {
        $id = $part->part->id;
        $longer = new SetSetting($id, 'inside', $part->part->mm('wide').' mm');

        return $part->part->mm('inside') < 2 * $part->wireMm()
            ? new Way('As long as it is wide', $longer)
            : Way::all('Turn them about', [$longer, new SetSetting($id, 'wide', $part->part->mm('inside').' mm')]);
    }

    public function checks(PartPlan $part): array
    {
        $id = $part->part->id;
        if ($part->part->mm('wide') > $part->part->mm('inside') + 1e-9) {
            return [new Check(
                Level::Stop, 'link', 'The link is '.$part->profile->size($part->part->mm('wide')).' wide inside and '
                    .$part->profile->size($part->part->mm('inside')).' long: give the longer side as its length.', $id,
                [$this->turnedAbout($part)],
            )];
        }
        if ($part->part->mm('wide') < 2 * $part->wireMm()) {
            return [new Check(
                Level::Stop, 'link',
                'A link '.$part->profile->size($part->part->mm('wide')).' wide inside has no room for two links of '
                    .Figures::mm($part->wireMm()).' wire.',
                $id, [
                    new Way(
                        'Wider links',
                        new SetSetting($id, 'wide', Figures::trim(ceil(20 * $part->wireMm()) / 10, 1).' mm'),
                    ),
                ],
            )];
        }
        $links = $part->part->count('links');

        return [
            new Check(
                Level::Ok,
                'chain',
                Figures::counted($links, 'link').' hang '.$part->profile->length($links * $part->part->mm('inside'))
                    .'; each piece takes '.Figures::counted($links + $this->lost($part->part), 'link')
                    .' of the length bought.',
                $id,
            ),
        ];
    }

    public function hung(PartPlan $part): array
    {
        $links = $part->part->count('links');

        $hung = ['bottom' => new Placement($links * $part->part->mm('inside'), $links % 2 === 0)];
        foreach ($this->between($part->part) as $link) {
            $place = new Placement($link * $part->part->mm('inside'), $link % 2 === 0);
            [$hung["link-{$link}"], $hung["between-{$link}"]] = [$place, $place];
        }

        return $hung;
    }
}
