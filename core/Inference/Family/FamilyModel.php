<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Rational;

/**
 * What is possible in a family at some spaces of genotypes under a hypothesis: for each member the genotypes that its
 * parents, its own evidence and its relatives leave, with the likelihood of its evidence.
 */
final class FamilyModel
{
    /** @var list<array<string, array<int, Rational>>> by space and member: P (of founders) or likelihood by number of the genotype */
    public array $domains = [];

    /** @var list<array<string, true>> members of which evidence or relatives exclude something, by space */
    public array $trimmed = [];

    /** @var array<string, list<int>> places of the sires that are possible, by batch of several */
    public array $sires = [];

    /** @var string|null what cannot be: an animal or counted eggs */
    public ?string $offender = null;

    /** @var array<string, string> ids of statements that nothing possible agrees with, though they are not sure; by animal */
    public array $doubted = [];

    /** The space at which it cannot be. */
    public ?int $offendsAt = null;

    /** @var array<string, array<int, array<int, Rational>>> P(genotype) of another sire that is from outside, by member and space */
    public array $outsiders = [];

    /** @var array<string, Concealed> what hides things in a member at other spaces, by member */
    private array $hiding = [];

    /** @param list<GenotypeSpace> $spaces */
    private function __construct(public readonly Context $context, public readonly Hypothesis $hypothesis, public readonly array $spaces) {}

    /**
     * @param list<GenotypeSpace> $spaces
     * @param array<string, Concealed> $hiding what hides things in a member, by member
     */
    public static function of(Context $context, Hypothesis $hypothesis, array $spaces, array $hiding = []): self
    {
        $model = new self($context, $hypothesis, $spaces);
        $model->hiding = $hiding;
        foreach (array_keys($spaces) as $i) {
            $model->lay($i);
        }
        if ($model->offender === null) {
            (new Trimming($model))->run();
            $model->checkEggs();
            $model->doubt();
        }

        return $model;
    }

    /**
     * P(young | parents) over a space, with a mutation where the hypothesis has one.
     *
     * @return array<int, Rational>
     */
    public function young(Member $member, int $space, int $sire, int $dam): array
    {
        $alleles = array_values(
            array_filter(
                $this->hypothesis->mutations[$member->id] ?? [],
                fn (string $allele): bool => $this->spaces[$space]->holds($this->context->catalogue->allele($allele)->locus),
            ),
        );

        return $alleles === [] ? $this->spaces[$space]->living($sire, $dam) : $this->spaces[$space]->mutant($sire, $dam, $alleles);
    }

    /** @return list<string> ids of the sires that are still possible */
    public function siresOf(Member $member): array
    {
        $places = $this->sires[$member->batch] ?? null;

        return $places === null ? $member->sires : array_values(array_intersect_key($member->sires, array_flip($places)));
    }

    /**
     * Ways in which a member may hide things at a space by what it is elsewhere; [[]] where nothing does.
     *
     * @return list<list<Mask>>
     */
    public function hidingOf(Member $member): array
    {
        return ($this->hiding[$member->id] ?? null)->ways ?? [[]];
    }

    /** @return list<Mask> what a member has for certain, at spaces that are not looked at here, that hides */
    public function surelyHiding(Member $member): array
    {
        return ($this->hiding[$member->id] ?? null)->sure ?? [];
    }

    private function lay(int $i): void
    {
        $space = $this->spaces[$i];
        $founders = new FounderPrior($this->context, $this->hypothesis, $space);
        $evidence = new AnimalEvidence($this, $i);
        $this->domains[$i] = [];
        $this->trimmed[$i] = [];
        foreach ($this->hypothesis->family->members as $id => $member) {
            $domain = $member->isFounder() ? $founders->of($member) : $this->descendant($member, $i, $evidence);
            $this->domains[$i][$id] = $member->isOutsider && $this->isOtherSire($id) ? $this->otherSire($id, $i, $domain) : $domain;
            if ($domain === []) {
                [$this->offender, $this->offendsAt] = [$this->offender ?? $id, $this->offendsAt ?? $i];

                return;
            }
            if (! $member->isFounder() && count($member->sires) > 1) {
                $this->sires[$member->batch] ??= array_keys($member->sires);
            }
        }
        foreach ($this->hypothesis->family->eggs as $eggs) {
            if (count($eggs->sires) > 1) {
                $this->sires[$eggs->batch] ??= array_keys($eggs->sires);
            }
        }
    }

    private function isOtherSire(string $id): bool
    {
        foreach (array_keys($this->hypothesis->otherSires) as $litter) {
            if (Family::otherSireOf($litter) === $id) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<int, Rational> $outside
     * @return array<int, Rational> every genotype that another sire may have; their weights stand in OtherMales
     */
    private function otherSire(string $id, int $i, array $outside): array
    {
        $this->outsiders[$id][$i] = $outside;
        $litter = substr($id, strlen(Family::otherSireOf('')));
        $all = $outside;
        foreach (($this->context->otherMales)($this->hypothesis->family, $litter) as $male) {
            $all += $this->context->beforehandOf(OtherMales::member($this->context, $male), $this->spaces[$i]);
        }

        return $all;
    }

    /** @return array<int, Rational> what the parents' genotypes allow, with the likelihood of the evidence */
    private function descendant(Member $member, int $i, AnimalEvidence $evidence): array
    {
        $possible = [];
        $dams = array_keys($this->domains[$i][(string) $member->dam]);
        foreach ($member->sires as $sire) {
            foreach (array_keys($this->domains[$i][$sire]) as $left) {
                foreach ($dams as $right) {
                    $possible += $this->young($member, $i, $left, $right);
                }
            }
        }
        $domain = [];
        foreach ($evidence->likelihoods($member, array_keys($possible), $this->hidingOf($member)) as $number => $likelihood) {
            if (! $likelihood->isZero()) {
                $domain[$number] = $likelihood;
            // its sex alone tells nothing of anybody
            } elseif ($member->sex === null || in_array($this->spaces[$i]->sexOf($number), [null, $member->sex], true)) {
                $this->trimmed[$i][$member->id] = true;
            }
        }

        return $domain;
    }

    public function isMixed(): bool
    {
        return ! $this->context->rates->mixed->isZero();
    }

    private function checkEggs(): void
    {
        foreach ($this->offender === null ? $this->hypothesis->family->eggs : [] as $eggs) {
            $possible = array_values(
                array_filter(
                    $this->sires[$eggs->batch] ?? array_keys($eggs->sires),
                    fn (int $place): bool => $this->isPossible($eggs, $eggs->sires[$place]),
                ),
            );
            if (isset($this->sires[$eggs->batch]) && ! $this->isMixed()) {
                $this->sires[$eggs->batch] = $possible;
            }
            if ($possible === []) {
                $this->offender = $eggs->id;

                return;
            }
        }
    }

    /** Whether some genotypes of these parents can give eggs that look so. */
    private function isPossible(Member $eggs, string $sire): bool
    {
        $seen = new EggEvidence($this, $eggs);
        foreach ($this->spaces as $i => $space) {
            $some = $this->hypothesis->frees($eggs->id, $space);
            foreach (array_keys($this->domains[$i][$sire]) as $left) {
                foreach (array_keys($this->domains[$i][(string) $eggs->dam]) as $right) {
                    foreach (array_keys($seen->classes) as $class) {
                        $some = $some || ! $seen->speaksOf($i) || ! $seen->chance($i, $class, $left, $right)->isZero();
                    }
                }
            }
            if (! $some) {
                $this->offendsAt = $i;

                return false;
            }
        }

        return true;
    }

    private function doubt(): void
    {
        if ($this->offender !== null) {
            return;
        }
        foreach ($this->hypothesis->family->members as $id => $member) {
            foreach ($member->isFounder() ? [] : $member->animal->testimonies ?? [] as $testimony) {
                if (! $testimony->certainty->isOne() && $this->isExcluded($testimony, $member)) {
                    $this->doubted[$id] = $testimony->id;
                }
            }
        }
    }

    private function isExcluded(Testimony $testimony, Member $member): bool
    {
        foreach ($this->spaces as $i => $space) {
            $says = $this->context->hearing->chances($space, $testimony);
            $isHeard = ! $this->hypothesis->frees($member->id, $space)
                && (
                    $testimony->namesAllThatShows
                    || $this->context->hearing->naming->loci($space->groups, $testimony) !== []
                    || $this->context->hearing->absentHere($space, $testimony) !== []
                );
            $allowed = array_filter(array_keys($this->domains[$i][$member->id]), function (int $number) use ($space, $testimony, $says, $member): bool {
                foreach ($this->hidingOf($member) as $masks) {
                    if ($this->context->hearing->allows($space->state($number), $space, $testimony, $says, $masks) !== null) {
                        return true;
                    }
                }

                return false;
            });
            if ($isHeard && $allowed === []) {
                return true;
            }
        }

        return false;
    }
}
