<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Destino\Documents\LuckDocument;
use Destino\Pairing\Asking\QuestionError;
use Destino\Probability\Binomial;
use Destino\Probability\Luck;
use Destino\Probability\Probability;

class LuckCommand extends AnswerCommand
{
    protected $signature = 'destino:luck
        {--chance= : chance per egg, for example 1/6}
        {--eggs= : eggs in all}
        {--hits= : hits among them}
        {--json : print one JSON document}';

    protected $description = 'How unlikely it is to do so badly, or so well';

    protected function answer(): void
    {
        foreach (
            [
                'chance' => 'The chance per egg (--chance)', 'eggs' => 'The number of eggs (--eggs)',
                'hits' => 'The number of hits (--hits)',
            ] as $option => $what
        ) {
            if ($this->option($option) === null) {
                throw QuestionError::missing($option, $what);
            }
        }
        $luck = new Luck(Probability::typed((string) $this->option('chance')), $this->count('eggs'), $this->count('hits'));
        if ($this->option('json')) {
            $this->printJson(LuckDocument::of($luck));

            return;
        }
        $oneIn = $luck->oneIn();
        $this->line(
            "{$luck->hits} hits in {$luck->eggs} eggs at {$luck->chance->toString()}; expected ".round($luck->expected()->toFloat(), 2).'.',
        );
        $this->line('This many or fewer: '.$luck->atMost()->toPercent(4).'%');
        $this->line('This many or more:  '.$luck->atLeast()->toPercent(4).'%');
        $this->line(
            $oneIn === null
                ? 'At this chance that cannot happen.'
                : 'About 1 in '.number_format($oneIn->toFloat()).' for a result at least as far '
                    .($luck->isBelowExpected() ? 'below' : 'above').' what was expected.',
        );
    }

    private function count(string $option): int
    {
        return $this->wholeNumber(
            $option, 0, Binomial::MOST_EGGS,
            fn (string $typed): QuestionError => QuestionError::count($option, $typed, Binomial::MOST_EGGS),
        );
    }
}
