<?php

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class IdentifyTest extends TestCase
{
    private const CLUTCH = [
        'format' => 'destino-clutch/1', 'dam' => ['genes' => 'Pastel 66% het Clown'],
        'sires' => [
            ['id' => 'a', 'genes' => 'Yellow Belly Enchi het Clown', 'weight' => 3], ['id' => 'b', 'genes' => 'Fire', 'weight' => 1],
        ],
        'hatchlings' => [
            ['id' => '1', 'sex' => 'male', 'age' => 3, 'saw' => 'not Clown', 'cues' => ['edge' => 'checkered']], ['id' => '2'],
        ],
        'counts' => [['saw' => 'Clown', 'count' => 2]], 'alike' => [['target' => 'Enchi', 'hatchlings' => ['1', '2']]],
        'cues' => [
            ['key' => 'edge', 'states' => ['barred', 'some', 'checkered'], 'given' => [
                ['when' => 'Yellow Belly + Fire', 'chances' => [0.02, 0.08, 0.9]], ['when' => 'Fire', 'chances' => [0.25, 0.5, 0.25]],
                ['when' => 'Yellow Belly', 'chances' => [0.1, 0.2, 0.7]], ['chances' => [0.8, 0.15, 0.05]],
            ]],
            [
                'key' => 'speckles', 'from_days' => 60, 'states' => ['none', 'some'],
                'given' => [['when' => 'Clown', 'chances' => [0.2, 0.8]], ['chances' => [0.9, 0.1]]],
            ],
        ],
    ];

    public function test_the_command_answers_as_the_document_says(): void
    {
        [$exit, $output] = $this->ask(self::CLUTCH);
        $this->assertSame(0, $exit);
        $this->assertTrue(
            (new Validator)->validate(
                json_decode($output), (string) file_get_contents(base_path('docs/formats/identification.schema.json')),
            )->isValid(),
            $output,
        );
        $answer = (array) json_decode($output, true);
        $genes = array_column($answer['hatchlings'][0]['genes'], 'probability', 'key');
        $this->assertSame('14/15', $genes['yellow-belly']);
        $this->assertSame(
            [['1', 'a'], ['0', 'b']], array_map(fn (array $sire): array => [$sire['probability'], $sire['id']], $answer['sires']),
            'a visual needs two hets',
        );
        $this->assertSame([['cue' => 'speckles', 'from_days' => 60]], $answer['hatchlings'][0]['later']);
        $this->assertSame(['edge', 'speckles'], collect($answer['hatchlings'][1]['next'])->pluck('cue')->sort()->values()->all());
        $this->assertGreaterThan(0, $answer['hatchlings'][1]['genotypes_total']);
        $this->assertSame($output, $this->ask(self::CLUTCH)[1], 'same document, same answer');
    }

    public function test_what_the_parents_cannot_have_is_explained(): void
    {
        [$exit, $output] = $this->ask(
            ['hatchlings' => [['id' => '1', 'saw' => 'Piebald'], ['id' => '2']], 'counts' => [], 'alike' => []] + self::CLUTCH,
        );
        $answer = (array) json_decode($output, true);
        $this->assertSame([0, true, false], [$exit, $answer['hatchlings'][0]['impossible'], $answer['hatchlings'][1]['impossible']]);
        $this->assertNotSame([], $answer['hatchlings'][0]['explanations']);
        $this->assertSame(
            0,
            Artisan::call(
                'destino:identify',
                [
                    'file' => $this->file(
                        ['cues' => null, 'alike' => null, 'counts' => null] + [
                            'hatchlings' => [['id' => '1', 'saw' => 'Piebald']],
                        ] + self::CLUTCH,
                    ),
                ],
            ),
        );
        $this->assertStringContainsString('these parents cannot have it', Artisan::output());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'an unknown cue' => [['hatchlings' => [['id' => '1', 'cues' => ['egde' => 'some']]]], 'egde'];
        yield 'an unknown state' => [['hatchlings' => [['id' => '1', 'cues' => ['edge' => 'checked']]]], 'checked'];
        yield 'no sire' => [['sires' => []], 'at least one sire'];
        yield 'a weight of 0' => [['sires' => [['genes' => 'Fire', 'weight' => 0]]], 'must be more than 0'];
        yield 'an id twice' => [['hatchlings' => [['id' => '1'], ['id' => 1]]], 'called 1'];
        yield 'misspelt genes' => [['dam' => ['genes' => 'Pstel']], 'dam.genes'];
        yield 'a misspelt look' => [['hatchlings' => [['id' => '1', 'saw' => 'Clwn']]], 'hatchlings[0].saw'];
        yield 'a misspelt field' => [['hatchling' => []], '“hatchling”'];
        yield 'somebody alike who is not there' => [['alike' => [['target' => 'Enchi', 'hatchlings' => ['1', '9']]]], 'called 9'];
        yield 'counted young that cannot be' => [['counts' => [['saw' => 'Piebald', 'count' => 1]]], 'Piebald'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_named(array $wrong, string $says): void
    {
        [$exit, $output] = $this->ask($wrong + self::CLUTCH);
        $this->assertSame(2, $exit, $output);
        $this->assertStringContainsString(
            $says,
            (string) json_encode(
                json_decode(substr($output, (int) strpos($output, '{')), true), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
        );
    }

    /**
     * @param array<string, mixed> $document
     * @return array{int, string}
     */
    private function ask(array $document): array
    {
        $exit = Artisan::call('destino:identify', ['file' => $this->file($document), '--json' => true]);

        return [$exit, Artisan::output()];
    }

    /** @param array<string, mixed> $document */
    private function file(array $document): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents($file, json_encode(array_filter($document, fn (mixed $value): bool => $value !== null)));
        $this->beforeApplicationDestroyed(fn () => is_file($file) && unlink($file));

        return $file;
    }
}
