@use('Hebra\Core\Figure\View')
{{-- The piece on its paper, with its ruler and what is chosen. --}}
@include('svg.piece', ['drawing' => $desk->drawing, 'hangs' => $desk->hangs(), 'across' => $desk->across(), 'ring' => $desk->board()->ringed(), 'worn' => $desk->board()->worn(), 'label' => 'Drawing of '.$desk->document->name.($desk->side === View::Front ? '' : ' from the '.$desk->side->value).': '.$desk->high()])
