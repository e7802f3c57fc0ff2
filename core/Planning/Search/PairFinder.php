<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Probability\Rational;

/**
 * Every possible pairing of a collection for a target: now, or as the best first step (a young that carries everything
 * that is wanted, so that the next cross can bring the target).
 */
final class PairFinder
{
    /** @var array<string, array{float, float}> by group and looks, or by pair: P(target), P(carries all that is wanted) */
    private array $odds = [];

    public function __construct(private readonly Space $space) {}

    /**
     * @param list<Founder> $animals
     * @return list<array{Founder, Founder, Rational, Rational}> sire, dam, P(target), P(carries all of it) an egg; the best
     *     first; pairs that give neither are left out
     */
    public function best(array $animals, int $most = 50): array
    {
        $looks = [];
        $bySex = [Sex::Male->value => [], Sex::Female->value => []];
        foreach ($animals as $i => $animal) {
            $looks[$i] = $this->space->looksOf($animal);
            $bySex[$animal->sex->value][] = $i;
        }
        $share = $this->space->project->target->sex === null ? 1.0 : $this->space->shareOf($this->space->project->target->sex);
        $ranked = [];
        foreach ($bySex[Sex::Male->value] as $sire) {
            foreach ($bySex[Sex::Female->value] as $dam) {
                [$now, $next] = $this->oddsOf($looks[$sire], $looks[$dam]);
                $now *= $share;
                if ($now > 0.0 || $next > 0.0) {
                    $ranked[] = [$now, $next, $sire, $dam];
                }
            }
        }
        usort($ranked, static fn (array $a, array $b): int => [$b[0], $b[1], $a[2], $a[3]] <=> [$a[0], $a[1], $b[2], $b[3]]);

        return array_map(
            fn (array $pair): array => [$animals[$pair[2]], $animals[$pair[3]], ...$this->exact($looks[$pair[2]], $looks[$pair[3]])],
            array_slice($ranked, 0, $most),
        );
    }

    /**
     * @param list<int> $sire
     * @param list<int> $dam
     * @return array{float, float}
     */
    private function oddsOf(array $sire, array $dam): array
    {
        if ($this->space->choices->isAny()) {
            $pair = implode('.', $sire).'x'.implode('.', $dam);

            return $this->odds[$pair] ??= [
                $this->space->crossing->oddsOfTarget($sire, $dam)->toFloat(), $this->space->crossing->oddsOfCarrying($sire, $dam)->toFloat(),
            ];
        }
        $now = $next = 1.0;
        foreach ($sire as $i => $look) {
            [$met, $carried] = $this->odds["{$i} {$look} {$dam[$i]}"] ??= $this->oddsAt($i, $look, $dam[$i]);
            $now *= $met;
            $next *= $carried;
        }

        return [$now, $next];
    }

    /** @return array{float, float} */
    private function oddsAt(int $group, int $sire, int $dam): array
    {
        [$met, $carried] = $this->exactAt($group, $sire, $dam);

        return [$met->toFloat(), $carried->toFloat()];
    }

    /** @return array{Rational, Rational} */
    private function exactAt(int $group, int $sire, int $dam): array
    {
        $table = $this->space->groups[$group];
        $met = $carried = Rational::zero();
        foreach ($table->cross($sire, $dam) as [$look, $p]) {
            $met = $met->plus($p->times($table->accepted($look)));
            $carried = $carried->plus($p->times($table->carriesAll($look)));
        }

        return [$met, $carried];
    }

    /**
     * @param list<int> $sire
     * @param list<int> $dam
     * @return array{Rational, Rational}
     */
    private function exact(array $sire, array $dam): array
    {
        $now = $this->space->crossing->oddsOfTarget($sire, $dam);
        $next = $this->space->crossing->oddsOfCarrying($sire, $dam);
        $sex = $this->space->project->target->sex;

        return [$sex !== null && $this->space->sexAt === null ? $now->times(Rational::of(1, 2)) : $now, $next];
    }
}
