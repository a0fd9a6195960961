<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoSeeder;
use Hebra\Core\Piece\Kinds;
use Hebra\Core\Piece\Patterns;
use Hebra\Core\Piece\PieceJson;
use Hebra\Core\Wire\Metal;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Tests\TestCase;

/** The published schema and the reader agree, on the demo workshop and on what must be refused. */
final class FormatTest extends TestCase
{
    /** @return list<string> what the schema has against it */
    private function against(string $json): array
    {
        $result = (new Validator)->validate(
            json_decode($json),
            (string) file_get_contents(dirname(__DIR__, 2).'/docs/formats/piece-2.schema.json'),
        );

        return $result->error() === null ? [] : array_keys((new ErrorFormatter)->format($result->error()));
    }

    public function test_the_demo_workshop_is_varied_and_fits_the_schema(): void
    {
        $this->seed(DemoSeeder::class);
        $documents = DB::table('piece_revisions')->pluck('document');
        self::assertGreaterThan(6, $documents->count());
        foreach ($documents as $document) {
            self::assertSame([], $this->against($document));
            self::assertSame($document, PieceJson::write(PieceJson::read($document)));
        }
        self::assertSame(
            [7, 3],
            [
                DB::table('makings')->whereNotNull('closed_at')->count(),
                DB::table('makings')->whereNull('closed_at')->count(),
            ],
        );
        self::assertSame(0, (int) DB::table('movements')->sum('mass_mg'));
        $this->seed(DemoSeeder::class);
        self::assertSame($documents->count(), DB::table('piece_revisions')->count(), 'loaded once');
    }

    public function test_patterns_fit_and_broken_documents_do_not(): void
    {
        foreach (array_keys(Patterns::all()) as $pattern) {
            self::assertSame([], $this->against(PieceJson::write(Patterns::start($pattern, 'Fits'))));
        }
        $piece = PieceJson::toArray(Patterns::start('link-and-drop', 'Broken'));
        foreach ([['version' => 3], ['name' => 5], ['parts' => 'none'], ['extra' => true]] as $wrong) {
            self::assertNotSame(
                [],
                $this->against((string) json_encode([...$piece, ...$wrong])),
                (string) json_encode($wrong),
            );
        }
    }

    public function test_the_schema_names_what_the_reader_knows(): void
    {
        $schema = json_decode(
            (string) file_get_contents(dirname(__DIR__, 2).'/docs/formats/piece-2.schema.json'),
            true,
        );
        self::assertSame(
            array_keys(Kinds::all()),
            $schema['properties']['parts']['items']['properties']['technique']['enum'],
        );
        $format = (string) file_get_contents(dirname(__DIR__, 2).'/docs/formats/README.md');
        foreach (Kinds::all() as $technique) {
            foreach ($technique->parameters() as $parameter) {
                self::assertStringContainsString("`{$parameter->key}`", $format);
            }
        }
        self::assertSame(
            array_column(Metal::cases(), 'value'),
            $schema['properties']['wires']['additionalProperties']['properties']['metal']['enum'],
        );
    }

    public function test_pages_that_follow_from_the_code_are_fresh(): void
    {
        self::assertStringEqualsFile(dirname(__DIR__, 2).'/docs/sums.md', \App\View\SumsDocument::text());
        self::assertStringEqualsFile(dirname(__DIR__, 2).'/docs/metals.md', \App\View\MetalsDocument::text());
        self::assertStringEqualsFile(dirname(__DIR__, 2).'/docs/map.svg', \App\View\MapDocument::svg());
    }
}
