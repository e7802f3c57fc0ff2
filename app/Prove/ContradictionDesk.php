<?php

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Models\Animal;
use App\Models\ClutchCount;
use App\Models\Decision;
use App\Models\User;
use Destino\Inference\Contradiction;
use Destino\Inference\Explanation;

/** Young that the records exclude, with what may explain each, and what was decided. */
class ContradictionDesk
{
    public function __construct(private readonly User $keeper, private readonly Beliefs $beliefs, private readonly CatalogueShelf $shelf) {}

    /** @return list<array{subject: string, link: string, about: string, explanations: list<array{text: string, share: string, width: float, value: string}>}> */
    public function open(): array
    {
        $open = [];
        foreach ($this->beliefs->kin->contradictions() as $contradiction) {
            $open[] = [
                'subject' => $this->name($contradiction->subject), 'link' => $this->link($contradiction->subject),
                'about' => implode(', ', array_map(fn (string $locus): string => $this->shelf->catalogue()->locus($locus)->name, $contradiction->loci)),
                'explanations' => $this->explanations($contradiction),
            ];
        }

        return $open;
    }

    /** @return list<array{decision: Decision, text: string}> newest first */
    public function decided(): array
    {
        /** @var list<Decision> $decisions */
        $decisions = $this->keeper->decisions()->with('animal')->latest('id')->get()->all();

        return array_map(fn (Decision $decision): array => ['decision' => $decision, 'text' => FaultWords::of($this->faultOf($decision), $this->name(...), $this->shelf->catalogue())], $decisions);
    }

    /** @return list<array{text: string, share: string, width: float, value: string}> */
    private function explanations(Contradiction $contradiction): array
    {
        return array_map(fn (Explanation $one): array => [
            'text' => FaultWords::of($one->fault, $this->name(...), $this->shelf->catalogue()), 'share' => OddsText::percent($one->odds), 'width' => round(100 * $one->odds, 1),
            'value' => implode('|', [$one->fault->kind->value, $one->fault->subject, implode(',', $one->fault->alleles)]),
        ], $contradiction->explanations);
    }

    private function faultOf(Decision $decision): \Destino\Inference\Fault
    {
        return new \Destino\Inference\Fault($decision->kind, $decision->animal_id !== null ? "a{$decision->animal_id}" : "c{$decision->clutch_count_id}", array_values(array_filter($decision->alleles, fn (string $allele): bool => isset($this->shelf->catalogue()->alleles[$allele]))));
    }

    private function name(string $id): string
    {
        return $id[0] === 'a' ? (Animal::withTrashed()->where('user_id', $this->keeper->id)->find((int) substr($id, 1))->name ?? 'an animal') : '“'.(ClutchCount::query()->find((int) substr($id, 1))?->sentence() ?? 'a count').'”';
    }

    private function link(string $id): string
    {
        return $id[0] === 'a' ? route('animals.show', (int) substr($id, 1)) : route('clutches.show', ClutchCount::query()->findOrFail((int) substr($id, 1))->clutch_id);
    }
}
