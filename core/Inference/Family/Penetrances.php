<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Penetrance;
use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * What was seen of the members of a family: of which spaces each observation tells something, given what is possible there. One that
 * tells of several ties them.
 *
 * @phpstan-type Side array{space: GenotypeSpace, ways: list<array{array<string, Form>, Sex|null}>}
 */
final class Penetrances
{
    /** Genotypes over all spaces of an observation that are gone through; one that speaks of more is not heard. */
    public const MOST = 40_000;

    /** @var list<list<string>> keys of spaces that go together */
    public array $ties = [];

    /** @var array<string, list<Seen>> by member */
    private array $seen = [];

    /** @var array<string, list<string>> keys of the spaces of which a set of likenesses tells, by its name */
    public array $sets = [];

    /** @var array<string, FamilyModel> by space */
    private array $models = [];

    /** @param list<GenotypeSpace> $spaces of which anything is recorded in the family */
    private function __construct(
        private readonly Context $context, private readonly Hypothesis $hypothesis, private readonly array $spaces,
        private readonly Hiding $hiding,
    ) {}

    /** @param list<GenotypeSpace> $spaces of which anything is recorded in the family */
    public static function in(Context $context, Hypothesis $hypothesis, array $spaces, Hiding $hiding): self
    {
        $all = new self($context, $hypothesis, $spaces, $hiding);
        foreach ($hypothesis->family->members as $member) {
            $possible = ($member->animal->penetrances ?? []) === [] ? [] : $all->possible($member);
            foreach ($member->animal->penetrances ?? [] as $whole) {
                foreach ($whole->among($possible) as $one) {
                    $all->look($member, $one, null);
                }
            }
            foreach ($member->animal->resemblances ?? [] as $one) {
                $all->look($member, $one->shows, $one->set);
            }
        }

        return $all;
    }

    /**
     * @param list<GenotypeSpace> $together
     * @return array<string, list<Seen>> what tells something of spaces that are worked out together, by member
     */
    public function from(array $together): array
    {
        $keys = array_map(static fn (GenotypeSpace $space): string => $space->key, $together);
        $from = [];
        foreach ($this->seen as $id => $all) {
            foreach ($all as $seen) {
                $needed = $seen->set === null ? $seen->spaces : $this->sets[$seen->set];
                if ($needed !== [] && array_diff($needed, $keys) === []) {
                    $from[$id][] = $seen;
                }
            }
        }

        return $from;
    }

    private function look(Member $member, Penetrance $penetrance, ?string $set): void
    {
        $sides = $this->sides($member, $penetrance);
        $count = array_product(array_map(static fn (array $side): int => count($side['ways']), $sides));
        if ($count > self::MOST || $sides === []) {
            return;
        }
        $told = $this->told($sides, $penetrance, $member->sex);
        $keys = array_map(static fn (int $axis): string => $sides[$axis]['space']->key, $told);
        $elsewhere = [];
        foreach ($sides as $axis => $side) {
            $elsewhere += in_array($axis, $told, true) ? [] : $side['ways'][0][0];
        }
        $this->seen[$member->id][] = new Seen($penetrance, $keys, $elsewhere, $set);
        if ($set !== null) {
            $this->sets[$set] = array_values(array_unique([...$this->sets[$set] ?? [], ...$keys]));
        } elseif (count($keys) > 1) {
            $this->ties[] = $keys;
        }
    }

    /** @return list<Side> what the member can be at each space on which the observation depends, each look of a genotype once */
    private function sides(Member $member, Penetrance $penetrance): array
    {
        $loci = array_flip($penetrance->loci());
        $sides = [];
        foreach ($this->spaces as $space) {
            $own = array_intersect_key(array_flip([...$space->loci(), ...($space->holdsSex() ? [Sex::LOCUS] : [])]), $loci);
            $ways = [];
            foreach ($own === [] ? [] : array_keys($this->model($space)->domains[0][$member->id] ?? []) as $number) {
                $forms = array_intersect_key($space->formsOf($number), $own);
                $sex = isset($own[Sex::LOCUS]) ? $space->sexOf($number) : null;
                $ways[self::keyOf($forms, $sex)] ??= [$forms, $sex];
            }
            if ($ways !== []) {
                $sides[] = ['space' => $space, 'ways' => array_values($ways)];
            }
        }

        return $sides;
    }

    /** @return array<string, list<Form>> what a member can be, by locus */
    private function possible(Member $member): array
    {
        $possible = [];
        foreach ($this->spaces as $space) {
            $forms = [];
            foreach (array_keys($this->model($space)->domains[0][$member->id] ?? []) as $number) {
                foreach ($space->formsOf($number) as $locus => $form) {
                    $forms[$locus][$form->key()] = $form;
                }
            }
            $possible += array_map(array_values(...), $forms);
        }

        return $possible;
    }

    private function model(GenotypeSpace $space): FamilyModel
    {
        return $this->models[$space->key] ??= Modelling::of($this->context, $this->hypothesis, [$space], $this->hiding->from([$space]));
    }

    /** @param array<string, Form> $forms */
    private static function keyOf(array $forms, ?Sex $sex): string
    {
        return ($sex->value ?? '').implode(' ', array_map(static fn (Form $form): string => $form->key(), $forms));
    }

    /**
     * @param non-empty-list<Side> $sides
     * @return list<int> sides whose genotypes it tells apart; where it excludes all of them, the first
     */
    private function told(array $sides, Penetrance $penetrance, ?Sex $sex): array
    {
        $chances = [];
        foreach (self::combinations($sides, 0, [], $sex) as [$forms, $own]) {
            $chances[] = $penetrance->of($forms, $own)->toString();
        }
        if (array_unique($chances) === ['0']) {
            return [0];
        }
        $told = [];
        $stride = count($chances);
        foreach ($sides as $axis => $side) {
            $size = count($side['ways']);
            $stride = intdiv($stride, $size);
            foreach ($chances as $place => $chance) {
                if (intdiv($place, $stride) % $size > 0 && $chance !== $chances[$place - $stride]) {
                    $told[] = $axis;
                    break;
                }
            }
        }

        return $told;
    }

    /**
     * @param list<Side> $sides
     * @param array<string, Form> $forms
     * @return iterable<array{array<string, Form>, Sex|null}> the last side running fastest
     */
    private static function combinations(array $sides, int $axis, array $forms, ?Sex $sex): iterable
    {
        if ($axis === count($sides)) {
            yield [$forms, $sex];

            return;
        }
        foreach ($sides[$axis]['ways'] as [$own, $ownSex]) {
            yield from self::combinations($sides, $axis + 1, $forms + $own, $ownSex ?? $sex);
        }
    }
}
