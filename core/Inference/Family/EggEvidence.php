<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * What counted eggs say of their parents. An egg is of one of some classes: what hides in it, and, of one found dead, what it
 * died of. In each class the spaces are independent given the parents. A dead egg is charged once: with P(it died of a
 * lethal form) it has one at some space, the first of which is its class; otherwise it may be anything.
 */
final class EggEvidence
{
    private const ALIVE = 1;

    private const DYING = 2;

    /** @var non-empty-list<array{weight: Rational, modes: array<int, int>, ways: array<int, string>, masks: list<Mask>}> */
    public readonly array $classes;

    private readonly Target $saw;

    private readonly bool $isDead;

    /** @var array<string, Rational> */
    private array $chances = [];

    /** @var array<int, bool> */
    private array $speaks = [];

    public function __construct(private readonly FamilyModel $model, private readonly Member $eggs)
    {
        $brood = $eggs->brood ?? throw new \LogicException('Only eggs have the evidence of eggs.');
        $this->saw = $brood->saw;
        $this->isDead = $brood->isDead;
        $classes = [];
        foreach ($this->deaths() as [$weight, $modes]) {
            foreach ($this->ways() as [$ways, $masks]) {
                $classes[] = ['weight' => $weight, 'modes' => $modes, 'ways' => $ways, 'masks' => $masks];
            }
        }
        $this->classes = $classes === [] ? [['weight' => Rational::one(), 'modes' => [], 'ways' => [], 'masks' => []]] : $classes;
    }

    /** Whether anything about these eggs depends on the parents' genotypes at a space. */
    public function speaksOf(int $i): bool
    {
        if (! isset($this->speaks[$i])) {
            $speaks = self::names($this->saw, $this->model->spaces[$i]);
            foreach ($this->classes as $class) {
                $speaks = $speaks || isset($class['modes'][$i]) || isset($class['ways'][$i]);
            }
            $this->speaks[$i] = $speaks;
        }

        return $this->speaks[$i];
    }

    /** Whether a condition asks something at a space. */
    public static function names(Target $saw, GenotypeSpace $space): bool
    {
        return $saw->only || ($saw->sex !== null && $space->holdsSex()) || array_intersect($saw->loci(), $space->loci()) !== [];
    }

    /** P(an egg is of the class here, and was seen to be such | genotypes of its parents). */
    public function chance(int $i, int $class, int $sire, int $dam): Rational
    {
        return $this->chances["{$i} {$class} {$sire} {$dam}"] ??= $this->sum($i, $class, $sire, $dam);
    }

    private function sum(int $i, int $class, int $sire, int $dam): Rational
    {
        $space = $this->model->spaces[$i];
        ['modes' => $modes, 'ways' => $ways, 'masks' => $masks] = $this->classes[$class];
        $mode = $modes[$i] ?? 0;
        $sum = Rational::zero();
        foreach ($this->isDead ? $space->eggs($sire, $dam) : $space->living($sire, $dam) as $number => $chance) {
            $fits = match ($mode) {
                self::ALIVE => ! $space->isLethal($number),
                self::DYING => $space->isLethal($number),
                default => true,
            };
            if (
                $fits
                && (! isset($ways[$i]) || GenotypeSpace::maskKey($space->masksOf($number)) === $ways[$i])
                && $space->accepts($number, $this->saw, $masks)
            ) {
                $sum = $sum->plus($chance);
            }
        }

        return $sum;
    }

    /** @return list<array{Rational, array<int, int>}> what they may have died of: weight, and what that means at each space */
    private function deaths(): array
    {
        $lethal = $this->isDead ? array_values(array_filter(array_keys($this->model->spaces), $this->canDieOf(...))) : [];
        if ($lethal === []) {
            return [[Rational::one(), []]];
        }
        $rate = $this->model->context->rates->lethalDead;
        $deaths = [[$rate->complement(), []]];
        foreach ($lethal as $place => $i) {
            $deaths[] = [$rate, array_fill_keys(array_slice($lethal, 0, $place), self::ALIVE) + [$i => self::DYING]];
        }

        return array_values(array_filter($deaths, static fn (array $death): bool => ! $death[0]->isZero()));
    }

    private function canDieOf(int $i): bool
    {
        foreach ($this->pairs($i) as [$sire, $dam]) {
            foreach ($this->model->spaces[$i]->eggs($sire, $dam) as $number => $_) {
                if ($this->model->spaces[$i]->isLethal($number)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<array{array<int, string>, list<Mask>}> ways in which an egg may hide things: by space, and all masks together */
    private function ways(): array
    {
        $ways = [[[], $this->model->surelyHiding($this->eggs)]];
        foreach ($this->model->spaces as $i => $space) {
            $own = $space->canHide() ? $this->waysAt($i) : [];
            if (array_keys($own) === [''] || $own === []) {
                continue;
            }
            $longer = [];
            foreach ($ways as [$keys, $masks]) {
                foreach ($own as $key => $more) {
                    $longer[] = [$keys + [$i => $key], [...$masks, ...$more]];
                }
            }
            $ways = $longer;
        }

        return $ways;
    }

    /** @return array<string, list<Mask>> ways in which these eggs may hide things by what they are at a space, by key */
    public static function hidingAt(FamilyModel $model, Member $eggs, int $i): array
    {
        return (new self($model, $eggs))->waysAt($i);
    }

    /** Whether eggs of these parents can die of their form at a space. */
    public static function dieAt(FamilyModel $model, Member $eggs, int $i): bool
    {
        return (new self($model, $eggs))->canDieOf($i);
    }

    /** @return array<string, list<Mask>> masks of the genotypes that these eggs can have at a space, by their key */
    private function waysAt(int $i): array
    {
        $ways = [];
        foreach ($this->pairs($i) as [$sire, $dam]) {
            foreach (
                $this->isDead ? $this->model->spaces[$i]->eggs($sire, $dam) : $this->model->spaces[$i]->living($sire, $dam) as $number => $_
            ) {
                $masks = $this->model->spaces[$i]->masksOf($number);
                if (! isset($ways[$key = GenotypeSpace::maskKey($masks)]) && $this->model->spaces[$i]->accepts($number, $this->saw)) {
                    $ways[$key] = $masks;
                }
            }
        }

        return $ways;
    }

    /** @return iterable<array{int, int}> */
    private function pairs(int $i): iterable
    {
        foreach ($this->model->siresOf($this->eggs) as $sire) {
            foreach (array_keys($this->model->domains[$i][$sire]) as $left) {
                foreach (array_keys($this->model->domains[$i][(string) $this->eggs->dam]) as $right) {
                    yield [$left, $right];
                }
            }
        }
    }
}
