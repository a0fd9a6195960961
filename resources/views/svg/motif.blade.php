{{-- What a sitting on the plan is filled with: wire of its metal as the work leaves it. --}}
<pattern id="motif-{{ $motif }}-{{ $metal }}" class="motif metal-{{ $metal }}"
    width="{{ ['cut' => 52, 'bends' => 30, 'beads' => 26, 'checks' => 14, 'drops' => 22][$motif] ?? 24 }}" height="18" patternUnits="userSpaceOnUse">
@switch($motif)
    @case('cut')<path class="m-edge" d="M5 9H47"/><path class="m-body" d="M5 9H47"/>
        <path class="m-shine" d="M5 8H47"/>@break
    @case('eyes')<path class="m-edge" d="M0 13H24M12 13a5 5 0 1 1 .1 0"/>
        <path class="m-body" d="M0 13H24M12 13a5 5 0 1 1 .1 0"/>@break
    @case('wraps')<path class="m-edge" d="M0 9H24"/><path class="m-body" d="M0 9H24"/>
        <path class="m-edge" d="M7 15L9 3M11 15L13 3M15 15L17 3"/>
        <path class="m-body" d="M7 15L9 3M11 15L13 3M15 15L17 3"/>@break
    @case('beads')<path class="m-edge" d="M0 9H26"/><path class="m-body" d="M0 9H26"/>
        <circle class="m-bead" cx="8" cy="9" r="5.5"/><circle class="m-bead is-small" cx="20" cy="9" r="3.6"/>@break
    @case('links')<ellipse class="m-edge" cx="6" cy="9" rx="8" ry="4.5"/>
        <ellipse class="m-edge" cx="18" cy="9" rx="8" ry="4.5"/>
        <ellipse class="m-body" cx="6" cy="9" rx="8" ry="4.5"/>
        <ellipse class="m-body" cx="18" cy="9" rx="8" ry="4.5"/>@break
    @case('bends')<path class="m-edge" d="M5 17V10a10 9 0 0 1 20 0v7"/>
        <path class="m-body" d="M5 17V10a10 9 0 0 1 20 0v7"/>@break
    @case('weave')<path class="m-edge" d="M0 4H24M0 14H24"/><path class="m-body" d="M0 4H24M0 14H24"/>
        <path class="m-thin" d="M4 2L8 16M10 16L14 2M16 2L20 16"/>@break
    @case('drops')<path class="m-drop" d="M11 2c4 6 5 8 5 10a5 5 0 0 1-10 0c0-2 1-4 5-10z"/>@break
    @default<path class="m-check" d="M2 9H10"/>
@endswitch
</pattern>
