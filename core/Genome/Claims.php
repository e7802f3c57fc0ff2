<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\InvalidNumber;

/** What keepers disagree about, as the catalogue has it, and the school that is followed in each. */
final readonly class Claims
{
    /** @return array<string, Claim> */
    public static function of(Facts $facts): array
    {
        $claims = [];
        foreach ($facts->children('claims') as $claim) {
            $schools = [];
            foreach ($claim->children('schools') as $school) {
                $schools[$school->string('key')] = new School(
                    $school->string('key'), $school->string('name'), $school->string('effect'), $school->string('argument'),
                    array_map(static fn (Facts $change): array => $change->values(), $school->children('changes')),
                );
            }
            $free = $claim->has('free_fraction') ? $claim->child('free_fraction') : null;
            $claims[$claim->string('key')] = new Claim(
                $claim->string('key'), $claim->string('question'), $claim->string('default'), $claim->string('why_default'), $schools,
                $free === null ? null : ['linkage' => $free->string('linkage'), 'between' => $free->pair('between')],
            );
        }

        return $claims;
    }

    /**
     * @param array<string, Claim> $claims
     * @param array<array-key, string> $choices
     * @return array{list<School>, array<string, string>}
     *
     * @throws UnknownSchool
     */
    public static function choose(array $claims, array $choices): array
    {
        foreach (array_keys($choices) as $claim) {
            if (! isset($claims[$claim])) {
                throw UnknownSchool::noSuchClaim((string) $claim, array_keys($claims));
            }
        }
        $schools = $inUse = [];
        foreach ($claims as $key => $claim) {
            $choice = $choices[$key] ?? $claim->default;
            $schools[] = $claim->schools[$choice] ?? self::freeFraction($claim, $choice);
            $inUse[$key] = $choice;
        }

        return [$schools, $inUse];
    }

    /** @throws UnknownSchool when the claim is not about a fraction, or the choice is not one */
    private static function freeFraction(Claim $claim, string $choice): School
    {
        if ($claim->freeFraction !== null) {
            try {
                $fraction = SchoolChanges::fraction($choice)->toString();

                return new School(
                    $choice, "r = {$fraction}", '', '',
                    [['change' => 'set-recombination', 'fraction' => $fraction] + $claim->freeFraction],
                );
            } catch (InvalidNumber|CatalogueFault) {
                // Not a fraction: the message below lists what can be chosen.
            }
        }
        throw UnknownSchool::noSuchChoice(
            $claim->key, $choice,
            [...array_keys($claim->schools), ...($claim->freeFraction === null ? [] : ['a fraction from 0 to 1/2'])],
        );
    }
}
