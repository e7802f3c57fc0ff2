<?php

declare(strict_types=1);

namespace App\Looks;

use App\Catalogue\CatalogueShelf;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\Rational;

/** Looks of genotypes as the gene facts of a collection give them. */
class Gallery
{
    private readonly LookFacts $facts;

    /** @var array<string, Look> */
    private array $looks = [];

    public function __construct(private readonly CatalogueShelf $shelf)
    {
        $this->facts = $shelf->looks();
    }

    public function facts(): LookFacts
    {
        return $this->facts;
    }

    public function catalogue(): Catalogue
    {
        return $this->shelf->catalogue();
    }

    /** @param array<array-key, Form> $forms */
    public function ofForms(array $forms, int $days = LookFacts::ADULT, int $seed = 0): Look
    {
        $forms = array_values(array_filter($forms, fn (Form $form): bool => $form->shows !== []));
        $key = implode(',', array_map(fn (Form $form): string => $form->locus.':'.implode('/', $form->pair), $forms))." {$days} {$seed}";

        return $this->looks[$key] ??= $this->facts->look($this->shelf->catalogue(), $forms, $days, $seed);
    }

    /** The likeliest genotype of what is believed of an animal. */
    public function ofBelief(Belief $belief, int $days = LookFacts::ADULT, int $seed = 0): Look
    {
        return $this->ofForms($this->formsOf($belief), $days, $seed);
    }

    /**
     * @throws DestinoError when it cannot be read
     */
    public function ofText(string $text, int $days = LookFacts::ADULT, int $seed = 0): Look
    {
        return trim($text) === '' || strcasecmp(trim($text), 'normal') === 0
            ? $this->ofForms([], $days, $seed)
            : $this->ofBelief($this->belief($text), $days, $seed);
    }

    /** @throws DestinoError when it cannot be read */
    public function belief(string $text): Belief
    {
        return $this->shelf->reader()->read($text, Sex::Female)->beliefOrFail();
    }

    /** @return list<Form> */
    public function formsOf(Belief $belief): array
    {
        $expressions = new Expressions($this->shelf->catalogue());
        $forms = [];
        foreach ($belief->factors as $factor) {
            /** @var array{State, Rational}|null $best */
            $best = null;
            foreach ($factor->states->entries() as $entry) {
                $best = $best === null || $entry[1]->compareTo($best[1]) > 0 ? $entry : $best;
            }
            foreach ($best === null ? [] : $expressions->ofState($best[0]) as $expression) {
                array_push($forms, ...array_values($expression->forms));
            }
        }

        return array_values(array_filter($forms, fn (Form $form): bool => ! $form->isWild()));
    }
}
