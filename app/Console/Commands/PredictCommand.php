<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueShelf;
use Destino\Documents\PredictionDocument;
use Destino\Genome\Severity;
use Destino\Notation\Percentage;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\Asking\Question;
use Destino\Pairing\Asking\QuestionError;
use Destino\Pairing\By;
use Destino\Pairing\Outcome;
use Destino\Probability\Rational;
use Illuminate\Support\Str;
use Symfony\Component\Console\Formatter\OutputFormatter;
use Symfony\Component\Console\Terminal;

class PredictCommand extends AnswerCommand
{
    use ChoosesSchools;

    protected $signature = 'destino:predict
        {--sire= : what the male carries, in the notation}
        {--dam= : what the female carries, in the notation}
        {--eggs=6 : eggs in the clutch}
        {--target= : what is wanted, for example "Clown + Pastel"}
        {--by= : genotype or look; a table is by look, --json by genotype}
        {--sexed : tell sons and daughters apart}
        {--phase : tell genotypes apart that differ in phase only}
        {--hatched : per living hatchling instead of per egg}
        {--alike : by look: merge look-alike sets, as at hatching}
        {--top= : how many outcomes to show (1000 under --json, 40 in the table)}
        {--school=* : CLAIM=CHOICE for a disputed fact}
        {--json : print one JSON document}';

    protected $description = 'The exact odds of a pairing';

    protected function answer(): void
    {
        $question = $this->asked();
        $schools = $this->schools();
        $shelf = app(CatalogueShelf::class);
        $prediction = Prediction::of($shelf->catalogue($schools), $question, $shelf->names($schools), under: $shelf->catalogue(...));
        $most = $this->option('top') === null
            ? ($this->option('json') ? 1000 : 40)
            : $this->wholeNumber('top', 1, 100_000, QuestionError::top(...));
        if ($this->option('json')) {
            $this->printJson(PredictionDocument::of($prediction, $most));
        } else {
            $this->printTable($prediction, $most);
        }
    }

    private function asked(): Question
    {
        foreach (['sire' => 'What the sire carries (--sire)', 'dam' => 'What the dam carries (--dam)'] as $option => $what) {
            if ($this->option($option) === null) {
                throw QuestionError::missing($option, $what);
            }
        }
        $by = (string) ($this->option('by') ?? ($this->option('json') ? By::Genotype : By::Look)->value);

        return new Question(
            (string) $this->option('sire'),
            (string) $this->option('dam'),
            (string) $this->option('target'),
            By::tryFrom($by) ?? throw QuestionError::notOneOf('by', $by, ['genotype', 'look']),
            $this->wholeNumber('eggs', 1, Question::MOST_EGGS, QuestionError::eggs(...)),
            (bool) $this->option('sexed'),
            (bool) $this->option('phase'),
            (bool) $this->option('hatched'),
            (bool) $this->option('alike'),
        );
    }

    private function printTable(Prediction $prediction, int $most): void
    {
        $question = $prediction->question;
        $space = $prediction->outcomes();
        $outcomes = $space->top($most);
        $this->line(
            "{$question->sire} × {$question->dam}, by {$question->by->value}, per ".($question->hatched ? 'living hatchling' : 'egg'),
        );
        $columns = ['Offspring', 'Chance', '%', 'Sex', ''];
        $rows = array_map(fn (array $row): array => [
            $row[0], $row[1]->toString(), $row[1]->toPercent(2), $row[2], $row[3],
        ], self::joined($outcomes, $question->sexed));
        foreach ([4, 3] as $column) { // what says nothing of any of them is left out
            if (array_filter(array_column($rows, $column)) === []) {
                unset($columns[$column]);
                $rows = array_map(fn (array $row): array => array_diff_key($row, [$column => true]), $rows);
            }
        }
        $this->table($columns, $rows);
        $shown = array_reduce(
            $outcomes, fn (Rational $sum, Outcome $outcome): Rational => $sum->plus($outcome->probability), Rational::zero(),
        );
        $this->line(count($outcomes)." of {$space->total()} outcomes, ".Percentage::print($shown).' of the eggs.');
        $this->printTarget($prediction);
        foreach ($prediction->advice() as $advice) {
            $this->wrapped("[{$advice->severity->value}] {$advice->text}", $advice->severity->rank() >= Severity::Serious->rank());
        }
        foreach ($prediction->disputes() as $claim) {
            $this->wrapped(
                "Rests on a disputed fact: {$claim->question} Taken as “{$prediction->catalogue->schools[$claim->key]}” "
                    ."(--school={$claim->key}=… chooses).",
            );
        }
        foreach ($prediction->assumptions()->readings as $reading) {
            $this->wrapped("Read as: {$reading}");
        }
    }

    /**
     * Sons and daughters that are equal and equally likely stand in one row, unless the question tells them apart.
     *
     * @param list<Outcome> $outcomes
     * @return list<array{string, Rational, string, string}> label, chance, sex, what becomes of it
     */
    private static function joined(array $outcomes, bool $isSexed): array
    {
        $rows = [];
        foreach ($outcomes as $outcome) {
            $label = $outcome->label.($outcome->knownAs === [] ? '' : ' ('.implode(', ', $outcome->knownAs).')');
            $key = $label.' '.$outcome->probability->toString().($outcome->isLethal ? ' dies' : '');
            $sex = $outcome->sex->value ?? '';
            $isOther = ! $isSexed && isset($rows[$key]) && $sex !== '' && ! in_array($rows[$key][2], ['either', $sex], true);
            if ($isOther) {
                $rows[$key] = [$label, $rows[$key][1]->plus($outcome->probability), 'either', $rows[$key][3]];
            } else {
                $rows[isset($rows[$key]) ? "{$key} ".count($rows) : $key]
                    = [$label, $outcome->probability, $sex, $outcome->isLethal ? 'does not live' : ''];
            }
        }

        usort($rows, static fn (array $a, array $b): int => $b[1]->compareTo($a[1]));

        return $rows;
    }

    /** Within the width of the terminal, and marked there where it weighs. */
    private function wrapped(string $text, bool $isGrave = false): void
    {
        $lines = OutputFormatter::escape(Str::wordWrap($text, max(40, (new Terminal)->getWidth() - 1)));
        $this->line($isGrave ? "<fg=red>{$lines}</>" : $lines);
    }

    private function printTarget(Prediction $prediction): void
    {
        if ($prediction->target === null) {
            return;
        }
        $chance = $prediction->target->chance;
        $eggs = $prediction->question->eggs;
        $this->newLine();
        $this->line(
            "{$prediction->target->target->text}: {$chance->perEgg()->toString()} per "
                .($prediction->question->hatched ? 'hatchling' : 'egg')." ({$chance->perEgg()->toPercent(2)}%)",
        );
        $why = $prediction->target->whyImpossible();
        if ($why !== null) {
            $this->line("This cannot happen: {$why}");

            return;
        }
        $this->line(
            "In {$eggs} eggs: at least one {$chance->atLeastOne($eggs)->toPercent(2)}%, at least two "
                ."{$chance->atLeastTwo($eggs)->toPercent(2)}%.",
        );
        foreach (PredictionDocument::LEVELS as $level) {
            $needed = $chance->eggsFor(Rational::of($level, 100));
            $this->line($needed === null
                ? "For {$level}%: no number of eggs is enough, since a parent may not carry what is needed (at most "
                    .$chance->ceiling()->toPercent(2).'%).'
                : "For {$level}%: {$needed} ".($needed === 1 ? 'egg.' : 'eggs.'));
        }
    }
}
