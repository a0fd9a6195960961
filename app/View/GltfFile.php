<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Scene\Mesh;
use Hebra\Core\Scene\ScenePart;
use Hebra\Core\Scene\Solid;
use Hebra\Core\Scene\Tube;
use Hebra\Core\Wire\Metal;

/**
 * A piece in space as binary glTF 2.0, everything in one file: wires as tubes in their metal’s tint, beads as solids;
 * what is
 * made often is there once and placed. Metres, y up, z to the front. Source: Khronos glTF 2.0 specification.
 */
final class GltfFile
{
    private const FLOAT = 5126;

    private const UNSIGNED = 5125;

    private const METRES = 0.001;

    private const JSON = 0x4E4F534A;

    private const BIN = 0x004E4942;

    private string $bytes = '';

    /** @var list<array<string, int>> */
    private array $views = [];

    /** @var list<array<string, mixed>> */
    private array $accessors = [];

    /** @var array<string, array<string, mixed>> */
    private array $materials = [];

    /** @var list<array<string, mixed>> */
    private array $meshes = [];

    /** @var list<array<string, mixed>> */
    private array $nodes = [];

    public static function of(Plan $plan): string
    {
        $file = new self;
        foreach ($plan->scene() as $part) {
            $file->part($part);
        }

        $told = (string) json_encode(
            $file->document($plan->piece->name), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
        $chunks = self::chunk(self::JSON, $told, ' ').self::chunk(self::BIN, $file->bytes, "\0");

        return 'glTF'.pack('VV', 2, 12 + strlen($chunks)).$chunks;
    }

    /** Filled up to whole fours. */
    private static function chunk(int $kind, string $bytes, string $filling): string
    {
        $bytes .= str_repeat($filling, (4 - strlen($bytes) % 4) % 4);

        return pack('VV', strlen($bytes), $kind).$bytes;
    }

    /** @return array<string, mixed> */
    private function document(string $name): array
    {
        return [
            'asset' => ['version' => '2.0', 'generator' => 'Hebra'],
            'scene' => 0,
            'scenes' => [['name' => $name, 'nodes' => array_keys($this->nodes)]],
            'nodes' => $this->nodes,
            'meshes' => $this->meshes,
            'materials' => array_values($this->materials),
            'accessors' => $this->accessors,
            'bufferViews' => $this->views,
            'buffers' => [['byteLength' => strlen($this->bytes)]],
        ];
    }

    private function part(ScenePart $part): void
    {
        $primitives = [];
        foreach ($part->wires as $wire) {
            $primitives[] = $this->primitive(
                Tube::along($wire->curve, $wire->wire->diameterMm()),
                $wire->colour === '' ? $this->metal($wire->wire->metal) : $this->tinted($wire->colour),
            );
        }
        foreach ($part->beads as $bead) {
            $solid = Solid::of($bead->bead, $bead->at, $bead->along, $bead->face);
            $primitives[] = $this->primitive($solid, $this->bead($bead->bead));
        }
        if ($part->plate !== null) {
            $primitives[] = $this->primitive($part->plate->mesh, $part->plate->metal === null
                ? $this->tinted($part->plate->colour)
                : $this->material($part->plate->metal->value.' face', $part->plate->metal->tint()[1], 0.6, 0.6));
        }
        $primitives = array_values(array_filter($primitives));
        if ($primitives === []) {
            return;
        }
        $this->meshes[] = ['name' => $part->name, 'primitives' => $primitives];
        foreach ($part->poses as $pose) {
            $this->nodes[] = [
                'name' => $part->name, 'mesh' => count($this->meshes) - 1, 'matrix' => self::matrix($pose),
            ];
        }
    }

    /** @return list<float> column by column: turned clockwise on the page, where y runs down, then moved */
    private static function matrix(Pose $pose): array
    {
        [$cos, $sin] = [cos(deg2rad($pose->degrees)), sin(deg2rad($pose->degrees))];

        return [
            $cos, -$sin, 0.0, 0.0, $sin, $cos, 0.0, 0.0, 0.0, 0.0, 1.0, 0.0,
            $pose->xMm * self::METRES, -$pose->yMm * self::METRES, 0.0, 1.0,
        ];
    }

    /** @return array<string, mixed>|null */
    private function primitive(Mesh $mesh, int $material): ?array
    {
        if ($mesh->triangles === []) {
            return null;
        }
        // Turned about to y up every triangle keeps its sense: two of the three axes would have to change for that.
        $triangles = [];
        foreach (array_chunk($mesh->triangles, 3) as [$one, $two, $three]) {
            array_push($triangles, $one, $three, $two);
        }

        return [
            'attributes' => [
                'POSITION' => $this->vectors($mesh->corners, self::METRES),
                'NORMAL' => $this->vectors($mesh->normals, 1.0),
            ],
            'indices' => $this->accessor(pack('V*', ...$triangles), 34963, self::UNSIGNED, 'SCALAR', count($triangles)),
            'material' => $material,
        ];
    }

    /** @param  list<Vector>  $vectors */
    private function vectors(array $vectors, float $scale): int
    {
        $numbers = [];
        [$least, $most] = [[INF, INF, INF], [-INF, -INF, -INF]];
        foreach ($vectors as $one) {
            $at = [$one->x * $scale, -$one->y * $scale, $one->z * $scale];
            foreach ($at as $axis => $number) {
                $least[$axis] = min($least[$axis], $number);
                $most[$axis] = max($most[$axis], $number);
                $numbers[] = $number;
            }
        }

        return $this->accessor(
            pack('g*', ...$numbers), 34962, self::FLOAT, 'VEC3', count($vectors), ['min' => $least, 'max' => $most],
        );
    }

    /** @param  array<string, mixed>  $bounds */
    private function accessor(string $bytes, int $target, int $type, string $shape, int $count, array $bounds = []): int
    {
        $this->views[] = [
            'buffer' => 0, 'byteOffset' => strlen($this->bytes), 'byteLength' => strlen($bytes), 'target' => $target,
        ];
        $this->bytes .= $bytes;
        $this->accessors[] = [
            'bufferView' => count($this->views) - 1, 'componentType' => $type, 'type' => $shape, 'count' => $count,
        ] + $bounds;

        return count($this->accessors) - 1;
    }

    private function metal(Metal $metal): int
    {
        [, [$red, $green, $blue]] = $metal->tint();

        return $this->material($metal->value, [$red, $green, $blue], 0.9, 0.35);
    }

    private function bead(Bead $bead): int
    {
        return $this->tinted($bead->colour);
    }

    private function tinted(string $colour): int
    {
        return $this->material('bead '.$colour, BeadTint::of($colour), 0.0, 0.25);
    }

    /** @param  array{int, int, int}  $rgb */
    private function material(string $name, array $rgb, float $metallic, float $roughness): int
    {
        $this->materials[$name] ??= ['name' => $name, 'pbrMetallicRoughness' => [
            'baseColorFactor' => [...array_map(self::linear(...), $rgb), 1.0],
            'metallicFactor' => $metallic, 'roughnessFactor' => $roughness,
        ]];

        return (int) array_search($name, array_keys($this->materials), true);
    }

    /** A colour’s share of light, as glTF wants it [IEC 61966-2-1]. */
    private static function linear(int $value): float
    {
        $share = $value / 255;

        return round($share <= 0.04045 ? $share / 12.92 : (($share + 0.055) / 1.055) ** 2.4, 4);
    }
}
