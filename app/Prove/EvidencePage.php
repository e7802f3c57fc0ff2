<?php

declare(strict_types=1);

namespace App\Prove;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Clutch;
use Illuminate\Database\Eloquent\Builder;

/**
 * The evidence on one animal, group by group. It takes the family several times over, as if this or that had not been seen, so it is
 * kept as long as what it follows from is the same; in a large collection a worker makes it, and the page says so meanwhile.
 *
 * @phpstan-import-type Step from Evidence
 * @phpstan-import-type Said from Evidence
 * @phpstan-type Told array{steps: list<Step>, statements: list<Said>}
 */
final class EvidencePage
{
    /** @var list<Clutch> of the animal, oldest first */
    private readonly array $clutches;

    /** @var list<int> clutches of its young and of theirs */
    private readonly array $further;

    /** @var array<string, Told>|null by group; null where it is not worked out yet */
    private readonly ?array $told;

    /** @var list<Question> */
    private readonly array $questions;

    public function __construct(private readonly Animal $animal, private readonly Opened $opened)
    {
        $animal->load('statements');
        $keeper = $opened->keeper();
        $this->clutches = $keeper->clutches()->with('dam', 'sires.animal')->where(
            fn (Builder $any) => $any->where('dam_id', $animal->id)->orWhereHas(
                'sires', fn (Builder $sire) => $sire->where('animal_id', $animal->id),
            ),
        )->get()->sortBy(fn (Clutch $clutch): string => $clutch->season().$clutch->id)->values()->all();
        $this->further = $this->furtherClutches();
        [$beliefs, $catalogue] = [$opened->beliefs(), $opened->shelf->catalogue()];
        $this->questions = array_map(
            fn (string $group): Question => new Question($animal, $beliefs->belief($animal->id), $catalogue->groups[$group], $catalogue),
            $beliefs->belief($animal->id)->groups(),
        );
        $this->told = $this->kept();
    }

    public function text(): string
    {
        return $this->opened->beliefs()->text($this->animal->id);
    }

    public function isWorkedOut(): bool
    {
        return $this->told !== null;
    }

    /** @return list<array{question: Question, steps: list<Step>, statements: list<Said>}> where anything is in doubt, or was */
    public function evidence(): array
    {
        $evidence = [];
        foreach ($this->questions as $question) {
            $told = $this->told[$question->group->key] ?? ['steps' => [Evidence::asItIs($question)], 'statements' => []];
            if (count($told['steps']) > 1 || count(array_filter($told['steps'][0]['shares'])) > 1) {
                $evidence[] = ['question' => $question] + $told;
            }
        }

        return $evidence;
    }

    /** @return array<string, Told>|null */
    private function kept(): ?array
    {
        $name = "evidence:{$this->opened->keeper()->id}:{$this->animal->id}";
        $from = $this->from();
        $kept = $this->opened->kept->get($name);
        $isKnown = is_array($kept) && $kept[0] === $from;
        $asked = new EvidenceAsked($this->opened->kept, $this->opened->keeper()->id);
        if ($this->opened->isBehind() || (! $isKnown && $this->opened->beliefs()->goesOnWithWhatWasKnown())) {
            $asked->ask($this->animal->id);

            return $isKnown ? $kept[1] : null;
        }
        if ($isKnown) {
            $asked->isAnswered($this->animal->id);

            return $kept[1];
        }
        $told = [];
        foreach ($this->questions as $question) {
            $one = new Evidence($question, $this->opened->beliefs(), $this->clutches, $this->further);
            $told[$question->group->key] = ['steps' => $one->steps(), 'statements' => $one->statements()];
        }
        $this->opened->kept->put($name, [$from, $told]);
        $asked->isAnswered($this->animal->id);

        return $told;
    }

    /** Equal as long as what is told is: what is believed, which clutch each young is of, and the words for them. */
    private function from(): string
    {
        $beliefs = $this->opened->beliefs();
        $ids = [...array_map(fn (Clutch $clutch): int => $clutch->id, $this->clutches), ...$this->further];
        $young = array_filter(
            array_column($beliefs->records->animals, 'clutch_id', 'id'), fn (?int $clutch): bool => in_array($clutch, $ids, true),
        );

        return hash('xxh128', serialize([
            $beliefs->key($this->animal->id), $this->further, $young,
            array_map(fn (Clutch $clutch): array => [$clutch->id, $clutch->title(), $clutch->hatched], $this->clutches),
            $this->animal->statements->map(fn ($one): array => [$one->id, $one->text, $one->byWhom()])->all(),
        ]));
    }

    /** @return list<int> clutches of the young of the animal's clutches, of their young, and so on */
    private function furtherClutches(): array
    {
        $keeper = $this->opened->keeper();
        $own = array_map(fn (Clutch $clutch): int => $clutch->id, $this->clutches);
        [$all, $next] = [[], $own];
        while ($next !== []) {
            $young = $keeper->animals()->whereIn('clutch_id', $next)->pluck('id');
            $of = $keeper->clutches()->where(
                fn (Builder $any) => $any->whereIn('dam_id', $young)->orWhereHas(
                    'sires', fn (Builder $sire) => $sire->whereIn('animal_id', $young),
                ),
            )->pluck('id')->all();
            $next = array_values(array_diff($of, $all, $own));
            $all = [...$all, ...$next];
        }

        return $all;
    }
}
