<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Genome\Visibility;
use Destino\Notation\Target;

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

    /**
     * The rule of a cue that holds of a genotype.
     *
     * @param array<string, Form> $forms by locus
     */
    public function rule(Cue $cue, array $forms, ?int $days): int
    {
        foreach ($cue->rules as $i => $rule) {
            if ($rule->when === null || (($days === null || $days >= $rule->fromDays) && $this->holds($rule->when, $forms))) {
                return $i;
            }
        }

        return count($cue->rules) - 1;
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
