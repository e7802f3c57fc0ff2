<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Appearance\LookFacts;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Inference\Faults\ErrorRates;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\Number;
use Destino\Probability\Rational;

/**
 * What the young of a clutch are, from the parents and from what was seen of each: the odds of genes and genotypes, what to look at
 * next.
 */
final class Identification
{
    private readonly CueChances $chances;

    /** @var array<string, array{next: list<array{cue: Cue, bits: float, separates: string, chances: list<float>}>, later: list<Cue>}> by young */
    private array $asked = [];

    /** @var array<string, CuesRead> by content */
    private array $seen = [];

    /** @var list<Rational|float> P(each male is the sire) */
    private readonly array $sires;

    /** @var array<string, Young> by id, those that these parents can have */
    private readonly array $young;

    /** @var list<string> hatchlings that these parents cannot have */
    public readonly array $impossible;

    /**
     * @param array<string, Cue> $cues by key
     * @param bool $inFractions whether a small clutch is worked out in fractions
     * @param LookFacts $looks what cues are read from
     * @param ErrorRates|null $rates how often an egg that is seen dead died of its form; null for the assumed ones
     *
     * @throws IdentificationError where too much is tied together, or what was counted cannot be
     */
    public function __construct(
        private readonly Catalogue $catalogue, LookFacts $looks, public readonly Clutch $clutch, private readonly array $cues,
        bool $inFractions = true, private readonly ?ErrorRates $rates = null,
    ) {
        $this->chances = new CueChances($catalogue, $looks);
        [$family, $this->impossible] = $this->possible();
        [$this->sires, $this->young] = $family->solved($inFractions);
    }

    /** @return array{ClutchFamily, list<string>} without those that cannot be, named */
    private function possible(): array
    {
        $whole = $this->without([]);
        if ($whole->isPossible()) {
            return [$whole, []];
        }
        $ids = array_map(static fn (Hatchling $one): string => $one->id, $this->clutch->hatchlings);
        if (! $this->without($ids)->isPossible()) {
            throw IdentificationError::impossibleCount(
                implode(', ', array_map(static fn (array $count): string => $count['saw']->text, $this->clutch->counts)),
            );
        }
        $kept = [];
        foreach ($ids as $id) { // one after the other: those that fit the ones before
            if ($this->without(array_values(array_diff($ids, [...$kept, $id])))->isPossible()) {
                $kept[] = $id;
            }
        }
        $impossible = array_values(array_diff($ids, $kept));

        return [$this->without($impossible), $impossible];
    }

    /** @param list<string> $ids */
    private function without(array $ids): ClutchFamily
    {
        $clutch = $ids === [] ? $this->clutch : $this->clutch->without($ids);

        return new ClutchFamily($this->catalogue, $clutch, $this->cues, $this->rates ?? ErrorRates::assumed(), $this->chances);
    }

    /** @return list<array{id: string, exact: Rational|null, decimal: float}> */
    public function sires(): array
    {
        return array_map(
            static fn (array $sire, Rational|float $p): array => ['id' => $sire['id']] + Number::shown($p),
            $this->clutch->sires, $this->sires,
        );
    }

    /**
     * P(at least one copy), for every allele that a young may have, in catalogue order.
     *
     * @return list<array{allele: Allele, exact: Rational|null, decimal: float}>
     */
    public function genes(string $id): array
    {
        $genes = [];
        $loci = array_flip($this->young[$id]->loci());
        foreach ($this->catalogue->alleles as $allele) {
            if (! isset($loci[$allele->locus])) {
                continue;
            }
            $copies = array_filter(
                $this->young[$id]->over([$allele->locus]),
                static fn (array $way): bool => isset($way[0][$allele->locus]) && $way[0][$allele->locus]->copiesOf($allele->key) > 0,
            );
            $chance = Number::sum(array_map(static fn (array $way): Rational|float => $way[1], $copies));
            if (! Number::isZero($chance)) {
                $genes[] = ['allele' => $allele] + Number::shown($chance);
            }
        }

        return $genes;
    }

    /**
     * P(form) at each locus where a young may be anything but wild type, in catalogue order; the wild type is what is left.
     *
     * @return list<array{form: Form, decimal: float}>
     */
    public function forms(string $id): array
    {
        $forms = [];
        $young = $this->young[$id]->inFloats();
        $loci = array_flip($young->loci());
        foreach (array_keys(array_intersect_key($this->catalogue->loci, $loci)) as $locus) {
            foreach ($locus === Sex::LOCUS ? [] : $young->over([$locus]) as [$own, $chance]) {
                $form = $own[$locus] ?? null;
                if ($form !== null && ! $form->isWild()) {
                    $forms[] = ['form' => $form, 'decimal' => Number::float($chance)];
                }
            }
        }

        return $forms;
    }

    /** What can be said of a young, as sure only what is sure. */
    public function label(string $id): string
    {
        $printer = new Printer($this->catalogue);
        $words = [];
        foreach ($this->catalogue->loci as $locus => $_) {
            $pairs = $locus === Sex::LOCUS ? [] : $this->pairs($id, $locus);
            if ($pairs !== []) {
                $words[] = $printer->locus($locus, Distribution::ofWeighted($pairs));
            }
        }

        return Printer::text($words);
    }

    /**
     * Chances of the pairs of alleles at a locus, as fractions of a million that add up to 1; none that is above 0 becomes 0 or 1.
     *
     * @return list<array{string, array{string, string}, Rational}> none where it is wild type
     */
    private function pairs(string $id, string $locus): array
    {
        $whole = $forms = [];
        foreach ($this->young[$id]->inFloats()->over([$locus]) as [$own, $chance]) {
            $form = $own[$locus] ?? null;
            if ($form !== null && Number::float($chance) > 1e-12) {
                [$forms[], $whole[]] = [$form, max(1, (int) round(1e6 * Number::float($chance)))];
            }
        }
        $sum = max(1, array_sum($whole));
        $isWild = array_filter($forms, static fn (Form $form): bool => ! $form->isWild()) === [];

        return $isWild ? [] : array_map(
            static fn (Form $form, int $count): array => [implode('/', $form->pair), $form->pair, Rational::of($count, $sum)],
            $forms, $whole,
        );
    }

    /**
     * Genotypes of a young, the likeliest first: so many, and how many there are.
     *
     * @return array{
     *     list<array{label: string, alleles: array<string, array{string, string}>, sex: Sex|null, exact: Rational|null, decimal: float}>,
     *     int,
     * }
     */
    public function genotypes(string $id, int $most): array
    {
        return (new Genotypes($this->catalogue, $this->young[$id]))->of($most);
    }

    /**
     * Cues that were not looked at yet: those that can be read now, what tells most first, each with the chances of its states; and
     * those of a later age.
     *
     * @return array{next: list<array{cue: Cue, bits: float, separates: string, chances: list<float>}>, later: list<Cue>}
     */
    public function cues(string $id): array
    {
        return $this->asked[$id] ??= $this->cuesOf($id);
    }

    /** @return array{next: list<array{cue: Cue, bits: float, separates: string, chances: list<float>}>, later: list<Cue>} */
    private function cuesOf(string $id): array
    {
        $one = array_values(array_filter($this->clutch->hatchlings, static fn (Hatchling $young): bool => $young->id === $id))[0] ?? null;
        $next = $later = [];
        if ($one === null || ! isset($this->young[$id])) {
            return ['next' => [], 'later' => []];
        }
        $look = new NextCue($this->chances, $this->young[$id], $this->readOf($one));
        foreach ($this->cues as $key => $cue) {
            if (isset($one->cues[$key]) || ($cue->repeats !== null && isset($one->cues[$cue->repeats]))) {
                continue;
            }
            if ($one->days !== null && $one->days < $cue->fromDays) {
                $later[] = $cue;
            } elseif ($one->days === null || $cue->canBeReadAt($one->days)) {
                [$bits, $separates, $chances] = $look->bits($cue, $one->days);
                $next[] = ['cue' => $cue, 'bits' => $bits, 'separates' => $separates, 'chances' => $chances];
            }
        }
        usort($next, static fn (array $a, array $b): int => [$b['bits'], $a['cue']->key] <=> [$a['bits'], $b['cue']->key]);

        return ['next' => $next, 'later' => $later];
    }

    /**
     * What a young would be after each answer to a cue that was not looked at yet.
     *
     * @return list<array{chance: float, forms: list<array{form: Form, decimal: float}>}> by state: P(state), and P(form | state) at the
     *     loci that the cue is about
     */
    public function after(string $id, Cue $cue): array
    {
        foreach ($this->clutch->hatchlings as $one) {
            if ($one->id === $id && isset($this->young[$id])) {
                return (new NextCue($this->chances, $this->young[$id], $this->readOf($one)))->after($cue, $one->days);
            }
        }

        return [];
    }

    /** What was read of a young from its look; siblings of whom the same was read share it. */
    private function readOf(Hatchling $one): CuesRead
    {
        $read = [];
        foreach ($one->cues as $key => $state) {
            $read[$key] = ['cue' => $this->cues[$key], 'state' => $state, 'days' => $one->days];
        }

        $seen = CuesRead::fromLook($this->chances, $read);

        return $this->seen[$seen->content()] ??= $seen;
    }
}
