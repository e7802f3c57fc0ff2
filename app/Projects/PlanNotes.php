<?php

declare(strict_types=1);

namespace App\Projects;

use App\Models\PlanResult;
use App\Models\Project;
use App\Words\OddsWords;
use Closure;
use Destino\Planning\Given\PlanAssumptions;

/** What stands beside a plan: what moves it, what it rests on, other decisions, earlier plans. */
class PlanNotes
{
    /** @param Closure(int): string $year of a season */
    public function __construct(private readonly PlanResult $result, private readonly Project $project, private readonly Closure $year) {}

    /** @return list<array{question: string, choice: string, money: float, median: int|null, by_horizon: float|null, same: bool}> */
    public function dilemmas(): array
    {
        $figures = fn (array $one): array => [$one['median'], $one['by_horizon'], $one['money']];
        $all = [];
        foreach ($this->result->dilemmas as $i => $one) {
            $all[] = $one + ['same' => $i > 0 && $figures($one) === $figures($this->result->dilemmas[0])];
        }

        return $all;
    }

    /**
     * @return list<array{label: string, low: array{figure: string, gives: string}, high: array{figure: string, gives: string}}>
     *     what moves the result most
     */
    public function influence(): array
    {
        return array_map(fn (array $one): array => ['label' => AssumptionWords::label($one['assumption'])] + array_map(
            fn (string $end): array => [
                'figure' => AssumptionWords::figure($one['assumption'], $one[$end]),
                'gives' => ($one["at_{$end}"]['median'] === null ? 'later' : ($this->year)($one["at_{$end}"]['median']))
                    .', '.OddsWords::share($one["at_{$end}"]['by_horizon']),
            ],
            ['low' => 'low', 'high' => 'high'],
        ), $this->result->influence);
    }

    /** @return list<array{name: string, value: int|float, label: string, figure: string, source: string}> */
    public function assumptions(): array
    {
        $defaults = (new PlanAssumptions)->toArray();
        $list = [];
        $used = $this->result->assumptions + $defaults;
        foreach (AssumptionWords::order() as $name) {
            $value = $used[$name] ?? $defaults[$name];
            $list[] = [
                'name' => $name, 'value' => $value, 'label' => AssumptionWords::label($name),
                    'figure' => AssumptionWords::figure($name, $value),
                'source' => isset($this->project->assumptions[$name])
                    ? 'edited here'
                    : ((float) $defaults[$name] === (float) $value ? 'default' : 'house rules'),
            ];
        }

        return $list;
    }

    /** @return list<array{made: string, given: string|null, answer: string}> earlier plans, newest first, to hold against this one */
    public function earlier(): array
    {
        $earlier = [];
        foreach (
            $this->project->plans()
                ->where('id', '<', $this->project->latestPlan->id ?? 0)
                ->whereIn('state', ['done', 'cancelled'])
                ->latest('id')
                ->limit(6)
                ->get() as $plan
        ) {
            $route = $plan->made()->policy ?? $plan->made()->routes[0] ?? null;
            $earlier[] = [
                'made' => (string) $plan->created_at?->format('j M Y, H:i'),
                'given' => $plan->given === null ? null : route('plans.given', $plan),
                'answer' => $route === null
                    ? 'no way'
                    : 'median season '.($route['season']['median'] ?? 'beyond the horizon').', '
                        .OddsWords::share(array_column($route['probability_by_season'],
                            'decimal')[count($route['probability_by_season']) - 1])
                        .' by the horizon',
            ];
        }

        return $earlier;
    }
}
