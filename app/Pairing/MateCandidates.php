<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Collection\Opened;
use App\Collection\Statuses;
use App\Models\Animal;
use Destino\Genome\Belief;
use Destino\Notation\Target;

/** Who may be paired for a target: all that are here, or those that carry most of it where both sides are open. */
class MateCandidates
{
    /** Animals of one sex that are crossed with those of the other where both sides are open. */
    public const CROSSED = 14;

    /** Pairs that there would be to look at. */
    public int $possible = 0;

    public function __construct(private readonly Inquiry $inquiry, private readonly Opened $opened) {}

    /**
     * @param array{sire: Belief|null, dam: Belief|null} $fixed
     * @return array{list<array{Animal|null, Belief}>, list<array{Animal|null, Belief}>} males and females
     */
    public function candidates(Target $target, array $fixed): array
    {
        $statuses = Statuses::of($this->opened->keeper());
        $found = ['male' => [], 'female' => []];
        foreach ($this->opened->keeper()->animals()->whereNotNull('sex')->orderBy('name')->get() as $animal) {
            if ($animal->sex !== null && $statuses->status($animal->id)->isHere() && ! $animal->hasOpenGenes()) {
                $found[$animal->sex->value][] = [$animal, $this->opened->beliefs()->belief($animal->id)];
            }
        }
        $areBothOpen = $fixed['sire'] === null && $fixed['dam'] === null;
        $this->possible = ($fixed['sire'] === null ? count($found['male']) : 1) * ($fixed['dam'] === null ? count($found['female']) : 1);

        return [
            $fixed['sire'] !== null ? [[$this->inquiry->sireAnimal, $fixed['sire']]]
                : $this->promising($found['male'], $target, $areBothOpen),
            $fixed['dam'] !== null ? [[$this->inquiry->damAnimal, $fixed['dam']]]
                : $this->promising($found['female'], $target, $areBothOpen),
        ];
    }

    /**
     * @param list<array{Animal, Belief}> $animals
     * @return list<array{Animal, Belief}> where both sides are open, those that carry most of what is wanted
     */
    private function promising(array $animals, Target $target, bool $areBothOpen): array
    {
        if (! $areBothOpen || count($animals) <= self::CROSSED) {
            return $animals;
        }
        $wanted = $target->wantedAlleles();
        $scores = array_map(fn (array $one): float => $this->copies($one[1], $wanted), $animals);
        arsort($scores);

        return array_map(fn (int $i): array => $animals[$i], array_slice(array_keys($scores), 0, self::CROSSED));
    }

    /** @param list<string> $alleles */
    private function copies(Belief $belief, array $alleles): float
    {
        $sum = 0.0;
        foreach ($alleles as $key) {
            $locus = $this->opened->shelf->catalogue()->alleles[$key]->locus ?? null;
            $group = $locus === null ? null : $this->opened->shelf->catalogue()->groupOf($locus);
            $isHeld = $group !== null && in_array($group->key, $belief->groups(), true);
            foreach ($isHeld ? $belief->marginalAt($locus, $group)->entries() : [] as [$pair, $p]) {
                $sum += $p->toFloat() * count(array_keys($pair, $key, true));
            }
        }

        return $sum;
    }
}
