<?php

declare(strict_types=1);

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Collection\Kept;
use App\Collection\Statuses;
use App\Models\Animal;
use App\Models\Enums\Status;
use App\Models\Project;
use App\Models\User;
use Destino\DestinoError;

/** What is not known of the animals that are here, by what an answer is worth: to projects, and to a label of sale. */
class OpenQuestions
{
    /** Bits that an animal's place in a project adds, for each weight of the project. */
    private const PROJECT = .5;

    private const SALE = 1.0;

    /** @var array<string, list<array{group: string, doubt: float, alleles: list<string>}>> what is open by what is believed */
    private array $known;

    private bool $isChanged = false;

    public function __construct(
        private readonly User $keeper,
        private readonly Beliefs $beliefs,
        private readonly CatalogueShelf $shelf,
        private readonly Kept $kept,
    ) {
        $this->known = (array) $kept->get("questions:{$keeper->id}");
    }

    /** @return list<array{question: Question, worth: float, why: string}> the worthiest first */
    public function ranked(int $most = 40): array
    {
        $statuses = Statuses::of($this->keeper);
        $wanted = $this->wanted();
        $ranked = $keys = [];
        foreach ($this->keeper->animals()->orderBy('name')->pluck('id') as $id) {
            $status = $statuses->status((int) $id);
            $keys[$this->beliefs->key((int) $id)] = true;
            foreach ($status->isHere() ? $this->openOf((int) $id) : [] as $open) {
                [$weight, $why] = $this->weigh($open['alleles'], $status, $wanted);
                $ranked[] = ['id' => (int) $id, 'group' => $open['group'], 'worth' => $open['doubt'] * $weight, 'why' => $why];
            }
        }
        usort($ranked, fn (array $a, array $b): int => $b['worth'] <=> $a['worth']);
        if ($this->isChanged && ! $this->beliefs->isBehind()) {
            $this->kept->put("questions:{$this->keeper->id}", array_intersect_key($this->known, $keys));
        }

        return $this->asked(array_slice($ranked, 0, $most));
    }

    /**
     * @param list<array{id: int, group: string, worth: float, why: string}> $ranked
     * @return list<array{question: Question, worth: float, why: string}>
     */
    private function asked(array $ranked): array
    {
        $animals = $this->keeper->animals()->findMany(array_unique(array_column($ranked, 'id')))->keyBy('id');
        $catalogue = $this->shelf->catalogue();

        return array_map(fn (array $one): array => [
            'question' => new Question($animals[$one['id']], $this->beliefs->belief($one['id']), $catalogue->groups[$one['group']],
                $catalogue),
            'worth' => $one['worth'], 'why' => $one['why'],
        ], $ranked);
    }

    /** @return list<array{group: string, doubt: float, alleles: list<string>}> */
    private function openOf(int $id): array
    {
        $key = $this->beliefs->key($id);
        if (! isset($this->known[$key])) {
            $this->known[$key] = array_map(
                fn (Question $one): array => ['group' => $one->group->key, 'doubt' => $one->doubt(), 'alleles' => $one->alleles()],
                Question::of(new Animal, $this->beliefs->belief($id), $this->shelf->catalogue()),
            );
            $this->isChanged = true;
        }

        return $this->known[$key];
    }

    /**
     * @param list<string> $alleles
     * @param array<string, list<array{string, int}>> $wanted
     * @return array{float, string} how much an answer counts for, and why
     */
    private function weigh(array $alleles, Status $status, array $wanted): array
    {
        $why = [];
        $weight = 1.0;
        foreach ($alleles as $allele) {
            foreach ($wanted[$allele] ?? [] as [$name, $own]) {
                $why[$name] = "wanted by {$name}";
                $weight += self::PROJECT * $own;
            }
        }
        if (in_array($status, [Status::ForSale, Status::Reserved], true)) {
            $why['sale'] = 'the label it is sold under';
            $weight += self::SALE;
        }

        return [$weight, implode('; ', array_unique($why))];
    }

    /** @return array<string, list<array{string, int}>> projects that want an allele: name and weight */
    private function wanted(): array
    {
        $wanted = [];
        /** @var Project $project */
        foreach ($this->keeper->projects()->get() as $project) {
            try {
                $alleles = $this->shelf->targetsWithChoices()->read($project->target)->wantedAlleles();
            } catch (DestinoError) {
                continue; // the project's own page says what is wrong with its target
            }
            foreach ($alleles as $allele) {
                $wanted[$allele][] = [$project->name, $project->weight];
            }
        }

        return $wanted;
    }
}
