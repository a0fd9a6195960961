<?php

declare(strict_types=1);

// ASTM B258, Standard Specification for Nominal Diameters of Solid Round Wires (American wire gauge):
// nominal diameters in inches as the table prints them.
return [
    10 => 0.1019, 11 => 0.0907, 12 => 0.0808, 13 => 0.0720, 14 => 0.0641, 15 => 0.0571, 16 => 0.0508, 17 => 0.0453,
    18 => 0.0403,
    19 => 0.0359, 20 => 0.0320, 21 => 0.0285, 22 => 0.0253, 23 => 0.0226, 24 => 0.0201, 25 => 0.0179, 26 => 0.0159,
    27 => 0.0142,
    28 => 0.0126, 29 => 0.0113, 30 => 0.0100, 36 => 0.0050,
];
