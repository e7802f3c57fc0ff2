<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\Catalogue;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\InferenceError;
use Destino\Inference\Evidence\Roles;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\FamilyContent;
use Destino\Inference\Family\FamilyPosterior;
use Destino\Inference\Family\FreeMales;
use Destino\Inference\Family\Gathering;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\TiedGroups;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * A collection as families: animals that are joined by parentage or by a clutch. Families have nothing to say of each
 * other, and neither have linkage groups that nothing ties together, so each family is worked out by itself at each
 * bundle of groups, and what is kept of it holds as long as its content does. Only where something is wrong in a family
 * do all its groups have a say together.
 */
final class Kindred
{
    /** @var list<InferenceError> what is wrong with the records of a family, which is left out */
    public readonly array $faults;

    private readonly Gathering $gathered;

    private readonly Context $context;

    private readonly Descent $descent;

    /** @var array<int, Hypothesis> by family: what was decided */
    private array $given = [];

    /** @var array<int, Bundles> by family */
    private array $bundles = [];

    /** @var array<int, FamilyContent> by family */
    private array $contents = [];

    /** @var array<string, GenotypeSpace> by groups */
    private array $spaces = [];

    /** @var array<int, array<string, FamilyPosterior>> by family and space, before anything that is wrong was explained */
    private array $plain = [];

    /** @var array<int, array<string, FamilyPosterior>> by family and space */
    private array $explained = [];

    /**
     * @param array<string, Individual> $everyone by id
     * @param list<Brood> $broods
     * @param list<Fault> $decided what the keeper holds to be wrong in the records
     * @param Descent|null $descent over the same animals, where there is one already
     */
    public function __construct(
        private readonly Catalogue $catalogue,
        array $everyone,
        array $broods = [],
        private readonly ?ErrorRates $rates = null,
        private readonly array $decided = [],
        ?Descent $descent = null,
    ) {
        $roles = Roles::of($everyone, $broods);
        $everyone = array_map(
            static fn (Individual $animal): Individual => (
                $roles->sexes[$animal->id] ?? null
            ) === $animal->sex ? $animal : $animal->ofSex($roles->sexes[$animal->id] ?? null),
            $everyone,
        );
        $this->descent = $descent ?? new Descent($catalogue, $everyone, null, $this->rates()->unrecorded);
        $this->gathered = new Gathering($everyone, $broods, $roles->wrong);
        $this->faults = $this->gathered->faults;
        $this->context = new Context($catalogue, new Hearing($catalogue), $this->descent, $this->rates(), $this->freeMales(...));
    }

    /** @return list<list<string>> ids by family, parents before their young */
    public function families(): array
    {
        return $this->gathered->families;
    }

    /** @throws InferenceError when the animal is unknown or its family is left out */
    public function animal(string $id): Individual
    {
        return $this->gathered->animals[$id] ?? throw InferenceError::unknownAnimal($id);
    }

    public function familyOf(string $id): ?int
    {
        return $this->gathered->familyOf[$id] ?? null;
    }

    public function rates(): ErrorRates
    {
        return $this->rates ?? ErrorRates::assumed();
    }

    /** @return list<list<LinkageGroup>> that anything is recorded of in a family; groups that a statement ties stand together */
    public function groupSetsOf(int $family): array
    {
        return array_merge(
            ...array_map(
                static fn (array $bundle): array => array_map(static fn (GenotypeSpace $space): array => $space->groups, $bundle),
                $this->bundles($family)->all,
            ),
        );
    }

    /**
     * Everything that a family's answer at some groups follows from, gene facts aside; empty where nothing is recorded there.
     *
     * @param list<LinkageGroup> $groups
     */
    public function contentOf(int $family, array $groups): string
    {
        $bundle = $this->bundles($family)->holding(self::keyOf($groups));

        $this->contents[$family] ??= new FamilyContent($this->context, $this->given($family), $this->decidedOf($family));

        return $bundle === null ? '' : $this->bundles($family)->content($this->contents[$family], $bundle);
    }

    /** Everything that a family's answers follow from where something in it is wrong. */
    public function wholeContentOf(int $family): string
    {
        return implode(
            "\n",
            array_map(fn (array $bundle): string => $this->contentOf($family, $bundle[0]->groups), $this->bundles($family)->all),
        );
    }

    /**
     * What the records of these groups alone say; where they exclude each other, or hardly allow each other, the answer is
     * disputed and that of posterior() is the one to take.
     *
     * @param list<LinkageGroup> $groups
     */
    public function plain(int $family, array $groups): FamilyPosterior
    {
        $key = self::keyOf($groups);
        if (! isset($this->plain[$family][$key])) {
            $bundle = $this->bundles($family)->holding(self::keyOf($groups));
            $this->plain[$family] = ($this->plain[$family] ?? []) + $this->explainer($family)->plain($bundle ?? [$this->space($groups)]);
        }

        return $this->plain[$family][$key];
    }

    /** @param list<LinkageGroup> $groups */
    public function posterior(int $family, array $groups): FamilyPosterior
    {
        $isDisputed = false;
        foreach ($this->groupSetsOf($family) as $set) {
            $isDisputed = $this->plain($family, $set)->isDisputed || $isDisputed;
        }
        if (! $isDisputed) {
            return $this->plain($family, $groups);
        }
        $this->explained[$family] ??= $this->explainer($family)->explained($this->plain[$family]);

        return $this->explained[$family][self::keyOf($groups)] ?? $this->plain($family, $groups);
    }

    private function explainer(int $family): Explainer
    {
        return new Explainer($this->context, $this->given($family), $this->bundles($family), $this->decidedOf($family), $this->space(...));
    }

    /** @return list<Fault> */
    private function decidedOf(int $family): array
    {
        $broods = array_map(static fn (Brood $brood): string => $brood->id, $this->gathered->broodsOf[$family] ?? []);

        return array_values(
            array_filter(
                $this->decided,
                fn (Fault $fault): bool => (
                    $this->gathered->familyOf[$fault->subject] ?? null
                ) === $family || in_array($fault->subject, $broods, true),
            ),
        );
    }

    private function given(int $family): Hypothesis
    {
        return $this->given[$family] ??= Hypothesis::of(
            Family::of(
                array_map(fn (string $id): Individual => $this->gathered->animals[$id], $this->gathered->families[$family]),
                $this->gathered->broodsOf[$family] ?? [],
            ),
            $this->decidedOf($family), $this->catalogue,
        );
    }

    private function bundles(int $family): Bundles
    {
        $tied = fn (): array => TiedGroups::of($this->catalogue, $this->given($family)->family, $this->decidedOf($family));

        return $this->bundles[$family] ??= Bundles::of($this->context, $this->given($family), array_map($this->space(...), $tied()));
    }

    /** @param list<LinkageGroup> $groups */
    private function space(array $groups): GenotypeSpace
    {
        return $this->spaces[self::keyOf($groups)] ??= new GenotypeSpace($this->catalogue, $groups);
    }

    /** @param list<LinkageGroup> $groups */
    private static function keyOf(array $groups): string
    {
        return implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups));
    }

    /** @return list<string> */
    private function freeMales(Family $family, string $litter): array
    {
        return FreeMales::beside($this->gathered, $family, $litter);
    }
}
