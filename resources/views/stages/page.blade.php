@use('App\Models\Piece')
<x-layout :title="$desk->document->name.', '.mb_strtolower(Piece::STAGES[$desk->stage])" here="Pieces">
    {{-- Outside the desk: the tray's pictures stay while the desk is replaced. --}}
    @includeWhen($desk->stage === 'lay-out', 'svg.glyphs', ['beads' => $desk->tray()])
    @include('stages.desk')
</x-layout>
