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
    public readonly array $sizes;

    /** @var list<Factor> */
    public readonly array $factors;

    private readonly Wiring $wiring;

    private readonly EggFactors $eggs;

    /** @param array<string, true> $without members at a space that are left out, as "space member" */
    private function __construct(private readonly FamilyModel $model, private readonly array $without)
    {
        $this->wiring = new Wiring;
        $this->eggs = new EggFactors($model, $this->wiring);
        $this->addAll();
        $this->sizes = $this->wiring->sizes;
        $this->factors = $this->wiring->factors;
    }

    /** @param list<string> $without members at a space that are left out, as "space member" */
    public static function of(FamilyModel $model, array $without = []): self
    {
        return new self($model, array_fill_keys($without, true));
    }

    private function addAll(): void
    {
        foreach ($this->model->domains as $i => $domains) {
            foreach ($domains as $id => $domain) {
                if (count($domain) > 1 && ! isset($this->without["{$i} {$id}"])) {
                    $this->wiring->variable("{$i} {$id}", count($domain));
                }
            }
        }
        $this->addSires();
        foreach (array_keys($this->model->spaces) as $i) {
            $this->addAnimals($i);
        }
        foreach ($this->model->hypothesis->family->eggs as $eggs) {
            $this->eggs->addEggs($eggs);
        }
        $this->addOtherSires();
        (new SeenFactors($this->model, $this->wiring))->add();
        foreach ($this->model->messages as $name => $message) {
            $variable = $this->wiring->known($name);
            if ($variable !== null) {
                $possible = array_filter($message, static fn (float $weight): bool => $weight > 0.0);
                $this->wiring->factors[] = new Factor([$variable], $possible);
            }
        }
    }

    /** The variable of a member at a space; null where it is certain or left out. */
    public function variableOf(int $i, string $id): ?int
    {
        return $this->wiring->known("{$i} {$id}");
    }

    /** The variable of a name: "space member" for a genotype, "sire batch" for which male it was; null where it is certain. */
    public function named(string $name): ?int
    {
        return $this->wiring->known($name);
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
        $variable = $this->wiring->known("sire {$member->batch}");
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
            $weights = array_map(
                fn (int $place): Rational => $this->model->hasSirePriors
                    ? $member->weights[$place]->times($mixed->complement())
                    : Rational::one(), $places,
            );
            $weights = $mixed->isZero() ? $weights : [...$weights, $mixed];
            if (count($weights) > 1) {
                $this->wiring->factors[] = Factor::dense([$this->wiring->variable("sire {$batch}", count($weights))], $weights);
            }
        }
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
                $this->wiring->factors[] = Factor::dense($this->wiring->scope($i, [$id]), $weights);
            }
            if (! $member->isFounder()) {
                $this->transmit($member, $i);
                $hidden = (new Hidden($this->model))->factor($member, $i, $this->variableOf(...));
                if ($hidden !== null) {
                    $this->wiring->factors[] = $hidden;
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
        $choice = $this->eggs->sireVariable($member);
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
            $this->wiring->factors[] = $this->wiring->under(
                $choice, $option, $this->wiring->scope($i, [$member->sires[$place], (string) $member->dam, $member->id]), $table,
            );
        }
    }

    /** Which male another sire is ties what he is at one space to what he is at another. */
    private function addOtherSires(): void
    {
        foreach (array_keys($this->model->hypothesis->otherSires) as $litter) {
            $id = Family::otherSireOf($litter);
            $males = OtherMales::of($this->model, $litter);
            $which = count($males->weights) > 1 ? $this->wiring->variable("male {$litter}", count($males->weights)) : null;
            if ($which !== null) {
                $this->wiring->factors[] = Factor::dense([$which], $males->weights);
            }
            foreach ($this->model->domains as $i => $domains) {
                $table = [];
                foreach ($males->priors as $priors) {
                    foreach (array_keys($domains[$id]) as $number) {
                        $table[] = $priors[$i][$number] ?? Rational::zero();
                    }
                }
                $this->wiring->factors[] = Factor::dense([...($which === null ? [] : [$which]), ...$this->wiring->scope($i, [$id])],
                    $table);
            }
        }
    }
}
