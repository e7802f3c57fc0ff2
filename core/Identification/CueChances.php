<?php

declare(strict_types=1);

namespace Destino\Identification;

use ArrayObject;
use Destino\Appearance\LookFacts;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\LookAlike;
use Destino\Identification\Reading\Amounts;
use Destino\Identification\Reading\LookReading;
use Destino\Identification\Reading\OwnEye;
use Destino\Identification\Reading\StateChances;
use Destino\Identification\Reading\Windows;
use Destino\Probability\Rational;
use WeakMap;

/**
 * P(state | genotype, age) of cues. A look is worked out once for a genotype and an age, for all cues together; what it says is held
 * within the windows of what is known of each state.
 */
final class CueChances
{
    /** Chances are given as whole numbers of so many. */
    private const PARTS = 1_000_000;

    /** Tables that are remembered. */
    private const TABLES = 24;

    /** Looks, and chances of a cue, that are remembered. */
    private const KEPT = 6_000;

    private readonly Eye $eye;

    /** @var array<string, bool> whether two forms change each other's look */
    private array $together = [];

    /** @var array<string, LookTable> by what is possible and which sets count */
    private array $tables = [];

    /** @var array<string, Amounts> by genotype and age */
    private array $amounts = [];

    /** @var WeakMap<Cue, ArrayObject<string, list<float>>> by cue, then genotype and age */
    private WeakMap $known;

    /** @var WeakMap<Cue, string> by cue */
    private WeakMap $contents;

    /** @var array<string, Relevance> by what is possible, and age */
    private array $relevance = [];

    /** @var WeakMap<LookReading, array<int, Windows>> by age */
    private WeakMap $windows;

    public function __construct(public readonly Catalogue $catalogue, public readonly LookFacts $looks)
    {
        $this->eye = new Eye($catalogue);
        $this->known = new WeakMap;
        $this->contents = new WeakMap;
        $this->windows = new WeakMap;
    }

    /**
     * The age that a look is worked out for: by the day in the first weeks, then in steps that grow with it. No curve of a gene and no
     * width moves by more than a reading errs within a step, and animals of about one age share what is worked out.
     */
    public static function age(?int $days): ?int
    {
        if ($days === null || $days <= 20 || $days >= LookFacts::ADULT) {
            return $days === null ? null : max(0, min(LookFacts::ADULT, $days));
        }
        [$from, $step] = match (true) { // steps end where an animal is no hatchling, and no growing one, any more
            $days <= 60 => [21, 5],
            $days < 180 => [61, 15],
            default => [180, 45],
        };

        return $from + $step * intdiv($days - $from, $step) + intdiv($step, 2);
    }

    /**
     * The chances of the states of a cue.
     *
     * @param array<string, Form> $forms by locus; what is left out is wild type
     * @param int|null $days age; null for a grown animal of which every rule holds
     * @return list<Rational> in the order of the states; they add up to 1
     */
    public function of(Cue $cue, array $forms, ?int $days): array
    {
        $rule = $this->ruleOf($cue, $forms, $days);

        return $rule !== null
            ? $rule->chances
            : array_map(
                static fn (float $own): Rational => Rational::of((int) round($own * self::PARTS), self::PARTS),
                $this->parts($cue, $forms, $days),
            );
    }

    /**
     * The same as numbers that are quick to work with.
     *
     * @param array<string, Form> $forms by locus
     * @return list<float>
     */
    public function floats(Cue $cue, array $forms, ?int $days): array
    {
        $rule = $this->ruleOf($cue, $forms, $days);

        return $rule !== null
            ? array_map(static fn (Rational $own): float => $own->toFloat(), $rule->chances)
            : $this->parts($cue, $forms, $days);
    }

    /** @param array<string, Form> $forms by locus */
    private function ruleOf(Cue $cue, array $forms, ?int $days): ?CueRule
    {
        $rule = $cue->rules === [] ? null : $this->eye->rule($cue, $forms, $days);

        return $cue->rules[$rule ?? ($cue->reading === null ? count($cue->rules) - 1 : -1)] ?? null;
    }

    /**
     * @param array<string, Form> $forms by locus
     * @return list<float> chances of the states as they are read from the look, in whole parts
     */
    private function parts(Cue $cue, array $forms, ?int $days): array
    {
        $key = self::keyOf($forms, $days);
        $known = $this->known[$cue] ??= new ArrayObject; // an object: an array would be copied whole for each that is added
        if (! isset($known[$key])) {
            count($known) < self::KEPT ? null : $known->exchangeArray([]);
            $known[$key] = $cue->reading === null ? [] : $this->read($cue->reading, $forms, $days ?? LookFacts::ADULT);
        }

        return $known[$key];
    }

    /**
     * @param array<string, Form> $forms by locus
     * @return list<float>
     */
    private function read(LookReading $reading, array $forms, int $days): array
    {
        $held = $this->windows($reading, $days)->held(StateChances::of($reading, $this->seen($reading, $forms, $days), $days));

        return array_map(static fn (int $own): float => $own / self::PARTS, self::inParts($held));
    }

    /** Between what the chances of a cue's states lie at an age, held to what the wild type shows to the shipped eye. */
    public function windows(LookReading $reading, int $days): Windows
    {
        $windows = $this->windows[$reading] ?? [];
        if (! isset($windows[$days])) {
            $this->windows[$reading] ??= [];
            $this->windows[$reading][$days] = $windows[$days] = new Windows(
                $reading->grades, StateChances::of($reading->readBy(new OwnEye), $this->seen($reading, [], $days), $days),
            );
        }

        return $windows[$days];
    }

    /**
     * Loci on which a cue depends for an animal that can be no more than this.
     *
     * @param array<string, list<Form>> $possible forms by locus
     * @return list<string>
     */
    public function loci(Cue $cue, array $possible, ?int $days): array
    {
        $ruled = $this->eye->lociOfCue($cue);
        if ($cue->reading === null) {
            return $ruled;
        }
        $key = self::keyOfPossible($possible)." {$days}";
        if (! isset($this->relevance[$key])) {
            $this->relevance = count($this->relevance) < self::TABLES ? $this->relevance : [];
            $this->relevance[$key] = new Relevance($this->catalogue, $this->looks, $possible, $days ?? LookFacts::ADULT);
        }
        $relevance = $this->relevance[$key];

        return array_values(array_unique([...array_intersect($ruled, array_keys($possible)), ...$relevance->lociOf($cue->reading)]));
    }

    /**
     * A table of what an animal that can be no more than this may look like; one for siblings of whom the same is possible.
     *
     * @param array<string, list<Form>> $possible forms by locus
     * @param list<LookAlike> $sets
     */
    public function table(array $possible, array $sets): LookTable
    {
        $key = self::keyOfPossible($possible).' '.implode(' ', array_map(spl_object_id(...), $sets));
        if (! isset($this->tables[$key])) {
            $this->tables = count($this->tables) >= self::TABLES ? [] : $this->tables;
            $this->tables[$key] = new LookTable($this->catalogue, $possible, $sets);
        }

        return $this->tables[$key];
    }

    /** @param array<string, list<Form>> $possible forms by locus */
    public static function keyOfPossible(array $possible): string
    {
        $keys = [];
        foreach ($possible as $locus => $forms) {
            foreach ($forms as $form) {
                $keys[] = "{$locus}:{$form->pair[0]}/{$form->pair[1]}";
            }
        }

        return implode(' ', $keys);
    }

    /**
     * Whether an animal has what a cue asks of: the edge of white is read where there is white.
     *
     * @param array<string, Form> $forms by locus
     */
    public function isThere(Cue $cue, array $forms, ?int $days): bool
    {
        if ($cue->reading === null || $cue->reading->askedFrom === []) {
            return true;
        }
        $look = $this->seen($cue->reading, $forms, $days ?? LookFacts::ADULT);
        foreach ($cue->reading->askedFrom as $axis => $from) {
            if ($look->at($axis) >= $from) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a cue does not read all of a set of look-alikes alike, of an animal that may be one of it.
     *
     * @param array<string, list<Form>> $possible
     * @param list<string> $loci on which the cue depends
     */
    public function isTouched(LookAlike $set, Cue $cue, ?int $days, array $possible, array $loci): bool
    {
        $own = null;
        foreach (Stage::at($days)->has($set) ? array_intersect_key($possible, array_flip($loci)) : [] as $locus => $forms) {
            $own = array_filter($forms, $set->includes(...)) === [] ? $own : $locus;
        }
        if ($own === null) {
            return false;
        }
        $members = array_map(fn (string $member): Form => $set->formOf($member, $this->catalogue), $set->members);
        foreach ($this->besideSet($members, array_diff_key($possible, [$own => true])) as $forms) {
            $chances = array_map(
                fn (Form $one): string => implode(' ', $this->floats($cue, [$one->locus => $one] + $forms, $days)), $members,
            );
            if (count(array_unique($chances)) > 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * Beside what the members of a set are compared: nothing, and each form with which one of them does something, which may tell them.
     *
     * @param list<Form> $members
     * @param array<string, list<Form>> $possible
     * @return list<array<string, Form>>
     */
    private function besideSet(array $members, array $possible): array
    {
        $beside = [[]];
        foreach ($possible as $locus => $forms) {
            foreach ($forms as $form) {
                foreach ($form->shows === [] ? [] : $members as $member) {
                    if ($this->together["{$member->key()} {$form->key()}"] ??= $this->looks->changesIn([$member, $form]) !== []) {
                        $beside[] = [$locus => $form];
                        break;
                    }
                }
            }
        }

        return $beside;
    }

    /** Equal for cues that are read alike. */
    public function contentOf(Cue $cue): string
    {
        return $this->contents[$cue] ??= hash('xxh128', serialize([$cue->key, $cue->rules, $cue->reading]));
    }

    /**
     * The amounts of the typical animal that a cue reads.
     *
     * @param array<string, Form> $forms by locus
     */
    public function seen(LookReading $reading, array $forms, int $days): Amounts
    {
        $key = self::keyOf($forms, $days);
        if (! isset($this->amounts[$key])) {
            $this->amounts = count($this->amounts) < self::KEPT ? $this->amounts : [];
            $this->amounts[$key] = $this->amountsOf($forms, $days);
        }
        $amounts = $this->amounts[$key];
        foreach ($reading->additions as $addition) {
            if ($this->eye->holds($addition->when, $forms)) {
                $amounts = $amounts->plus($addition->amounts);
            }
        }

        return $amounts;
    }

    /** @param array<string, Form> $forms by locus */
    private function amountsOf(array $forms, int $days): Amounts
    {
        $list = array_values($forms);

        return new Amounts(
            $this->looks->axes, $this->looks->look($this->catalogue, $list, $days),
            fn () => $this->looks->look($this->catalogue, $list, Amounts::FIRST_WEEKS),
        );
    }

    /**
     * @param list<float> $chances
     * @return list<int> in whole parts, the likeliest taking the rest
     */
    private static function inParts(array $chances): array
    {
        $parts = [];
        [$most, $rest] = [0, self::PARTS];
        foreach ($chances as $state => $chance) {
            $rest -= $parts[] = (int) round($chance * self::PARTS);
            $most = $chance > $chances[$most] ? $state : $most;
        }
        $parts[$most] += $rest;

        return array_values($parts);
    }

    /** @param array<string, Form> $forms */
    private static function keyOf(array $forms, ?int $days): string
    {
        $keys = [];
        foreach ($forms as $locus => $form) {
            if ($form->pair[0] !== Allele::WILD || $form->pair[1] !== Allele::WILD) {
                $keys[] = "{$locus}:{$form->pair[0]}/{$form->pair[1]}";
            }
        }
        sort($keys);

        return implode(' ', $keys)." {$days}";
    }
}
