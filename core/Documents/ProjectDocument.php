<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Pairing\Advice\Stance;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;

/** A project as the document destino-project/1, from which ProjectReader makes the same again. */
final readonly class ProjectDocument
{
    /** @return array<string, mixed> */
    public static function of(Project $project): array
    {
        $isOffer = static fn (Founder $founder): bool => $founder->isOffer();
        $founders = $project->founders;

        return [
            'format' => ProjectReader::FORMAT, 'target' => $project->target->text, 'horizon' => $project->horizon,
            'animals' => array_map(
                self::founder(...), array_values(array_filter($founders, static fn (Founder $one): bool => ! $isOffer($one))),
            ),
            'market' => array_map(self::founder(...), array_values(array_filter($founders, $isOffer))),
            'assumptions' => $project->assumptions->toArray(), 'rules' => self::rules($project),
        ];
    }

    /** @return array<string, mixed> */
    private static function founder(Founder $founder): array
    {
        return array_filter([
            'id' => $founder->id, 'sex' => $founder->sex->value, 'genes' => $founder->genes,
            'belief' => BeliefDocument::of($founder->belief), 'age' => $founder->months,
            'weight' => $founder->grams, 'price' => $founder->price, 'sire' => $founder->sire, 'dam' => $founder->dam,
            'from_season' => $founder->from > 1 ? $founder->from : null,
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<string, mixed> what is left out stands for no rule */
    private static function rules(Project $project): array
    {
        $sound = [];
        foreach ($project->sound as $pair => $share) {
            [$sire, $dam] = explode(' ', $pair, 2);
            $sound[] = ['sire' => $sire, 'dam' => $dam, 'share' => $share];
        }

        return array_filter([
            'budget' => $project->budget, 'tubs' => $project->tubs, 'inbreeding' => $project->mostInbreeding?->toString(),
            'wanted' => match (true) {
                $project->sure => 'sure',
                $project->wanted['male'] > 0 => 'pair',
                default => [1 => 'one', 2 => 'two', 3 => 'three'][$project->wanted['any']] ?? 'one',
            }, 'aim' => $project->aim->toArray(),
            'sound' => $sound, 'forbidden' => $project->forbidden, 'pinned' => $project->pinned, 'keep' => $project->keep,
            'stances' => array_map(static fn (Stance $stance): string => $stance->value, $project->stances),
        ], static fn (mixed $value): bool => $value !== null && $value !== []);
    }
}
