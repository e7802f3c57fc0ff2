<?php

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Sex;
use Destino\Inference\Brood;
use Destino\Inference\ErrorRates;
use Destino\Inference\Individual;
use Destino\Inference\InferenceError;
use Destino\Inference\Kindred;
use Destino\Inference\Source;
use Destino\Inference\Testimony;
use Destino\Notation\NotationError;
use Destino\Probability\Rational;

/** Reads a pedigree document (destino-pedigree/1), and says where it is not as it should be. */
class PedigreeReader
{
    public const FORMAT = 'destino-pedigree/1';

    /** Before the ids of the document, so that one that is a number stays a text. */
    public const MARK = 'animal ';

    public function __construct(private readonly CatalogueShelf $shelf) {}

    /**
     * @param  array<string, mixed>  $document
     *
     * @throws InferenceError|NotationError
     */
    public function read(array $document, ?ErrorRates $rates = null): Kindred
    {
        if (($document['format'] ?? null) !== self::FORMAT) {
            throw InferenceError::missing('format', '"'.self::FORMAT.'"');
        }
        $animals = [];
        foreach (self::list($document['animals'] ?? [], 'animals') as $i => $entry) {
            $animal = $this->animal(self::list($entry, "animals[{$i}]"), "animals[{$i}]");
            isset($animals[$animal->id]) ? throw InferenceError::twice(substr($animal->id, strlen(self::MARK))) : $animals[$animal->id] = $animal;
        }
        $broods = [];
        foreach (self::list($document['groups'] ?? [], 'groups') as $i => $entry) {
            $broods[] = $this->brood(self::list($entry, "groups[{$i}]"), $i);
        }

        return new Kindred($this->shelf->catalogue(), $animals, $broods, $rates);
    }

    /** @param  array<array-key, mixed>  $entry */
    private function animal(array $entry, string $where): Individual
    {
        $id = self::id($entry['id'] ?? null) ?? throw InferenceError::missing("{$where}.id", 'a text or a whole number');
        $sex = ($entry['sex'] ?? null) === null ? null : Sex::tryFrom(is_string($entry['sex']) ? $entry['sex'] : '') ?? throw InferenceError::missing("{$where}.sex", '"male", "female" or null');
        $testimonies = [];
        if (($entry['stated'] ?? null) !== null) {
            $text = is_string($entry['stated']) ? $entry['stated'] : throw InferenceError::missing("{$where}.stated", 'a genotype in the notation');
            $reading = $this->shelf->reader()->read($text, $sex ?? Sex::Female);
            $testimonies[] = new Testimony("{$where}.stated", $reading->belief ?? throw $reading->errors[0], Source::Own, Rational::one(), false);
        }
        $saw = ($entry['saw'] ?? null) === null ? null : $this->shelf->targets()->read(is_string($entry['saw']) ? $entry['saw'] : throw InferenceError::missing("{$where}.saw", 'a condition in the notation'));

        return new Individual($id, $sex, self::id($entry['sire'] ?? null), self::id($entry['dam'] ?? null), $testimonies, $saw);
    }

    /** @param  array<array-key, mixed>  $entry */
    private function brood(array $entry, int|string $i): Brood
    {
        $where = "groups[{$i}]";
        $count = $entry['count'] ?? 1;
        $saw = is_string($entry['saw'] ?? null) ? $entry['saw'] : throw InferenceError::missing("{$where}.saw", 'a condition in the notation');
        is_int($count) && $count >= 1 && $count <= 1000 ?: throw InferenceError::missing("{$where}.count", 'a whole number from 1 to 1000');

        return new Brood($where, [self::id($entry['sire'] ?? null)], self::id($entry['dam'] ?? null) ?? throw InferenceError::missing("{$where}.dam", 'the id of an animal'), $this->shelf->targets()->read($saw), $count, ($entry['dead'] ?? false) === true);
    }

    private static function id(mixed $value): ?string
    {
        return is_string($value) || is_int($value) ? self::MARK.$value : null;
    }

    /** @return array<array-key, mixed> */
    private static function list(mixed $value, string $where): array
    {
        return is_array($value) ? $value : throw InferenceError::missing($where, 'an object or a list');
    }
}
