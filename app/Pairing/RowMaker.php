<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Catalogue\OwnNames;
use App\Drawing\Bead;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Concealment;
use Destino\Genome\Effect;
use Destino\Genome\Form;
use Destino\Genome\GenotypePattern;
use Destino\Genome\SchoolChanges;
use Destino\Notation\Printer;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\Outcome;
use Destino\Pairing\SpaceItem;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** Makes the rows of a pairing's outcomes: beads, what shows, the share of the target. */
class RowMaker
{
    /** @var array<string, bool> */
    private array $givers = [];

    public function __construct(private readonly Prediction $prediction, private readonly ?OwnNames $ownNames = null) {}

    public function row(Outcome $outcome, int $i): OutcomeRow
    {
        $beads = [];
        foreach ($outcome->items as $item) {
            foreach (array_keys($item->members[0]->forms) as $locus) {
                $bead = $this->bead($item, $locus);
                if ($bead !== null) {
                    $beads[] = $bead;
                }
            }
        }

        return new OutcomeRow(
            $i + 1, $outcome, $beads, $this->tone($outcome), $this->marks($outcome),
            $this->prediction->target?->shareOfHits($outcome) ?? Rational::zero(), $this->ownNames?->ofForms($outcome->forms) ?? [],
        );
    }

    /** The bead of a locus, its left half from the sire where that is plain; null for the wild type. */
    private function bead(SpaceItem $item, string $locus): ?Bead
    {
        $weighted = [];
        foreach ($item->members as $member) {
            $form = $member->forms[$locus];
            $weighted[] = [SchoolChanges::pairKey(...$form->pair), $form->pair, $member->probability->dividedBy($item->probability)];
        }
        $pairs = Distribution::ofWeighted($weighted);
        $form = $item->members[0]->forms[$locus];
        if ($pairs->isCertain()) {
            return $form->isWild() ? null : Bead::ofForm($form, $this->prediction->catalogue, $this->isFromSire($form));
        }
        $label = Printer::text([(new Printer($this->prediction->catalogue))->locus($locus, $pairs)]);

        return Bead::ofBelief($pairs, $this->prediction->catalogue, $label);
    }

    private function isFromSire(Form $form): bool
    {
        [$first, $second] = $form->pair;

        return $this->gives('sire', $first) && ($second === Allele::WILD || $this->gives('dam', $second));
    }

    private function gives(string $parent, string $allele): bool
    {
        return $this->givers["{$parent}:{$allele}"] ??= $this->mayCarry(
            $parent === 'sire' ? $this->prediction->cross->sire : $this->prediction->cross->dam,
            new GenotypePattern([$allele => 1]),
        );
    }

    private function mayCarry(Belief $parent, GenotypePattern $pattern): bool
    {
        return ! $parent->chanceOf($pattern, $this->prediction->catalogue)->isZero();
    }

    /** What the genes that show mostly do to the look; an all-white form is white whatever it carries. */
    private function tone(Outcome $outcome): ?Effect
    {
        $effects = [];
        foreach ($outcome->forms as $locus => $form) {
            foreach ($this->prediction->catalogue->masksAt($locus) as $mask) {
                if ($mask->hides === Concealment::All && $mask->form->fits($form->copiesOf(...))) {
                    return Effect::White;
                }
            }
        }
        foreach ($this->marks($outcome) as $effect) {
            $effects[$effect->value] = ($effects[$effect->value] ?? 0) + 1;
        }
        arsort($effects);

        return $effects === [] ? null : Effect::from((string) array_key_first($effects));
    }

    /** @return list<Effect> one for every copy of a gene that shows */
    private function marks(Outcome $outcome): array
    {
        $marks = [];
        foreach ($outcome->forms as $form) {
            foreach ($form->shows as $key) {
                $effect = $this->prediction->catalogue->allele($key)->effect;
                array_push($marks, ...array_fill(0, max(1, $form->copiesOf($key)), $effect));
            }
        }

        return $marks;
    }
}
