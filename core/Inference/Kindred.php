<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/**
 * A collection as families: animals that are joined by parentage or by a clutch. Families have nothing to say of each
 * other, and neither have linkage groups that no statement ties together, so each family is worked out by itself at each
 * set of groups, and what is kept of it holds as long as its content does.
 *
 * @phpstan-type State array<string, Diplotype>
 */
final class Kindred
{
    /** @var array<string, Individual> those of families without a fault */
    private array $animals = [];

    /** @var list<list<string>> ids by family, parents before their young */
    private array $families = [];

    /** @var list<InferenceError> what is wrong with the records of a family, which is left out */
    public array $faults = [];

    /** @var array<string, int> family by animal */
    private array $familyOf = [];

    /** @var array<int, list<Brood>> by family */
    private array $broodsOf = [];

    private readonly Hearing $hearing;

    private readonly Descent $descent;

    /** @var array<string, YoungLaw> by groups */
    private array $laws = [];

    /** @var list<list<LinkageGroup>>|null */
    private ?array $groupSets = null;

    /**
     * @param array<string, Individual> $everyone by id
     * @param list<Brood> $broods
     * @param list<Fault> $decided what the keeper holds to be wrong in the records
     */
    public function __construct(private readonly Catalogue $catalogue, private readonly array $everyone, private readonly array $broods = [], private readonly ?ErrorRates $rates = null, private readonly array $decided = [])
    {
        $this->hearing = new Hearing($catalogue);
        $this->descent = new Descent($catalogue, $everyone);
        $this->gather();
    }

    /** @return list<list<string>> ids by family, parents before their young */
    public function families(): array
    {
        return $this->families;
    }

    /** @throws InferenceError when the animal is unknown or its family is left out */
    public function animal(string $id): Individual
    {
        return $this->animals[$id] ?? throw InferenceError::unknownAnimal($id);
    }

    public function familyOf(string $id): ?int
    {
        return $this->familyOf[$id] ?? null;
    }

    /** @return list<list<LinkageGroup>> that anything is recorded of; groups that a statement ties stand together */
    public function groupSets(): array
    {
        if ($this->groupSets === null) {
            $tied = [];
            foreach ($this->animals as $animal) {
                foreach ($animal->testimonies as $testimony) {
                    foreach ($testimony->says->factors as $factor) {
                        $this->tie($tied, $factor->groups);
                    }
                }
            }
            foreach ($this->broods as $brood) {
                foreach ($brood->saw->loci() as $locus) {
                    $this->tie($tied, [$this->catalogue->groupOf($locus)->key]);
                }
            }
            $sets = [];
            foreach ($this->catalogue->groups as $key => $group) {
                if (isset($tied[$key])) {
                    $sets[$tied[$key]][] = $group;
                }
            }
            $this->groupSets = array_values($sets);
        }

        return $this->groupSets;
    }

    /**
     * Everything that a family's answer at some groups follows from, gene facts aside; empty where nothing is recorded there.
     *
     * @param list<LinkageGroup> $groups
     */
    public function contentOf(int $family, array $groups): string
    {
        $keys = array_map(static fn (LinkageGroup $group): string => $group->key, $groups);
        $loci = array_merge(...array_map(static fn (LinkageGroup $group): array => $group->loci, $groups));
        $content = [];
        $isNamed = false;
        foreach ($this->families[$family] as $id) {
            $animal = $this->animals[$id];
            $heard = [];
            foreach ($animal->testimonies as $testimony) {
                $names = array_intersect($testimony->says->groups(), $keys) !== [];
                $isNamed = $isNamed || $names;
                if ($names || $testimony->namesAllThatShows) {
                    $heard[] = [$testimony->id, $testimony->content(), $names];
                }
            }
            $content[] = [$id, $animal->sex?->value, $animal->sires(), $animal->dam, $heard, $animal->saw?->text];
        }
        foreach ($this->broodsOf[$family] ?? [] as $brood) {
            if ($brood->saw->only || array_intersect($brood->saw->loci(), $loci) !== [] || $brood->isDead) {
                $content[] = [$brood->id, $brood->sires, $brood->dam, $brood->saw->text, $brood->count, $brood->isDead];
                $isNamed = $isNamed || array_intersect($brood->saw->loci(), $loci) !== [];
            }
        }

        foreach ($isNamed ? $this->decidedOf($family) : [] as $fault) {
            $content[] = $fault->key();
        }

        return $isNamed ? serialize($content) : '';
    }

    /** @param list<LinkageGroup> $groups */
    public function posterior(int $family, array $groups): FamilyPosterior
    {
        $solver = new FamilySolver(
            fn (array $faults): FamilyModel => $this->model($family, $groups, [...$this->decidedOf($family), ...$faults]),
            $this->catalogue, array_map(fn (string $id): Individual => $this->animals[$id], $this->families[$family]), $this->broodsOf[$family] ?? [], $groups, $this->rates(),
        );

        return $solver->solve();
    }

    /** @return list<Fault> */
    private function decidedOf(int $family): array
    {
        $broods = array_map(static fn (Brood $brood): string => $brood->id, $this->broodsOf[$family] ?? []);

        return array_values(array_filter($this->decided, fn (Fault $fault): bool => ($this->familyOf[$fault->subject] ?? null) === $family || in_array($fault->subject, $broods, true)));
    }

    private function rates(): ErrorRates
    {
        return $this->rates ?? ErrorRates::assumed();
    }

    /**
     * @param list<LinkageGroup> $groups
     * @param list<Fault> $faults
     */
    private function model(int $family, array $groups, array $faults): FamilyModel
    {
        $priors = [];
        foreach ($this->families[$family] as $id) {
            $animal = $this->animals[$id];
            if ($animal->isFounder()) {
                $priors[$id] = $this->priorOf($id, $groups);
            } elseif ($animal->testimonies !== [] && ($animal->dam === null || $animal->sires() === [null])) {
                $parent = $animal->dam ?? $animal->sires()[0] ?? '';
                $priors[$parent] ??= $this->priorOf($parent, $groups);
            }
        }
        $needsMale = array_filter($faults, static fn (Fault $fault): bool => $fault->kind === FaultKind::OtherSire) !== [];

        return new FamilyModel($this->catalogue, $this->hearing, $this->law($groups), $groups, array_map(fn (string $id): Individual => $this->animals[$id], $this->families[$family]), $this->broodsOf[$family] ?? [], $priors, $needsMale ? $this->otherMale($groups) : [], $this->rates(), $faults);
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<array{State, Rational}>
     */
    private function priorOf(string $id, array $groups): array
    {
        $states = [];
        foreach ($this->descent->of($id)->belief->statesOver($groups) as [$state, $weight]) {
            $states[] = [$state, $weight];
        }

        return $states;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<array{array<string, list<string>>, Rational}> gametes of all males of the collection, each counted alike
     */
    private function otherMale(array $groups): array
    {
        $males = array_filter($this->animals, static fn (Individual $animal): bool => $animal->sex === Sex::Male);
        $gametes = [];
        foreach ($males as $id => $_) {
            foreach ($this->descent->of($id)->belief->statesOver($groups) as [$state, $weight]) {
                foreach ($this->law($groups)->gametesOf($state, Sex::Male) as [$haplotypes, $chance]) {
                    $key = implode('|', array_map(static fn (array $haplotype): string => implode('.', $haplotype), $haplotypes));
                    $share = $weight->times($chance)->dividedBy(Rational::of(count($males)));
                    $gametes[$key] = [$haplotypes, isset($gametes[$key]) ? $gametes[$key][1]->plus($share) : $share];
                }
            }
        }

        return array_values($gametes);
    }

    /** @param list<LinkageGroup> $groups */
    private function law(array $groups): YoungLaw
    {
        return $this->laws[implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups))] ??= new YoungLaw($this->catalogue, $groups);
    }

    /**
     * @param array<string, string> $tied name of the set by group
     * @param list<string> $groups
     */
    private function tie(array &$tied, array $groups): void
    {
        foreach ($groups as $group) {
            $tied[$group] ??= $group;
        }
        $names = array_map(static fn (string $group): string => $tied[$group], $groups);
        foreach (count(array_unique($names)) > 1 ? $tied : [] as $group => $name) {
            $tied[$group] = in_array($name, $names, true) ? $names[0] : $name;
        }
    }

    /** Joins animals to families, and leaves out those whose records make no pedigree. */
    private function gather(): void
    {
        $root = [];
        foreach (array_keys($this->everyone) as $id) {
            $root[$id] = $id;
        }
        $wrong = [];
        foreach ($this->everyone as $id => $animal) {
            foreach ([...$animal->sires(), $animal->dam] as $i => $parent) {
                if ($parent !== null) {
                    $fault = $this->faultOfParent($parent, $id, $i < count($animal->sires()) ? Sex::Male : Sex::Female);
                    if ($fault !== null) {
                        $wrong[$id] = $fault;
                    } else {
                        self::join($root, $id, $parent);
                    }
                }
            }
        }
        foreach ($this->broods as $brood) {
            foreach ([...$brood->sires, $brood->dam] as $parent) {
                if ($parent !== null) {
                    isset($this->everyone[$parent]) ? self::join($root, $brood->dam, $parent) : $wrong[$brood->dam] = InferenceError::unknownAnimal($parent);
                }
            }
        }
        $this->faults = array_values(array_diff_key($wrong, $this->everyone)); // eggs of a dam that is not recorded
        $members = [];
        foreach (array_keys($this->everyone) as $id) {
            $members[self::rootOf($root, $id)][] = $id;
        }
        foreach ($members as $name => $ids) {
            $faults = array_intersect_key($wrong, array_flip($ids));
            $line = $faults === [] ? $this->inOrder($ids) : array_values($faults)[0];
            if ($line instanceof InferenceError) {
                array_push($this->faults, ...($faults === [] ? [$line] : array_values($faults)));

                continue;
            }
            foreach ($line as $id) {
                $this->familyOf[$id] = count($this->families);
                $this->animals[$id] = $this->everyone[$id];
            }
            $this->families[] = $line;
        }
        foreach ($this->broods as $brood) {
            if (isset($this->familyOf[$brood->dam])) {
                $this->broodsOf[$this->familyOf[$brood->dam]][] = $brood;
            }
        }
    }

    private function faultOfParent(string $parent, string $young, Sex $role): ?InferenceError
    {
        if (! isset($this->everyone[$parent])) {
            return InferenceError::unknownAnimal($parent);
        }
        $sex = $this->everyone[$parent]->sex;

        return $sex !== null && $sex !== $role ? InferenceError::parentOfWrongSex($parent, $role, $young) : null;
    }

    /**
     * @param list<string> $ids of one family
     * @return list<string>|InferenceError parents before their young, or the circle that they make
     */
    private function inOrder(array $ids): array|InferenceError
    {
        $order = $open = [];
        $visit = function (string $id) use (&$visit, &$order, &$open): ?InferenceError {
            if (isset($order[$id])) {
                return null;
            }
            if (isset($open[$id])) {
                $line = array_keys($open);

                return InferenceError::cycle([...array_reverse(array_slice($line, (int) array_search($id, $line, true))), $line[count($line) - 1]]);
            }
            $open[$id] = true;
            foreach ([...$this->everyone[$id]->sires(), $this->everyone[$id]->dam] as $parent) {
                $fault = $parent === null ? null : $visit($parent);
                if ($fault !== null) {
                    return $fault;
                }
            }
            unset($open[$id]);
            $order[$id] = true;

            return null;
        };
        foreach ($ids as $id) {
            $fault = $visit($id);
            if ($fault !== null) {
                return $fault;
            }
        }

        return array_keys($order);
    }

    /** @param array<string, string> $root */
    private static function rootOf(array &$root, string $id): string
    {
        while ($root[$id] !== $id) {
            $root[$id] = $root[$root[$id]];
            $id = $root[$id];
        }

        return $id;
    }

    /** @param array<string, string> $root */
    private static function join(array &$root, string $a, string $b): void
    {
        if (isset($root[$a], $root[$b])) {
            $root[self::rootOf($root, $a)] = self::rootOf($root, $b);
        }
    }
}
