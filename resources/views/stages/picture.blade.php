{{-- The piece on its paper, with its ruler and what is chosen. --}}
@include('svg.piece', ['drawing' => $desk->drawing, 'hangs' => $desk->hangs(), 'across' => $desk->across(), 'ring' => $desk->board()->ringed(), 'label' => 'Drawing of '.$desk->document->name.($desk->side === \Hebra\Core\Figure\View::Front ? '' : ' from the '.$desk->side->value).': '.$desk->high()])
