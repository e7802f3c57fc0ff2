<?php

declare(strict_types=1);

namespace App\Train;

use App\Models\Drill;
use App\Models\User;
use Destino\Training\Leitner;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Ten questions in a row, and what somebody knows by now. */
class Round
{
    public const LENGTH = 10;

    private const KEY = 'train';

    public function __construct(
        private readonly User $keeper, private readonly string $who, private readonly Session $session, private readonly Examiner $examiner,
    ) {}

    /** @return array{items: list<string>, seed: int, at: int, right: int, last: array{item: string, seed: int, choice: int}|null}|null */
    public function state(): ?array
    {
        $state = $this->session->get(self::KEY);

        return is_array($state) && isset($state['items'], $state['seed'], $state['at'], $state['right']) ? $state + ['last' => null] : null;
    }

    /** A new round: what is due, the weakest first, and then what was never asked. */
    public function begin(int $seed): void
    {
        $due = $this->due()->sortBy(fn (Drill $drill): array => [$drill->box, $drill->right - $drill->wrong])->pluck('item')->all();
        $asked = $this->drills()->pluck('item')->all();
        $new = array_values(array_diff($this->examiner->items(), $asked));
        $rest = $this->drills()->sortBy('due_on')->pluck('item')->all();
        $items = array_slice(array_values(array_unique([...array_slice($due, 0, self::LENGTH), ...$new, ...$rest])), 0, self::LENGTH);
        $items = array_values(array_filter($items, fn (string $item): bool => $this->examiner->question($item, $seed) !== null));
        $this->session->put(self::KEY, ['items' => $items, 'seed' => $seed, 'at' => 0, 'right' => 0, 'last' => null]);
    }

    /** The question that stands; null where the round is over or none has begun. */
    public function question(): ?Question
    {
        $state = $this->state();

        return $state === null || ! isset($state['items'][$state['at']])
            ? null
            : $this->examiner->question($state['items'][$state['at']], $state['seed'] + $state['at']);
    }

    /** Takes an answer once: one to a question that does not stand any more changes nothing. */
    public function answer(int $at, int $choice): void
    {
        $state = $this->state();
        $question = $this->question();
        if ($state === null || $question === null || $at !== $state['at'] || ! isset($question->options[$choice])) {
            return;
        }
        $isRight = $choice === $question->answer;
        DB::transaction(function () use ($question, $isRight): void {
            $drill = Drill::query()->where('user_id', $this->keeper->id)->where('who', $this->who)->where('item', $question->item)
                ->first() ?? new Drill;
            $box = Leitner::after($drill->exists ? $drill->box : 0, $isRight);
            $drill->fill([
                'who' => $this->who, 'item' => $question->item, 'box' => $box, 'due_on' => Carbon::today()->addDays(Leitner::days($box)),
                'right' => $drill->right + ($isRight ? 1 : 0), 'wrong' => $drill->wrong + ($isRight ? 0 : 1),
            ]);
            $drill->user_id = $this->keeper->id;
            $drill->save();
        });
        $this->session->put(self::KEY, [
            'at' => $state['at'] + 1, 'right' => $state['right'] + ($isRight ? 1 : 0),
            'last' => ['item' => $question->item, 'seed' => $state['seed'] + $state['at'], 'choice' => $choice],
        ] + $state);
    }

    /** @return array{Question, int}|null the question that was answered last, and the choice */
    public function last(): ?array
    {
        $last = $this->state()['last'] ?? null;
        $question = $last === null ? null : $this->examiner->question($last['item'], $last['seed']);

        return $last === null || $question === null ? null : [$question, $last['choice']];
    }

    /** The answer has been read: on to the next question. */
    public function goOn(): void
    {
        $state = $this->state();
        $state === null ?: $this->session->put(self::KEY, ['last' => null] + $state);
    }

    public function end(): void
    {
        $this->session->forget(self::KEY);
    }

    /** @var \Illuminate\Database\Eloquent\Collection<int, Drill>|null */
    private ?\Illuminate\Database\Eloquent\Collection $drills = null;

    /** @return \Illuminate\Database\Eloquent\Collection<int, Drill> all that was ever asked of this person */
    public function drills(): \Illuminate\Database\Eloquent\Collection
    {
        return $this->drills ??= Drill::query()->where('user_id', $this->keeper->id)->where('who', $this->who)->get();
    }

    /** @return \Illuminate\Database\Eloquent\Collection<int, Drill> */
    public function due(): \Illuminate\Database\Eloquent\Collection
    {
        return $this->drills()->filter(fn (Drill $drill): bool => $drill->due_on->lte(Carbon::today()));
    }

    /** @return list<array{name: string, right: int, wrong: int, known: int, of: int}> by gene or kind, the weakest first */
    public function progress(callable $nameOf): array
    {
        $by = [];
        foreach ($this->drills() as $drill) {
            $name = $nameOf($drill->item);
            $by[$name] ??= ['name' => $name, 'right' => 0, 'wrong' => 0, 'known' => 0, 'of' => 0];
            $by[$name]['right'] += $drill->right;
            $by[$name]['wrong'] += $drill->wrong;
            $by[$name]['known'] += $drill->box > 1 ? 1 : 0;
            $by[$name]['of']++;
        }
        usort(
            $by,
            fn (array $a, array $b): int => [
                $a['right'] / max(1, $a['right'] + $a['wrong']), $b['wrong'],
            ] <=> [$b['right'] / max(1, $b['right'] + $b['wrong']), $a['wrong']],
        );

        return $by;
    }
}
