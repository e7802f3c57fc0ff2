<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Roles;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Faults\ErrorRates;
use Destino\Notation\NotationError;
use Destino\Notation\Target;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/**
 * Reads a pedigree document (destino-pedigree/1), and says where it is not as it should be.
 *
 * @phpstan-type SireEntry int|string|null|array{id: int|string|null, weight?: int|float}
 * @phpstan-type AnimalEntry array{id: int|string, sex?: 'male'|'female'|null, sire?: int|string|null, dam?: int|string|null,
 *     sires?: non-empty-list<SireEntry>, stated?: string|null, saw?: string|null, clutch?: string, certainty?: int|float}
 * @phpstan-type BroodEntry array{dam: int|string, saw: string, sire?: int|string|null, sires?: non-empty-list<SireEntry>,
 *     count?: positive-int|float, dead?: bool, clutch?: string}
 */
final class PedigreeReader
{
    public const FORMAT = 'destino-pedigree/1';

    /** Before the ids of the document, so that one that is a number stays a text. */
    public const MARK = 'animal ';

    public function __construct(private readonly GeneFacts $facts) {}

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws DocumentError|InferenceError|NotationError
     */
    public function read(array $document, ?ErrorRates $rates = null): Kindred
    {
        (new DocumentSchema('pedigree'))->check($document);
        /** @var array{animals: list<AnimalEntry>, groups?: list<BroodEntry>} $document */
        $entries = $document['animals'];
        $sexes = self::sexes($entries);
        $animals = [];
        foreach ($entries as $i => $entry) {
            $animal = $this->animal($entry, "animals[{$i}]", $sexes);
            isset($animals[$animal->id])
                ? throw InferenceError::twice(substr($animal->id, strlen(self::MARK)))
                : $animals[$animal->id] = $animal;
        }
        $broods = [];
        foreach ($document['groups'] ?? [] as $i => $entry) {
            $broods[] = $this->brood($entry, "groups[{$i}]");
        }

        return new Kindred($this->facts->catalogue(), $animals, $broods, $rates);
    }

    /**
     * Sexes as recorded, or as the role of a parent has them: a text is read for its sex.
     *
     * @param  list<AnimalEntry>  $entries
     * @return array<string, Sex>
     */
    private static function sexes(array $entries): array
    {
        $recorded = $places = [];
        foreach ($entries as $entry) {
            $id = self::id($entry['id']);
            if (($entry['sex'] ?? null) !== null) {
                $recorded[(string) $id] = Sex::from($entry['sex']);
            }
            $places[] = [(string) $id, (string) $id, self::sires($entry)[0], self::id($entry['dam'] ?? null)];
        }

        return Roles::among($recorded, $places)->sexes;
    }

    /**
     * @param  AnimalEntry  $entry
     * @param  array<string, Sex>  $sexes
     */
    private function animal(array $entry, string $where, array $sexes): Individual
    {
        $id = (string) self::id($entry['id']);
        $sex = ($entry['sex'] ?? null) === null ? null : Sex::from($entry['sex']);
        $testimonies = [];
        if (($entry['stated'] ?? null) !== null) {
            $reading = $this->facts->reader()->read($entry['stated'], $sexes[$id] ?? null);
            $certainty = Probability::from(Rational::parse((string) ($entry['certainty'] ?? 100))->dividedBy(Rational::of(100)));
            $testimonies[] = new Testimony(
                "{$where}.stated", $reading->belief ?? throw $reading->errors[0], Source::Own, $certainty, false,
                $reading->absent,
            );
        } elseif (isset($entry['certainty'])) {
            throw new DocumentError(["{$where}.certainty goes with “stated”, which is missing."]);
        }
        [$sires, $weights] = self::sires($entry);

        return new Individual(
            $id, $sex, count($sires) === 1 ? $sires[0] : null, self::id($entry['dam'] ?? null), $testimonies, $this->saw($entry),
            count($sires) > 1 ? $sires : [], $weights, $entry['clutch'] ?? null,
        );
    }

    /** @param  BroodEntry  $entry */
    private function brood(array $entry, string $where): Brood
    {
        [$sires, $weights] = self::sires($entry);

        return new Brood(
            $where, $sires, (string) self::id($entry['dam']),
            $this->saw($entry) ?? throw new DocumentError(["{$where} wants “saw”."]), (int) ($entry['count'] ?? 1), // 3.0 is a whole number too
            $entry['dead'] ?? false, $weights, $entry['clutch'] ?? null,
        );
    }

    /** @param  AnimalEntry|BroodEntry  $entry */
    private function saw(array $entry): ?Target
    {
        return ($entry['saw'] ?? null) === null ? null : $this->facts->targets()->read($entry['saw']);
    }

    /**
     * @param  AnimalEntry|BroodEntry  $entry
     * @return array{non-empty-list<string|null>, list<Rational>} the possible sires, and their weights where some are given
     */
    private static function sires(array $entry): array
    {
        if (! isset($entry['sires'])) {
            return [[self::id($entry['sire'] ?? null)], []];
        }
        if (($entry['sire'] ?? null) !== null) {
            throw new DocumentError(['An entry has “sire” or “sires”, not both.']);
        }
        $sires = $weights = [];
        foreach ($entry['sires'] as $sire) {
            $sires[] = self::id(is_array($sire) ? $sire['id'] ?? null : $sire);
            $weights[] = Rational::parse(
                rtrim(rtrim(number_format((float) (is_array($sire) ? $sire['weight'] ?? 1 : 1), 12, '.', ''), '0'), '.'),
            );
        }
        if (count(array_unique($sires)) < count($sires)) {
            throw new DocumentError(['The same sire stands twice among “sires”.']);
        }

        return [$sires, count($sires) > 1 ? $weights : []];
    }

    private static function id(mixed $value): ?string
    {
        return is_string($value) || is_int($value) ? self::MARK.$value : null;
    }
}
