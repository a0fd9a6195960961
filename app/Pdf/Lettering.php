<?php

declare(strict_types=1);

namespace App\Pdf;

use Closure;

/** A document in the product’s own letters: a text that has others is set, as a whole, in letters that have them. */
abstract class Lettering extends \TCPDF
{
    private string $family = SheetFonts::TEXT;

    private bool $isBold = false;

    private float $points = 8.0;

    /** Within one text its letters do not change. */
    private bool $isSetting = false;

    /** What every document of Hebra is: nothing is fetched, no page is scaled to fit, none breaks by itself. */
    protected function begin(string $title): void
    {
        $this->setCreator('Hebra');
        $this->setTitle($title);
        $this->setAutoPageBreak(false);
        $this->setViewerPreferences(['PrintScaling' => 'None']);
        $this->setPrintFooter(false);
    }

    public function letters(float $points, bool $isBold = false, string $family = SheetFonts::TEXT): void
    {
        [$this->points, $this->isBold, $this->family] = [$points, $isBold, $family];
        $this->take('');
    }

    private function take(string $text): void
    {
        [$family, $file] = SheetFonts::for($this->family, $this->isBold, $text);
        $this->setFont($family, $this->isBold ? 'B' : '', $this->points, $file);
    }

    /**
     * The letters that a text needs are taken before TCPDF sets or measures it.
     *
     * @param  array<mixed>  $given  the arguments of TCPDF’s own method
     * @param  int  $at  which of them is the text
     */
    private function in(array $given, int $at, Closure $do): mixed
    {
        if ($this->isSetting) {
            return $do(...$given);
        }
        $text = $given[$at] ?? '';
        $this->take(is_scalar($text) ? (string) $text : '');
        $this->isSetting = true;
        try {
            return $do(...$given);
        } finally {
            $this->isSetting = false;
        }
    }

    /** @param  array<mixed>|scalar|null  ...$given */
    public function Text(mixed ...$given): void
    {
        $this->in($given, 2, parent::Text(...));
    }

    /** @param  array<mixed>|scalar|null  ...$given */
    public function Cell(mixed ...$given): void
    {
        $this->in($given, 2, parent::Cell(...));
    }

    /** @param  array<mixed>|scalar|null  ...$given */
    public function MultiCell(mixed ...$given): int
    {
        return (int) $this->in($given, 2, parent::MultiCell(...));
    }

    /** @param  array<mixed>|scalar|null  ...$given */
    public function getStringHeight(mixed ...$given): float
    {
        return (float) $this->in($given, 1, parent::getStringHeight(...));
    }

    /**
     * @param  array<mixed>|scalar|null  ...$given
     * @return ($given is array{mixed, mixed, mixed, mixed, true} ? array<float> : float) a width, or those of letters
     */
    public function GetStringWidth(mixed ...$given): mixed
    {
        return $this->in($given, 0, parent::GetStringWidth(...));
    }
}
