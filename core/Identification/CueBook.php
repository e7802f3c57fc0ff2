<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\DestinoError;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Facts;
use Destino\Genome\Form;
use Destino\Identification\Reading\Addition;
use Destino\Identification\Reading\Ageing;
use Destino\Identification\Reading\Grade;
use Destino\Identification\Reading\Line;
use Destino\Identification\Reading\LookReading;
use Destino\Identification\Reading\Mark;
use Destino\Identification\Reading\Reading;
use Destino\Identification\Reading\Term;
use Destino\Identification\Reading\Through;
use Destino\Notation\Target;
use Destino\Notation\TargetReader;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Rational;

/** Reads cues, and says where one is not as it should be. */
final readonly class CueBook
{
    /** How far the chances of a rule may be from adding up to 1. */
    private const WITHIN = 1e-9;

    public function __construct(private Catalogue $catalogue, private TargetReader $targets) {}

    /**
     * @param list<array<string, mixed>> $entries as catalogue/schema.json describes them
     * @return array<string, Cue> by key
     *
     * @throws IdentificationError
     */
    public function read(array $entries): array
    {
        $cues = [];
        foreach (Facts::of(['cues' => $entries], 'the clutch')->children('cues') as $entry) {
            $key = $entry->string('key');
            isset($cues[$key]) ? throw IdentificationError::twice('cue', $key) : $cues[$key] = $this->cue($entry, $key);
        }
        foreach ($cues as $cue) {
            if ($cue->repeats !== null && ! isset($cues[$cue->repeats])) {
                throw IdentificationError::unknownCue($cue->repeats, array_keys($cues));
            }
        }

        return $cues;
    }

    private function cue(Facts $entry, string $key): Cue
    {
        [$states, $formerly] = self::states($entry);
        if (count($states) < 2 || count(array_unique($states)) < count($states)) {
            throw IdentificationError::chances($key, 0, 'a cue wants two states or more, each with its own name.');
        }
        $reading = $entry->has('line') ? $this->reading($entry, $key, $states) : null;

        return new Cue(
            $key, $entry->textOr('name', $key), $entry->textOr('where', 'overall'), $states,
            $this->rules($entry, $key, count($states), $reading !== null),
            $entry->has('from_days') ? $entry->int('from_days') : 0, $entry->optionalString('repeats'), $reading,
            $entry->has('to_days') ? $entry->int('to_days') : null, $formerly, $entry->optionalString('note'),
            self::pictures($entry), $entry->optionalString('ask'),
        );
    }

    /** @return array{list<string>, array<string, int>} names, and numbers by names that they had before */
    private static function states(Facts $entry): array
    {
        $values = $entry->child('states')->values();
        if ($values === array_filter($values, is_string(...))) {
            return [$entry->strings('states'), []];
        }
        $names = $formerly = [];
        foreach ($entry->children('states') as $i => $state) {
            $names[] = $state->string('name');
            foreach ($state->has('was') ? $state->strings('was') : [] as $was) {
                $formerly[$was] = $i;
            }
        }

        return [$names, $formerly];
    }

    /**
     * By state, those that are drawn as they are.
     *
     * @return array<int, array{amounts: array<string, float>, crop: array<string, mixed>, drawn: array<string, float>}>
     */
    private static function pictures(Facts $entry): array
    {
        $pictures = [];
        foreach ($entry->child('states')->values() as $i => $state) {
            $picture = is_array($state) && isset($state['picture']) ? $entry->children('states')[(int) $i]->child('picture') : null;
            if ($picture !== null && ! $picture->has('draw') && ! $picture->child('crop')->has('style')
                && ! $picture->child('amounts')->has('before')) {
                $pictures[(int) $i] = [
                    'amounts' => $picture->numbers('amounts'), 'crop' => $picture->child('crop')->values(),
                    'drawn' => $picture->has('drawn') ? $picture->numbers('drawn') : [],
                ];
            }
        }

        return $pictures;
    }

    /** @return list<CueRule> */
    private function rules(Facts $entry, string $key, int $states, bool $isRead): array
    {
        $rules = [];
        foreach ($entry->has('given') ? $entry->children('given') : [] as $i => $rule) {
            $when = $rule->optionalString('when');
            $rules[] = new CueRule(
                $when === null ? null : $this->target($key, $i, $when), $this->chances($key, $i, $rule, $states),
                $rule->has('from_days') ? $rule->int('from_days') : 0,
            );
        }
        $last = $rules[count($rules) - 1] ?? null;
        if (! $isRead && ($last === null || $last->when !== null)) {
            throw IdentificationError::noLastRule($key);
        }
        if ($rules !== []) {
            $this->requireAllCanHold($key, $rules);
        }

        return $rules;
    }

    /** @param list<string> $states */
    private function reading(Facts $entry, string $key, array $states): LookReading
    {
        $number = static function (string $name) use ($key, $states): int {
            $number = array_search($name, $states, true);

            return $number === false ? throw IdentificationError::unknownState($key, $name, $states) : $number;
        };
        $line = $entry->child('line');
        $own = array_map($number, $line->strings('states'));
        $cuts = array_values($line->numbers('cuts'));
        if ($own === [] || count($cuts) !== count($own) - 1) {
            throw IdentificationError::chances($key, 0, 'between the states of its line stands one cut each.');
        }
        $marks = [];
        foreach ($entry->children('marks') as $mark) {
            $marks[] = new Mark($number($mark->string('state')), self::terms($mark), $mark->number('cut'), $mark->number('width'));
        }
        $additions = $asked = [];
        foreach ($entry->has('exceptions') ? $entry->children('exceptions') : [] as $i => $one) {
            $additions[] = new Addition($this->target($key, $i, $one->string('when')), $one->numbers('add'), $one->string('because'));
        }
        foreach ($entry->has('asked_if') ? $entry->children('asked_if') : [] as $one) {
            $asked[$one->string('axis')] = $one->number('from');
        }

        return new LookReading(
            array_map(static fn (Facts $state): Grade => Grade::from($state->string('grade')), $entry->children('states')),
            new Line($own, self::terms($line), $cuts, $line->has('width') ? $line->number('width') : 1.0), $marks,
            Ageing::from($entry->string('age')), $additions, $asked,
        );
    }

    /** @param Facts $of a line or a mark */
    private static function terms(Facts $of): Reading
    {
        $terms = [];
        foreach ($of->has('reading') ? $of->children('reading') : [] as $term) {
            $through = [];
            foreach ($term->has('through') ? $term->children('through') : [] as $one) {
                $through[] = new Through($one->string('axis'), $one->number('from'), $one->number('to'));
            }
            $terms[] = new Term(
                $term->string('axis'), $term->number('times'), $term->has('from') ? $term->number('from') : -3.0,
                $term->has('to') ? $term->number('to') : 3.0, $through,
            );
        }

        return new Reading($terms, $of->has('most') ? $of->number('most') : INF);
    }

    private function target(string $cue, int $rule, string $when): Target
    {
        try {
            return $this->targets->read($when);
        } catch (DestinoError $error) {
            throw IdentificationError::chances($cue, $rule, $error->getMessage());
        }
    }

    /** @return list<Rational> */
    private function chances(string $cue, int $i, Facts $rule, int $states): array
    {
        $chances = [];
        foreach ($rule->child('chances')->values() as $value) {
            try {
                $chance = is_int($value) || is_float($value)
                    ? Rational::parse(self::decimal($value))
                    : throw IdentificationError::chances($cue, $i, 'each chance is a number.');
            } catch (InvalidNumber) {
                throw IdentificationError::chances($cue, $i, 'each chance is a number.');
            }
            $chances[] = $chance->isNegative() ? throw IdentificationError::chances($cue, $i, 'no chance is below 0.') : $chance;
        }
        if (count($chances) !== $states) {
            throw IdentificationError::chances($cue, $i, "it has {$states} states and ".count($chances).' chances.');
        }
        $sum = array_reduce($chances, static fn (Rational $sum, Rational $one): Rational => $sum->plus($one), Rational::zero());
        if (abs($sum->toFloat() - 1) > self::WITHIN) {
            throw IdentificationError::chances(
                $cue, $i, 'its chances add up to '.rtrim(rtrim(number_format($sum->toFloat(), 9, '.', ''), '0'), '.').', not to 1.',
            );
        }

        return $sum->isOne() ? $chances : array_map(static fn (Rational $one): Rational => $one->dividedBy($sum), $chances);
    }

    /** A number as it is written: 0.15, not the nearest fraction of two. */
    private static function decimal(int|float $number): string
    {
        return is_int($number) ? (string) $number : rtrim(rtrim(sprintf('%.15F', round($number, 15)), '0'), '.');
    }

    /**
     * A rule behind one that always holds where it does can never be used.
     *
     * @param list<CueRule> $rules
     */
    private function requireAllCanHold(string $cue, array $rules): void
    {
        $eye = new Eye($this->catalogue);
        foreach ($rules as $i => $rule) {
            if ($rule->when === null && $i < count($rules) - 1) {
                throw IdentificationError::neverHolds(
                    $cue, $rules[$i + 1]->text() === '' ? 'the rest' : $rules[$i + 1]->text(), 'the rest',
                );
            }
            foreach ($rule->when === null ? [] : array_slice($rules, 0, $i) as $before) {
                if ($rule->when === null || $before->when === null || $before->fromDays > $rule->fromDays) {
                    continue;
                }
                if ($this->isWithin($eye, $rule->when, $before->when)) {
                    throw IdentificationError::neverHolds($cue, $rule->text(), $before->text());
                }
            }
        }
    }

    /** Whether whatever meets the one meets the other. */
    private function isWithin(Eye $eye, Target $one, Target $other): bool
    {
        if ($other->only && ! $one->only) {
            return false; // something else may show beside the one
        }
        foreach ($this->witnesses($one, $other) as $forms) {
            if ($eye->holds($one, $forms) && ! $eye->holds($other, $forms)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<array<string, Form>> genotypes that meet a condition, with everything at the loci that another speaks of besides */
    private function witnesses(Target $when, Target $other): array
    {
        $all = [[]];
        foreach (array_unique([...$when->loci(), ...$other->loci()]) as $locus) {
            $fitting = array_values(array_filter(
                [...$this->catalogue->formsAt($locus), $this->catalogue->form($locus, Allele::WILD, Allele::WILD)],
                static fn (Form $form): bool => $when->accepts($form),
            ));
            $longer = [];
            foreach ($all as $forms) {
                foreach ($fitting as $form) {
                    $longer[] = [$locus => $form] + $forms;
                }
            }
            $all = $longer;
        }

        return $all;
    }
}
