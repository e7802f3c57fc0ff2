<?php

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Collection\Statuses;
use App\Models\Animal;
use App\Models\Enums\Status;
use App\Models\Project;
use App\Models\User;
use Destino\DestinoError;
use Destino\Notation\TargetCondition;

/** What is not known of the animals that are here, by what an answer is worth: to projects, and to a label of sale. */
class OpenQuestions
{
    /** Bits that an animal's place in a project adds, for each weight of the project. */
    private const PROJECT = .5;

    private const SALE = 1.0;

    public function __construct(private readonly User $keeper, private readonly Beliefs $beliefs, private readonly CatalogueShelf $shelf) {}

    /** @return list<array{question: Question, worth: float, why: string}> the worthiest first */
    public function ranked(int $most = 40): array
    {
        $statuses = Statuses::of($this->keeper);
        $wanted = $this->wanted();
        $ranked = [];
        /** @var Animal $animal */
        foreach ($this->keeper->animals()->orderBy('name')->get() as $animal) {
            $status = $statuses->status($animal->id);
            foreach (
                $status->isHere() ? Question::of($animal, $this->beliefs->belief($animal->id), $this->shelf->catalogue()) : [] as $question
            ) {
                $why = [];
                $weight = 1.0;
                foreach ($question->alleles() as $allele) {
                    foreach ($wanted[$allele] ?? [] as [$name, $own]) {
                        $why[$name] = "wanted by {$name}";
                        $weight += self::PROJECT * $own;
                    }
                }
                if (in_array($status, [Status::ForSale, Status::Reserved], true)) {
                    $why['sale'] = 'the label it is sold under';
                    $weight += self::SALE;
                }
                $ranked[] = ['question' => $question, 'worth' => $question->doubt() * $weight, 'why' => implode('; ', array_unique($why))];
            }
        }
        usort($ranked, fn (array $a, array $b): int => $b['worth'] <=> $a['worth']);

        return array_slice($ranked, 0, $most);
    }

    /** @return array<string, list<array{string, int}>> projects that want an allele: name and weight */
    private function wanted(): array
    {
        $wanted = [];
        /** @var Project $project */
        foreach ($this->keeper->projects()->get() as $project) {
            try {
                $conditions = $this->shelf->targets()->read($project->target)->conditions;
            } catch (DestinoError) {
                continue; // the project's own page says what is wrong with its target
            }
            foreach (
                array_merge([], ...array_map(fn (TargetCondition $condition): array => $condition->wantedAlleles(), $conditions)) as $allele
            ) {
                $wanted[$allele][] = [$project->name, $project->weight];
            }
        }

        return $wanted;
    }
}
