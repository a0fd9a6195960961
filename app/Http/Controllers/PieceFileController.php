<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PieceRequest;
use App\View\Csv;
use App\View\GltfFile;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Scene\Dxf;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** A piece in open formats that benders, printers and viewers read. */
final class PieceFileController extends Controller
{
    private const BENDS = ['wire', 'cut', 'count', 'bend', 'feed_mm', 'rotation_deg', 'angle_deg', 'radius_mm'];

    /** Every wire by feed, rotation and bend, one after the other. */
    public function bends(PieceRequest $request): Response
    {
        $rows = [];
        foreach ($this->plan($request)->bendTables() as [
            'wire' => $wire, 'cut' => $cut, 'count' => $count, 'bends' => $bends,
        ]) {
            foreach ($bends as $number => $bend) {
                $rows[] = [$wire, $cut, $count, $number + 1, ...array_values($bend)];
            }
        }

        return $this->file($request, 'bends', 'csv', 'text/csv; charset=utf-8', Csv::of(self::BENDS, $rows));
    }

    public function wires(PieceRequest $request): Response
    {
        return $this->file($request, 'wires', 'dxf', 'image/vnd.dxf', Dxf::of($this->plan($request)->scene()));
    }

    public function scene(PieceRequest $request): Response
    {
        return $this->file($request, 'scene', 'glb', 'model/gltf-binary', GltfFile::of($this->plan($request)));
    }

    private function plan(PieceRequest $request): Plan
    {
        return Planner::plan($request->piece()->document(), $this->workshop($request)->profile());
    }

    private function file(PieceRequest $request, string $name, string $ending, string $type, string $text): Response
    {
        $file = (Str::slug($request->piece()->name) ?: 'piece')."-{$name}.{$ending}";

        return response($text, 200, [
            'Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$file}\"",
        ]);
    }
}
