<?php

namespace Tests\Feature;

use Brick\Math\BigInteger;
use Illuminate\Support\Facades\Artisan;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Console\Output\BufferedOutput;
use Tests\TestCase;

class CommandsTest extends TestCase
{
    public function test_predict_answers_the_contract(): void
    {
        $document = $this->answer(
            ['destino:predict', '--sire' => 'Pastel het Clown', '--dam' => 'Mojave/Mystic het Clown', '--target' => 'Clown + Pastel'],
            'prediction',
        );

        $this->assertSame(12, $document->outcomes_total);
        $this->assertSame('1', $document->probability_shown);
        $this->assertSame('Pastel Mojave het Clown', $document->outcomes[0]->label);
        $this->assertSame('1/8', $document->outcomes[0]->probability);
        $this->assertEquals(
            (object) ['pastel' => ['pastel', '+'], 'bel' => ['mojave', '+'], 'clown' => ['clown', '+']],
            $document->outcomes[0]->alleles,
        );
        $this->assertNull($document->outcomes[0]->sex);
        $this->assertSame(
            ['1/8', 6, 0.75],
            [$document->target->probability, $document->target->clutch->eggs, $document->target->clutch->expected],
        );
        $this->assertEqualsWithDelta(0.5512, $document->target->clutch->at_least_one, 5e-5);
        $this->assertEqualsWithDelta(0.1665, $document->target->clutch->at_least_two, 5e-5);
        $this->assertEquals((object) ['50' => 6, '90' => 18, '95' => 23, '99' => 35], $document->target->eggs_for);
    }

    public function test_an_uncertain_parent(): void
    {
        $document = $this->answer(
            ['destino:predict', '--sire' => '66% het Clown', '--dam' => 'Clown', '--target' => 'Clown', '--eggs' => '6'],
            'prediction',
        );

        $this->assertSame(['1/3', 0.65625], [$document->target->probability, $document->target->clutch->at_least_one]);
        $this->assertEquals((object) ['50' => 2, '90' => null, '95' => null, '99' => null], $document->target->eggs_for);
    }

    public function test_sex_phase_look_and_living_hatchlings(): void
    {
        $linked = $this->answer(
            ['destino:predict', '--sire' => 'Banana (male maker)', '--dam' => 'Normal', '--phase' => true], 'prediction',
        );
        $this->assertSame(
            ['male', 'Banana (male maker)', 'Y'],
            [$linked->outcomes[0]->sex, $linked->outcomes[0]->label, $linked->outcomes[0]->phase->banana],
        );

        $look = $this->answer(
            ['destino:predict', '--sire' => 'het Clown', '--dam' => 'het Clown', '--by' => 'look', '--sexed' => true],
            'prediction',
        );
        $this->assertSame(
            ['66% het Clown', '3/8', 2],
            [$look->outcomes[0]->label, $look->outcomes[0]->probability, $look->outcomes[0]->genotypes],
        );

        $alive = $this->answer(
            ['destino:predict', '--sire' => 'Spider', '--dam' => 'Spider', '--hatched' => true, '--top' => '1'], 'prediction',
        );
        $this->assertSame(
            [2, 1, '2/3', true],
            [$alive->outcomes_total, $alive->outcomes_shown, $alive->probability_shown, $alive->per_hatchling],
        );
    }

    public function test_a_total_beyond_integers_is_a_text_of_digits(): void
    {
        $genes = array_filter(
            json_decode($this->ask(['destino:genes', '--json' => true])[1], true)['genes'],
            fn (array $gene): bool => $gene['complex'] === null,
        );
        $text = implode(
            ' ',
            array_map(fn (array $gene): string => ($gene['inheritance'] === 'recessive' ? 'het ' : '').$gene['name'], $genes),
        );
        $document = $this->answer(
            ['destino:predict', '--sire' => $text, '--dam' => $text, '--top' => '3', '--school' => ['spider-blackhead-allelism=separate']],
            'prediction',
        );

        $this->assertSame((string) BigInteger::of(3)->power(count($genes)), $document->outcomes_total);
        $this->assertSame('separate', $document->assumptions->schools->{'spider-blackhead-allelism'});
        $this->assertSame(3, $document->outcomes_shown);
    }

    public function test_luck(): void
    {
        $document = $this->answer(['destino:luck', '--chance' => '1/6', '--eggs' => '40', '--hits' => '0'], 'luck');

        $this->assertSame(['1/6', 40, 0, '1'], [$document->chance, $document->eggs, $document->hits, $document->at_least->probability]);
        $this->assertEqualsWithDelta((5 / 6) ** 40, $document->at_most->decimal, 1e-12);
        $this->assertSame(1470, (int) round($document->one_in));
    }

    public function test_genes(): void
    {
        $document = $this->answer(['destino:genes', '--find' => 'purple passion'], 'genes');

        $this->assertSame(['mojave', 'phantom'], array_column($document->genes, 'key'));
        $this->assertSame(['bel', 'Super Mojave'], [$document->genes[0]->locus, $document->genes[0]->two_copies->name]);
    }

    /** @return iterable<string, array{array<string, mixed>, string|null, int|null, list<string>}> */
    public static function wrongInput(): iterable
    {
        $pair = ['destino:predict', '--sire' => 'Pastel', '--dam' => 'Normal'];
        yield 'a misspelt gene' => [['--dam' => 'Mojave Pastle'] + $pair, 'Pastle', 8, ['Pastel', 'Pastave']];
        yield 'three alleles' => [['--sire' => 'Mojave/Mystic Lesser'] + $pair, 'Lesser', 15, []];
        yield 'a target that cannot be read' => [['--target' => 'Clwn'] + $pair, 'Clwn', 1, ['Clown']];
        yield 'an empty parent' => [['--sire' => ''] + $pair, '', 1, []];
        yield 'a missing parent' => [['destino:predict', '--dam' => 'Normal'], '', null, []];
        yield 'no eggs' => [['--eggs' => '0'] + $pair, '0', null, []];
        yield 'not a way to tell apart' => [['--by' => 'colour'] + $pair, 'colour', null, ['genotype', 'look']];
        yield 'an unknown school' => [['--school' => ['spider-two-copies=maybe']] + $pair, 'maybe', null, ['lethal', 'viable']];
        yield 'half a school' => [['--school' => ['spider-two-copies']] + $pair, 'spider-two-copies', null, []];
        yield 'nothing hatches' => [
            ['--sire' => 'Super Champagne', '--dam' => 'Super Champagne', '--hatched' => true] + $pair, null, null, [],
        ];
        yield 'an impossible chance' => [['destino:luck', '--chance' => '7/6', '--eggs' => '4', '--hits' => '0'], null, null, []];
        yield 'more hits than eggs' => [['destino:luck', '--chance' => '1/6', '--eggs' => '4', '--hits' => '5'], null, null, []];
        yield 'ten thousand characters' => [['--sire' => str_repeat('Pastel<b>', 1112)] + $pair, '', 2001, []];
    }

    /**
     * @param  array<string, mixed>  $call
     * @param  list<string>  $suggestions
     */
    #[DataProvider('wrongInput')]
    public function test_wrong_input_ends_with_2_and_names_the_piece(array $call, ?string $piece, ?int $position, array $suggestions): void
    {
        [$code, $said] = $this->ask($call + ['--json' => true]);
        $document = json_decode(substr($said, (int) strpos($said, '{')));

        $this->assertSame(2, $code);
        $this->assertSame(
            [$piece, $position, $suggestions],
            [$document->error->piece, $document->error->position, $document->error->suggestions],
        );
        $this->assertNotSame('', $document->error->message);
        $this->assertFollows($document, 'error');
    }

    public function test_an_unknown_option_ends_with_2(): void
    {
        $output = [];
        exec(
            escapeshellarg(PHP_BINARY).' '.escapeshellarg(base_path('artisan')).' destino:luck --json --odds=3 2>/dev/null',
            $output, $code,
        );

        $this->assertSame(2, $code);
        $this->assertSame('The "--odds" option does not exist.', json_decode(implode("\n", $output))->error->message);
    }

    public function test_the_table_says_what_it_leaves_out(): void
    {
        [, $said] = $this->ask([
            'destino:predict', '--sire' => '66% het Clown Pastel', '--dam' => 'Clown', '--target' => 'Clown', '--top' => '1',
        ]);

        $this->assertStringContainsString('1 of 4 outcomes, 33% of the eggs', $said);
        $this->assertStringContainsString('For 90%: no number of eggs is enough', $said);
    }

    public function test_the_table_is_by_look_joins_equal_sexes_and_keeps_to_the_width(): void
    {
        putenv('COLUMNS=80');
        [, $said] = $this->ask(['destino:predict', '--sire' => 'Banana', '--dam' => 'Spider']);
        putenv('COLUMNS');
        $this->assertStringContainsString('by look', $said);
        $this->assertMatchesRegularExpression('/^\| Spider +\| 1\/4 +\| 25.0+ +\| either/m', $said);
        $this->assertMatchesRegularExpression('/^\| Banana \(male maker\) Spider +\| \S+ +\| \S+ +\| male/m', $said);
        $advice = array_filter(explode("\n", $said), static fn (string $line): bool => $line !== '' && ! in_array($line[0], ['|', '+'], true));
        $this->assertLessThan(80, max(array_map(mb_strlen(...), $advice)));
        $this->assertStringNotContainsString("\e[", $said, 'no colours outside a terminal');
        [, $sexed] = $this->ask(['destino:predict', '--sire' => 'Pastel', '--dam' => 'Normal', '--sexed' => true]);
        $this->assertSame([2, 0], [substr_count($sexed, '| Pastel '), substr_count($sexed, 'either')]);
    }

    public function test_the_catalogue_can_be_checked(): void
    {
        $this->assertSame(0, $this->ask(['destino:catalogue'])[0]);
    }

    /**
     * @param  array<array-key, mixed>  $call  the command first
     */
    private function answer(array $call, string $schema): object
    {
        [$code, $said] = $this->ask($call + ['--json' => true]);
        $document = json_decode($said);

        $this->assertSame(0, $code, $said);
        $this->assertIsObject($document, 'one JSON document and nothing else');
        $this->assertFollows($document, $schema);

        return $document;
    }

    private function assertFollows(object $document, string $schema): void
    {
        $error = (new Validator)->validate($document, (string) file_get_contents(base_path("docs/formats/{$schema}.schema.json")))->error();

        $this->assertNull($error, $error === null ? '' : (string) json_encode((new ErrorFormatter)->format($error)));
    }

    /**
     * @param  array<array-key, mixed>  $call
     * @return array{int, string}
     */
    private function ask(array $call): array
    {
        $output = new BufferedOutput;
        $command = $call[0];
        unset($call[0]);

        return [Artisan::call($command, $call, $output), $output->fetch()];
    }
}
