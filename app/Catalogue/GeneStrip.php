<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Genome\Form;
use Destino\Genome\FormKind;
use Destino\Genome\Inheritance;

/**
 * A gene at a glance, picture beside picture: a normal, the gene as it first shows, two copies, compounds, and what it does with its best
 * partners.
 *
 * @phpstan-type Picture array{label: string, says: string, forms: list<Form>}
 */
final readonly class GeneStrip
{
    private const COMPOUNDS = 2;

    private const PARTNERS = 3;

    public function __construct(private GenePage $page, private GeneSigns $signs) {}

    /** @return list<Picture> */
    public function pictures(): array
    {
        $catalogue = $this->page->catalogue;
        $one = $catalogue->oneCopy($this->page->allele);
        $pictures = [['label' => 'Normal', 'says' => 'for comparison', 'forms' => []]];
        if ($one->kind !== FormKind::Het) {
            $pictures[] = ['label' => $one->text, 'says' => 'one copy'.$this->unseen(), 'forms' => [$one]];
        }
        $two = $this->page->twoCopies;
        if (! $two->isLethal() && $this->page->allele->inheritance !== Inheritance::Dominant) {
            $pictures[] = ['label' => $two->text, 'says' => ($one->kind === FormKind::Het ? 'visual' : 'two copies').$this->unseen(), 'forms' => [$two]];
        }
        $living = array_filter($this->page->compounds(), fn (Form $form): bool => ! $form->isLethal() && ! $form->isExtrapolated);
        foreach (array_slice($living, 0, self::COMPOUNDS) as $form) {
            $pictures[] = ['label' => $form->text, 'says' => $form->knownAs ?? 'compound', 'forms' => [$form]];
        }

        return [...$pictures, ...$this->partners()];
    }

    private function unseen(): string
    {
        return $this->signs->isDescribed($this->page->allele) ? '' : ', look not described';
    }

    /** @return list<Picture> with the genes beside which it changes most */
    private function partners(): array
    {
        $lines = $this->signs->together($this->page->allele);
        usort($lines, fn (array $a, array $b): int => $b['sign']->gain() <=> $a['sign']->gain());

        return array_map(fn (array $line): array => [
            'label' => implode(' ', array_map(fn (Form $form): string => $form->text, $line['forms'])), 'says' => 'with '.$line['with'],
            'forms' => $line['forms'],
        ], array_slice($lines, 0, self::PARTNERS));
    }
}
