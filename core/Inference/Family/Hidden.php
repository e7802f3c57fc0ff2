<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Closure;
use Destino\Genome\Mask;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Inheritance\GenotypeSpace;

/** What is hidden of an animal at one space by what it is at others. */
final readonly class Hidden
{
    public function __construct(private FamilyModel $model) {}

    /** @param Closure(int, string): ?int $variableOf the variable of a member at a space; null where it is certain */
    public function factor(Member $member, int $i, Closure $variableOf): ?Factor
    {
        $others = [];
        foreach ($this->model->spaces as $j => $space) {
            $ways = [];
            foreach ($j !== $i && $space->canHide() ? array_keys($this->model->domains[$j][$member->id]) : [] as $number) {
                $ways[GenotypeSpace::maskKey($space->masksOf($number))] = true;
            }
            if ($ways !== [] && array_keys($ways) !== ['']) {
                $others[] = $j;
            }
        }
        $numbers = array_keys($this->model->domains[$i][$member->id]);
        if ($others === []) {
            return null;
        }
        $evidence = new AnimalEvidence($this->model, $i);
        $table = [];
        $isHeard = false;
        foreach ($this->maskings($member, $others) as $masks) {
            $given = $evidence->given($member, $numbers, $masks);
            foreach ($numbers as $number) {
                $table[] = $ratio = $given[$number]->dividedBy($this->model->domains[$i][$member->id][$number]);
                $isHeard = $isHeard || ! $ratio->isOne();
            }
        }
        $scope = array_map(static fn (int $j): ?int => $variableOf($j, $member->id), [...$others, $i]);

        return $isHeard ? Factor::dense(array_values(array_filter($scope, is_int(...))), $table) : null;
    }

    /**
     * @param list<int> $spaces
     * @return list<list<Mask>> what hides for each combination of an animal's genotypes there
     */
    private function maskings(Member $member, array $spaces): array
    {
        $all = [$this->model->surelyHiding($member)];
        foreach ($spaces as $j) {
            $longer = [];
            foreach ($all as $masks) {
                foreach (array_keys($this->model->domains[$j][$member->id]) as $number) {
                    $longer[] = [...$masks, ...$this->model->spaces[$j]->masksOf($number)];
                }
            }
            $all = $longer;
        }

        return $all;
    }
}
