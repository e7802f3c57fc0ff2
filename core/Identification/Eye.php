<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Genome\Visibility;
use Destino\Notation\Target;
use Destino\Notation\TargetCondition;

/** What can be seen of a genotype: conditions of the eye, and the rules of cues. */
final readonly class Eye
{
    private Visibility $visibility;

    public function __construct(private Catalogue $catalogue)
    {
        $this->visibility = new Visibility($catalogue);
    }

    /**
     * Whether a genotype meets a condition as seen: what does not show is accepted where another form hides it.
     *
     * @param array<string, Form> $forms by locus
     */
    public function accepts(Target $saw, array $forms, ?Sex $sex): bool
    {
        $masks = $this->visibility->masks($forms);
        foreach (array_unique([...array_keys($forms), ...$saw->loci()]) as $locus) {
            $form = $forms[$locus] ?? $this->catalogue->form($locus, Allele::WILD, Allele::WILD);
            if (! $saw->accepts($form, $this->visibility->isHidden($form, $masks))) {
                return false;
            }
        }

        return $saw->acceptsSex($sex);
    }

    /** @return list<string> loci on which it depends whether a genotype meets a condition as seen: those of forms that hide among them */
    public function lociOf(Target $saw): array
    {
        if ($saw->only) {
            return [...array_map(strval(...), array_keys($this->catalogue->loci)), ...($saw->sex === null ? [] : [Sex::LOCUS])];
        }
        $isOfTheEye = array_filter($saw->conditions, static fn (TargetCondition $one): bool => $one->isOnlyOfTheEye()) !== [];
        $hiding = array_filter(array_map(strval(...), array_keys($this->catalogue->loci)), $this->visibility->canHide(...));

        return array_values(array_unique([...$saw->loci(), ...($isOfTheEye ? $hiding : []), ...($saw->sex === null ? [] : [Sex::LOCUS])]));
    }

    /** @return list<string> loci on which it depends which rule of a cue holds */
    public function lociOfCue(Cue $cue): array
    {
        foreach ($cue->rules as $rule) {
            if ($rule->when->only ?? false) {
                return array_map(strval(...), array_keys($this->catalogue->loci));
            }
        }

        return $cue->loci();
    }

    /**
     * The rule of a cue that holds of a genotype; null where none does.
     *
     * @param array<string, Form> $forms by locus
     */
    public function rule(Cue $cue, array $forms, ?int $days): ?int
    {
        foreach ($cue->rules as $i => $rule) {
            if ($rule->when === null || (($days === null || $days >= $rule->fromDays) && $this->holds($rule->when, $forms))) {
                return $i;
            }
        }

        return null;
    }

    /** @param array<string, Form> $forms by locus */
    public function holds(Target $when, array $forms): bool
    {
        foreach ($when->only ? array_unique([...array_keys($forms), ...$when->loci()]) : $when->loci() as $locus) {
            if (! $when->accepts($forms[$locus] ?? $this->catalogue->form($locus, Allele::WILD, Allele::WILD))) {
                return false;
            }
        }

        return true;
    }
}
