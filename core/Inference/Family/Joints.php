<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Components;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\TooWide;
use Destino\Probability\Number;
use Destino\Probability\Rational;

/**
 * What some young of one clutch are at several spaces together: P(genotypes, sire | everything). Given the sire, spaces that nothing
 * ties stay apart. Of each joint the spaces, the numbers of the genotypes there by entry, and the chance of each entry with each sire.
 *
 * @phpstan-type JointTable array{spaces: list<int>, numbers: list<list<int>>, chances: list<list<Rational|float>>}
 */
final readonly class Joints
{
    /** Entries, were the tables full, up to which they are fractions. */
    private const EXACT = 6_000;

    /** Genotypes of one young that are gone through. */
    public const MOST = 60_000;

    /** Entries that the tables may hold together. */
    private const WIDEST = 600_000;

    /**
     * @param list<int> $places of the males that are possible, among all of the clutch; empty where there is but one
     * @param list<Rational|float> $sires P(each of these is the sire)
     * @param array<string, list<JointTable>> $of by young; empty where the evidence cannot be
     */
    private function __construct(public array $places, public array $sires, public array $of) {}

    /**
     * @param string $batch the clutch
     * @param list<string> $ids young of it
     * @param bool $inFractions whether a small clutch is worked out in fractions
     *
     * @throws TooWide
     */
    public static function of(FamilyModel $model, string $batch, array $ids, bool $inFractions = true): self
    {
        $network = Network::of($model);
        $sire = $network->named("sire {$batch}");
        $places = $model->sires[$batch] ?? [];
        $sires = $sire === null ? [] : $places;
        $groups = self::groups($model, $network, $ids, $sire);
        $factors = $network->factors;
        foreach ($groups as $all) {
            foreach ($all as $variables) {
                $factors[] = self::neutral($network, $sire === null ? $variables : [$sire, ...$variables], max(1, count($sires)));
            }
        }
        $order = Order::of($network->sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors));
        if ($order->size > 100 * self::WIDEST) {
            throw TooWide::beyond(self::WIDEST);
        }
        $elimination = $inFractions && $order->size <= self::EXACT
            ? new Elimination($network->sizes, $factors, $order, new Exact, self::WIDEST)
            : new Elimination($network->sizes, $factors, $order, new Doubles, self::WIDEST);
        if ($elimination->floats() === null) {
            return new self($places, [], []);
        }
        $of = [];
        foreach ($ids as $id) {
            $of[$id] = [];
            foreach ($groups[$id] as $variables) {
                $size = array_product(array_map(static fn (int $variable): int => $network->sizes[$variable], $variables));
                $table = $elimination->tableOf($sire === null ? $variables : [$sire, ...$variables]);
                $of[$id][] = self::joint($model, $network, $id, $variables, $table, max(1, count($sires)), (int) $size);
            }
        }

        $shares = $sire === null ? [Rational::one()] : Number::shares(self::full($elimination->tableOf([$sire]), count($sires)));

        return new self($places, array_values($shares), $of);
    }

    /**
     * @param array<int, Rational|float> $table of what is possible
     * @return list<Rational|float> by place
     */
    private static function full(array $table, int $size): array
    {
        $all = [];
        for ($place = 0; $place < $size; $place++) {
            $all[] = $table[$place] ?? Rational::zero();
        }

        return $all;
    }

    /** @param list<int> $variables */
    private static function neutral(Network $network, array $variables, int $sires): Factor
    {
        $size = (int) array_product(array_map(static fn (int $variable): int => $network->sizes[$variable], $variables));

        return $size > self::MOST * $sires
            ? throw TooWide::beyond(self::MOST)
            : new Factor($variables, array_fill(0, $size, Rational::one()));
    }

    /**
     * @param list<string> $ids
     * @return array<string, list<list<int>>> variables of each young, those together that tell of each other where the sire is known
     */
    private static function groups(FamilyModel $model, Network $network, array $ids, ?int $sire): array
    {
        $components = new Components(array_map(static fn (int $variable): string => "v{$variable}", array_keys($network->sizes)));
        foreach ($network->factors as $factor) {
            $components->tie(array_map(static fn (int $variable): string => "v{$variable}", array_diff($factor->scope, [$sire])));
        }
        $component = [];
        foreach ($components->all() as $k => $nodes) {
            $component += array_fill_keys($nodes, $k);
        }
        $groups = [];
        foreach ($ids as $id) {
            $own = [];
            foreach (array_keys($model->spaces) as $i) {
                $variable = $network->variableOf($i, $id);
                if ($variable !== null) {
                    $own[$component["v{$variable}"]][] = $variable;
                }
            }
            $groups[$id] = array_values($own);
        }

        return $groups;
    }

    /**
     * @param list<int> $variables
     * @param array<int, Rational|float> $table
     * @return JointTable
     */
    private static function joint(
        FamilyModel $model, Network $network, string $id, array $variables, array $table, int $sires, int $size,
    ): array {
        $spaces = array_values(array_filter(
            array_keys($model->spaces), static fn (int $i): bool => in_array($network->variableOf($i, $id), $variables, true),
        ));
        $entries = [[]];
        foreach ($spaces as $i) {
            $longer = [];
            foreach ($entries as $entry) {
                foreach (array_keys($model->domains[$i][$id]) as $number) {
                    $longer[] = [...$entry, $number];
                }
            }
            $entries = $longer;
        }
        $chances = array_chunk(self::full($table, $sires * $size), max(1, $size));

        return ['spaces' => $spaces, 'numbers' => $entries, 'chances' => $chances];
    }
}
