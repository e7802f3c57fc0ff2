<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Pairing\Cross;

/** Asks every rule, and puts the gravest first. */
final readonly class Advisor
{
    /** @return list<AdviceRule> in the order in which equally grave advice is shown */
    private static function rules(): array
    {
        return [
            new LethalForms,
            new TroubledParents,
            new TroubledForms,
            new TroubledPairs,
            new LinesThatNeverMeet,
            new NamesMixedUp,
            new SharedComplexes,
            new SexLinkedGenes,
            new UncertainParents,
            new LookAlikesInClutch,
            new MaskingForms,
            new DominantFlood,
            new ReadableByEye,
        ];
    }

    /** @return list<Advice> gravest first */
    public static function advise(Cross $cross): array
    {
        return self::asked(self::rules(), $cross);
    }

    /** @return list<Advice> what house rules can take a stance on, gravest first */
    public static function ofConditions(Cross $cross): array
    {
        return self::asked([new LethalForms, new TroubledParents, new TroubledForms, new TroubledPairs], $cross);
    }

    /**
     * @param list<AdviceRule> $rules
     * @return list<Advice>
     */
    private static function asked(array $rules, Cross $cross): array
    {
        $advice = array_merge(...array_map(static fn (AdviceRule $rule): array => $rule->advise($cross), $rules));
        usort($advice, static fn (Advice $a, Advice $b): int => $b->severity->rank() <=> $a->severity->rank());

        return $advice;
    }
}
