{{-- What a practice makes, small: loops in a row, a pair, wraps, a bend that is let go. $kind. --}}
<svg class="drill-glyph metal-copper" width="92" height="34" viewBox="0 0 92 34" aria-hidden="true" focusable="false">
@php($paths = match ($kind) {
    'loops' => implode('', array_map(fn (int $x): string => "M{$x} 21a6.5 6.5 0 1 1 6 0", [6, 24, 42, 60, 78])),
    'pairs' => 'M24 25V19m0 0a6 6 0 1 1 .1 0M64 25V19m0 0a6 6 0 1 1 .1 0',
    'wraps' => 'M4 17H88'.implode('', array_map(fn (int $x): string => "M{$x} 25L".($x + 5).' 9', range(16, 70, 6))),
    'coil' => implode('', array_map(fn (int $x): string => "M{$x} 26a4 9 0 1 1 3 -.5", range(18, 66, 6))),
    'spiral' => 'M22 30V20a3 3 0 1 1 5 -2a7 7 0 1 1 -12 3M62 30V20a3 3 0 1 1 5 -2a7 7 0 1 1 -12 3',
    'weave' => 'M4 11H88M4 23H88'.implode('', array_map(fn (int $x): string => "M{$x} 7L".($x + 3).' 27', [16, 22, 28, 52, 58, 64])).implode('', array_map(fn (int $x): string => "M{$x} 7L".($x + 2).' 15', [34, 40, 46, 70, 76])),
    default => 'M28 31V18a13 13 0 0 1 26 0L58 31',
})
<path class="ring-edge" d="{{ $paths }}"/><path class="ring-body" d="{{ $paths }}"/>
</svg>
