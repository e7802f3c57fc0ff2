<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Genome\Belief;
use Destino\Genome\Sex;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Pairing\Advice\Stance;
use Destino\Planning\Given\Aim;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project;
use Destino\Planning\Given\ProjectError;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/**
 * Reads a project document (destino-project/1) into a project, and says where it is not as it should be.
 *
 * @phpstan-import-type FactorEntry from BeliefDocument
 * @phpstan-type FounderEntry array{belief?: list<FactorEntry>, id?: int|string, sex: 'male'|'female',
 *     genes: string, age?: int|float|null, weight?: int|float|null,
 *     price?: int|float|null, sire?: int|string|null, dam?: int|string|null, from_season?: positive-int|float}
 * @phpstan-type SoundEntry array{sire: int|string, dam: int|string, share: int|float}
 * @phpstan-type RulesEntry array{budget?: int|float|null, tubs?: int|float|null, inbreeding?: string|int|float|null,
 *     wanted?: 'one'|'two'|'three'|'pair'|'sure', sound?: list<SoundEntry>, forbidden?: list<array{int|string, int|string}>,
 *     pinned?: list<int|string>, keep?: array<string, int>, stances?: array<string, 'inform'|'warn'|'refuse'>,
 *     aim?: array{early?: bool, tubs?: int|float, clutches?: int|float}}
 */
final class ProjectReader
{
    public const FORMAT = 'destino-project/1';

    public function __construct(private readonly GeneFacts $facts) {}

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws DocumentError|ProjectError|NotationError
     */
    public function read(array $document): Project
    {
        (new DocumentSchema('project'))->check($document);
        /** @var array{target: string, horizon?: positive-int|float, animals?: list<FounderEntry>, market?: list<FounderEntry>,
         *     assumptions?: array<string, int|float>, rules?: RulesEntry} $document */
        $horizon = (int) ($document['horizon'] ?? 8); // 3.0 is a whole number too
        $rules = $document['rules'] ?? [];
        $founders = [];
        foreach (['animals', 'market'] as $list) {
            foreach ($document[$list] ?? [] as $i => $animal) {
                $founder = $this->founder($animal, "{$list}[{$i}]", $list === 'market');
                isset($founders[$founder->id]) ? throw ProjectError::twice($founder->id) : $founders[$founder->id] = $founder;
            }
        }
        $known = array_map(strval(...), array_keys($founders));
        $aim = Aim::fromArray(array_map(static fn (mixed $one): mixed => is_float($one) ? (int) $one : $one, $rules['aim'] ?? []));

        return new Project(
            $this->facts->targets()->withChoices()->read($document['target']), array_values($founders),
            PlanAssumptions::of($document['assumptions'] ?? []), $horizon,
            self::number($rules['budget'] ?? null), self::whole($rules['tubs'] ?? null), self::fraction($rules['inbreeding'] ?? null),
            Project::number($rules['wanted'] ?? 'one'),
            self::pairs($rules['forbidden'] ?? [], $known), $rules['keep'] ?? [], self::ids($rules['pinned'] ?? [], 'rules.pinned', $known),
            array_map(Stance::from(...), $rules['stances'] ?? []), ($rules['wanted'] ?? 'one') === 'sure',
            sound: self::sound($rules['sound'] ?? [], $known), aim: $aim,
        );
    }

    /**
     * @param  list<SoundEntry>  $pairs
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
     * @param  list<array{int|string, int|string}>  $pairs
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

    /** @param  FounderEntry  $animal */
    private function founder(array $animal, string $where, bool $isOffer): Founder
    {
        $sex = Sex::from($animal['sex']);
        if (isset($animal['belief'])) { // exact, where the words beside it round
            return $this->named($animal, BeliefDocument::read($animal['belief'], $sex, $this->facts->catalogue(), "{$where}.belief"),
                $where, $isOffer);
        }
        $reading = $this->facts->reader()->read($animal['genes'], $sex);
        if ($reading->belief === null) {
            throw ProjectError::genes(
                "{$where}.genes",
                implode(' ', array_map(fn (NotationError $error): string => $error->getMessage(), $reading->errors)),
            );
        }

        return $this->named($animal, $reading->belief, $where, $isOffer);
    }

    /** @param  FounderEntry  $animal */
    private function named(array $animal, Belief $belief, string $where, bool $isOffer): Founder
    {
        $sex = Sex::from($animal['sex']);
        $id = (string) ($animal['id'] ?? ($isOffer ? "offer {$where}" : $where));

        return new Founder(
            $id, $sex, $belief, (new Printer($this->facts->catalogue()))->belief($belief),
            self::whole($animal['age'] ?? null), self::whole($animal['weight'] ?? null),
            $isOffer ? (float) ($animal['price'] ?? 0) : null,
            isset($animal['sire']) ? (string) $animal['sire'] : null, isset($animal['dam']) ? (string) $animal['dam'] : null,
            (int) ($animal['from_season'] ?? 1),
        );
    }

    private static function number(int|float|null $value): ?float
    {
        return $value === null ? null : (float) $value;
    }

    private static function whole(int|float|null $number): ?int
    {
        return $number === null ? null : (int) floor($number);
    }

    private static function fraction(string|int|float|null $value): ?Rational
    {
        try {
            return $value === null ? null : Probability::typed((string) $value);
        } catch (InvalidNumber) {
            throw ProjectError::missing('rules.inbreeding', 'a fraction such as "1/8"');
        }
    }
}
