<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\Factor;
use Destino\Probability\Rational;

/**
 * A family as a factor graph: P(founders) · Π P(young | parents) · Π P(evidence | genotype). Variables are the genotypes of
 * members that have more than one, which of several males is the sire of a clutch, which male another sire is, and of which
 * classes counted eggs are. A member that is certain is no variable, so that it cuts the graph.
 */
final class Network
{
    /** @var array<int, int> values by variable */
    public array $sizes = [];

    /** @var list<Factor> */
    public array $factors = [];

    /** @var array<string, int> variable by name */
    private array $variables = [];

    /** @param array<string, true> $without members at a space that are left out, as "space member" */
    private function __construct(private readonly FamilyModel $model, private readonly array $without) {}

    /** @param list<string> $without members at a space that are left out, as "space member" */
    public static function of(FamilyModel $model, array $without = []): self
    {
        $network = new self($model, array_fill_keys($without, true));
        foreach ($model->domains as $i => $domains) {
            foreach ($domains as $id => $domain) {
                if (count($domain) > 1 && ! isset($network->without["{$i} {$id}"])) {
                    $network->variable("{$i} {$id}", count($domain));
                }
            }
        }
        $network->addSires();
        foreach (array_keys($model->spaces) as $i) {
            $network->addAnimals($i);
        }
        foreach ($model->hypothesis->family->eggs as $eggs) {
            $network->addEggs($eggs);
        }
        $network->addOtherSires();

        return $network;
    }

    /** The variable of a member at a space; null where it is certain or left out. */
    public function variableOf(int $i, string $id): ?int
    {
        return $this->variables["{$i} {$id}"] ?? null;
    }

    /**
     * Who is the sire of a member in a draw: weights by place among its sires.
     *
     * @param array<int, int> $values by variable
     * @return array<int, float>
     */
    public function sireIn(Member $member, array $values): array
    {
        $places = $this->model->sires[$member->batch] ?? array_keys($member->sires);
        $variable = $this->variables["sire {$member->batch}"] ?? null;
        if ($variable === null) {
            return [($places[0] ?? 0) => 1.0];
        }
        if (isset($places[$values[$variable]])) {
            return [$places[$values[$variable]] => 1.0];
        }

        // mixed paternity
        return array_map(
            static fn (Rational $weight): float => $weight->toFloat(), array_intersect_key($member->weights, array_flip($places)),
        );
    }

    private function variable(string $name, int $size): int
    {
        if (! isset($this->variables[$name])) {
            $this->variables[$name] = count($this->sizes);
            $this->sizes[] = $size;
        }

        return $this->variables[$name];
    }

    private function addSires(): void
    {
        $of = [];
        foreach ([...$this->model->hypothesis->family->members, ...$this->model->hypothesis->family->eggs] as $member) {
            if (isset($this->model->sires[$member->batch])) {
                $of[$member->batch] ??= $member;
            }
        }
        foreach ($of as $batch => $member) {
            $places = $this->model->sires[$batch];
            $mixed = $this->model->context->rates->mixed;
            $weights = array_map(static fn (int $place): Rational => $member->weights[$place]->times($mixed->complement()), $places);
            $weights = $mixed->isZero() ? $weights : [...$weights, $mixed];
            if (count($weights) > 1) {
                $this->factors[] = Factor::dense([$this->variable("sire {$batch}", count($weights))], $weights);
            }
        }
    }

    /** The variable of which male is the sire of this one; null where only one can be. */
    private function sireVariable(Member $member): ?int
    {
        $batch = $this->variables["sire {$member->batch}"] ?? null;
        if ($batch === null || ! $this->model->isMixed()) {
            return $batch;
        }
        $name = "own sire {$member->id}";
        if (! isset($this->variables[$name])) {
            $places = $this->model->sires[$member->batch];
            $own = $this->variable($name, count($places));
            $table = [];
            foreach ([...array_keys($places), null] as $of) {
                foreach ($places as $i => $place) {
                    $table[] = $of === null ? $member->weights[$place] : ($of === $i ? Rational::one() : Rational::zero());
                }
            }
            $this->factors[] = Factor::dense([$batch, $own], $table);
        }

        return $this->variables[$name];
    }

    private function addAnimals(int $i): void
    {
        foreach ($this->model->hypothesis->family->members as $id => $member) {
            if (isset($this->without["{$i} {$id}"])) {
                continue;
            }
            $weights = array_values($this->model->domains[$i][$id]);
            if (
                array_filter($weights, static fn (Rational $weight): bool => ! $weight->isOne()) !== []
                && ! isset($this->model->hypothesis->otherSires[$this->litterOf($id)])
            ) {
                $this->factors[] = Factor::dense($this->scope($i, [$id]), $weights);
            }
            if (! $member->isFounder()) {
                $this->transmit($member, $i);
                $hidden = (new Hidden($this->model))->factor($member, $i, $this->variableOf(...));
                if ($hidden !== null) {
                    $this->factors[] = $hidden;
                }
            }
        }
    }

    private function litterOf(string $id): string
    {
        foreach (array_keys($this->model->hypothesis->otherSires) as $litter) {
            if (Family::otherSireOf($litter) === $id) {
                return $litter;
            }
        }

        return '';
    }

    private function transmit(Member $member, int $i): void
    {
        $choice = $this->sireVariable($member);
        $places = $this->model->sires[$member->batch] ?? array_keys($member->sires);
        foreach ($places as $option => $place) {
            $table = [];
            $own = array_keys($this->model->domains[$i][$member->id]);
            foreach (array_keys($this->model->domains[$i][$member->sires[$place]]) as $sire) {
                foreach (array_keys($this->model->domains[$i][(string) $member->dam]) as $dam) {
                    $young = $this->model->young($member, $i, $sire, $dam);
                    foreach ($own as $number) {
                        $table[] = $young[$number] ?? Rational::zero();
                    }
                }
            }
            $this->factors[] = $this->under(
                $choice, $option, $this->scope($i, [$member->sires[$place], (string) $member->dam, $member->id]), $table,
            );
        }
    }

    /**
     * A table that holds where a male is the sire, and says nothing where he is not.
     *
     * @param list<int> $scope
     * @param list<Rational> $table
     */
    private function under(?int $choice, int $option, array $scope, array $table): Factor
    {
        if ($choice === null) {
            return Factor::dense($scope, $table);
        }
        $whole = [];
        $one = Rational::one();
        for ($value = 0; $value < $this->sizes[$choice]; $value++) {
            array_push($whole, ...($value === $option ? $table : array_fill(0, count($table), $one)));
        }

        return Factor::dense([$choice, ...$scope], $whole);
    }

    private function addEggs(Member $eggs): void
    {
        $evidence = new EggEvidence($this->model, $eggs);
        $count = $eggs->brood->count ?? 0;
        $most = $this->model->isMixed() && isset($this->variables["sire {$eggs->batch}"]) ? 1 : Sharings::fits(count($evidence->classes));
        for ($part = 0; $count > 0; $part++) {
            $this->addSome($eggs, $evidence, min($count, $most), $part);
            $count -= $most;
        }
    }

    private function addSome(Member $eggs, EggEvidence $evidence, int $count, int $part): void
    {
        $part = new Member(
            "{$eggs->id} part {$part}", null, $eggs->sires, $eggs->weights, $eggs->dam, $eggs->batch, $eggs->litter, null,
            $eggs->brood,
        );
        $choice = $this->sireVariable($part);
        $sharings = Sharings::of($count, count($evidence->classes));
        $classes = null;
        if (count($sharings) > 1) {
            $classes = $this->variable("classes {$part->id}", count($sharings));
            $this->factors[] = Factor::dense(
                [$classes],
                array_map(
                    static fn (array $shares): Rational => Sharings::ways($shares, array_column($evidence->classes, 'weight')),
                    $sharings,
                ),
            );
        }
        foreach (array_keys($this->model->spaces) as $i) {
            if (! $evidence->speaksOf($i) || $this->model->hypothesis->frees($eggs->id, $this->model->spaces[$i])) {
                continue;
            }
            foreach ($this->model->sires[$eggs->batch] ?? array_keys($eggs->sires) as $option => $place) {
                $this->factors[] = $this->under(
                    $choice, $option,
                    [...($classes === null ? [] : [$classes]), ...$this->scope($i, [$eggs->sires[$place], (string) $eggs->dam])],
                    $this->products($evidence, $i, $sharings, $eggs->sires[$place], (string) $eggs->dam),
                );
            }
        }
        if ($classes === null && ! $evidence->classes[0]['weight']->isOne()) {
            $this->factors[] = new Factor([], [$evidence->classes[0]['weight']->power(max(0, $count))]);
        }
    }

    /**
     * @param list<list<int>> $sharings
     * @return list<Rational> by sharing and genotypes of the parents
     */
    private function products(EggEvidence $evidence, int $i, array $sharings, string $sire, string $dam): array
    {
        $table = [];
        foreach ($sharings as $shares) {
            foreach (array_keys($this->model->domains[$i][$sire]) as $ofSire) {
                foreach (array_keys($this->model->domains[$i][$dam]) as $ofDam) {
                    $table[] = Sharings::product($evidence, $i, $shares, $ofSire, $ofDam);
                }
            }
        }

        return $table;
    }

    /** Which male another sire is ties what he is at one space to what he is at another. */
    private function addOtherSires(): void
    {
        foreach (array_keys($this->model->hypothesis->otherSires) as $litter) {
            $id = Family::otherSireOf($litter);
            $males = OtherMales::of($this->model, $litter);
            $which = count($males->weights) > 1 ? $this->variable("male {$litter}", count($males->weights)) : null;
            if ($which !== null) {
                $this->factors[] = Factor::dense([$which], $males->weights);
            }
            foreach ($this->model->domains as $i => $domains) {
                $table = [];
                foreach ($males->priors as $priors) {
                    foreach (array_keys($domains[$id]) as $number) {
                        $table[] = $priors[$i][$number] ?? Rational::zero();
                    }
                }
                $this->factors[] = Factor::dense([...($which === null ? [] : [$which]), ...$this->scope($i, [$id])], $table);
            }
        }
    }

    /**
     * @param list<string> $ids
     * @return list<int>
     */
    private function scope(int $i, array $ids): array
    {
        return array_values(array_filter(array_map(fn (string $id): ?int => $this->variables["{$i} {$id}"] ?? null, $ids), is_int(...)));
    }
}
