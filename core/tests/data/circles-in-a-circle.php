<?php

declare(strict_types=1);

// Graham, Lubachevsky, Nurmela, Östergård 1998, Dense packings of congruent circles in a circle (Discrete Mathematics
// 181), table 1: diameter of the enclosing circle over that of n equal ones.
return [
    1 => 1.0,
    2 => 2.0,
    3 => 2.1547005,
    4 => 2.4142136,
    5 => 2.7013016,
    6 => 3.0,
    7 => 3.0,
    8 => 3.3047649,
    9 => 3.6131259,
    10 => 3.8130256,
];
