<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/** What was seen of the young of a clutch, as chances by genotype of a strand. */
final class Sight
{
    private readonly Eye $eye;

    private readonly Ties $ties;

    /** @var array<string, array<int, int>> rules that hold, by strand, cue and age */
    private array $rules = [];

    /** @var array<string, Form> by locus, of the groups in which no young differs */
    private readonly array $fixed;

    /** @param array<string, Cue> $cues by key */
    public function __construct(private readonly Parentage $parentage, private readonly array $cues)
    {
        $this->eye = new Eye($parentage->catalogue);
        $this->ties = new Ties($parentage, $cues);
        $fixed = [];
        foreach ($parentage->fixed as $option) {
            $fixed += $option->forms;
        }
        $this->fixed = $fixed;
    }

    public function ties(): Ties
    {
        return $this->ties;
    }

    /**
     * Whether a young can have a genotype at all, by what is sure: its sex, a look in words, what it shares with siblings.
     *
     * @param list<array{int, bool}> $answers of the sets of alike that hold of it: which, and whether it meets the target
     * @return array<int, bool> by genotype
     */
    public function possible(Strand $strand, Hatchling $one, array $answers): array
    {
        $possible = $one->sex === null ? [] : $strand->each(
            $strand->sexGroups(), fn (array $forms, ?Sex $sex): bool => $sex === null || $sex === $one->sex,
        );
        $looks = array_map(fn (array $answer): array => [$this->parentage->clutch->alike[$answer[0]]['target'], $answer[1]], $answers);
        foreach ($one->saw === null ? $looks : [[$one->saw, true], ...$looks] as [$look, $meets]) {
            if ($this->isHere($strand, $this->ties->ofLook($look))) {
                $own = $strand->each(
                    $this->ties->ofLook($look),
                    fn (array $forms, ?Sex $sex): bool => $this->eye->accepts($look, $this->fixed + $forms, $sex ?? $one->sex) === $meets,
                );
                $possible = $possible === [] ? $own : array_map(static fn (bool $a, bool $b): bool => $a && $b, $possible, $own);
            }
        }

        return $possible === [] ? array_fill(0, count($strand->genotypes), true) : $possible;
    }

    /** @return array<string, int> cues that were seen and speak of a strand, with their states */
    public function cuesOn(Strand $strand, Hatchling $one): array
    {
        return array_filter(
            $this->recorded($one), fn (string $cue): bool => $this->isHere($strand, $this->ties->ofCue($this->cues[$cue])),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return array<int, int> the rule of a cue that holds, by genotype */
    public function rules(Strand $strand, string $cue, ?int $days): array
    {
        $changes = array_filter($this->cues[$cue]->rules, static fn (CueRule $rule): bool => $rule->fromDays > 0) !== [];
        $key = spl_object_id($strand).' '.$cue.' '.($changes ? $days : '');

        return $this->rules[$key] ??= $strand->each(
            $this->ties->ofCue($this->cues[$cue]),
            fn (array $forms): int => $this->eye->rule($this->cues[$cue], $this->fixed + $forms, $days),
        );
    }

    public function cue(string $key): Cue
    {
        return $this->cues[$key];
    }

    /** Whether what a look in words asks of groups in which nobody differs, or of the sex, holds. */
    public function isPossible(Hatchling $one): bool
    {
        return $one->saw === null || $this->ties->ofLook($one->saw) !== [] || $this->eye->accepts($one->saw, $this->fixed, $one->sex);
    }

    /** Whether what was counted can be at all, as far as groups in which nobody differs tell. */
    public function canCount(): bool
    {
        foreach ($this->parentage->clutch->counts as $count) {
            if ($this->ties->ofLook($count['saw']) === [] && ! $this->eye->accepts($count['saw'], $this->fixed, null)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Which genotypes a count speaks of.
     *
     * @return array<int, Rational> 1 or 0 by genotype
     */
    public function counted(Strand $strand, int $count): array
    {
        $saw = $this->parentage->clutch->counts[$count]['saw'];

        return $strand->each(
            $this->ties->ofLook($saw),
            fn (array $forms, ?Sex $sex): Rational => $this->eye
                ->accepts($saw, $this->fixed + $forms, $sex) ? Rational::one() : Rational::zero(),
        );
    }

    /** @return list<int> numbers of the counts that speak of a strand */
    public function countsOn(Strand $strand): array
    {
        $counts = $this->parentage->clutch->counts;

        return array_values(
            array_filter(array_keys($counts), fn (int $i): bool => $this->isHere($strand, $this->ties->ofLook($counts[$i]['saw']))),
        );
    }

    /** @return list<int> numbers of the sets of alike that speak of a strand */
    public function alikeOn(Strand $strand): array
    {
        $sets = $this->parentage->clutch->alike;

        return array_values(
            array_filter(array_keys($sets), fn (int $i): bool => $this->isHere($strand, $this->ties->ofLook($sets[$i]['target']))),
        );
    }

    /**
     * The rule of a cue that holds of a genotype over some groups, the fixed ones added.
     *
     * @param array<string, Form> $forms
     */
    public function rule(Cue $cue, array $forms, ?int $days): int
    {
        return $this->eye->rule($cue, $this->fixed + $forms, $days);
    }

    /** @return array<string, Form> */
    public function fixed(): array
    {
        return $this->fixed;
    }

    /** @return array<string, int> cues that count: of two that show the same thing the clearer one */
    public function recorded(Hatchling $one): array
    {
        return Cue::counting($this->cues, $one->cues);
    }

    /** @param list<string> $groups */
    private function isHere(Strand $strand, array $groups): bool
    {
        return $groups !== [] && array_intersect($groups, $strand->groups) !== [];
    }
}
