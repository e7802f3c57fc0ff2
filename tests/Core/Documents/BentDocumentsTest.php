<?php

declare(strict_types=1);

namespace Tests\Core\Documents;

use Closure;
use Destino\DestinoError;
use Destino\Documents\ClutchReader;
use Destino\Documents\DocumentError;
use Destino\Documents\PedigreeReader;
use Destino\Documents\ProjectReader;
use Destino\Identification\Identification;
use Destino\Inference\Conclusions\Kindred;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;
use Throwable;

/**
 * Documents that are whole but for one place, at every place and with everything that may be typed there: they are read or
 * refused in words, and nothing else ever comes of them.
 */
final class BentDocumentsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, Closure(array<array-key, mixed>): mixed}> */
    public static function documents(): iterable
    {
        yield 'pedigree' => [
            [
                'format' => PedigreeReader::FORMAT,
                'animals' => [
                    ['id' => 1, 'sex' => 'male', 'stated' => '66% het Clown Pastel', 'certainty' => 90],
                    ['id' => 'F', 'sex' => 'female', 'stated' => 'het Clown'],
                    ['id' => 'K', 'sire' => 1, 'dam' => 'F', 'saw' => 'Clown', 'clutch' => 'c'],
                    ['id' => 'L', 'dam' => 'F', 'sires' => [1, null, ['id' => 'M', 'weight' => 2.5]], 'saw' => null],
                    ['id' => 'M', 'sex' => 'male', 'sire' => null],
                ],
                'groups' => [
                    ['sire' => 1, 'dam' => 'F', 'saw' => 'not Clown', 'count' => 3, 'dead' => false, 'clutch' => 'c'],
                    ['sires' => [1, 'M'], 'dam' => 'F', 'saw' => 'Pastel'],
                ],
            ],
            static fn (array $document): mixed => self::worked((new PedigreeReader(Shelf::facts()))->read($document)),
        ];
        yield 'project' => [
            [
                'format' => ProjectReader::FORMAT, 'target' => 'Clown Pastel', 'horizon' => 4,
                'animals' => [
                    ['id' => 'M', 'sex' => 'male', 'genes' => '66% het Clown Pastel', 'age' => 30, 'weight' => 900, 'from_season' => 2],
                    ['id' => 7, 'sex' => 'female', 'genes' => 'Clown', 'dam' => 'F2'],
                    ['id' => 'F2', 'sex' => 'female', 'genes' => 'het Clown or Pastel', 'age' => 5],
                ],
                'market' => [['sex' => 'male', 'genes' => 'Clown', 'price' => 250, 'from_season' => 3]],
                'assumptions' => ['females_per_male' => 2, 'lay_rate' => .6, 'clutch_mean' => 6],
                'rules' => [
                    'budget' => 300, 'tubs' => 4, 'inbreeding' => '1/4', 'wanted' => 'pair', 'forbidden' => [['M', 'F2']], 'pinned' => [7],
                    'keep' => ['female Clown' => 2], 'stances' => ['wobble' => 'refuse'],
                    'sound' => [['sire' => 'M', 'dam' => 'F2', 'share' => .75]],
                ],
            ],
            static fn (array $document): mixed => (new ProjectReader(Shelf::facts()))->read($document),
        ];
        yield 'clutch' => [
            [
                'format' => 'destino-clutch/1', 'dam' => ['genes' => 'Pastel het Clown'],
                'sires' => [['id' => 9, 'genes' => 'het Clown', 'weight' => '1/3'], ['genes' => 'Clown', 'weight' => 2]],
                'hatchlings' => [['id' => 'a', 'saw' => 'Pastel', 'age' => 4], ['id' => 2, 'sex' => 'male', 'saw' => 'Clown', 'cues' => ['head-stamp' => 'faint']]],
                'counts' => [['saw' => 'not Clown', 'count' => 2]],
                'alike' => [['target' => 'Clown', 'hatchlings' => ['a', 2]]],
            ],
            static fn (array $document): mixed => self::identified(new ClutchReader(Shelf::facts(), $document)),
        ];
    }

    private static function worked(Kindred $kindred): mixed
    {
        return array_map($kindred->groupSetsOf(...), array_keys($kindred->families()));
    }

    private static function identified(ClutchReader $read): mixed
    {
        return (new Identification(Shelf::catalogue(), Shelf::facts()->looks(), $read->clutch, $read->cues))->sires();
    }

    /**
     * @param array<string, mixed> $document
     * @param Closure(array<array-key, mixed>): mixed $read
     */
    #[DataProvider('documents')]
    public function testItIsReadOrRefusedInWordsWhateverStandsAtAnyPlace(array $document, Closure $read): void
    {
        $read($document); // as it is meant
        $refused = $taken = 0;
        $broken = [];
        foreach (self::places($document) as $place) {
            foreach (self::bent($document, $place) as $what => $bent) {
                try {
                    $read($bent);
                    $taken++;
                } catch (DestinoError $error) {
                    $refused++;
                    if (trim($error->getMessage()) === '' || preg_match('~\.php|\\\\[A-Z]|array\(|Stack~', $error->getMessage()) === 1) {
                        $broken[] = implode('.', $place)." with {$what} is refused without good words: {$error->getMessage()}";
                    }
                } catch (Throwable $error) {
                    $broken[] = implode('.', $place)." with {$what}: ".$error::class.": {$error->getMessage()}";
                }
            }
        }
        self::assertSame([], $broken);
        self::assertGreaterThan(200, $refused);
        self::assertGreaterThan(10, $taken, 'some of it is a good value there');
    }

    /**
     * @param array<string, mixed> $document
     * @param Closure(array<array-key, mixed>): mixed $read
     */
    #[DataProvider('documents')]
    public function testAnUnknownFieldIsNamedWithThePlaceAtWhichItStands(array $document, Closure $read): void
    {
        $named = 0;
        foreach (self::places($document) as $place) {
            $value = self::at($document, $place);
            if (! is_array($value) || array_is_list($value) || in_array($place[count($place) - 1], ['keep', 'stances', 'cues', 'assumptions'], true)) {
                continue; // fields of one's own naming
            }
            try {
                $read(self::with($document, $place, $value + ['colour' => 'brown']));
                self::fail(implode('.', $place).' takes a field that nobody knows.');
            } catch (DocumentError $error) {
                self::assertStringContainsString('“colour”', $error->getMessage());
                $where = preg_replace('~\.(\d+)~', '[$1]', implode('.', $place));
                self::assertStringContainsString((string) $where, $error->getMessage());
                $named++;
            }
        }
        self::assertGreaterThan(2, $named);
    }

    /**
     * @param array<string, mixed> $document
     * @param Closure(array<array-key, mixed>): mixed $read
     */
    #[DataProvider('documents')]
    public function testEveryFaultOfShapeIsSaidAndNotTheFirstAlone(array $document, Closure $read): void
    {
        $lists = array_keys(array_filter($document, static fn (mixed $value): bool => is_array($value) && array_is_list($value)));
        self::assertNotSame([], $lists);
        foreach ($lists as $list) {
            /** @var list<array<string, mixed>> $entries */
            $entries = $document[$list];
            $bent = array_map(static fn (array $entry): array => $entry + ['colour' => 1], [...$entries, ...$entries]);
            try {
                $read([$list => $bent] + $document);
                self::fail("{$list} takes a field that nobody knows.");
            } catch (DocumentError $error) {
                self::assertGreaterThanOrEqual(min(2, count($bent)), count($error->faults), $list);
                self::assertLessThanOrEqual(20, count($error->faults), "{$list}: no more than can be read");
                self::assertSame(array_values(array_unique($error->faults)), $error->faults);
            }
        }
    }

    /** @return array<string, mixed> what somebody may write at any place */
    private static function written(): array
    {
        return [
            'nothing' => null, 'an empty list' => [], 'a list' => ['x', 1], 'a list in a list' => [[['y']]], 'fields' => ['first' => 1, 'id' => 'x'],
            'yes' => true, 'no' => false, 'zero' => 0, 'below nothing' => -1, 'a share' => .5, 'a whole number with a point' => 3.0, 'a large number' => 9_223_372_036_854_775_807,
            'a huge share' => 1e300, 'an empty text' => '', 'blank' => " \t\n", 'a word' => 'Clown', 'a number as text' => '12', 'a share as text' => '7/2',
            'grammar' => ') or (( 66% / het', 'marks' => "'\"><b>%_\\", 'other letters' => "Ⅻ \u{202E}⚥ ½ Ω", 'a null byte' => "Clown\0",
            'much text' => str_repeat('Pastel het Clown ', 400), 'somebody of the document' => 'M', 'a sex' => 'female',
        ];
    }

    /**
     * @param array<array-key, mixed> $document
     * @param list<int|string> $place
     * @return iterable<string, array<array-key, mixed>>
     */
    private static function bent(array $document, array $place): iterable
    {
        foreach (self::written() as $what => $value) {
            yield $what => self::with($document, $place, $value);
        }
        yield 'nothing at all' => self::with($document, $place, null, true);
        $value = self::at($document, $place);
        if (is_array($value) && array_is_list($value) && $value !== []) {
            yield 'the same twice' => self::with($document, $place, [...$value, ...$value]);
            yield 'very many' => self::with($document, $place, array_merge(...array_fill(0, 40, $value)));
        }
    }

    /**
     * @param array<array-key, mixed> $document
     * @param list<int|string> $before
     * @return list<list<int|string>> ways to every value of a document
     */
    private static function places(array $document, array $before = []): array
    {
        $places = [];
        foreach ($document as $key => $value) {
            $places[] = [...$before, $key];
            $places = is_array($value) ? [...$places, ...self::places($value, [...$before, $key])] : $places;
        }

        return $places;
    }

    /**
     * @param array<array-key, mixed> $document
     * @param non-empty-list<int|string> $place
     */
    private static function at(array $document, array $place): mixed
    {
        $value = $document;
        foreach ($place as $key) {
            $value = is_array($value) ? $value[$key] : null;
        }

        return $value;
    }

    /**
     * @param array<array-key, mixed> $document
     * @param list<int|string> $place
     * @return array<array-key, mixed>
     */
    private static function with(array $document, array $place, mixed $value, bool $isGone = false): array
    {
        $bent = $document;
        $inside = &$bent;
        $last = array_pop($place);
        foreach ($place as $key) {
            $inside = &$inside[$key];
        }
        $wasList = is_array($inside) && array_is_list($inside);
        if ($isGone) {
            unset($inside[$last]);
            $inside = $wasList ? array_values($inside) : $inside;
        } else {
            $inside[$last] = $value;
        }

        return $bent;
    }
}
