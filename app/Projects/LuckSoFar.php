<?php

declare(strict_types=1);

namespace App\Projects;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Models\Animal;
use App\Models\Clutch;
use Destino\DestinoError;
use Destino\Notation\Target;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Luck;
use Destino\Probability\Rational;

/**
 * How the recorded clutches of a project did against what was to be expected of them. A pair is judged by as much of the
 * target as it can bring at once; young of which nobody knows whether they have it count for nothing.
 *
 * @phpstan-type LuckRow array{key: string, pair: string, hope: string, chance: string, known: int, hits: int, expected: float,
 *     sentence: string, isOdd: bool, luck: Luck}
 */
class LuckSoFar
{
    /** Worse luck than this is a reason to look at the parents. */
    private const CALM = .05;

    private readonly Beliefs $beliefs;

    /** @param list<Clutch> $clutches of the project */
    public function __construct(
        private readonly Target $target,
        private readonly array $clutches,
        Beliefs $beliefs,
        private readonly CatalogueShelf $shelf,
    ) {
        $this->beliefs = $beliefs;
    }

    /** @return list<LuckRow> by pair, oldest first */
    public function rows(): array
    {
        $pairs = [];
        foreach ($this->clutches as $clutch) {
            $sire = $clutch->sires->count() === 1 ? $clutch->sires[0]?->animal : null;
            if ($sire !== null && $clutch->hatched !== null) {
                $pairs["{$sire->id}:{$clutch->dam_id}"][] = $clutch;
            }
        }
        $rows = [];
        foreach ($pairs as $clutches) {
            try {
                $row = $this->row($clutches[0]->sires[0]->animal ?? null, $clutches[0]->dam, $clutches);
            } catch (DestinoError) {
                continue; // a name that the catalogue no longer has: the clutch's own page says so
            }
            $row === null || $rows[] = $row;
        }

        return $rows;
    }

    /**
     * @param  list<Clutch>  $clutches
     * @return LuckRow|null
     */
    private function row(?Animal $sire, Animal $dam, array $clutches): ?array
    {
        if ($sire === null) {
            return null;
        }
        try {
            $cross = Cross::of($this->shelf->catalogue(), $this->beliefs->belief($sire->id), $this->beliefs->belief($dam->id));
        } catch (DestinoError) {
            return null; // more is open about the two than can be worked out: the page of the pairing says so
        }
        $hope = $this->hopeOf($cross);
        if ($hope === null) {
            return null;
        }
        $chance = TargetOdds::of($cross, $hope, hatched: true)->chance->perEgg();
        [$known, $hits] = $this->counted($clutches, $hope, $cross);
        if ($known === 0 || $chance->isOne()) {
            return null;
        }
        $luck = new Luck($chance, $known, $hits);

        return [
            'key' => "{$sire->id}:{$dam->id}", 'pair' => "{$sire->name} × {$dam->name}", 'hope' => $hope->text,
            'chance' => $chance->toString(), 'known' => $known,
            'hits' => $hits, 'expected' => round($luck->expected()->toFloat(), 1),
            'luck' => $luck, 'sentence' => self::sentence($luck),
            'isOdd' => $luck->isBelowExpected() && $luck->tail()->toFloat() < self::CALM,
        ];
    }

    /** As many conditions of the target as this pair can bring at once, each of which is possible and not sure. */
    private function hopeOf(Cross $cross): ?Target
    {
        $possible = array_values(array_filter(
            $this->target->parts(), fn (Target $part): bool => ! TargetOdds::of($cross, $part)->chance->perEgg()->isZero(),
        ));
        $said = implode(' + ', array_map(fn (Target $part): string => $part->text, $possible));
        $hope = $possible === [] ? null : array_reduce($possible, fn (Target $all, Target $part): Target => $all->and($part),
            Target::of($said));

        return $hope === null || TargetOdds::of($cross, $hope)->chance->perEgg()->isZero() ? null : $hope;
    }

    /**
     * Young of which it is known whether they are hits, and how many are.
     *
     * @param  list<Clutch>  $clutches
     * @return array{int<0, max>, int<0, max>}
     */
    private function counted(array $clutches, Target $hope, Cross $cross): array
    {
        $known = $hits = 0;
        $count = function (Rational $chance, int $young) use (&$known, &$hits): void {
            $known += $chance->isZero() || $chance->isOne() ? $young : 0;
            $hits += $chance->isOne() ? $young : 0;
        };
        foreach ($clutches as $clutch) {
            foreach ($clutch->hatchlings as $young) {
                $count($hope->chanceFor($this->beliefs->belief($young->id), $this->shelf->catalogue()), 1);
            }
            foreach ($clutch->counts->where('dead', false) as $seen) {
                $saw = $this->shelf->targets()->read($seen->saw);
                $both = TargetOdds::of($cross, $saw->both($hope))->chance->perEgg();
                $alone = TargetOdds::of($cross, $saw)->chance->perEgg();
                $alone->isZero() || $count($both->dividedBy($alone), $seen->count);
            }
        }

        return [max(0, $known), max(0, $hits)];
    }

    private static function sentence(Luck $luck): string
    {
        $tail = $luck->tail()->toFloat();
        $in = (string) max(1, (int) round(100 * $tail));
        if ($luck->isAsExpected() || $tail > .4) {
            return 'As expected.';
        }
        $side = $luck->isBelowExpected() ? 'as badly' : 'as well';
        $calm = '';
        if ($luck->isBelowExpected() && $luck->hits === 0 && $tail >= self::CALM) {
            $more = (int) ceil(log(self::CALM) / log(1 - $luck->chance->toFloat())) - $luck->eggs;
            $calm = $more > 0 ? " {$more} more hatchlings without a hit are still normal. After that, prove the parents." : '';
        }

        return ($tail < .01 ? 'Fewer than 1 in 100' : "About {$in} in 100")." do {$side}."
            .(
                $luck->isBelowExpected() && $tail < self::CALM
                    ? ' Prove both parents before you use another season on this pair.'
                    : $calm
            );
    }
}
