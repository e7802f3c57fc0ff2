<?php

declare(strict_types=1);

namespace App\Projects;

use App\Catalogue\CatalogueShelf;
use Destino\DestinoError;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Notation\Target;
use Destino\Notation\TargetCondition;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Policy\Answer;
use Destino\Planning\Policy\Beginning;
use Destino\Planning\Policy\Mating;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Weigh\Worth;

/** What a plan says that animals and pairings are worth to its project: those that are there, and those that could be bought. */
class Appraisal
{
    public function __construct(private readonly CatalogueShelf $shelf, private readonly float $effort) {}

    /** @return array{possible: list<array<string, mixed>>, animals: list<array<string, mixed>>, next: list<array<string, mixed>>} */
    public function of(Policy $policy, Answer $answer, int $seed): array
    {
        $project = $policy->law->space->project;

        return [
            'possible' => self::possible($answer),
            'animals' => array_map(self::entry(...), Worth::ofOwned($policy, $answer->bought, $seed)),
            'next' => array_map(
                self::entry(...),
                Worth::ofMore(
                    $this->shelf->catalogue(), $project, $this->candidates($project->target), $seed, $this->effort, $policy->first(),
                ),
            ),
        ];
    }

    /** @return list<array{sire: string, dam: string, target_an_egg: float, hazard: float}> pairings that could be made this season */
    public static function possible(?Answer $answer): array
    {
        return array_map(fn (Mating $one): array => [
            'sire' => $one->sire, 'dam' => $one->dam, 'target_an_egg' => round($one->hit, 6), 'hazard' => round($one->hazard, 6),
        ], $answer->possible ?? []);
    }

    /**
     * What an animal would be worth that is not there: a gift, a find, an offer.
     *
     * @param  Beginning  $first  how the plan is played
     * @return array<string, mixed>
     *
     * @throws DestinoError when its genes cannot be read
     */
    public function ofOne(Project $project, string $genes, Sex $sex, ?int $months, int $seed, Beginning $first = new Beginning): array
    {
        $worths = Worth::ofMore(
            $this->shelf->catalogue(), $project, [$this->founder('one more', $genes, $sex, $months)], $seed, $this->effort, $first,
        );

        return self::entry($worths[0]);
    }

    /** @return array<string, mixed> */
    private static function entry(Worth $worth): array
    {
        return [
            'id' => $worth->founder->id, 'genes' => $worth->founder->genes, 'sex' => $worth->founder->sex->value,
        ] + WorthWords::figures([$worth->gain, $worth->error], [$worth->sooner, $worth->soonerError]);
    }

    /**
     * @return list<Founder> what bears on the target: each gene alone, carried or shown, and all of them together, as grown animals
     *     of either sex
     */
    private function candidates(Target $target): array
    {
        $founders = [];
        foreach ($this->texts($target) as $text) {
            foreach ([Sex::Male, Sex::Female] as $sex) {
                if ($target->sex === null || ! in_array($text, [$target->text], true) || $target->sex === $sex) {
                    try {
                        $founder = $this->founder("more {$text} {$sex->value}", $text, $sex, null);
                        $founders["{$founder->genes} {$sex->value}"] ??= $founder;
                    } catch (DestinoError) {
                        continue; // a piece that asks for one of several forms names no animal
                    }
                }
            }
        }

        return array_values($founders);
    }

    /** @return list<string> in the notation */
    private function texts(Target $target): array
    {
        $shown = $carried = [];
        foreach ($target->allConditions() as $condition) {
            if ($condition->wantedAlleles() !== []) {
                $shown[] = $condition->piece;
                $carried[] = $this->carried($condition);
            }
        }

        return array_values(array_unique([implode(' ', $shown), implode(' ', $carried), ...$shown, ...$carried]));
    }

    /** One copy of what a condition asks for. */
    private function carried(TargetCondition $condition): string
    {
        $alleles = $this->shelf->catalogue()->alleles;
        $wanted = $condition->wantedAlleles();
        $allele = $alleles[$wanted[0]] ?? null;

        return $allele instanceof Allele && $allele->inheritance === Inheritance::Recessive
            ? "het {$allele->name}"
            : ($allele->name ?? $condition->piece);
    }

    private function founder(string $id, string $genes, Sex $sex, ?int $months): Founder
    {
        $belief = $this->shelf->reader()->read($genes, $sex)->beliefOrFail();

        return new Founder($id, $sex, $belief, $this->words($belief), $months, null, 0.0);
    }

    private function words(Belief $belief): string
    {
        return (new Printer($this->shelf->catalogue()))->belief($belief);
    }
}
