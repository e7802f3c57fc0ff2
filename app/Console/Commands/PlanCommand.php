<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueShelf;
use Destino\Documents\PlanDocument;
use Destino\Documents\ProjectReader;
use Destino\Pairing\Asking\QuestionError;
use Destino\Planning\Given\ProjectError;
use Destino\Planning\Planner;

class PlanCommand extends AnswerCommand
{
    use ReadsFile;
    use ChoosesSchools;

    protected $signature = 'destino:plan
        {file : a project document (destino-project/1), or - for standard input}
        {--runs=2000 : seasons are played so many times for each route}
        {--seed=1 : the same seed gives the same answer}
        {--school=* : CLAIM=CHOICE for a disputed fact}
        {--json : print one JSON document}';

    protected $description = 'Routes to a target over several generations, simulated';

    protected function answer(): void
    {
        $document = $this->fileDocument(ProjectError::missing(...));
        $shelf = app(CatalogueShelf::class)->withSchools($this->schools());
        $project = (new ProjectReader($shelf))->read($document);
        $runs = $this->wholeNumber(
            'runs', 1, 100_000, fn (string $typed): QuestionError => QuestionError::notOneOf('runs', $typed, ['1 to 100000']),
        );
        $seed = $this->wholeNumber(
            'seed', 0, PHP_INT_MAX,
            fn (string $typed): QuestionError => QuestionError::notOneOf('seed', $typed, ['a whole number']),
        );
        $plan = PlanDocument::of((new Planner($shelf->catalogue(), $project, (float) config('destino.plan_effort')))->plan($runs, $seed));
        $this->option('json') ? $this->printJson($plan) : $this->printTable($plan);
    }

    /** @param array<string, mixed> $plan */
    private function printTable(array $plan): void
    {
        $this->line("{$plan['target']}, {$plan['horizon']} seasons ahead");
        if ($plan['already'] !== null) {
            $this->line("{$plan['already']} is one already.");
        }
        if ($plan['unreachable'] !== null) {
            $this->line($plan['unreachable']['why']);
        }
        if ($plan['policy'] !== null) {
            $this->printPolicy($plan['policy']);
        }
        foreach ($plan['routes'] as $route) {
            $this->newLine();
            $this->line("{$route['name']}: {$route['why']}");
            foreach ($route['steps'] as $step) {
                $keep = $step['keep'][0];
                $this->line(
                    "  from season {$step['season']}: {$step['sire']} × {$step['dam']}, {$step['probability']} per egg: "
                        ."{$keep['genes']}, keep {$keep['count']} "
                        .($keep['sex'] ?? 'of either sex'),
                );
            }
            $this->line(
                '  by season: '
                    .implode(
                        '  ',
                        array_map(
                            fn (array $at): string => $at['season'].': '.round(100 * $at['decimal']).'%',
                            $route['probability_by_season'],
                        ),
                    ),
            );
            $this->line(
                '  half of the keepers have it by season '.($route['season']['median'] ?? 'later')
                    .", F = {$route['inbreeding']}, money {$route['money']}, {$route['eggs']} eggs"
                    .($route['risk'] === null ? '' : "; {$route['risk']}"),
            );
        }
    }

    /** @param array<string, mixed> $policy */
    private function printPolicy(array $policy): void
    {
        $this->line('What can be reached, deciding each season by what hatched ('.$policy['runs'].' runs):');
        $this->line('  by season: '.implode('  ', array_map(
            fn (array $at): string => "{$at['season']}: ".round(100 * $at['decimal']).'%', $policy['probability_by_season'],
        )));
        foreach ($policy['now']['buy'] as $buy) {
            $this->line("  buy now: {$buy['sex']} {$buy['genes']}, {$buy['price']}");
        }
        foreach ($policy['now']['buy_later'] as $buy) {
            $this->line("  buy next season, if no {$buy['sex']} as good has hatched: {$buy['genes']}, {$buy['price']}");
        }
        foreach ($policy['now']['matings'] as $mating) {
            $worth = $mating['worth'] === null
                ? ''
                : ', worth '.round(100 * $mating['worth'], 1).' in 100 (± '.round(100 * $mating['error'], 1).')';
            $this->line("  mate now: {$mating['sire']} × {$mating['dam']}{$worth}");
        }
        ['tubs' => $tubs, 'clutches' => $clutches] = $policy['effort'];
        if ($clutches !== null) {
            $this->line('  '.($clutches === 1 ? 'one clutch a season is enough' : "{$clutches} clutches a season are enough"));
        }
        if ($tubs !== null) {
            $this->line('  '.($tubs === 1 ? 'one young at a time is'
                : "{$tubs} young at a time are").' enough to keep, the first of these that hatch');
        }
        foreach (array_filter($policy['now']['keep'], fn (array $young): bool => $young['keep']) as $young) {
            $this->line("  keep: {$young['sex']} {$young['genes']}");
        }
    }
}
