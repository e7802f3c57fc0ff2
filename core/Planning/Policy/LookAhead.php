<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Project;

/**
 * A keeper who in each season does what promises most from where he stands: mates by the worth of each pair within what the
 * males can serve, keeps the young that add most to the chance. Everything is reckoned anew in each situation (Outlook).
 */
final class LookAhead implements Keeper
{
    /** A young that adds less than this to the chance is not kept for it. */
    private const LEAST_GAIN = 0.002;

    /** Of so many young and more each has to add more than that: nobody fills a house with what may help a little. */
    private const MANY = 24;

    /** Animals of each sex that are looked at where there are more. */
    private const LEADING_MALES = 20;

    private const LEADING_FEMALES = 60;

    private const OF_EACH_GENE = 5;

    /** Looking ahead in expected numbers is too hopeful: never less than so much is left to gain. */
    private const DOUBT = 0.05;

    /** Young beyond the tubs that are weighed one against the other. */
    private const CLOSE_CALLS = 3;

    /** The first of a kind is kept sooner: what is foreseen of others like it may not come. */
    private const FIRST_OF_ITS_KIND = 0.1;

    /** What the next of young alike is worth beside the one before. */
    private const ONE_MORE_MALE = 0.35;

    private const ONE_MORE_FEMALE = 0.92;

    /** Numbers that are kept of situations that may come again. */
    private const REMEMBERED = 250_000;

    private int $kept = 0;

    /** @var array<string, Outlook> */
    private array $known = [];

    private readonly Project $project;

    public function __construct(private readonly Law $law)
    {
        $this->project = $law->space->project;
    }

    public function mate(Situation $situation): array
    {
        [$males, $females, $wishes] = $this->wishes($situation);

        return $this->granted($wishes, $males, $females);
    }

    /** @return list<array{Holding, Holding, float}> male, female and worth of every pair that could be mated and is worth something, the worthiest first */
    public function promises(Situation $situation): array
    {
        [$males, $females, $wishes] = $this->wishes($situation);

        return array_map(static fn (array $wish): array => [$males[$wish[2]], $females[$wish[1]], $wish[0]], $wishes);
    }

    /** @return array{list<Holding>, list<Holding>, list<array{float, int, int}>} males, females, and worth, female and male of each pair */
    private function wishes(Situation $situation): array
    {
        $males = $females = [];
        foreach ($this->leading($situation->animals) as $animal) {
            if ($animal->from <= $situation->season) {
                $animal->isMale ? $males[] = $animal : $females[] = $animal;
            }
        }
        if ($males === [] || $females === []) {
            return [$males, $females, []];
        }
        $outlook = $this->outlook($situation);
        $wishes = [];
        foreach ($females as $f => $dam) {
            foreach ($males as $m => $sire) {
                $worth = $this->isForbidden($sire, $dam) ? 0.0 : $this->worthOf($outlook, $sire, $dam);
                if ($worth > 1e-9) { // of males alike the one that has proved least
                    $wishes[] = [$worth - 1e-7 * $sire->clutches, $f, $m];
                }
            }
        }
        usort($wishes, static fn (array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);

        return [$males, $females, $wishes];
    }

    public function keep(Situation $situation, array $young): array
    {
        $held = array_values(array_filter($situation->animals, static fn (Holding $animal): bool => $animal->isYoung));
        if ($young === [] || $situation->season >= $this->law->horizon) {
            return $held;
        }
        $kept = $this->project->tubs === null
            ? [...$held, ...$this->chosen($situation, $young)]
            : $this->withinTubs($situation, [...$held, ...$young]);

        return $this->project->keep === [] ? $kept : $this->asWritten($kept, $held, $young);
    }

    /**
     * So many of a young as the project says, whatever they are worth; the rest as it was found best, as far as there are tubs.
     *
     * @param list<Holding> $kept
     * @param list<Holding> $held
     * @param list<Holding> $young
     * @return list<Holding>
     */
    private function asWritten(array $kept, array $held, array $young): array
    {
        $first = $named = [];
        foreach ($this->project->keep as $words => $count) {
            $of = array_filter([...$held, ...$young], fn (Holding $one): bool => $this->law->types->isCalled($one->type, (string) $words));
            foreach (array_values($of) as $i => $one) {
                $named[$one->id] = true;
                $first += $i < $count ? [$one->id => $one] : [];
            }
        }
        $rest = array_filter($kept, static fn (Holding $one): bool => ! isset($named[$one->id]));
        $all = [...array_values($first), ...array_values($rest)];

        return $this->project->tubs === null ? $all : array_slice($all, 0, $this->project->tubs);
    }

    /**
     * Those that add most to the chance, each in sight of those that were chosen before.
     *
     * @param list<Holding> $candidates
     * @return list<Holding>
     */
    private function chosen(Situation $situation, array $candidates): array
    {
        $chosen = $this->round($situation, $situation->animals, $candidates);
        // What one more is worth depends on who is there: a male beside females without one, for instance.
        $left = static fn (array $chosen): array => array_values(
            array_filter($candidates, static fn (Holding $one): bool => ! in_array($one, $chosen, true)),
        );
        $chosen = [...$chosen, ...$this->round($situation, [...$situation->animals, ...$chosen], $left($chosen))];
        if ($left($chosen) === [] || ! $this->outlook(new Situation($situation->season + 1, $situation->animals, $situation->found))->isScarce) {
            return $chosen;
        }

        return [...$chosen, ...$this->together($situation, $chosen, $left($chosen))];
    }

    /**
     * Where males are few a son and a daughter are worth something only together: those without whom something is lost of what
     * all of them would add.
     *
     * @param list<Holding> $chosen
     * @param list<Holding> $candidates
     * @return list<Holding>
     */
    private function together(Situation $situation, array $chosen, array $candidates): array
    {
        $beside = [...$situation->animals, ...$chosen];
        $whole = $this->hazardOf($situation, $beside, $candidates);
        $least = $this->leastGain($beside, $whole);
        $losses = $kept = [];
        foreach ($candidates as $i => $animal) {
            $losses["{$animal->type} {$animal->from}"] ??= $whole - $this->hazardOf($situation, $beside, array_diff_key($candidates, [$i => true]));
            if ($losses["{$animal->type} {$animal->from}"] >= $least) {
                $kept[] = $animal;
            }
        }

        return $kept;
    }

    /**
     * What one more has to add to the sum of hazards to be kept.
     *
     * @param list<Holding> $beside
     */
    private function leastGain(array $beside, float $hazard): float
    {
        $young = count(array_filter($beside, static fn (Holding $one): bool => $one->isYoung));

        return max(1.0, ($young / self::MANY) ** 2) * self::LEAST_GAIN / max(self::DOUBT, exp(-$hazard));
    }

    /**
     * @param list<Holding> $beside
     * @param list<Holding> $candidates
     * @return list<Holding>
     */
    private function round(Situation $situation, array $beside, array $candidates): array
    {
        if ($candidates === []) {
            return [];
        }
        $outlook = $this->outlook(new Situation($situation->season + 1, $beside, $situation->found));
        $worths = [];
        foreach ($candidates as $i => $animal) {
            $worths[$i] = $outlook->worth($animal->type, $animal->from);
        }
        arsort($worths);
        $chosen = $alike = [];
        $here = array_flip(array_map(static fn (Holding $one): int => $one->type, $beside));
        $hazard = $outlook->hazard;
        foreach ($worths as $i => $worth) {
            $animal = $candidates[$i];
            $worth *= ($animal->isMale ? self::ONE_MORE_MALE : self::ONE_MORE_FEMALE) ** ($alike[$animal->type] ?? 0);
            $isNew = ! isset($here[$animal->type]) && ! isset($alike[$animal->type]);
            $least = $this->leastGain([...$beside, ...$chosen], $hazard);
            if ($worth >= ($isNew ? self::FIRST_OF_ITS_KIND * $least : $least)) {
                $chosen[] = $animal;
                $hazard += $worth;
                $alike[$animal->type] = ($alike[$animal->type] ?? 0) + 1;
            }
        }

        return $chosen;
    }

    /**
     * Those without whose kind most would be lost, of everybody that is there: a male and a female that need each other stay
     * together, which adding one by one would not see.
     *
     * @param list<Holding> $young
     * @return list<Holding>
     */
    private function withinTubs(Situation $situation, array $young): array
    {
        $tubs = (int) $this->project->tubs;
        if (count($young) <= $tubs) {
            return $young;
        }
        $others = array_values(array_filter($situation->animals, static fn (Holding $animal): bool => ! $animal->isYoung));
        $all = $this->withoutRepeats($young);
        $whole = $this->hazardOf($situation, $others, $all);
        $losses = $order = $taken = [];
        foreach ($all as $i => $animal) {
            $kind = $animal->type; // whenever it is ready: the earlier stand in for the later
            $losses[$kind] ??= $whole - $this->hazardOf(
                $situation, $others, array_filter($all, static fn (Holding $one): bool => $one->type !== $kind),
            );
            $order[$i] = $losses[$kind] * ($animal->isMale ? self::ONE_MORE_MALE : 0.7) ** ($taken[$kind] ?? 0);
            $taken[$kind] = ($taken[$kind] ?? 0) + 1;
        }
        arsort($order);
        $left = array_map(static fn (int $i): Holding => $all[$i], array_slice(array_keys($order), 0, $tubs + self::CLOSE_CALLS));
        while (count($left) > $tubs) { // among the last ones each is tried
            $without = [];
            foreach ($left as $i => $animal) {
                $without["{$animal->type} {$animal->from}"] ??= [
                    $this->hazardOf($situation, $others, array_diff_key($left, [$i => true])), $i,
                ];
            }
            rsort($without);
            $left = array_values(array_diff_key($left, [$without[0][1] => true]));
        }

        return $this->withBothSexes($left, $all, $order, $others);
    }

    /**
     * @param list<Holding> $others
     * @param array<int, Holding> $young
     */
    private function hazardOf(Situation $situation, array $others, array $young): float
    {
        return $this->outlook(new Situation($situation->season + 1, [...$others, ...array_values($young)], $situation->found))->atBest();
    }

    /**
     * Where nobody else is of a sex, the last place goes to the best young of it.
     *
     * @param list<Holding> $kept the best first
     * @param array<int, Holding> $all
     * @param array<int, float> $order what each is worth, the best first
     * @param list<Holding> $others
     * @return list<Holding>
     */
    private function withBothSexes(array $kept, array $all, array $order, array $others): array
    {
        foreach ([true, false] as $isMale) {
            $isOf = static fn (Holding $animal): bool => $animal->isMale === $isMale;
            if (count($kept) > 1 && array_filter([...$kept, ...$others], $isOf) === []) {
                foreach (array_keys($order) as $i) {
                    if ($isOf($all[$i])) {
                        $kept[count($kept) - 1] = $all[$i];

                        break;
                    }
                }
            }
        }

        return $kept;
    }

    /**
     * @param list<Holding> $young
     * @return list<Holding> of those that are alike no more than can matter, the earliest first
     */
    private function withoutRepeats(array $young): array
    {
        usort($young, static fn (Holding $a, Holding $b): int => $a->from <=> $b->from);
        $counts = [];
        $left = [];
        foreach ($young as $animal) {
            $kind = $animal->type;
            $counts[$kind] = ($counts[$kind] ?? 0) + 1;
            if ($counts[$kind] <= min((int) $this->project->tubs, $animal->isMale ? 2 : 3)) {
                $left[] = $animal;
            }
        }

        return $left;
    }

    /** What is to be expected from a situation on. */
    public function outlook(Situation $situation): Outlook
    {
        $counts = [];
        $young = 0;
        foreach ($this->leading($situation->animals) as $animal) {
            $from = max($animal->from, $situation->season);
            if ($from <= $this->law->horizon) {
                $counts["{$animal->type} {$from}"] = min($animal->isMale ? 2 : 4, ($counts["{$animal->type} {$from}"] ?? 0) + 1);
            }
        }
        foreach ($this->project->tubs === null ? [] : $situation->animals as $animal) {
            $young += $animal->isYoung && max($animal->from, $situation->season) <= $this->law->horizon ? 1 : 0;
        }
        ksort($counts);
        $weights = $this->weights($situation->found);
        $free = $this->project->tubs === null ? null : max(0, $this->project->tubs - $young);
        $key = "{$situation->season} {$free} {$weights[0]} {$weights[1]} ".implode(';', array_keys($counts)).'|'.implode(';', $counts);
        if (! isset($this->known[$key])) {
            $held = [];
            foreach ($counts as $of => $count) {
                [$type, $from] = explode(' ', $of);
                $held[] = [(int) $type, (int) $from, (float) $count];
            }
            $this->known[$key] = new Outlook($this->law, $situation->season, $held, $weights, $free);
            $this->kept += $this->known[$key]->size;
            if ($this->kept > self::REMEMBERED) { // the older half gives way
                $this->known = array_slice($this->known, count($this->known) >> 1, null, true);
                $this->kept = array_sum(array_map(static fn (Outlook $one): int => $one->size, $this->known));
            }
        }

        return $this->known[$key];
    }

    /**
     * Where there are very many animals those of each sex that carry most, and for each gene that is asked for some that have most
     * of it: the others would be mated last.
     *
     * @param list<Holding> $animals
     * @return list<Holding>
     */
    private function leading(array $animals): array
    {
        if (count($animals) <= self::LEADING_MALES) {
            return $animals;
        }
        $bySex = [[], []];
        foreach ($animals as $i => $animal) {
            $bySex[$animal->isMale ? 0 : 1][$i] = $this->law->types->promise($animal->type);
        }
        $chosen = [];
        foreach ([self::LEADING_MALES, self::LEADING_FEMALES] as $sex => $most) {
            $chosen += count($bySex[$sex]) <= $most ? $bySex[$sex] : $this->best($animals, $bySex[$sex], $most);
        }

        return array_values(array_intersect_key($animals, $chosen));
    }

    /**
     * @param list<Holding> $animals
     * @param array<int, float> $promises of some of them
     * @return array<int, float> those that stay
     */
    private function best(array $animals, array $promises, int $most): array
    {
        $types = $this->law->types;
        arsort($promises);
        $best = array_slice($promises, 0, $most, true);
        foreach ($types->askedGroups() as $group) {
            $wanted = array_map(static fn (int $i): float => $types->wanted($animals[$i]->type, $group), array_combine(
                array_keys($promises), array_keys($promises),
            ));
            arsort($wanted);
            $best += array_intersect_key($promises, array_slice($wanted, 0, self::OF_EACH_GENE, true));
        }

        return $best;
    }

    /** The worth of a pair; its hits do not count where an animal that must be used is not behind it yet, or it is too closely related. */
    private function worthOf(Outlook $outlook, Holding $sire, Holding $dam): float
    {
        $sound = $this->project->soundOf($sire->id, $dam->id);
        $worth = $sound * $outlook->pair($sire->type, $dam->type);
        $pinned = count($this->project->pinned);
        $behind = count(array_unique([...$sire->pins, ...$dam->pins]));
        if ($behind === $pinned && ! $this->law->kinship->isTooClose($sire, $dam)) {
            return $worth;
        }
        $ofYoung = max(0.0, $worth - $sound * $this->law->hazard($this->law->types->pair($sire->type, $dam->type), [1.0, 1.0]));

        return $pinned === 0 ? $ofYoung : $ofYoung * (0.1 + $behind / $pinned);
    }

    /**
     * @param list<array{float, int, int}> $wishes worth, female, male; the best first
     * @param list<Holding> $males
     * @param list<Holding> $females
     * @return list<array{Holding, Holding}>
     */
    private function granted(array $wishes, array $males, array $females): array
    {
        $served = array_fill(0, count($males), 0);
        $mated = $grants = [];
        while ($wishes !== []) {
            $best = null;
            foreach ($wishes as $i => [$worth, $f, $m]) {
                if (isset($mated[$f]) || $served[$m] >= $this->law->femalesPerMale) {
                    unset($wishes[$i]);

                    continue;
                }
                if ($best === null) {
                    $best = $i;
                } elseif ($worth < $wishes[$best][0] - 1e-6) {
                    break;
                } elseif ($served[$m] < $served[$wishes[$best][2]]) { // males that are worth the same share the females out
                    $best = $i;
                }
            }
            if ($best === null) {
                break;
            }
            [, $f, $m] = $wishes[$best];
            $mated[$f] = true;
            $served[$m]++;
            $grants[] = [$males[$m], $females[$f]];
        }

        return $grants;
    }

    /**
     * @param array{male: int, female: int} $found
     * @return array{float, float} 1 for a sex that is still missing, 0 for one that is not
     */
    private function weights(array $found): array
    {
        $wanted = $this->project->wanted;
        if ($wanted['male'] + $wanted['female'] === 0) {
            return [1.0, 1.0];
        }

        return [$found['male'] < $wanted['male'] ? 1.0 : 0.0, $found['female'] < $wanted['female'] ? 1.0 : 0.0];
    }

    private function isForbidden(Holding $sire, Holding $dam): bool
    {
        return $this->project->forbidden !== [] && in_array([$sire->id, $dam->id], $this->project->forbidden, true);
    }
}
