<?php

declare(strict_types=1);

use Hebra\Core\Piece\Kinds;
use Hebra\Core\Technique\Techniques;

// Documents know no technique by itself: here they are told all there are, when one is first asked for.
Kinds::are(Techniques::all(...));
