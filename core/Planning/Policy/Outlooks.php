<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Project;

/** What is to be expected from situations on; those that may come again are kept. */
final class Outlooks
{
    /** Animals of each sex that are looked at where there are more. */
    private const LEADING_MALES = 20;

    private const LEADING_FEMALES = 60;

    private const OF_EACH_GENE = 5;

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

    public function of(Situation $situation): Outlook
    {
        $counts = [];
        $young = 0;
        foreach ($this->leading($situation->animals) as $animal) {
            $from = max($animal->from, $situation->season);
            if ($from <= $this->law->horizon) {
                $counts["{$animal->type} {$from}"] = min($animal->isMale ? 2 : 4, ($counts["{$animal->type} {$from}"] ?? 0) + 1);
            }
        }
        foreach ($this->project->tubsGiven() === null ? [] : $situation->animals as $animal) {
            $young += $animal->isYoung && max($animal->from, $situation->season) <= $this->law->horizon ? 1 : 0;
        }
        ksort($counts);
        $weights = $this->weights($situation->found);
        $free = $this->project->tubsGiven() === null ? null : max(0, $this->project->tubsGiven() - $young);
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
    public function leading(array $animals): array
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

    /**
     * The hazard at best next season with these animals beside these young.
     *
     * @param list<Holding> $others
     * @param array<int, Holding> $young
     */
    public function hazardOf(Situation $situation, array $others, array $young): float
    {
        return $this->of(new Situation($situation->season + 1, [...$others, ...array_values($young)], $situation->found))->atBest();
    }
}
