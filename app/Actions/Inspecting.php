<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Refused;
use App\Models\Inspected;
use App\Models\Making;
use Hebra\Core\Plan\Inspection;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Illuminate\Support\Facades\DB;

/**
 * What a maker found on a finished piece is kept, point by point; a point that failed puts its step on the bench again.
 */
final class Inspecting
{
    public function __construct(private readonly Bench $bench)
    {
    }

    /**
     * @param  array<string, mixed>  $input  found and measured by point; mend, as `step/copy`
     *
     * @throws Problem if the making is closed, or a field is unreadable
     */
    public function keep(Making $making, Profile $profile, array $input): void
    {
        DB::transaction(function () use ($making, $profile, $input): void {
            $making->refresh();
            ! $making->isClosed() || throw Refused::closed();
            $plan = $making->plan($profile);
            $sizes = new Measuring($making->workshop_id, $profile);
            foreach (Inspection::of($plan) as $point) {
                $found = $this->of($input, 'found', $point->key);
                if ($found !== '') {
                    in_array($found, ['fine', 'mend'], true)
                        || throw Refused::invalid(
                            'found',
                            "“{$point->look}” is “".mb_substr($found, 0, 20).'”: give fine or mend.',
                        );
                    Inspected::query()->updateOrCreate(
                        ['making_id' => $making->id, 'point' => $point->key],
                        ['workshop_id' => $making->workshop_id, 'is_fine' => $found === 'fine'],
                    );
                }
                $measured = trim($this->of($input, 'measured', $point->key));
                if ($measured !== '' && $point->wantedMm !== null) {
                    try {
                        $mm = $sizes->size($measured, 'measured');
                    } catch (Problem $problem) {
                        throw Refused::at("measured.{$point->key}", $problem);
                    }
                    $making->measurements()->where('what', $point->key)->delete();
                    $sizes->keep(
                        $point->key,
                        array_values($making->document()->wires)[0],
                        $point->wantedMm,
                        $mm,
                        making: $making,
                    );
                }
            }
            $mend = $input['mend'] ?? '';
            if (is_string($mend) && preg_match('~^(\d{1,5})/(\d{1,5})$~', $mend, $match) === 1) {
                $this->bench->mend($making, $plan, (int) $match[2], (int) $match[1]);
            }
        });
    }

    /** @param  array<string, mixed>  $input */
    private function of(array $input, string $field, string $point): string
    {
        $value = is_array($input[$field] ?? null) ? ($input[$field][$point] ?? '') : '';
        is_scalar($value) || throw Refused::notText($field);

        return (string) $value;
    }
}
