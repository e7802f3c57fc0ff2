<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/** All that the answer of a family at some spaces follows from, as a text: equal texts, equal answers. */
final readonly class FamilyContent
{
    /**
     * @param list<GenotypeSpace> $spaces
     * @param array<string, Concealed> $hiding
     */
    public function __construct(private Context $context, private Hypothesis $hypothesis, private array $spaces, private array $hiding) {}

    /** @param list<Fault> $decided */
    public function text(array $decided): string
    {
        $content = [array_map(static fn (GenotypeSpace $space): string => $space->key, $this->spaces)];
        foreach ($this->hypothesis->family->members as $member) {
            $content[] = [$member->id, $member->sex?->value, $this->parents($member), $this->heard($member), $this->seen($member->animal?->saw), $this->hidden($member->id)];
        }
        foreach ($this->hypothesis->family->eggs as $eggs) {
            $seen = $this->seen($eggs->brood?->saw);
            if ($seen !== null || ($eggs->brood->isDead ?? false)) {
                $content[] = [$eggs->id, $this->parents($eggs), $seen, $eggs->brood?->count, $eggs->brood?->isDead, $this->hidden($eggs->id)];
            }
        }
        foreach ($decided as $fault) {
            $content[] = $fault->key();
        }

        return serialize([...$content, $this->outside()]);
    }

    /** @return array{list<string>, list<string>, string|null, string} */
    private function parents(Member $member): array
    {
        return [$member->sires, array_map(static fn (Rational $weight): string => $weight->toString(), $member->weights), $member->dam, $member->isFounder() ? '' : $member->batch];
    }

    /** @return list<array{string, string, bool}> */
    private function heard(Member $member): array
    {
        $heard = [];
        foreach ($member->animal->testimonies ?? [] as $testimony) {
            foreach ($this->spaces as $space) {
                $names = $this->context->hearing->namedLoci($space->groups, $testimony) !== [] || $this->context->hearing->absentHere($space, $testimony) !== [];
                if ($names || $testimony->namesAllThatShows) {
                    $heard[] = [$testimony->id, $testimony->content(), $names];
                }
            }
        }

        return $heard;
    }

    /** What a condition says here; null where it says nothing. */
    private function seen(?Target $saw): ?string
    {
        foreach ($this->spaces as $space) {
            if ($saw !== null && EggEvidence::names($saw, $space)) {
                return $saw->text;
            }
        }

        return null;
    }

    /** @return list<list<string>> */
    private function hidden(string $id): array
    {
        $name = static fn (Mask $mask): string => $mask->locus.'='.implode(',', array_keys($mask->form->copies));

        return isset($this->hiding[$id]) ? [array_map($name, $this->hiding[$id]->sure), ...array_map(static fn (array $masks): array => array_map($name, $masks), $this->hiding[$id]->ways)] : [];
    }

    /** @return array<string, string> how often animals from outside carry what is in question, where the family has any */
    private function outside(): array
    {
        $isOpen = false;
        foreach ($this->hypothesis->family->members as $member) {
            $isOpen = $isOpen || $member->isOutsider || ($member->isFounder() && $member->animal?->testimonies === [] && $member->animal->saw !== null);
        }
        $frequencies = [];
        foreach ($isOpen ? $this->spaces : [] as $space) {
            foreach ($space->loci() as $locus) {
                foreach ($this->context->catalogue->locus($locus)->alleles as $allele) {
                    $frequencies[$allele] = $this->context->outside()->frequency($allele)->toString();
                }
            }
        }

        return $frequencies;
    }
}
