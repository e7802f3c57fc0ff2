<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Pairing\Cross;
use Destino\Pairing\Looks;
use Destino\Probability\Rational;

/** What makes a clutch hard to identify: how much of it would carry something that nobody sees, were one gene not there. */
final readonly class LeavingOneOut
{
    /**
     * @return list<array{name: string, unread: Rational}> genes, or genes of one locus, without which a tenth less would be hidden; the one
     *     that hides most first
     */
    public static function of(Cross $cross): array
    {
        $all = self::unread($cross);
        $less = [];
        foreach ($all->isZero() ? [] : $cross->blocks as $block) {
            $group = $block->groups[0];
            if (count($block->groups) > 1 || $group->holdsSex()) {
                continue; // tied to other genes, or to the sex: it cannot be left out alone
            }
            $without = Cross::of($cross->catalogue, self::without($cross->sire, $group), self::without($cross->dam, $group));
            $unread = self::unread($without);
            if ($unread->compareTo($all->times(Rational::of(9, 10))) <= 0) { // less than that is no help
                $less[] = ['name' => self::name($cross, $group), 'unread' => $unread];
            }
        }
        usort($less, static function (array $a, array $b): int {
            $order = $a['unread']->compareTo($b['unread']);

            return $order !== 0 ? $order : strcmp($a['name'], $b['name']);
        });

        return $less;
    }

    /** P(a hatchling carries something that is not seen at hatching). */
    private static function unread(Cross $cross): Rational
    {
        return Looks::of($cross, alike: true)->chanceOfOneGenotype()->complement();
    }

    private static function without(Belief $parent, LinkageGroup $group): Belief
    {
        return new Belief($parent->sex, array_values(array_filter(
            $parent->factors, static fn ($factor): bool => ! in_array($group->key, $factor->groups, true),
        )));
    }

    /** The genes of a group that a parent may carry: "Clown", "Mojave and Lesser". */
    private static function name(Cross $cross, LinkageGroup $group): string
    {
        $names = [];
        foreach (array_diff($group->loci, [Sex::LOCUS]) as $locus) {
            foreach ([$cross->sire, $cross->dam] as $parent) {
                foreach ($parent->marginalAt($locus, $group)->entries() as [$pair]) {
                    foreach (array_diff($pair, [Allele::WILD]) as $key) {
                        $names[$key] = $cross->catalogue->allele($key)->name;
                    }
                }
            }
        }

        return Words::list(array_values($names));
    }
}
