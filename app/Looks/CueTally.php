<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Sighting;
use App\Models\Statement;
use Destino\Genome\Allele;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use Destino\Identification\Cue;
use Destino\Identification\CueRule;
use Destino\Identification\Eye;
use Destino\Inference\Evidence\Source;

/**
 * What the keeper saw of cues on animals whose genes are sure by something else than these cues: a laboratory, their young, or
 * what was stated of them grown. Counted by the rule that holds of each, it moves the chances of that rule: the estimate that was there
 * weighs as much as so many animals (a Dirichlet prior, whose posterior mean is given).
 */
class CueTally
{
    /** Animals that the estimate is worth. */
    public const PRIOR = 10;

    /** Days from which a look is that of a grown animal. */
    private const GROWN = 540;

    /** @var array<string, list<int>> animals by state, by "cue|when" */
    private readonly array $counts;

    public function __construct(private readonly Opened $opened)
    {
        $counts = [];
        $eye = new Eye($opened->shelf->catalogue());
        $cues = $opened->shelf->cues();
        foreach ($this->confirmed() as $animal) {
            $forms = $this->forms($animal);
            foreach (self::seen($animal, $cues) as [$cue, $state, $days]) {
                if (array_diff($cue->loci(), array_keys($forms)) === []) {
                    $rule = $cue->rules[$eye->rule($cue, $forms, $days)];
                    $key = "{$cue->key}|{$rule->text()}";
                    $counts[$key] ??= array_fill(0, count($cue->states), 0);
                    $counts[$key][$state]++;
                }
            }
        }
        $this->counts = $counts;
    }

    /** @return list<Animal> with own sightings, and with genes that are sure without them */
    private function confirmed(): array
    {
        $animals = $this->opened->keeper()->animals()->whereHas('sightings')->with('sightings', 'statements')->get();

        return array_values($animals->filter(
            fn (Animal $animal): bool => ! $animal->hasOpenGenes()
                && $animal->statements->contains(fn (Statement $one): bool => self::confirms($one, $animal)),
        )->all());
    }

    private static function confirms(Statement $statement, Animal $animal): bool
    {
        $isGrown = $animal->hatched_on !== null && $statement->on !== null
            && $animal->hatched_on->diffInDays($statement->on) >= self::GROWN;

        return in_array($statement->source, [Source::Laboratory, Source::Offspring], true)
            || ($statement->source === Source::Own && $isGrown && $statement->certainty === 100);
    }

    /** @return array<string, Form> by locus, those of which nothing is open */
    private function forms(Animal $animal): array
    {
        $forms = [];
        $catalogue = $this->opened->shelf->catalogue();
        $expressions = new Expressions($catalogue);
        foreach ($this->opened->beliefs()->belief($animal->id)->factors as $factor) {
            $states = array_values($factor->states->entries());
            foreach (count($states) === 1 ? $expressions->ofState($states[0][0]) : [] as $expression) {
                $forms += $expression->forms;
            }
        }
        $open = [];
        foreach ($this->opened->beliefs()->belief($animal->id)->groups() as $group) {
            $open = [...$open, ...$catalogue->groups[$group]->loci];
        }
        foreach ($catalogue->loci as $locus) { // what nothing speaks of is wild type
            if (! in_array($locus->key, $open, true)) {
                $forms[$locus->key] ??= $catalogue->form($locus->key, Allele::WILD, Allele::WILD);
            }
        }

        return $forms;
    }

    /**
     * @param array<string, Cue> $cues
     * @return list<array{Cue, int, int|null}> cue, state and age in days; the latest look counts
     */
    private static function seen(Animal $animal, array $cues): array
    {
        $seen = [];
        foreach ($animal->sightings as $sighting) {
            /** @var Sighting $sighting */
            $cue = $sighting->who === null ? $cues[$sighting->cue] ?? null : null;
            if ($cue !== null && in_array($sighting->state, $cue->states, true)) {
                $days = $animal->hatched_on === null ? null : (int) $animal->hatched_on->diffInDays($sighting->on);
                $seen[$cue->key] = [$cue, $cue->state($sighting->state), $days];
            }
        }

        return array_values($seen);
    }

    /** How many were seen under a rule. */
    public function count(Cue $cue, CueRule $rule): int
    {
        return array_sum($this->counts["{$cue->key}|{$rule->text()}"] ?? []);
    }

    /** "7 flames, 2 none". */
    public function words(Cue $cue, CueRule $rule): string
    {
        $parts = [];
        foreach ($this->counts["{$cue->key}|{$rule->text()}"] ?? [] as $state => $count) {
            $count === 0 ?: $parts[] = "{$count} {$cue->states[$state]}";
        }

        return implode(', ', $parts);
    }

    /** @return list<float> percent of each state, by the estimate and the counts together */
    public function percentages(Cue $cue, CueRule $rule): array
    {
        $counts = $this->counts["{$cue->key}|{$rule->text()}"] ?? array_fill(0, count($cue->states), 0);
        $all = self::PRIOR + array_sum($counts);

        return array_map(
            fn (int $count, int $state): float => round(100 * (self::PRIOR * $rule->chances[$state]->toFloat() + $count) / $all, 1),
            $counts, array_keys($counts),
        );
    }
}
