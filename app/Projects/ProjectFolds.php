<?php

declare(strict_types=1);

namespace App\Projects;

/** What the folds of a project's page hold: the main fact of each, and rows for their tables. */
class ProjectFolds
{
    public function __construct(private readonly ProjectPage $page) {}

    public function waysFact(): string
    {
        $count = count($this->page->routes());

        $single = $count === 1 ? 'one single way' : "{$count} single ways";

        return match (true) {
            $this->page->policy() === null => $single,
            $count === 0 => 'the chance by year',
            default => "the chance by year, and {$single}",
        };
    }

    /** @return list<array<string, mixed>> what can be reached, and then each way, for the table */
    public function waysRows(): array
    {
        $rows = [];
        foreach ($this->page->courses() as $i => $course) {
            $isAll = $i === 0 && $this->page->policy() !== null;
            $number = $this->page->policy() === null ? $i : $i - 1;
            $year = fn (?int $season): string => $season === null ? 'later' : $this->page->year($season);
            $rows[] = [
                'letter' => $isAll ? 'all' : chr(65 + $number), 'link' => $isAll ? null : "route-{$number}",
                'name' => $isAll ? 'what you can reach, deciding as you go' : $course['name'], 'eggs' => $course['eggs'],
                    'kept' => $course['kept'],
                'money' => $course['money'], 'inbreeding' => $course['inbreeding'] ?? '', 'risk' => $course['risk'] ?? 'none stands out',
            ] + array_map($year, array_intersect_key($course['season'], ['median' => 0, 'p10' => 0, 'p90' => 0]));
        }

        return $rows;
    }

    public function hasChoices(): bool
    {
        return $this->page->result->pairs !== [] || $this->page->notes()->dilemmas() !== [] || $this->page->notes()->influence() !== [];
    }

    public function choicesFact(): string
    {
        $differing = max(0, count($this->differing()) - 1);

        return match (true) {
            $this->page->notes()->dilemmas() === [] => count($this->page->result->pairs).' pairings you could make',
            $differing === 0 => 'none of them would change much',
            default => ($differing === 1 ? 'one changes' : "{$differing} change").' the answer',
        };
    }

    /** @return list<array<string, mixed>> decisions under which the answer differs, the plan as it is first */
    public function differing(): array
    {
        return array_values(array_filter($this->page->notes()->dilemmas(), fn (array $one): bool => ! $one['same']));
    }

    /** @return list<string> decisions under which it does not */
    public function same(): array
    {
        return array_column(array_filter($this->page->notes()->dilemmas(), fn (array $one): bool => $one['same']), 'choice');
    }

    public function soFarFact(): string
    {
        $clutches = count($this->page->clutches());

        return $clutches === 0 ? 'no clutch yet' : ($clutches === 1 ? 'one clutch' : "{$clutches} clutches");
    }

    /** @return list<array{season: int, told: string}> what one other pair of a past season would have brought */
    public function roadsNotTaken(): array
    {
        return array_map(function (array $one): array {
            [$sire, $dam] = [$this->page->named($one['sire']), $this->page->named($one['dam'])];
            $instead = $one['instead'] === '' ? ' as well' : " instead of {$this->page->named($one['instead'])}";

            return [
                'season' => $one['season'],
                'told' => "with {$sire} × {$dam}{$instead}, you would have the target ".self::years($one['sooner']).' sooner, on average.',
            ];
        }, $this->page->result->past);
    }

    private static function years(float $seasons): string
    {
        $halves = (int) round(2 * $seasons);

        return match (true) {
            $halves <= 1 => 'about half a year',
            $halves === 2 => 'about a year',
            $halves === 3 => 'about a year and a half',
            default => 'about '.(string) round($seasons).' years',
        };
    }

    /** Whether the keeper pinned an animal or left a cross out. */
    public function isLimited(): bool
    {
        return $this->page->project->pinned !== [] || $this->page->project->forbidden !== [];
    }

    public function basisFact(): string
    {
        $own = count($this->page->project->assumptions);

        return count($this->page->notes()->assumptions()).' assumptions, '.($own === 0 ? 'none of your own' : "{$own} of your own");
    }
}
