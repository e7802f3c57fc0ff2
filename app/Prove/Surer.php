<?php

declare(strict_types=1);

namespace App\Prove;

use App\Clutch\Bench;
use App\Clutch\KnownSoFar;
use App\Collection\Opened;
use App\Models\Animal;
use Destino\Identification\Cue;
use Illuminate\Support\Carbon;

/**
 * What would make the label of an animal surer: one more look now, a look at a later age, a season.
 *
 * @phpstan-import-type Mate from Design
 * @phpstan-type ByCue array{cue: Cue, separates: string, settles: float}
 */
final readonly class Surer
{
    /** Cues that are told of, the most telling first. */
    private const CUES = 3;

    private const QUESTIONS = 3;

    private ?Bench $bench;

    public function __construct(public Animal $animal, private Opened $opened)
    {
        $clutch = $animal->clutch;
        $this->bench = $clutch === null ? null : new Bench($clutch, $opened);
    }

    /** @return list<ByCue> what can be looked at now, with the chance that it settles what it is about */
    public function now(): array
    {
        $found = $this->bench?->found;
        $id = (string) $this->animal->id;
        $told = [];
        foreach ($found === null ? [] : $found->cues($id)['next'] as $one) {
            if ($one['bits'] >= Bench::LEAST_BITS && count($told) < self::CUES) {
                $told[] = ['cue' => $one['cue'], 'separates' => $one['separates'], 'settles' => $this->settles($one['cue'])];
            }
        }

        return $told;
    }

    /** @return list<array{day: string, cues: list<string>}> what can be looked at later, by the day from which it can */
    public function later(): array
    {
        $hatched = $this->animal->hatched_on ?? $this->bench?->clutch->hatched_on;
        $days = [];
        foreach ($hatched === null ? [] : $this->bench?->found?->cues((string) $this->animal->id)['later'] ?? [] as $cue) {
            $days[Carbon::parse($hatched)->addDays($cue->fromDays)->format('Y-m-d')][] = $cue->name;
        }
        ksort($days);

        return array_map(
            static fn (string $day, array $cues): array => ['day' => Carbon::parse($day)->format('j M Y'), 'cues' => $cues],
            array_keys($days), array_values($days),
        );
    }

    /** @return list<array{question: Question, mate: Mate|null}> what a season would answer, with the mate that answers soonest */
    public function season(): array
    {
        $questions = Question::of($this->animal, $this->opened->beliefs()->belief($this->animal->id), $this->opened->shelf->catalogue());
        usort($questions, static fn (Question $a, Question $b): int => $b->doubt() <=> $a->doubt());

        return array_map(function (Question $question): array {
            $design = new Design(
                $question, $this->opened->keeper(), $this->opened->beliefs(), $this->opened->shelf, $this->opened->house,
            );
            $mate = $design->mates()[0] ?? null;

            return ['question' => $question, 'mate' => ($mate['eggs95'] ?? null) === null ? null : $mate];
        }, array_slice($questions, 0, self::QUESTIONS));
    }

    /** The chance that it is sure at every locus of a cue, seen or carried, once it was looked at. */
    private function settles(Cue $cue): float
    {
        $settled = 0.0;
        foreach ($this->bench?->found?->after((string) $this->animal->id, $cue) ?? [] as $after) {
            $likeliest = [];
            foreach ($after['forms'] as ['form' => $form, 'decimal' => $share]) {
                $likeliest[$form->locus] = max($likeliest[$form->locus] ?? 0.0, $share);
            }
            $settled += $likeliest !== [] && min($likeliest) >= KnownSoFar::SURE ? $after['chance'] : 0.0;
        }

        return $settled;
    }
}
