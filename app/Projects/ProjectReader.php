<?php

namespace App\Projects;

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Sex;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Pairing\Advice\Stance;
use Destino\Planning\Founder;
use Destino\Planning\PlanAssumptions;
use Destino\Planning\Project;
use Destino\Planning\ProjectError;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Rational;

/** Reads a project document (destino-project/1) into a project, and says where it is not as it should be. */
class ProjectReader
{
    public const FORMAT = 'destino-project/1';

    public function __construct(private readonly CatalogueShelf $shelf) {}

    /**
     * @param  array<string, mixed>  $document
     *
     * @throws ProjectError|NotationError
     */
    public function read(array $document): Project
    {
        if (($document['format'] ?? null) !== self::FORMAT) {
            throw ProjectError::missing('format', '"'.self::FORMAT.'"');
        }
        if (! is_string($document['target'] ?? null)) {
            throw ProjectError::missing('target', 'a target in the notation');
        }
        $horizon = $document['horizon'] ?? 8;
        if (! is_int($horizon) || $horizon < 1 || $horizon > Project::MOST_SEASONS) {
            throw ProjectError::horizon(Project::MOST_SEASONS);
        }
        $rules = self::map($document['rules'] ?? [], 'rules');
        $founders = [];
        foreach (['animals', 'market'] as $list) {
            foreach (self::map($document[$list] ?? [], $list) as $i => $animal) {
                $founder = $this->founder(self::map($animal, "{$list}[{$i}]"), "{$list}[{$i}]", $list === 'market');
                isset($founders[$founder->id]) ? throw ProjectError::twice($founder->id) : $founders[$founder->id] = $founder;
            }
        }

        return new Project(
            $this->shelf->targets()->read($document['target']), array_values($founders), PlanAssumptions::of(self::map($document['assumptions'] ?? [], 'assumptions')), $horizon,
            self::number($rules, 'budget', 'rules'), ($tubs = self::number($rules, 'tubs', 'rules')) === null ? null : (int) $tubs, self::fraction($rules['inbreeding'] ?? null),
            ($rules['wanted'] ?? 'one') === 'pair' ? ['male' => 1, 'female' => 1, 'any' => 2] : ['male' => 0, 'female' => 0, 'any' => 1],
            self::pairs($rules['forbidden'] ?? []), [], self::texts($rules['pinned'] ?? [], 'rules.pinned', array_keys($founders)), self::stances($rules['stances'] ?? []), ($rules['wanted'] ?? 'one') === 'sure',
        );
    }

    /** @return list<array{string, string}> */
    private static function pairs(mixed $value): array
    {
        $pairs = [];
        foreach (self::map($value, 'rules.forbidden') as $pair) {
            $pairs[] = is_array($pair) && is_string($pair[0] ?? null) && is_string($pair[1] ?? null) ? [$pair[0], $pair[1]] : throw ProjectError::missing('rules.forbidden', 'pairs of ids, the sire first');
        }

        return $pairs;
    }

    /**
     * @param  list<array-key>  $known
     * @return list<string>
     */
    private static function texts(mixed $value, string $where, array $known): array
    {
        $texts = [];
        foreach (self::map($value, $where) as $text) {
            $texts[] = is_string($text) && in_array($text, array_map(strval(...), $known), true) ? $text : throw ProjectError::missing($where, 'ids of animals of the document');
        }

        return $texts;
    }

    /** @return array<string, Stance> */
    private static function stances(mixed $value): array
    {
        $stances = [];
        foreach (self::map($value, 'rules.stances') as $condition => $stance) {
            $stances[(string) $condition] = Stance::tryFrom(is_string($stance) ? $stance : '') ?? throw ProjectError::missing("rules.stances.{$condition}", '"inform", "warn" or "refuse"');
        }

        return $stances;
    }

    /** @param  array<array-key, mixed>  $animal */
    private function founder(array $animal, string $where, bool $isOffer): Founder
    {
        $sex = Sex::tryFrom(is_string($animal['sex'] ?? null) ? $animal['sex'] : '') ?? throw ProjectError::missing("{$where}.sex", '"male" or "female"');
        if (! is_string($animal['genes'] ?? null)) {
            throw ProjectError::missing("{$where}.genes", 'what it carries, in the notation');
        }
        $reading = $this->shelf->reader()->read($animal['genes'], $sex);
        if ($reading->belief === null) {
            throw ProjectError::genes("{$where}.genes", $reading->errors[0]->getMessage());
        }
        $price = self::number($animal, 'price', $where);
        $id = $animal['id'] ?? ($isOffer ? "offer {$where}" : $where);

        return new Founder(
            is_string($id) || is_int($id) ? (string) $id : throw ProjectError::missing("{$where}.id", 'a text'), $sex, $reading->belief, (new Printer($this->shelf->catalogue()))->belief($reading->belief),
            self::whole(self::number($animal, 'age', $where)), self::whole(self::number($animal, 'weight', $where)), $isOffer ? ($price ?? 0.0) : null,
            is_string($animal['sire'] ?? null) ? $animal['sire'] : null, is_string($animal['dam'] ?? null) ? $animal['dam'] : null,
        );
    }

    /** @return array<array-key, mixed> */
    private static function map(mixed $value, string $where): array
    {
        return is_array($value) ? $value : throw ProjectError::missing($where, 'an object or a list');
    }

    /** @param  array<array-key, mixed>  $values */
    private static function number(array $values, string $key, string $where): ?float
    {
        $value = $values[$key] ?? null;
        if ($value === null) {
            return null;
        }

        return (is_int($value) || is_float($value)) && $value >= 0 ? (float) $value : throw ProjectError::missing("{$where}.{$key}", 'a number that is not negative');
    }

    private static function whole(?float $number): ?int
    {
        return $number === null ? null : (int) floor($number);
    }

    private static function fraction(mixed $value): ?Rational
    {
        try {
            return $value === null ? null : Rational::parseChance(is_scalar($value) ? (string) $value : '');
        } catch (InvalidNumber) {
            throw ProjectError::missing('rules.inbreeding', 'a fraction such as "1/8"');
        }
    }
}
