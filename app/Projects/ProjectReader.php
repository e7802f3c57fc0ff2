<?php

declare(strict_types=1);

namespace App\Projects;

use App\Catalogue\CatalogueShelf;
use App\Documents\DocumentError;
use App\Documents\DocumentSchema;
use Destino\Genome\Sex;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Pairing\Advice\Stance;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project;
use Destino\Planning\Given\ProjectError;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/** Reads a project document (destino-project/1) into a project, and says where it is not as it should be. */
class ProjectReader
{
    public const FORMAT = 'destino-project/1';

    public function __construct(private readonly CatalogueShelf $shelf) {}

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws DocumentError|ProjectError|NotationError
     */
    public function read(array $document): Project
    {
        (new DocumentSchema('project'))->check($document);
        $horizon = (int) ($document['horizon'] ?? 8);
        $rules = $document['rules'] ?? [];
        $founders = [];
        foreach (['animals', 'market'] as $list) {
            foreach ($document[$list] ?? [] as $i => $animal) {
                $founder = $this->founder($animal, "{$list}[{$i}]", $list === 'market');
                isset($founders[$founder->id]) ? throw ProjectError::twice($founder->id) : $founders[$founder->id] = $founder;
            }
        }
        $known = array_map(strval(...), array_keys($founders));

        return new Project(
            $this->shelf->targets()->read($document['target']), array_values($founders),
            PlanAssumptions::of($document['assumptions'] ?? []), $horizon,
            self::number($rules, 'budget'), self::whole(self::number($rules, 'tubs')), self::fraction($rules['inbreeding'] ?? null),
            ($rules['wanted'] ?? 'one') === 'pair' ? ['male' => 1, 'female' => 1, 'any' => 2] : ['male' => 0, 'female' => 0, 'any' => 1],
            self::pairs($rules['forbidden'] ?? [], $known), [], self::ids($rules['pinned'] ?? [], 'rules.pinned', $known),
            array_map(Stance::from(...), $rules['stances'] ?? []), ($rules['wanted'] ?? 'one') === 'sure',
            sound: self::sound($rules['sound'] ?? [], $known),
        );
    }

    /**
     * @param  list<array{sire: int|string, dam: int|string, share: float}>  $pairs
     * @param  list<string>  $known
     * @return array<string, float>
     */
    private static function sound(array $pairs, array $known): array
    {
        $shares = [];
        foreach ($pairs as $i => $pair) {
            [$sire, $dam] = self::ids([$pair['sire'], $pair['dam']], "rules.sound[{$i}]", $known);
            $shares["{$sire} {$dam}"] = (float) $pair['share'];
        }

        return $shares;
    }

    /**
     * @param  list<list<int|string>>  $pairs
     * @param  list<string>  $known
     * @return list<array{string, string}> the sire first
     */
    private static function pairs(array $pairs, array $known): array
    {
        $all = [];
        foreach ($pairs as $i => $pair) {
            [$sire, $dam] = self::ids($pair, "rules.forbidden[{$i}]", $known);
            $all[] = [$sire, $dam];
        }

        return $all;
    }

    /**
     * @param  list<int|string>  $ids
     * @param  list<string>  $known
     * @return list<string>
     */
    private static function ids(array $ids, string $where, array $known): array
    {
        return array_map(
            fn (int|string $id): string =>
                in_array((string) $id, $known, true) ? (string) $id : throw ProjectError::nobody($where, (string) $id),
            $ids,
        );
    }

    /** @param  array<string, mixed>  $animal */
    private function founder(array $animal, string $where, bool $isOffer): Founder
    {
        $sex = Sex::from($animal['sex']);
        $reading = $this->shelf->reader()->read($animal['genes'], $sex);
        if ($reading->belief === null) {
            throw ProjectError::genes(
                "{$where}.genes",
                implode(' ', array_map(fn (NotationError $error): string => $error->getMessage(), $reading->errors)),
            );
        }
        $id = (string) ($animal['id'] ?? ($isOffer ? "offer {$where}" : $where));

        return new Founder(
            $id, $sex, $reading->belief, (new Printer($this->shelf->catalogue()))->belief($reading->belief),
            self::whole(self::number($animal, 'age')), self::whole(self::number($animal, 'weight')),
            $isOffer ? (self::number($animal, 'price') ?? 0.0) : null,
            isset($animal['sire']) ? (string) $animal['sire'] : null, isset($animal['dam']) ? (string) $animal['dam'] : null,
            $isOffer ? max(1, self::whole(self::number($animal, 'from_season')) ?? 1) : 1,
        );
    }

    /** @param  array<string, mixed>  $values */
    private static function number(array $values, string $key): ?float
    {
        return isset($values[$key]) ? (float) $values[$key] : null;
    }

    private static function whole(?float $number): ?int
    {
        return $number === null ? null : (int) floor($number);
    }

    private static function fraction(mixed $value): ?Rational
    {
        try {
            return $value === null ? null : Probability::typed(is_scalar($value) ? (string) $value : '');
        } catch (InvalidNumber) {
            throw ProjectError::missing('rules.inbreeding', 'a fraction such as "1/8"');
        }
    }
}
