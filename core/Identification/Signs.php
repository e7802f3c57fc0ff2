<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Appearance\LookFacts;
use Destino\Genome\Form;

/** By which cues a genotype is told from another, the clearest first. */
final readonly class Signs
{
    /** A state that is seen hardly oftener tells nothing. */
    private const LEAST = .1;

    /** @param array<string, Cue> $cues by key */
    public function __construct(private CueChances $chances, private array $cues) {}

    /**
     * @param list<Form> $forms
     * @param list<Form> $against none for the wild type
     * @param int|null $days age; null for each cue at the age from which it shows best
     * @return list<Sign>
     */
    public function of(array $forms, array $against = [], ?int $days = null): array
    {
        $signs = [];
        foreach ($this->cues as $cue) {
            if ($days === null || $cue->canBeReadAt($days)) {
                $sign = $this->sign($cue, self::byLocus($forms), self::byLocus($against), $days ?? self::bestAge($cue));
                $sign->gain() < self::LEAST ? null : $signs[] = $sign;
            }
        }
        usort($signs, static fn (Sign $a, Sign $b): int => [$b->gain(), $a->cue->key] <=> [$a->gain(), $b->cue->key]);

        return $signs;
    }

    /**
     * @param array<string, Form> $forms
     * @param array<string, Form> $against
     */
    private function sign(Cue $cue, array $forms, array $against, int $days): Sign
    {
        [$own, $other] = [$this->chances->floats($cue, $forms, $days), $this->chances->floats($cue, $against, $days)];
        $gains = array_map(static fn (float $a, float $b): float => $a - $b, $own, $other);
        $state = (int) array_search(max(0.0, ...$gains), $gains, true);

        return new Sign($cue, $state, $own[$state], $other[$state], (int) array_search(max(0.0, ...$other), $other, true));
    }

    private static function bestAge(Cue $cue): int
    {
        return $cue->toDays ?? LookFacts::ADULT;
    }

    /**
     * @param list<Form> $forms
     * @return array<string, Form>
     */
    private static function byLocus(array $forms): array
    {
        return array_column(array_map(static fn (Form $form): array => [$form->locus, $form], $forms), 1, 0);
    }
}
