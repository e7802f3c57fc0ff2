<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Project;

/**
 * A keeper who in each season does what promises most from where he stands: mates by the worth of each pair within what the
 * males can serve, keeps the young that add most to the chance. Everything is reckoned anew in each situation (Outlook).
 */
final class LookAhead implements Promising
{
    private readonly Project $project;

    private readonly Outlooks $outlooks;

    private readonly Choosing $choosing;

    public function __construct(private readonly Law $law)
    {
        $this->project = $law->space->project;
        $this->outlooks = new Outlooks($law);
        $this->choosing = new Choosing($this->outlooks);
    }

    /** What is to be expected from a situation on. */
    public function outlook(Situation $situation): Outlook
    {
        return $this->outlooks->of($situation);
    }

    public function mate(Situation $situation): array
    {
        [$males, $females, $wishes] = $this->wishes($situation);

        return $this->granted($wishes, $males, $females);
    }

    public function promises(Situation $situation): array
    {
        [$males, $females, $wishes] = $this->wishes($situation);

        return array_map(static fn (array $wish): array => [$males[$wish[2]], $females[$wish[1]], $wish[0]], $wishes);
    }

    /** @return array{list<Holding>, list<Holding>, list<array{float, int, int}>} males, females, and worth, female and male of each pair */
    private function wishes(Situation $situation): array
    {
        $males = $females = [];
        foreach ($this->outlooks->leading($situation->animals) as $animal) {
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
                $worth = $this->isForbidden($sire, $dam) || $situation->isWithout($sire, $dam) ? 0.0
                    : $this->worthOf($outlook, $sire, $dam);
                if ($worth > 1e-9) { // of males alike the one that has proved least
                    $wishes[] = [$worth * Kinship::price($sire, $dam) - 1e-7 * $sire->clutches, $f, $m];
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
        $kept = $this->project->tubsGiven() === null
            ? [...$held, ...$this->choosing->chosen($situation, $young)]
            : (new Tubs($this->outlooks, $this->project->tubsGiven()))->fitting($situation, [...$held, ...$young]);

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

        return $this->project->tubsGiven() === null ? $all : array_slice($all, 0, $this->project->tubsGiven());
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

    private function isForbidden(Holding $sire, Holding $dam): bool
    {
        return $this->project->forbidden !== [] && in_array([$sire->id, $dam->id], $this->project->forbidden, true);
    }
}
