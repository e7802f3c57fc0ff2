<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Inference\Graph\Factor;
use Destino\Probability\Rational;

/**
 * A family at some linkage groups as a factor graph: P(founders) · Π P(young | parents) · Π P(evidence | genotype), with
 * the genotypes that are excluded taken out beforehand. A certain animal is no variable, so that it cuts the graph.
 *
 * @phpstan-type State array<string, Diplotype>
 */
final class FamilyModel
{
    /** @var array<string, array<string, array{State, Rational}>> possible genotypes of each animal with P or the likelihood of its evidence */
    private array $domains = [];

    /** @var array<string, true> animals of which evidence or relatives exclude something */
    private array $trimmed = [];

    /** @var string|null what cannot be: an animal or a brood */
    public ?string $offender = null;

    private readonly Altered $altered;

    /** @var list<Brood> that say something of these groups */
    private readonly array $broods;

    /** @var array<string, FaultKind> by subject */
    private array $faults = [];

    /** @var array<string, Fault> */
    private array $faultOf = [];

    /** @var array<string, list<array{array<string, list<string>>, Rational}>> */
    private array $outside = [];

    /**
     * @param list<LinkageGroup> $groups
     * @param list<Individual> $animals parents before their young
     * @param list<Brood> $broods
     * @param array<string, list<array{State, Rational}>> $priors of founders, and of parents whose mate is not recorded
     * @param list<array{array<string, list<string>>, Rational}> $otherMale gametes of the males of the collection, taken together
     * @param list<Fault> $faults that are taken for granted
     */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Hearing $hearing,
        private readonly YoungLaw $law,
        private readonly array $groups,
        private readonly array $animals,
        array $broods,
        private readonly array $priors,
        private readonly array $otherMale,
        private readonly ErrorRates $rates,
        array $faults = [],
    ) {
        $this->altered = new Altered($catalogue, $groups);
        $this->broods = array_values(array_filter($broods, $this->saysSomething(...)));
        foreach ($faults as $fault) {
            if (! $this->isAboutThis($fault)) {
                continue;
            }
            $this->faults[$fault->subject] = $fault->kind;
            $this->faultOf[$fault->subject] = $fault;
        }
        foreach ($this->animals as $animal) {
            $this->domains[$animal->id] = $animal->isFounder() ? $this->founder($animal) : $this->descendant($animal);
            if ($this->domains[$animal->id] === []) {
                $this->offender = $animal->id;

                return;
            }
        }
        $this->trim();
    }

    private function saysSomething(Brood $brood): bool
    {
        foreach ($this->groups as $group) {
            if (array_intersect($group->loci, $brood->saw->loci()) !== [] || ($group->holdsSex() && $brood->saw->sex !== null)) {
                return true;
            }
        }

        return $brood->saw->only || $brood->isDead;
    }

    /** Whether a fault that names genes names one of these groups. */
    private function isAboutThis(Fault $fault): bool
    {
        foreach ($fault->alleles as $allele) {
            foreach ($this->groups as $group) {
                if (in_array($this->catalogue->allele($allele)->locus, $group->loci, true)) {
                    return true;
                }
            }
        }

        return $fault->alleles === [];
    }

    /** @return array<string, array<string, array{State, Rational}>> */
    public function domains(): array
    {
        return $this->domains;
    }

    /**
     * Animals of which more than one genotype is possible are variables, in this order.
     *
     * @param list<string> $without
     * @return list<string>
     */
    public function variables(array $without = []): array
    {
        return array_values(array_diff(array_keys(array_filter($this->domains, static fn (array $domain): bool => count($domain) > 1)), $without));
    }

    /**
     * Animals of which nothing is recorded that would tell of others, and whose young tell nothing either: what is
     * believed of them follows from their parents and adds nothing.
     *
     * @return list<string>
     */
    public function silent(): array
    {
        $speaks = [];
        foreach ($this->broods as $brood) {
            foreach ([...$brood->sires, $brood->dam] as $parent) {
                $speaks[$parent ?? ''] = true;
            }
        }
        $silent = [];
        foreach (array_reverse($this->animals) as $animal) {
            $isPlain = ! $animal->isFounder() && count($this->domains[$animal->id]) > 1 && ! isset($speaks[$animal->id]) && ! isset($this->trimmed[$animal->id]);
            foreach ($isPlain ? $this->domains[$animal->id] : [] as [, $weight]) {
                $isPlain = $isPlain && $weight->isOne();
            }
            if ($isPlain) {
                $silent[] = $animal->id;
            } else {
                foreach ([...$this->siresOf($animal), $animal->dam] as $parent) {
                    $speaks[$parent ?? ''] = true;
                }
            }
        }

        return array_reverse($silent);
    }

    /**
     * P(genotype of a silent animal), its parents taken as independent of each other.
     *
     * @param array<string, list<Rational>> $of P by genotype of each animal that may be a parent
     * @return list<Rational>
     */
    public function fromParents(string $id, array $of): array
    {
        foreach ($this->animals as $animal) {
            if ($animal->id === $id) {
                $factor = $this->transmission($animal, []);
                $size = count($this->domains[$id]);
                $sums = array_fill(0, $size, Rational::zero());
                $at = 0;
                $parents = [...array_values(array_filter($this->siresOf($animal), is_string(...))), ...($animal->dam === null ? [] : [$animal->dam])];
                foreach ($this->combinations($parents, true) as $places) {
                    $weight = Rational::one();
                    foreach ($places as $parent => $place) {
                        $weight = $weight->times($of[$parent][$place]);
                    }
                    for ($i = 0; $i < $size; $i++) {
                        $sums[$i] = $sums[$i]->plus($weight->times($factor->table[$at++]));
                    }
                }

                return array_values($sums);
            }
        }

        return [];
    }

    /**
     * @param list<string> $without animals that are left out of the graph
     * @return list<Factor>
     */
    public function factors(array $without = []): array
    {
        $number = array_flip($this->variables($without));
        $factors = [];
        foreach ($this->animals as $animal) {
            if (in_array($animal->id, $without, true)) {
                continue;
            }
            $weights = array_column(array_values($this->domains[$animal->id]), 1);
            if (array_filter($weights, static fn (Rational $weight): bool => ! $weight->isOne()) !== []) {
                $factors[] = new Factor(isset($number[$animal->id]) ? [$number[$animal->id]] : [], $weights);
            }
            if (! $animal->isFounder()) {
                $factors[] = $this->transmission($animal, $number);
            }
        }
        foreach ($this->broods as $brood) {
            if (! isset($this->faults[$brood->id])) {
                $factors[] = $this->eggs($brood, $number);
            }
        }

        return $factors;
    }

    /** @return array<string, array{State, Rational}> */
    private function founder(Individual $animal): array
    {
        $fault = $this->faultOf[$animal->id] ?? null;
        $domain = [];
        foreach ($this->priors[$animal->id] ?? [[self::wild($this->groups, $animal->sex ?? Sex::Female), Rational::one()]] as [$state, $weight]) {
            $variants = match ($fault?->kind) {
                FaultKind::Unrecorded => $this->altered->withOneMore($state, $fault->alleles),
                FaultKind::Misnamed => $this->altered->without($state, $fault->alleles),
                default => [[$state, Rational::one()]],
            };
            foreach ($variants as [$variant, $share]) {
                if (! $this->law->isLethal($variant) && ($animal->saw === null || $fault?->kind === FaultKind::Misidentified || $this->law->accepts($variant, $animal->saw))) {
                    $key = YoungLaw::key($variant);
                    $chance = $weight->times($share);
                    $domain[$key] = [$variant, isset($domain[$key]) ? $domain[$key][1]->plus($chance) : $chance];
                }
            }
        }

        return array_filter($domain, static fn (array $entry): bool => ! $entry[1]->isZero());
    }

    /** @return array<string, array{State, Rational}> what the parents' genotypes allow, with the likelihood of the evidence */
    private function descendant(Individual $animal): array
    {
        $possible = [];
        foreach ($this->sireStates($animal) as $sire) {
            foreach ($animal->dam === null ? [null] : array_column($this->domains[$animal->dam], 0) as $dam) {
                foreach ($this->young($animal, $sire, $dam) as $key => [$state]) {
                    $possible[$key] = $state;
                }
            }
        }
        $says = $this->likelihoods($animal, $possible);
        $domain = [];
        foreach ($possible as $key => $state) {
            if (! $says[$key]->isZero()) {
                $domain[$key] = [$state, $says[$key]];
            } elseif ($this->isOfSex($state, $animal)) { // its sex alone tells nothing of anybody
                $this->trimmed[$animal->id] = true;
            }
        }

        return $domain;
    }

    /** @return list<State|null> every genotype that a sire may have */
    private function sireStates(Individual $animal): array
    {
        $states = [];
        foreach ($this->siresOf($animal) as $sire) {
            array_push($states, ...($sire === null ? [null] : array_column($this->domains[$sire], 0)));
        }

        return $states;
    }

    /** @return list<string|null> */
    private function siresOf(Individual $animal): array
    {
        return ($this->faults[$animal->id] ?? null) === FaultKind::OtherSire ? [null] : $animal->sires();
    }

    /**
     * P(young | parents), with what a parent outside the records may give.
     *
     * @param State|null $sire
     * @param State|null $dam
     * @return array<string, array{State, Rational}>
     */
    private function young(Individual $animal, ?array $sire, ?array $dam): array
    {
        $fault = $this->faultOf[$animal->id] ?? null;
        if ($sire !== null && $dam !== null && $fault?->kind !== FaultKind::Mutation) {
            return $this->law->living($sire, $dam);
        }
        $paternal = match (true) {
            $fault?->kind === FaultKind::OtherSire => $this->otherMale,
            $sire === null && $animal->possibleSires === [] => $this->outsider($animal, Sex::Male),
            default => $this->law->gametesOf($sire, Sex::Male),
        };
        $maternal = $dam === null ? $this->outsider($animal, Sex::Female) : $this->law->gametesOf($dam, Sex::Female);
        if ($fault?->kind !== FaultKind::Mutation) {
            return array_filter($this->law->joined($paternal, $maternal), fn (array $young): bool => ! $this->law->isLethal($young[0]));
        }
        $half = Rational::of(1, 2);
        $mutant = [];
        foreach ([$this->law->joined($this->altered->mutated($paternal, $fault->alleles), $maternal), $this->law->joined($paternal, $this->altered->mutated($maternal, $fault->alleles))] as $young) {
            foreach ($young as $key => [$state, $chance]) {
                $mutant[$key] = [$state, isset($mutant[$key]) ? $mutant[$key][1]->plus($chance->times($half)) : $chance->times($half)];
            }
        }

        return $mutant;
    }

    /** @return list<array{array<string, list<string>>, Rational}> wild type, or any allele that a statement of the young names */
    private function outsider(Individual $animal, Sex $parent): array
    {
        $key = "{$animal->id} {$parent->value}";
        if (! isset($this->outside[$key])) {
            $all = [[]];
            foreach ($this->groups as $group) {
                $longer = [];
                foreach ($this->hearing->outsideHaplotypes($group, $animal, $parent) as $haplotype) {
                    foreach ($all as $haplotypes) {
                        $longer[] = $haplotypes + [$group->key => $haplotype];
                    }
                }
                $all = $longer;
            }
            $this->outside[$key] = YoungLaw::alike($all);
        }

        return $this->outside[$key];
    }

    /** @param State $state */
    private function isOfSex(array $state, Individual $animal): bool
    {
        foreach ($this->groups as $group) {
            if ($group->holdsSex() && $animal->sex !== null && Sex::ofAlleles($state[$group->key]->pairAt($group->indexOf(Sex::LOCUS))) !== $animal->sex) {
                return false;
            }
        }

        return true;
    }

    /**
     * P(genotype of an animal with one recorded parent), before its statements are heard.
     *
     * @return array<string, Rational>
     */
    private function before(Individual $animal): array
    {
        $parent = $animal->dam ?? $animal->sires()[0] ?? '';
        $before = [];
        foreach ($this->priors[$parent] ?? [] as [$state, $weight]) {
            foreach ($this->young($animal, $animal->dam === null ? $state : null, $animal->dam === null ? null : $state) as $key => [, $chance]) {
                $before[$key] = isset($before[$key]) ? $before[$key]->plus($weight->times($chance)) : $weight->times($chance);
            }
        }

        return $before;
    }

    private static function share(Rational $chance, Rational $of): Rational
    {
        return $of->isZero() ? $chance : $chance->dividedBy($of);
    }

    /**
     * P(what is recorded of an animal | its genotype). With one parent unrecorded the percentages of the weightiest
     * statement are taken, since there is nothing else that they could follow from.
     *
     * @param array<string, State> $states
     * @return array<string, Rational>
     */
    private function likelihoods(Individual $animal, array $states): array
    {
        $says = array_fill_keys(array_keys($states), Rational::one());
        $isFree = in_array($this->faults[$animal->id] ?? null, [FaultKind::Misidentified, FaultKind::Misnamed], true);
        foreach ($states as $key => $state) {
            if (! $this->isOfSex($state, $animal)) {
                $says[$key] = Rational::zero();
            }
            if ($animal->saw !== null && ! $isFree && ! $this->law->accepts($state, $animal->saw)) {
                $says[$key] = Rational::zero();
            }
        }
        if ($isFree) {
            return $says;
        }
        $hasOneParent = ($animal->dam === null) !== ($animal->sires() === [null]);
        foreach ($this->hearing->relevant($this->groups, $animal, true) as $i => $testimony) {
            $chances = $this->hearing->chances($this->groups, $testimony);
            $named = $this->hearing->namedLoci($this->groups, $testimony);
            $allowed = $parts = [];
            $before = $hasOneParent && $i === 0 ? $this->before($animal) : [];
            foreach ($states as $key => $state) {
                $allowed[$key] = $this->hearing->allows($state, $this->groups, $testimony, $chances);
                if ($allowed[$key] !== null) {
                    $part = $this->hearing->namedPart($state, $this->groups, $named);
                    $parts[$part] = ($parts[$part] ?? Rational::zero())->plus($before[$key] ?? Rational::zero());
                }
            }
            foreach ($states as $key => $state) {
                $right = match (true) {
                    $allowed[$key] === null => Rational::zero(),
                    $hasOneParent && $i === 0 => self::share($allowed[$key], $parts[$this->hearing->namedPart($state, $this->groups, $named)] ?? Rational::zero()),
                    default => Rational::one(),
                };
                $says[$key] = $says[$key]->times($right->times($testimony->certainty)->plus($testimony->certainty->complement()));
            }
        }

        return $says;
    }

    /** Takes out what relatives exclude, until nothing more falls. */
    private function trim(): void
    {
        do {
            $isSmaller = false;
            foreach (array_reverse($this->animals) as $animal) {
                if ($animal->isFounder() || ! $this->isWorthTrimming($animal)) {
                    continue;
                }
                $left = [];
                foreach ($this->siresOf($animal) as $sire) {
                    foreach ($sire === null ? ['' => [null]] : $this->domains[$sire] as $sireKey => [$sireState]) {
                        foreach ($animal->dam === null ? ['' => [null]] : $this->domains[$animal->dam] as $damKey => [$damState]) {
                            foreach (array_keys(array_intersect_key($this->young($animal, $sireState, $damState), $this->domains[$animal->id])) as $key) {
                                $left[$animal->id][$key] = true;
                                $left[$sire ?? ''][$sireKey] = true;
                                $left[$animal->dam ?? ''][$damKey] = true;
                            }
                        }
                    }
                }
                foreach ([$animal->id, $animal->dam, count($this->siresOf($animal)) === 1 ? $this->siresOf($animal)[0] : null] as $one) {
                    if ($one === null) {
                        continue;
                    }
                    $smaller = array_intersect_key($this->domains[$one], $left[$one] ?? []);
                    if ($smaller === []) {
                        $this->offender = $animal->id;

                        return;
                    }
                    if (count($smaller) < count($this->domains[$one])) {
                        $isSmaller = true;
                        $this->trimmed[$one] = true;
                    }
                    $this->domains[$one] = $smaller;
                }
            }
        } while ($isSmaller);
        foreach ($this->broods as $brood) {
            if (! isset($this->faults[$brood->id]) && $this->isImpossible($brood)) {
                $this->offender = $brood->id;

                return;
            }
        }
    }

    private function isWorthTrimming(Individual $animal): bool
    {
        foreach ([$animal->id, $animal->dam, ...$this->siresOf($animal)] as $one) {
            if ($one !== null && count($this->domains[$one]) > 1) {
                return true;
            }
        }

        return false;
    }

    private function isImpossible(Brood $brood): bool
    {
        foreach ($this->eggs($brood, [])->table as $chance) {
            if (! $chance->isZero()) {
                return false;
            }
        }

        return true;
    }

    /** @param array<string, int> $number */
    private function transmission(Individual $animal, array $number): Factor
    {
        $sires = $this->siresOf($animal);
        $shares = count($sires);
        $table = [];
        $states = $this->combinations([...array_values(array_filter($sires, is_string(...))), ...($animal->dam === null ? [] : [$animal->dam])]);
        foreach ($states as $at) {
            $chances = [];
            foreach ($sires as $sire) {
                foreach ($this->young($animal, $sire === null ? null : $at[$sire], $animal->dam === null ? null : $at[$animal->dam]) as $key => [, $chance]) {
                    if (isset($this->domains[$animal->id][$key])) {
                        $chances[$key] = isset($chances[$key]) ? $chances[$key]->plus($chance) : $chance;
                    }
                }
            }
            foreach (array_keys($this->domains[$animal->id]) as $key) {
                $chance = $chances[$key] ?? Rational::zero();
                $table[] = $shares === 1 ? $chance : $chance->dividedBy(Rational::of($shares));
            }
        }

        return new Factor($this->scope([...array_values(array_filter($sires, is_string(...))), ...($animal->dam === null ? [] : [$animal->dam]), $animal->id], $number), $table);
    }

    /** @param array<string, int>|list<never> $number */
    private function eggs(Brood $brood, array $number): Factor
    {
        $sires = array_values(array_unique(array_filter($brood->sires, is_string(...))));
        $table = [];
        foreach ($this->combinations([...$sires, $brood->dam]) as $at) {
            $sum = Rational::zero();
            foreach ($brood->sires as $sire) {
                $sum = $sum->plus($this->law->seen($sire === null ? null : $at[$sire], $at[$brood->dam], $brood->saw, $brood->isDead, $this->rates->lethalDead));
            }
            $table[] = $sum->dividedBy(Rational::of(max(1, count($brood->sires))))->power(max(0, $brood->count));
        }

        return new Factor($this->scope([...$sires, $brood->dam], $number), $table);
    }

    /**
     * @param list<string> $animals
     * @return ($places is true ? list<array<string, int>> : list<array<string, State>>) every combination of their genotypes, or of the places of these, the last running fastest
     */
    private function combinations(array $animals, bool $places = false): array
    {
        $all = [[]];
        foreach ($animals as $animal) {
            $longer = [];
            foreach ($all as $at) {
                foreach (array_values($this->domains[$animal]) as $place => [$state]) {
                    $longer[] = $at + [$animal => $places ? $place : $state];
                }
            }
            $all = $longer;
        }

        return $all;
    }

    /**
     * @param list<string> $animals
     * @param array<string, int>|list<never> $number
     * @return list<int>
     */
    private function scope(array $animals, array $number): array
    {
        return array_values(array_filter(array_map(static fn (string $animal): ?int => $number[$animal] ?? null, $animals), is_int(...)));
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return State
     */
    private static function wild(array $groups, Sex $sex): array
    {
        $state = [];
        foreach ($groups as $group) {
            $state[$group->key] = $group->wildType($sex);
        }

        return $state;
    }
}
