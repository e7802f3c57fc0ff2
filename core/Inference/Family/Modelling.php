<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Rational;

/** Lays out what is possible in a family, trims it, and finds what cannot be. */
final readonly class Modelling
{
    private function __construct(private FamilyModel $model) {}

    /**
     * @param list<GenotypeSpace> $spaces
     * @param array<string, Concealed> $hiding what hides things in a member, by member
     * @param array<string, list<Seen>> $seen what was seen of a member, by member
     */
    public static function of(Context $context, Hypothesis $hypothesis, array $spaces, array $hiding = [], array $seen = []): FamilyModel
    {
        $model = new FamilyModel($context, $hypothesis, $spaces);
        $model->hiding = $hiding;
        $model->seen = $seen;
        $modelling = new self($model);
        foreach (array_keys($spaces) as $i) {
            $modelling->lay($i);
        }
        if ($model->offender === null) {
            (new Trimming($model))->run();
            $modelling->checkEggs();
            $modelling->doubt();
        }

        return $model;
    }

    private function lay(int $i): void
    {
        $space = $this->model->spaces[$i];
        $founders = new FounderPrior($this->model->context, $this->model->hypothesis, $space);
        $evidence = new AnimalEvidence($this->model, $i);
        $this->model->domains[$i] = [];
        $this->model->trimmed[$i] = [];
        foreach ($this->model->hypothesis->family->members as $id => $member) {
            $domain = $member->isFounder() ? $founders->of($member) : $this->descendant($member, $i, $evidence);
            $this->model->domains[$i][$id] = $member->isOutsider && $this->isOtherSire($id) ? $this->otherSire($id, $i, $domain) : $domain;
            if ($domain === []) {
                [$this->model->offender, $this->model->offendsAt] = [$this->model->offender ?? $id, $this->model->offendsAt ?? $i];

                return;
            }
            if (! $member->isFounder() && count($member->sires) > 1) {
                $this->model->sires[$member->batch] ??= array_keys($member->sires);
            }
        }
        foreach ($this->model->hypothesis->family->eggs as $eggs) {
            if (count($eggs->sires) > 1) {
                $this->model->sires[$eggs->batch] ??= array_keys($eggs->sires);
            }
        }
    }

    private function isOtherSire(string $id): bool
    {
        foreach (array_keys($this->model->hypothesis->otherSires) as $litter) {
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
        $this->model->outsiders[$id][$i] = $outside;
        $litter = substr($id, strlen(Family::otherSireOf('')));
        $all = $outside;
        foreach (($this->model->context->otherMales)($this->model->hypothesis->family, $litter) as $male) {
            $all += $this->model->context->beforehandOf(OtherMales::member($this->model->context, $male), $this->model->spaces[$i]);
        }

        return $all;
    }

    /** @return array<int, Rational> what the parents' genotypes allow, with the likelihood of the evidence */
    private function descendant(Member $member, int $i, AnimalEvidence $evidence): array
    {
        $possible = [];
        $dams = array_keys($this->model->domains[$i][(string) $member->dam]);
        foreach ($member->sires as $sire) {
            foreach (array_keys($this->model->domains[$i][$sire]) as $left) {
                foreach ($dams as $right) {
                    $possible += $this->model->young($member, $i, $left, $right);
                }
            }
        }
        $domain = [];
        foreach ($evidence->likelihoods($member, array_keys($possible), $this->model->hidingOf($member)) as $number => $likelihood) {
            if (! $likelihood->isZero()) {
                $domain[$number] = $likelihood;
            // its sex alone tells nothing of anybody
            } elseif ($member->sex === null || in_array($this->model->spaces[$i]->sexOf($number), [null, $member->sex], true)) {
                $this->model->trimmed[$i][$member->id] = true;
            }
        }

        return $domain;
    }

    private function checkEggs(): void
    {
        foreach ($this->model->offender === null ? $this->model->hypothesis->family->eggs : [] as $eggs) {
            $possible = array_values(
                array_filter(
                    $this->model->sires[$eggs->batch] ?? array_keys($eggs->sires),
                    fn (int $place): bool => $this->isPossible($eggs, $eggs->sires[$place]),
                ),
            );
            if (isset($this->model->sires[$eggs->batch]) && ! $this->model->isMixed()) {
                $this->model->sires[$eggs->batch] = $possible;
            }
            if ($possible === []) {
                $this->model->offender = $eggs->id;

                return;
            }
        }
    }

    /** Whether some genotypes of these parents can give eggs that look so. */
    private function isPossible(Member $eggs, string $sire): bool
    {
        $seen = new EggEvidence($this->model, $eggs);
        foreach ($this->model->spaces as $i => $space) {
            $some = $this->model->hypothesis->frees($eggs->id, $space);
            foreach (array_keys($this->model->domains[$i][$sire]) as $left) {
                foreach (array_keys($this->model->domains[$i][(string) $eggs->dam]) as $right) {
                    foreach (array_keys($seen->classes) as $class) {
                        $some = $some || ! $seen->speaksOf($i) || ! $seen->chance($i, $class, $left, $right)->isZero();
                    }
                }
            }
            if (! $some) {
                $this->model->offendsAt = $i;

                return false;
            }
        }

        return true;
    }

    private function doubt(): void
    {
        if ($this->model->offender !== null) {
            return;
        }
        foreach ($this->model->hypothesis->family->members as $id => $member) {
            foreach ($member->isFounder() ? [] : $member->animal->testimonies ?? [] as $testimony) {
                if (! $testimony->certainty->isOne() && $this->isExcluded($testimony, $member)) {
                    $this->model->doubted[$id] = $testimony->id;
                }
            }
        }
    }

    private function isExcluded(Testimony $testimony, Member $member): bool
    {
        foreach ($this->model->spaces as $i => $space) {
            $says = $this->model->context->hearing->chances($space, $testimony);
            $isHeard = ! $this->model->hypothesis->frees($member->id, $space)
                && (
                    $testimony->namesAllThatShows
                    || $this->model->context->hearing->naming->loci($space->groups, $testimony) !== []
                    || $this->model->context->hearing->absentHere($space, $testimony) !== []
                );
            $allowed = array_filter(array_keys($this->model->domains[$i][$member->id]),
                function (int $number) use ($space, $testimony, $says, $member): bool {
                foreach ($this->model->hidingOf($member) as $masks) {
                    if ($this->model->context->hearing->allows($space->state($number), $space, $testimony, $says, $masks) !== null) {
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
