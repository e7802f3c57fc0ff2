<?php

declare(strict_types=1);

namespace Destino\Planning;

use Closure;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Missing;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Search\Route;

/** Why nothing leads to the target of a project, and what would have to give way. */
final readonly class Obstacles
{
    /**
     * @param Closure(): ?int $leastSeasons the fewest within which it could be, however far one looks ahead
     * @param Closure(list<string>): list<Route> $without ways that there would be without some limits
     */
    public function __construct(private Project $project, private Space $space, private Closure $leastSeasons, private Closure $without) {}

    public function told(): string
    {
        $missing = Missing::of($this->space);
        if ($missing !== []) {
            return 'Nobody owned or offered carries what “'.implode('” and “', $missing)
                .'” needs. Buy an animal that carries it, or leave it out of the target.';
        }
        foreach ([Sex::Male, Sex::Female] as $sex) {
            if (array_filter($this->project->founders, static fn (Founder $founder): bool => $founder->sex === $sex) === []) {
                return "There is no {$sex->value} among the animals. Add one: owned, or for sale.";
            }
        }
        $inTheWay = $this->whatStandsInTheWay();
        if ($inTheWay !== null) {
            return $inTheWay;
        }

        $least = ($this->leastSeasons)();

        return $least === null
            ? 'Nothing that these animals can give leads there. Buy an animal that carries what is missing, or ask for less at a time.'
            : "Within {$this->project->horizon} seasons it cannot be: {$least} are the fewest, if everything falls out well. Look further ahead, "
                .'buy an animal that shortens the way, or ask for less at a time.';
    }

    /** Which limit to relax: the one without which there is a way, or all of them together. */
    private function whatStandsInTheWay(): ?string
    {
        $limits = [
            'budget' => $this->project->budget !== null, 'inbreeding' => $this->project->mostInbreeding !== null,
            'pins' => $this->project->pinned !== [], 'stances' => $this->project->stances !== [],
        ];
        $set = array_keys(array_filter($limits));
        foreach ($set as $limit) {
            $routes = ($this->without)([$limit]);
            if ($routes !== []) {
                return match ($limit) {
                    'budget' => 'Within the budget nothing leads there: the least that would is '
                        .number_format(min(array_map(static fn (Route $route): float => $route->cost(), $routes)), 2, '.', '')
                        .'. Raise the budget, or wait for another offer.',
                    'inbreeding'
                        => 'Within the limit of relatedness nothing leads there: the first way that would has F = '
                            ."{$routes[0]->inbreeding->toString()}. Raise the limit, or add an unrelated mate.",
                    'pins' => 'With the pinned animals nothing leads there. Take a pin out: without them there is a way.',
                    'stances' => 'Your house rules refuse every cross that would lead there. Look for another way to the look, or change '
                        .'the rule if you have a reason.',
                };
            }
        }
        if (count($set) > 1 && ($this->without)($set) !== []) {
            $words = [
                'budget' => 'the budget', 'inbreeding' => 'the limit of relatedness', 'pins' => 'the pinned animals',
                'stances' => 'your house rules',
            ];

            return 'The limits exclude each other: '
                .implode(', ', array_map(static fn (string $limit): string => $words[$limit], $set))
                .'. With all of them nothing leads there, and relaxing one alone is not enough; start with the one that matters least.';
        }

        return null;
    }
}
