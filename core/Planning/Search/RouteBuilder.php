<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Sex;
use Destino\Husbandry\Pedigree;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Probability\Rational;

/** Turns a target's node, with the crosses behind it, into a route. */
final class RouteBuilder
{
    /** @var array<string, RouteStep> by key */
    private array $steps = [];

    /** @var array<string, Founder> */
    private array $purchases = [];

    /** @var array<string, array{string|null, string|null}> */
    private array $parents = [];

    private readonly Welfare $welfare;

    private function __construct(private readonly Space $space)
    {
        $this->welfare = new Welfare($space);
    }

    public static function build(Space $space, Node $target, string $name, string $why): Route
    {
        $builder = new self($space);
        foreach ($space->project->founders as $founder) {
            $builder->parents["f {$founder->id}"] = [
                $founder->sire === null ? null : "f {$founder->sire}", $founder->dam === null ? null : "f {$founder->dam}",
            ];
        }
        $builder->take($target, true);
        $steps = array_values($builder->steps);
        usort(
            $steps,
            static fn (RouteStep $a, RouteStep $b): int => [$a->isLast, $a->season, $a->key] <=> [$b->isLast, $b->season, $b->key],
        );

        return new Route($name, $why, $steps, array_values($builder->purchases), $target->born, $builder->inbreeding($target));
    }

    private function take(Node $node, bool $isLast): void
    {
        foreach ($node->founders as $founder) {
            if ($founder->isOffer()) {
                $this->purchases[$founder->id] = $founder;
            }
        }
        $key = $isLast ? 'target' : $node->key;
        if ($node->sire === null || $node->dam === null || isset($this->steps[$key])) {
            return;
        }
        $this->take($node->sire, false);
        $this->take($node->dam, false);
        $odds = $isLast
            ? $this->space->crossing->oddsOfTarget($node->sire->looks, $node->dam->looks)
            : $this->space->crossing->oddsOf($node->sire->looks, $node->dam->looks, $node->looks);
        $this->steps[$key] = new RouteStep(
            $key, max($this->earliest($node->sire), $this->earliest($node->dam)), $node->sire->key, $node->dam->key,
            $node->sire->founders, $node->dam->founders,
            $this->space->text($node->sire->looks), $this->space->text($node->dam->looks), $node->looks,
            $isLast ? $this->space->project->target->text : $this->space->text($node->looks),
            $isLast ? $this->space->project->target->sex : $node->sex,
            $odds,
            $this->space->project->keep[RouteStep::wordsOf($this->space->text($node->looks), $node->sex)] ?? $this->keep($node, $isLast),
            $isLast, $this->welfare->cautions($node->sire, $node->dam),
        );
    }

    /** The first season in which it can breed, if all goes well. */
    private function earliest(Node $node): int
    {
        return $node->isFounder() || ! isset($this->steps[$node->key])
            ? (int) ceil($node->ready - 1e-9)
            : $this->steps[$node->key]->season + $this->space->project->assumptions->seasonsToGrow($node->sex === Sex::Male);
    }

    /**
     * How many to keep: one male, two females; where what is wanted cannot be seen, so many that with nine in ten one of
     * them carries it, four at the most.
     */
    private function keep(Node $node, bool $isLast): int
    {
        if ($isLast) {
            return 1;
        }
        $carries = 1.0;
        foreach ($node->looks as $i => $look) {
            $table = $this->space->groups[$i];
            $with = 0.0;
            foreach ($table->book->looks[$look] as $state => $p) {
                $haplotypes = $table->book->states[$state]->haplotypes;
                $isPlain = $haplotypes[0] === $haplotypes[1]
                    && array_filter($haplotypes[0], static fn (string $allele): bool => $allele !== '+' && $allele !== Sex::X) === [];
                $with += $isPlain ? 0.0 : $p->toFloat();
            }
            $carries *= count($table->book->looks[$look]) > 1 && $with > 0.0 ? $with : 1.0;
        }
        $hidden = $carries >= 1.0 ? 1 : (int) ceil(log(.1) / log(1 - $carries));

        return min(4, max($hidden, $node->sex === Sex::Female ? 2 : 1));
    }

    /** F of the target: every step gives different siblings; founders are joined by what is known of their parents. */
    private function inbreeding(Node $target): Rational
    {
        $animal = $this->individual($target); // first: it adds the planned animals to the pedigree

        return (new Pedigree($this->parents))->inbreeding($animal);
    }

    private function individual(Node $node): string
    {
        if ($node->isFounder()) {
            return "f {$node->founders[0]->id}";
        }
        $own = "y {$node->key} ".spl_object_id($node);
        $this->parents[$own] ??= [
            $node->sire === null ? null : $this->individual($node->sire),
            $node->dam === null ? null : $this->individual($node->dam),
        ];

        return $own;
    }
}
