{{-- A ruler that no wire lies on yet: where one would, and where it would be cut. --}}
<svg class="bare-wall is-plain" viewBox="0 0 660 62" aria-hidden="true"><rect x="1" y="8" width="560" height="14" rx="7"/><path
    d="M190 2V28M350 2V28M470 2V28"/><path class="bare-rule" d="M0 40H660{{ implode('', array_map(fn (int $tick): string => 'M'.(1 + 47 * $tick).' 40v'.($tick % 2 === 0 ? 12 : 7), range(0, 14))) }}"/></svg>
