<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueShelf;
use App\Looks\ContactSheet;
use App\Looks\Gallery;
use App\Looks\KeptDrawings;
use App\Looks\LookWords;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Pairing\Asking\QuestionError;

class LooksCommand extends AnswerCommand
{
    use ChoosesSchools;

    /** Days of the ages by their names. */
    private const AGES = ['hatchling' => 20, 'yearling' => 365, 'adult' => LookFacts::ADULT];

    protected $signature = 'destino:looks
        {--genes= : a genotype as keepers write it}
        {--against= : another one, to be told apart from it}
        {--age=adult : hatchling, yearling or adult}
        {--seed=1 : other numbers give other individuals of the same genotype; 1 is the typical one}
        {--svg : print the drawing}
        {--small : the drawing as a thumbnail}
        {--view=lying : the animal as it lies, or its skin laid flat (flat)}
        {--sheet= : write a sheet of all genes, one copy and two, to this file}
        {--school=* : CLAIM=CHOICE for a disputed fact}
        {--json : print one JSON document}';

    protected $description = 'What a genotype looks like: amounts with reasons, or the drawing';

    protected function answer(): void
    {
        $gallery = new Gallery(app(CatalogueShelf::class)->withSchools($this->schools()));
        if ((string) $this->option('sheet') !== '') {
            $this->sheet($gallery, (string) $this->option('sheet'));

            return;
        }
        $age = (string) $this->option('age');
        $days = self::AGES[$age] ?? throw QuestionError::notOneOf('age', $age, array_keys(self::AGES));
        $seed = $this->wholeNumber(
            'seed', 1, 1_000_000, fn (string $typed): QuestionError => QuestionError::notOneOf('seed', $typed, ['a whole number from 1']),
        );
        $genes = (string) $this->option('genes');
        $look = $gallery->ofText($genes, $days, $seed - 1);
        $against = $this->option('against') === null ? null : $gallery->ofText((string) $this->option('against'), $days, $seed - 1);
        $words = new LookWords($gallery->facts());
        if ($this->option('svg') || ($this->option('small') && ! $this->option('json'))) {
            $this->line($this->drawing($look, $genes, $words->sentence($look)));
        } elseif ($this->option('json')) {
            $this->printJson($words->document($look, $genes, $age, $against));
        } else {
            $this->line(ucfirst($words->sentence($look, $against)).'.');
            $this->table(['axis', 'amount', 'from'], $words->rows($look));
            $this->line(
                'How sure: '.$look->sureness->words().($look->hidden === [] ? '.' : '. Hidden in it: '.implode(', ', $look->hidden).'.'),
            );
        }
    }

    private function drawing(Look $look, string $genes, string $sentence): string
    {
        $view = (string) $this->option('view');
        $isSmall = (bool) $this->option('small');

        return match ($view) {
            'lying' => (new KeptDrawings(null))->alone($look, $isSmall ? $genes : "{$genes}: {$sentence}", $isSmall ? 'small' : 'full'),
            'flat' => (new KeptDrawings(null))->alone($look, "{$genes}: {$sentence}", 'flat'),
            default => throw QuestionError::notOneOf('view', $view, ['lying', 'flat']),
        };
    }

    private function sheet(Gallery $gallery, string $file): void
    {
        $sheet = ContactSheet::of($gallery);
        if (@file_put_contents($file, $sheet) === false) {
            throw QuestionError::notOneOf('sheet', $file, ['a file that can be written']);
        }
        $this->line("Written: {$file}");
    }
}
