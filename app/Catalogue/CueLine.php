<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Identification\Cue;
use Destino\Identification\CueRule;

/** A cue of a gene as its page shows it: what to look for, how often it is seen, and what else changes it. */
class CueLine
{
    private function __construct(public readonly Cue $cue, public readonly CueRule $rule, private readonly ?CueRule $shipped) {}

    /** @return list<self> those of the gene alone, and then those with others; the clearest first */
    public static function of(CatalogueShelf $shelf, string $gene): array
    {
        $shipped = [];
        foreach ($shelf->withoutChanges()->cues() as $cue) {
            foreach ($cue->rules as $rule) {
                $shipped["{$cue->key}|{$rule->text()}"] = $rule;
            }
        }
        $lines = [];
        foreach (CueRules::of($shelf, $gene) as $key => $one) {
            $before = $shipped[$key] ?? null;
            $lines[] = new self($one['cue'], $one['rule'], $before !== null && $before->chances != $one['rule']->chances ? $before : null);
        }
        usort($lines, fn (self $a, self $b): int => [$a->partners(), $b->gain()] <=> [$b->partners(), $a->gain()]);

        return $lines;
    }

    public function key(): string
    {
        return "{$this->cue->key}|{$this->rule->text()}";
    }

    public function from(): int
    {
        return max($this->cue->fromDays, $this->rule->fromDays);
    }

    /** How many other genes the rule needs. */
    private function partners(): int
    {
        return count($this->rule->when->conditions ?? []) - 1;
    }

    /** The state that tells most. */
    public function state(): string
    {
        return $this->cue->states[$this->telling()];
    }

    public function share(): int
    {
        return (int) round(100 * $this->rule->chances[$this->telling()]->toFloat());
    }

    public function shareInNormals(): int
    {
        return (int) round(100 * $this->normal()->chances[$this->telling()]->toFloat());
    }

    /** Other genes and pairs that have a rule of this cue. */
    public function others(): string
    {
        $others = array_filter(
            $this->cue->rules, fn (CueRule $rule): bool => $rule->when !== null && $rule->text() !== $this->rule->text(),
        );

        return implode(
            ', ', array_slice(array_map(fn (CueRule $rule): string => $rule->text(), array_values($others)), 0, 8),
        ).(count($others) > 8 ? ' and others' : '');
    }

    /** What the shipped chances are where the keeper has his own. */
    public function shipped(): ?string
    {
        return $this->shipped === null ? null : implode(', ', array_map(
            fn (string $state, $chance): string => $state.' '.round(100 * $chance->toFloat()).' %', $this->cue->states,
            $this->shipped->chances,
        ));
    }

    private function normal(): CueRule
    {
        return $this->cue->rules[count($this->cue->rules) - 1];
    }

    private function telling(): int
    {
        $gains = [];
        foreach ($this->rule->chances as $state => $chance) {
            $gains[$state] = $chance->toFloat() - $this->normal()->chances[$state]->toFloat();
        }
        arsort($gains);

        return array_key_first($gains);
    }

    private function gain(): float
    {
        return $this->rule->chances[$this->telling()]->toFloat() - $this->normal()->chances[$this->telling()]->toFloat();
    }
}
