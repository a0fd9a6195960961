<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bench;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Tests\TestCase;

/** A piece leaves in open formats that are what they say. */
final class PieceFileTest extends TestCase
{
    public function test_bends_leave_as_a_table_and_wires_as_lines(): void
    {
        $piece = $this->piece('link-and-drop');
        $csv = (string) $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/bends.csv")->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8')->getContent();
        $rows = array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\n", trim($csv)));
        self::assertSame(
            ['wire', 'cut', 'count', 'bend', 'feed_mm', 'rotation_deg', 'angle_deg', 'radius_mm'],
            array_map(fn (?string $cell): string => trim((string) $cell, "\u{FEFF}\r"), $rows[0]),
        );
        self::assertSame(
            ['Ear wire', 'Link', 'Drop'], array_values(array_unique(array_column(array_slice($rows, 1), 1))),
        );
        $dxf = (string) $this->actingAs($this->maker)
            ->get("/pieces/{$piece->ulid}/wires.dxf")
            ->assertOk()
            ->getContent();
        self::assertStringStartsWith("0\r\nSECTION\r\n2\r\nHEADER\r\n", $dxf);
        self::assertStringEndsWith("0\r\nENDSEC\r\n0\r\nEOF\r\n", $dxf);
        self::assertSame(3, substr_count($dxf, "\r\nPOLYLINE\r\n"));
    }

    /** The container and its accessors as the specification has them: Khronos glTF 2.0, 3.6.2 and 4.4. */
    public function test_a_scene_leaves_as_binary_gltf(): void
    {
        foreach (['framed-drop', 'linked-bracelet', 'woven-pendant', 'wound-ring'] as $pattern) {
            $piece = $this->piece($pattern);
            $glb = (string) $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/scene.glb")->assertOk()
                ->assertHeader('Content-Type', 'model/gltf-binary')->getContent();
            self::assertSame('glTF', substr($glb, 0, 4));
            self::assertSame([1 => 2, 2 => strlen($glb)], unpack('V2', substr($glb, 4, 8)));
            $long = (unpack('V', substr($glb, 12, 4)) ?: [])[1];
            $told = json_decode(substr($glb, 20, $long), true, flags: JSON_THROW_ON_ERROR);
            $bytes = substr($glb, 28 + $long);
            foreach ($told['accessors'] as $accessor) {
                $view = $told['bufferViews'][$accessor['bufferView']];
                $each = $accessor['type'] === 'VEC3' ? 12 : 4;
                self::assertSame($accessor['count'] * $each, $view['byteLength']);
                self::assertLessThanOrEqual(strlen($bytes), $view['byteOffset'] + $view['byteLength']);
            }
            foreach ($told['meshes'] as $mesh) {
                foreach ($mesh['primitives'] as $primitive) {
                    $corners = $told['accessors'][$primitive['attributes']['POSITION']]['count'];
                    $view = $told['bufferViews'][$told['accessors'][$primitive['indices']]['bufferView']];
                    $triangles = unpack('V*', substr($bytes, $view['byteOffset'], $view['byteLength'])) ?: [];
                    self::assertSame(0, count($triangles) % 3);
                    self::assertLessThan($corners, max($triangles));
                }
            }
            $plan = Planner::plan(Patterns::start($pattern, 'One'), new Profile);
            self::assertSame(
                array_sum(array_map(fn ($part): int => count($part->poses), $plan->scene())), count($told['nodes']),
            );
        }
    }

    public function test_every_step_has_its_picture_and_no_other_has(): void
    {
        $piece = $this->piece('two-links');
        $plan = Planner::plan(Patterns::start('two-links', 'One'), $this->workshop()->profile());
        $steps = count($plan->prepare()) + count($plan->steps());
        $seen = [];
        foreach (range(1, $steps) as $step) {
            $svg = (string) $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/forming/{$step}.svg")->assertOk()
                ->assertHeader('Content-Type', 'image/svg+xml; charset=utf-8')->getContent();
            self::assertNotFalse(simplexml_load_string($svg), "step {$step}");
            self::assertLessThan(40_000, strlen($svg));
            $seen[$svg] = true;
        }
        self::assertGreaterThan($steps * 0.8, count($seen), 'they tell the steps apart');
        foreach ([0, $steps + 1, 99_999] as $none) {
            $this->actingAs($this->maker)->get("/pieces/{$piece->ulid}/forming/{$none}.svg")->assertNotFound();
        }
        $making = app(Bench::class)->begin($piece);
        $this->actingAs($this->maker)->get("/makings/{$making->ulid}/steps/8.svg")->assertOk();
        $large = (string) $this->get("/makings/{$making->ulid}/steps/8.svg?seen=plain&large=1")
            ->assertOk()->getContent();
        self::assertStringContainsString('viewBox="0 0 634 440"', $large);
    }

    public function test_a_picture_is_had_from_every_side(): void
    {
        $piece = $this->piece('framed-drop');
        $front = (string) $this->actingAs($this->maker)
            ->get("/pieces/{$piece->ulid}/drawing.svg")
            ->assertOk()
            ->getContent();
        foreach (['side', 'back'] as $side) {
            $seen = (string) $this->actingAs($this->maker)
                ->get("/pieces/{$piece->ulid}/drawing.svg?view={$side}")
                ->assertOk()
                ->getContent();
            self::assertStringContainsString("from the {$side}:", $seen);
            self::assertNotSame($front, $seen);
        }
        self::assertSame($front, $this->actingAs($this->maker)->get(
            "/pieces/{$piece->ulid}/drawing.svg?view=above"
        )->assertOk()->getContent());
    }
}
