<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\ClutchSire;
use App\Models\Project;
use Destino\DestinoError;
use Destino\Notation\Target;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\ClutchChance;
use Destino\Probability\Rational;

/**
 * The odds of a clutch as it goes: what has come of its eggs, and what the rest still gives, by possible sire.
 *
 * @phpstan-type SireOdds array{name: string, egg: Rational|null, still: Rational|null, clutch: Rational|null, why: string|null}
 */
class StillToCome
{
    public readonly ?Target $target;

    public readonly ?string $error;

    /** What is asked, as typed or as chosen for the keeper. */
    public readonly string $asked;

    public function __construct(public readonly Clutch $clutch, string $typed, private readonly Opened $opened)
    {
        $clutch->loadMissing('sires.animal', 'hatchlings');
        $targets = array_keys($this->targets());
        $this->asked = trim($typed) !== '' ? trim($typed) : (string) ($clutch->target ?? $this->likely($targets));
        [$target, $error] = [null, null];
        try {
            $target = $this->asked === '' ? null : $opened->shelf->targetsWithChoices()->read($this->asked);
        } catch (DestinoError $fault) {
            $error = $fault->getMessage();
        }
        [$this->target, $this->error] = [$target, $error];
    }

    /** @return array<string, string> where each target comes from, by its text */
    public function targets(): array
    {
        $targets = $this->clutch->target === null ? [] : [$this->clutch->target => 'what the pairing was made for'];
        foreach ($this->opened->keeper()->projects()->orderBy('id')->get() as $project) {
            /** @var Project $project */
            $targets[$project->target] ??= "the project {$project->name}";
        }

        return $targets;
    }

    /** Eggs of which something can still come; null where nobody counted what was laid. */
    public function left(): ?int
    {
        $good = $this->clutch->eggs_good;

        return match (true) {
            $good === null => null,
            $this->clutch->isOut() => 0,
            default => max(0, $good - $this->clutch->eggsGone()),
        };
    }

    /**
     * @return array{known: int, hits: int, open: int} of the young that are kept as animals: hits and misses that are sure, and the
     *     rest
     */
    public function soFar(): array
    {
        $so = ['known' => 0, 'hits' => 0, 'open' => 0];
        foreach ($this->clutch->hatchlings as $young) {
            $chance = $this->target?->chanceFor($this->opened->beliefs()->belief($young->id), $this->opened->shelf->catalogue());
            $isKnown = $chance !== null && ($chance->isOne() || $chance->isZero());
            $so['known'] += $isKnown ? 1 : 0;
            $so['open'] += $isKnown ? 0 : 1;
            $so['hits'] += $chance?->isOne() === true ? 1 : 0;
        }

        return $so;
    }

    /** @return list<SireOdds> */
    public function bySire(): array
    {
        return array_values($this->clutch->sires->map(fn (ClutchSire $sire): array => $this->oddsOf($sire))->all());
    }

    /** @return SireOdds */
    private function oddsOf(ClutchSire $sire): array
    {
        $none = ['name' => $sire->title(), 'egg' => null, 'still' => null, 'clutch' => null];
        if ($sire->animal === null || $this->target === null) {
            return $none + ['why' => $sire->animal === null ? 'his genes are not in the collection' : null];
        }
        try {
            $chance = $this->chanceWith($sire->animal, $this->target);
        } catch (DestinoError $fault) {
            return $none + ['why' => $fault->getMessage()];
        }

        return [
            'name' => $sire->title(), 'egg' => $chance->perEgg(),
            'still' => $this->left() === null ? null : self::atLeastOne($chance, $this->left()),
            'clutch' => $this->clutch->eggs_good === null ? null : self::atLeastOne($chance, $this->clutch->eggs_good), 'why' => null,
        ];
    }

    private static function atLeastOne(ClutchChance $chance, int $eggs): Rational
    {
        return $eggs === 0 ? Rational::zero() : $chance->atLeastOne($eggs);
    }

    private function chanceWith(Animal $sire, Target $target): ClutchChance
    {
        $beliefs = $this->opened->beliefs();
        $cross = Cross::of($this->opened->shelf->catalogue(), $beliefs->belief($sire->id), $beliefs->belief($this->clutch->dam_id));

        return TargetOdds::of($cross, $target)->chance;
    }

    /**
     * The first target of which the clutch can give something.
     *
     * @param list<string> $targets
     */
    private function likely(array $targets): ?string
    {
        foreach ($targets as $text) {
            try {
                $target = $this->opened->shelf->targetsWithChoices()->read($text);
                foreach ($this->clutch->sires as $sire) {
                    if ($sire->animal !== null && ! $this->chanceWith($sire->animal, $target)->perEgg()->isZero()) {
                        return $text;
                    }
                }
            } catch (DestinoError) {
                continue; // the project's own page says what is wrong with it
            }
        }

        return null;
    }
}
