<?php

declare(strict_types=1);

namespace Destino\Identification;

use Closure;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\LookAlike;

/**
 * Chances of something seen, for every genotype that an animal may have at some loci and for all that it may be taken for there. What
 * look-alikes leave of it: one of a set looks, with a chance λ, like one of its set by lot, so that
 * L'(g) = (1 − λ) L(g) + λ · mean of L over the n members in g's place; all that is seen says at most
 * (1 − λ + λ/n) / (λ/n) to one between two of a set.
 */
final class LookTable
{
    /** Genotypes of a table; where there would be more, only members that the animal can be stand for a set. */
    private const MOST = 40_000;

    /** λ where it is well known that they are mixed up, and where it is only told. */
    private const WELL_KNOWN = .6;

    private const TOLD = .4;

    /** @var array<string, list<Form>> by locus */
    private readonly array $forms;

    /** @var array<string, array<string, int>> place of a form by locus and key */
    private readonly array $digits;

    /** @var array<string, int> by locus */
    private readonly array $strides;

    /** @var array<string, list<list<float>>> what was read, by name */
    private array $read = [];

    /** @var array<int, array<int, non-empty-list<int>>> by set: where its members stand in the place of each genotype's own */
    private array $places = [];

    /**
     * @param array<string, list<Form>> $possible what the animal may be, at the loci of the table
     * @param list<LookAlike> $sets
     */
    public function __construct(private readonly Catalogue $catalogue, array $possible, private readonly array $sets)
    {
        $all = $this->withMembers($possible);
        $size = array_product(array_map(static fn (array $own): int => count($own), $all));
        $forms = array_map(array_values(...), $size > self::MOST ? $this->keyed($possible) : $all);
        [$digits, $strides, $stride] = [[], [], 1];
        foreach ($forms as $locus => $own) {
            $digits[$locus] = array_flip(array_map(static fn (Form $form): string => $form->key(), $own));
            $strides[$locus] = $stride;
            $stride *= count($own);
        }
        [$this->forms, $this->digits, $this->strides] = [$forms, $digits, $strides];
    }

    /**
     * @param array<string, list<Form>> $possible
     * @return array<string, array<string, Form>> by locus and key, the wild type first
     */
    private function keyed(array $possible): array
    {
        $forms = [];
        foreach ($possible as $locus => $own) {
            foreach ([$this->catalogue->form($locus, Allele::WILD, Allele::WILD), ...$own] as $form) {
                $forms[$locus][$form->key()] = $form;
            }
        }

        return $forms;
    }

    /**
     * With the members of sets in the place of what the animal can be, also those that stand at other loci.
     *
     * @param array<string, list<Form>> $possible
     * @return array<string, array<string, Form>> by locus and key, the wild type first
     */
    private function withMembers(array $possible): array
    {
        $forms = $this->keyed($possible);
        foreach ($this->sets as $set) {
            foreach ($forms as $locus => $own) {
                foreach (array_filter($own, $set->includes(...)) === [] ? [] : $set->members as $member) {
                    $form = $set->formOf($member, $this->catalogue);
                    $forms[$locus][$form->key()] = $form;
                }
            }
        }

        return $forms;
    }

    /**
     * What is read of a cue, at the loci on which it depends.
     *
     * @param string $name of what is read: it is worked out once
     * @param list<string> $loci
     * @param Closure(array<string, Form>): list<float> $chances
     * @return list<list<float>> by what is asked for, by genotype
     */
    public function read(string $name, array $loci, Closure $chances): array
    {
        return $this->read[$name] ??= $this->readNow($loci, $chances);
    }

    /**
     * @param list<string> $loci
     * @param Closure(array<string, Form>): list<float> $chances
     * @return list<list<float>>
     */
    private function readNow(array $loci, Closure $chances): array
    {
        $known = $table = [];
        foreach ($this->projected($loci) as $key) {
            foreach ($known[$key] ??= $chances($this->formsOf($key)) as $what => $chance) {
                $table[$what][] = $chance;
            }
        }

        return array_values($table);
    }

    /**
     * @param list<string> $loci
     * @return list<int> by genotype: the one that is the same at these loci and wild type elsewhere
     */
    private function projected(array $loci): array
    {
        $keys = [0];
        foreach ($this->forms as $locus => $forms) {
            $step = in_array($locus, $loci, true) ? $this->strides[$locus] : 0;
            $longer = [];
            for ($digit = 0; $digit < count($forms); $digit++) {
                foreach ($keys as $key) {
                    $longer[] = $key + $digit * $step;
                }
            }
            $keys = $longer;
        }

        return $keys;
    }

    private function digit(int $i, string $locus): int
    {
        return intdiv($i, $this->strides[$locus]) % count($this->forms[$locus]);
    }

    /** @return array<string, Form> by locus, the wild type left out */
    private function formsOf(int $i): array
    {
        $forms = [];
        foreach ($this->forms as $locus => $own) {
            $digit = $this->digit($i, $locus);
            if ($digit > 0) {
                $forms[$own[$digit]->locus] = $own[$digit];
            }
        }

        return $forms;
    }

    /**
     * What is left of a table after the sets that are mixed up at a stage.
     *
     * @param list<float> $table
     * @return list<float>
     */
    public function mixed(array $table, string $stage): array
    {
        foreach ($this->sets as $i => $set) {
            $table = $set->stage === $stage ? $this->drawn($table, $set, $i) : $table;
        }

        return $table;
    }

    /**
     * @param list<float> $table
     * @return list<float>
     */
    private function drawn(array $table, LookAlike $set, int $number): array
    {
        $share = $set->evidence === 'reported' ? self::TOLD : self::WELL_KNOWN;
        $all = $this->places[$number] ??= $this->placesOf($set, count($table));
        $mixed = $table;
        foreach ($all as $i => $places) {
            $sum = 0.0;
            foreach ($places as $place) {
                $sum += $table[$place];
            }
            $mixed[$i] = (1 - $share) * $table[$i] + $share * $sum / count($places);
        }

        return array_values($mixed);
    }

    /** @return array<int, non-empty-list<int>> by genotype, those that have a form of the set */
    private function placesOf(LookAlike $set, int $size): array
    {
        $own = $all = [];
        foreach ($this->forms as $locus => $forms) {
            foreach ($forms as $digit => $form) {
                $set->includes($form) ? $own[$locus][$digit] = $form->locus : null;
            }
        }
        for ($i = 0; $i < $size && $own !== []; $i++) {
            $places = $this->places($i, $own);
            $places === [] ? null : $all[$i] = $places;
        }

        return $all;
    }

    /**
     * Genotypes with each of a set in the place of its own form of the set.
     *
     * @param array<string, array<int, string>> $own where forms of the set stand that are in its place, by locus and digit
     * @return list<int> none where it has no such form; itself among them
     */
    private function places(int $i, array $own): array
    {
        foreach ($own as $locus => $digits) {
            $digit = $this->digit($i, $locus);
            if (! isset($digits[$digit])) {
                continue;
            }
            $without = $i - $digit * $this->strides[$locus];
            $places = [];
            foreach ($digits as $member => $there) {
                if ($there === $locus || ! isset($this->forms[$there]) || $this->digit($i, $there) === 0) {
                    $places[] = $without + $member * $this->strides[$locus];
                }
            }

            return $places;
        }

        return [];
    }

    /**
     * The place of a genotype.
     *
     * @param array<string, Form> $forms by locus; of other loci nothing is asked
     */
    public function place(array $forms): int
    {
        $place = 0;
        foreach (array_intersect_key($forms, $this->forms) as $locus => $form) {
            $place += ($this->digits[$locus][$form->key()] ?? 0) * $this->strides[$locus];
        }

        return $place;
    }
}
