<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Inference\Graph\Factor;
use Destino\Probability\Rational;

/** What was seen of members in the graph of their family: P(seen | genotype at all spaces that it tells apart). */
final class SeenFactors
{
    /** @var array<string, Rational> chances by observation and genotype; siblings are seen alike */
    private array $known = [];

    public function __construct(private readonly FamilyModel $model, private readonly Wiring $wiring) {}

    public function add(): void
    {
        foreach ($this->model->seen as $id => $all) {
            $member = $this->model->hypothesis->family->members[$id] ?? null;
            foreach ($all as $seen) {
                if ($member !== null && ! $this->isFree($member, $seen)) {
                    $this->wiring->factors[] = $this->factor($member, $seen);
                }
            }
        }
    }

    /** Whether its looks are not heard. */
    public function isFree(Member $member, Seen $seen): bool
    {
        foreach ($this->spacesOf($seen) as $i) {
            if ($this->model->hypothesis->frees($member->id, $this->model->spaces[$i])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<int> places of the spaces that it tells apart */
    public function spacesOf(Seen $seen): array
    {
        return array_values(array_filter(
            array_keys($this->model->spaces), fn (int $i): bool => in_array($this->model->spaces[$i]->key, $seen->spaces, true),
        ));
    }

    /** @return list<Rational> P(seen | genotypes at the spaces that it tells apart), the last space running fastest */
    public function chances(Member $member, Seen $seen): array
    {
        $chances = [];
        $loci = array_flip($seen->penetrance->loci());
        foreach ($this->combinations($member, $this->spacesOf($seen), $loci) as [$forms, $sex, $key]) {
            $chances[] = $this->known["{$seen->content()} {$key} {$member->sex?->value}"] ??= $seen->penetrance
                ->of($forms + $seen->elsewhere, $sex ?? $member->sex);
        }

        return $chances;
    }

    private function factor(Member $member, Seen $seen): Factor
    {
        $chances = $this->chances($member, $seen);
        $scope = [];
        foreach ($this->spacesOf($seen) as $i) {
            array_push($scope, ...$this->wiring->scope($i, [$member->id]));
        }
        if ($seen->set === null) {
            return Factor::dense($scope, $chances);
        }
        $shows = $this->wiring->variable("alike {$seen->set}", 2);
        $not = array_map(static fn (Rational $chance): Rational => $chance->complement(), $chances);

        return Factor::dense([$shows, ...$scope], [...$not, ...$chances]);
    }

    /**
     * @param list<int> $spaces
     * @param array<string, int> $loci on which it depends
     * @return list<array{array<string, Form>, Sex|null, string}> the last space running fastest
     */
    private function combinations(Member $member, array $spaces, array $loci): array
    {
        $all = [[[], null, '']];
        foreach ($spaces as $i) {
            $longer = $own = [];
            foreach (array_keys($this->model->domains[$i][$member->id]) as $number) {
                $forms = array_intersect_key($this->model->spaces[$i]->formsOf($number), $loci);
                $sex = isset($loci[Sex::LOCUS]) ? $this->model->spaces[$i]->sexOf($number) : null;
                $own[] = [$forms, $sex, implode(' ', array_map(static fn (Form $form): string => $form->key(), $forms))];
            }
            foreach ($all as [$before, $sex, $key]) {
                foreach ($own as [$forms, $ownSex, $name]) {
                    $longer[] = [$before + $forms, $ownSex ?? $sex, "{$key} {$name}".($ownSex->value ?? '')];
                }
            }
            $all = $longer;
        }

        return $all;
    }
}
