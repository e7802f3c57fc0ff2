<?php

declare(strict_types=1);

namespace Destino\Identification;

use Brick\Math\BigInteger;
use Closure;
use Destino\Genome\Form;
use Destino\Genome\LookAlike;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Penetrance;
use Destino\Probability\Rational;

/**
 * Cues that were read of one animal from its look, all of them together: the product of their chances, and after it what look-alikes
 * leave of it.
 *
 * @phpstan-type Read array{cue: Cue, state: int, days: int|null}
 */
final class CuesRead implements Penetrance
{
    /** Digits that a chance keeps. */
    private const DIGITS = 12;

    private ?LookTable $table = null;

    /** @var array<string, self> by cue, age and what is possible */
    private array $beside = [];

    /** @var list<list<float>>|null chances of the states of the cue that is asked next */
    private ?array $asked = null;

    /** @var array<int, Rational> chance of all that was read, by place in the table */
    private array $rounded = [];

    /** @var list<float>|null chance of all that was read, by genotype of the table */
    private ?array $together = null;

    /**
     * @param array<string, Read> $read by cue
     * @param list<LookAlike> $sets of look-alikes that count
     * @param array<string, list<Form>>|null $possible what the animal may be, at the loci on which it depends; null where that is not known
     * @param array<string, list<string>> $loci by cue
     */
    private function __construct(
        private readonly CueChances $chances, private readonly array $read, private readonly array $sets = [],
        private readonly ?array $possible = null, private readonly array $loci = [],
    ) {}

    /**
     * @param array<string, Read> $read by cue
     * @param Rational|null $misread least share of the largest chance of a rule, so that a state that it excludes makes a genotype
     *     unlikely and no more; null where the chances are taken as they stand
     * @return list<Penetrance> none where nothing was read
     */
    public static function observed(CueChances $chances, array $read, ?Rational $misread = null): array
    {
        $seen = self::seen($read);
        $ruled = self::clearer(array_diff_key($read, $seen), CuePenetrance::clarity(...));
        $all = array_map(
            static fn (array $one): CuePenetrance => new CuePenetrance($chances, $one['cue'], $one['state'], $one['days'], $misread),
            array_values($ruled),
        );

        return $seen === [] ? $all : [...$all, new self($chances, $seen)];
    }

    /**
     * What was read of an animal from its look; of nothing where nothing was.
     *
     * @param array<string, Read> $read by cue
     */
    public static function fromLook(CueChances $chances, array $read): self
    {
        return new self($chances, self::seen($read));
    }

    /**
     * @param array<string, Read> $read by cue
     * @return array<string, Read> of cues that are read from the look, each at the age that the look is worked out for
     */
    private static function seen(array $read): array
    {
        return array_map(
            static fn (array $one): array => ['days' => CueChances::age($one['days'])] + $one,
            array_filter($read, static fn (array $one): bool => $one['cue']->reading !== null),
        );
    }

    /**
     * Of two cues that show the same thing the clearer one; where neither is, the one that the other repeats.
     *
     * @param array<string, Read> $read by cue
     * @param Closure(Read): float $clarity
     * @return array<string, Read> those that count
     */
    private static function clearer(array $read, Closure $clarity): array
    {
        foreach ($read as $key => $one) {
            $other = $one['cue']->repeats;
            if ($other !== null && array_key_exists($key, $read) && array_key_exists($other, $read)) {
                unset($read[$clarity($one) > $clarity($read[$other]) ? $other : $key]);
            }
        }

        return $read;
    }

    /**
     * What was read that bears on another cue, since both read what is mixed up: of the sets those that the other cue reads.
     *
     * @param array<string, list<Form>> $possible forms by locus
     */
    public function beside(Cue $cue, ?int $days, array $possible): self
    {
        $key = "{$cue->key} {$days} ".CueChances::keyOfPossible($possible);

        return $this->beside[$key] ??= $this->besideNow($cue, $days, $possible);
    }

    /** @param array<string, list<Form>> $possible forms by locus */
    private function besideNow(Cue $cue, ?int $days, array $possible): self
    {
        $asked = ['cue' => $cue, 'state' => 0, 'days' => $days];
        [$read, $loci, $touched] = $this->weighed($possible, $this->read + [$cue->key => $asked], $cue->key);
        $sets = array_filter($touched, static fn (array $keys): bool => in_array($cue->key, $keys, true));

        return $this->group(
            array_values(array_unique(array_merge([$cue->key], ...array_values($sets)))),
            array_values(array_intersect_key($this->chances->catalogue->lookAlikes, $sets)), $possible, $read, $loci,
        );
    }

    /**
     * @param list<string> $keys of cues
     * @param list<LookAlike> $sets
     * @param array<string, list<Form>> $possible
     * @param array<string, Read> $read by cue
     * @param array<string, list<string>> $loci by cue
     */
    private function group(array $keys, array $sets, array $possible, array $read, array $loci): self
    {
        $own = array_intersect_key($loci, array_flip($keys));

        return new self(
            $this->chances, array_intersect_key($read, array_flip($keys)), $sets,
            array_intersect_key($possible, array_flip(array_merge(...array_values($own)))), $own,
        );
    }

    /**
     * Cues that read sets of look-alikes together, in groups that are independent of each other.
     *
     * @param array<string, list<Form>> $possible forms by locus
     * @return list<self>
     */
    public function among(array $possible): array
    {
        [$read, $loci, $touched] = $this->weighed($possible, $this->read);
        $groups = [];
        foreach (array_keys($read) as $key) {
            $groups[$key] = [[$key], []];
        }
        foreach ($touched as $set => $readers) {
            [$keys, $sets] = [[], []];
            foreach ($groups as $name => [$own, $ownSets]) {
                if (array_intersect($own, $readers) !== []) {
                    [$keys, $sets] = [[...$keys, ...$own], [...$sets, ...$ownSets]];
                    unset($groups[$name]);
                }
            }
            $groups[$keys[0]] = [$keys, [...$sets, $this->chances->catalogue->lookAlikes[$set]]];
        }

        return array_values(array_map(
            fn (array $group): self => $this->group($group[0], $group[1], $possible, $read, $loci), $groups,
        ));
    }

    /**
     * What counts of what was read, on which loci it depends, and which sets of look-alikes it does not read alike.
     *
     * @param array<string, list<Form>> $possible forms by locus
     * @param array<string, Read> $read by cue
     * @param string|null $kept a cue that counts whatever it repeats
     * @return array{array<string, Read>, array<string, list<string>>, array<int, non-empty-list<string>>} by cue, by cue, by set
     */
    private function weighed(array $possible, array $read, ?string $kept = null): array
    {
        $read = self::clearer($read, fn (array $one): float => $one['cue']->key === $kept ? INF : $this->clarity($one, $possible));
        $loci = array_map(fn (array $one): array => $this->chances->loci($one['cue'], $possible, $one['days']), $read);
        $touched = [];
        foreach ($this->chances->catalogue->lookAlikes as $i => $set) {
            foreach ($read as $key => $one) {
                if ($this->chances->isTouched($set, $one['cue'], $one['days'], $possible, $loci[$key])) {
                    $touched[$i][] = $key;
                }
            }
        }

        return [$read, $loci, $touched];
    }

    /**
     * How far apart the chances of what was read are for an animal with one form or another.
     *
     * @param Read $one
     * @param array<string, list<Form>> $possible
     */
    private function clarity(array $one, array $possible): float
    {
        $chances = [$this->chances->floats($one['cue'], [], $one['days'])[$one['state']]];
        foreach ($possible as $locus => $forms) {
            foreach ($forms as $form) {
                $chances[] = $this->chances->floats($one['cue'], [$locus => $form], $one['days'])[$one['state']];
            }
        }

        return max($chances) / max(1e-6, min($chances));
    }

    public function loci(): array
    {
        return array_map(strval(...), array_keys($this->possible ?? $this->chances->catalogue->loci));
    }

    public function of(array $forms, ?Sex $sex): Rational
    {
        if ($this->possible === null) {
            $all = array_map(static fn (Form $form): array => [$form], $forms);

            return array_reduce(
                $this->among($all), static fn (Rational $p, self $one): Rational => $p->times($one->of($forms, $sex)), Rational::one(),
            );
        }
        $this->together ??= $this->mixed([$this->products($this->read)])[0];

        $place = $this->table()->place($forms);

        return $this->rounded[$place] ??= self::rounded($this->together[$place]);
    }

    /** A chance as a fraction of so many digits, so that equal looks have equal chances. */
    private static function rounded(float $chance): Rational
    {
        if ($chance <= 0.0) {
            return Rational::zero();
        }
        $places = self::DIGITS + max(0, (int) floor(-log10($chance)));

        return Rational::ofBig(BigInteger::of((int) round($chance * 10 ** $places)), BigInteger::ten()->power($places));
    }

    /**
     * The chances of the states of the cue that this was read beside, given what was read before, by place in its table.
     *
     * @return list<list<float>> by state
     */
    public function chancesOf(Cue $cue): array
    {
        if ($this->asked !== null) {
            return $this->asked;
        }
        $own = $this->read[$cue->key];
        $before = $this->products(array_diff_key($this->read, [$cue->key => true]));
        $stage = Stage::at($own['days']);
        $states = $this->table()->read(
            "{$cue->key} {$own['days']}", $this->loci[$cue->key], fn (array $forms): array => $this->chances->floats($cue, $forms, $own['days']),
        );
        $mixed = $this->mixed(array_map(static function (array $chances) use ($before, $stage): array {
            $before[$stage->value] = isset($before[$stage->value]) ? self::times($before[$stage->value], $chances) : $chances;

            return $before;
        }, $states));
        $sums = array_fill(0, count($mixed[0] ?? []), 0.0);
        foreach ($mixed as $chances) {
            foreach ($chances as $place => $chance) {
                $sums[$place] += $chance;
            }
        }

        return $this->asked = array_map(static fn (array $chances): array => array_map(
            static fn (float $one, float $sum): float => $one / $sum, $chances, $sums,
        ), $mixed);
    }

    /** @param array<string, Form> $forms by locus */
    public function place(array $forms): int
    {
        return $this->table()->place($forms);
    }

    private function table(): LookTable
    {
        return $this->table ??= $this->chances->table($this->possible ?? [], $this->sets);
    }

    /**
     * @param array<string, Read> $read by cue
     * @return array<string, list<float>> the product of what was read at each stage, by genotype
     */
    private function products(array $read): array
    {
        $products = [];
        foreach ($read as $key => $one) {
            $stage = Stage::at($one['days'])->value;
            $seen = $this->table()->read(
                "{$key} {$one['days']}", $this->loci[$key],
                fn (array $forms): array => $this->chances->floats($one['cue'], $forms, $one['days']),
            )[$one['state']];
            $products[$stage] = isset($products[$stage]) ? self::times($products[$stage], $seen) : $seen;
        }

        return $products;
    }

    /**
     * What look-alikes leave of it: first what is mixed up at one stage only, then over all stages that it was read at.
     *
     * @param list<array<string, list<float>>> $products by what is asked for, by stage
     * @return list<list<float>>
     */
    private function mixed(array $products): array
    {
        $table = $this->table();

        return array_map(static function (array $product) use ($table): array {
            $parts = [];
            if (isset($product[Stage::Hatchling->value])) {
                $parts[] = $table->mixed($product[Stage::Hatchling->value], Stage::Hatchling->value);
            }
            if (isset($product[Stage::Growing->value])) {
                $parts[] = $product[Stage::Growing->value];
            }
            $parts = $parts === [] ? [] : [$table->mixed(self::together($parts), Stage::Growing->value)];
            if (isset($product[Stage::Adult->value])) {
                $parts[] = $table->mixed($product[Stage::Adult->value], Stage::Adult->value);
            }

            return $parts === [] ? [1.0] : $table->mixed(self::together($parts), 'all');
        }, $products);
    }

    /**
     * @param non-empty-list<list<float>> $parts
     * @return list<float>
     */
    private static function together(array $parts): array
    {
        return array_reduce(array_slice($parts, 1), self::times(...), $parts[0]);
    }

    /**
     * @param list<float> $one
     * @param list<float> $other
     * @return list<float>
     */
    private static function times(array $one, array $other): array
    {
        return array_map(static fn (float $a, float $b): float => $a * $b, $one, $other);
    }

    public function content(): string
    {
        $parts = array_map(
            fn (array $one): string => implode(' ', [$this->chances->contentOf($one['cue']), $one['state'], $one['days'] ?? '']),
            $this->read,
        );
        sort($parts);
        $sets = array_map(static fn (LookAlike $set): string => "{$set->stage} {$set->copies} ".implode(' ', $set->members), $this->sets);

        return hash('xxh128', implode(';', [...$parts, ...$sets]));
    }
}
