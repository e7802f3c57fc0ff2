<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Inference\Family\AnimalEvidence;
use Destino\Inference\Family\EggEvidence;
use Destino\Inference\Family\FamilyModel;
use Destino\Inference\Family\Member;
use Destino\Inference\Family\Solved;

/**
 * Finds what is possible and hardly so: the young of a pair whose looks, or less likely ones, had a chance of one in 10,000
 * or less, with the parents as they were believed before these young.
 */
final readonly class Suspicion
{
    public const HARDLY = 1e-4;

    public function __construct(private FamilyModel $model, private Solved $solved) {}

    /** @return list<array{Matter, float}> with the chance of each */
    public function matters(): array
    {
        $matters = [];
        foreach ($this->solved->isPossible() ? $this->pairs() : [] as $young) {
            foreach (array_keys($this->model->spaces) as $i) {
                $chance = $this->chance($i, $young);
                if ($chance !== null && $chance <= self::HARDLY) {
                    $subjects = array_map(static fn (Member $member): string => $member->id, $this->heard($i, $young));
                    $loci = $this->model->spaces[$i]->loci();
                    $matter = $subjects === []
                        ? null
                        : Matter::about($this->model->context, $this->model->hypothesis, $young[0]->litter, $subjects, $loci);
                    if ($matter !== null) {
                        $at = array_values(
                            array_filter(
                                $loci,
                                fn (string $locus): bool => array_intersect(
                                    $this->model->context->catalogue->locus($locus)->alleles, $matter->named,
                                ) !== [],
                            ),
                        );
                        $matters[] = [
                            new Matter($matter->litter, $subjects, $at === [] ? $loci : $at, $matter->wanted, $matter->named),
                            $chance,
                        ];
                    }
                }
            }
        }

        return $matters;
    }

    /** @return list<non-empty-list<Member>> young of one recorded pair */
    private function pairs(): array
    {
        $pairs = [];
        foreach ([...$this->model->hypothesis->family->members, ...$this->model->hypothesis->family->eggs] as $member) {
            if (! $member->isFounder() && count($this->model->siresOf($member)) === 1) {
                $pairs["{$this->model->siresOf($member)[0]} x {$member->dam}"][] = $member;
            }
        }

        return array_values($pairs);
    }

    /**
     * @param list<Member> $young
     * @return list<Member> those of whom something is recorded at a space
     */
    private function heard(int $i, array $young): array
    {
        return array_values(array_filter($young,
            fn (Member $member): bool => ! $this->model->hypothesis->frees($member->id, $this->model->spaces[$i])
            && ($member->brood !== null ? EggEvidence::names($member->brood->saw, $this->model->spaces[$i]) && ! $member->brood->isDead
                : $member->animal !== null
                    && (
                        ($member->animal->saw !== null && EggEvidence::names($member->animal->saw, $this->model->spaces[$i]))
                            || $this->model->context->hearing->relevant($this->model->spaces[$i], $member->animal, true) !== []
                    ))));
    }

    /**
     * P(looks like these or less likely ones), over what was believed of the parents before.
     *
     * @param non-empty-list<Member> $young
     * @return float|null null where it is plainly not small, or cannot be told
     */
    private function chance(int $i, array $young): ?float
    {
        $heard = $this->heard($i, $young);
        $eggs = array_sum(array_map(static fn (Member $member): int => $member->brood->count ?? 1, $heard));
        if ($eggs < 5) { // fewer than that say nothing of one in ten thousand about a parent that is not known
            return null;
        }
        $sire = $this->model->siresOf($young[0])[0];
        $cases = $this->cases($i, $sire, (string) $young[0]->dam, $heard);
        [$kinds, $counts] = $this->kinds($i, $heard, $cases);
        $law = new SplitLaw($cases, $kinds);
        $own = $law->of($counts);
        if ($own > 1e-2) {
            return null;
        }
        // Two kinds of look that are all there is: every split of the eggs is an outcome.
        if ($law->isEither()) {
            $sum = 0.0;
            for ($k = 0; $k <= $eggs; $k++) {
                $chance = $law->of([$k, $eggs - $k]);
                $sum += $chance <= $own * (1 + 1e-9) ? $chance : 0.0;
            }

            return $sum;
        }

        return $own;
    }

    /**
     * @param list<Member> $heard
     * @return list<array{int, int, float}> genotypes of both parents with P before these young: what follows now, divided by
     *     what these young say
     */
    private function cases(int $i, string $sire, string $dam, array $heard): array
    {
        $priors = [];
        foreach ([$sire, $dam] as $id) {
            $member = $this->model->hypothesis->family->members[$id];
            $priors[] = $member->isOutsider || $member->animal === null
                ? $this->model->domains[$i][$id]
                : $this->model->context->beforehandOf($member, $this->model->spaces[$i]);
        }
        $cases = [];
        foreach ($priors[0] as $left => $p) {
            foreach ($priors[1] as $right => $q) {
                $cases[] = [$left, $right, $p->times($q)->toFloat()];
            }
        }
        $sum = array_sum(array_column($cases, 2));

        return $sum > 0.0 ? array_map(static fn (array $case): array => [$case[0], $case[1], $case[2] / $sum], $cases) : $cases;
    }

    /**
     * @param list<Member> $heard
     * @param list<array{int, int, float}> $cases
     * @return array{list<list<float>>, list<int>} P(look) by kind of look and case, and how many young are of each kind
     */
    private function kinds(int $i, array $heard, array $cases): array
    {
        $kinds = $counts = [];
        foreach ($heard as $member) {
            $odds = array_map(fn (array $case): float => $this->odds($i, $member, $case[0], $case[1]), $cases);
            $key = implode(' ', array_map(static fn (float $p): string => number_format($p, 9), $odds));
            $kinds[$key] = $odds;
            $counts[$key] = ($counts[$key] ?? 0) + ($member->brood->count ?? 1);
        }

        return [array_values($kinds), array_values($counts)];
    }

    private function odds(int $i, Member $member, int $sire, int $dam): float
    {
        if ($member->isEggs()) {
            $evidence = new EggEvidence($this->model, $member);
            $sum = 0.0;
            foreach (array_keys($evidence->classes) as $class) {
                $sum += $evidence->chance($i, $class, $sire, $dam)->toFloat();
            }

            return $sum;
        }
        $young = $this->model->young($member, $i, $sire, $dam);
        $likelihoods = (new AnimalEvidence($this->model, $i))->given($member, array_keys($young), $this->model->surelyHiding($member));
        $sum = $all = 0.0;
        foreach ($young as $number => $chance) {
            $isSex = $member->sex === null || in_array($this->model->spaces[$i]->sexOf($number), [null, $member->sex], true);
            $sum += $chance->times($likelihoods[$number])->toFloat();
            $all += $isSex ? $chance->toFloat() : 0.0;
        }

        return $all > 0.0 ? min(1.0, $sum / $all) : 0.0;
    }
}
