<?php

declare(strict_types=1);

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Collection\CoreId;
use App\Models\Animal;
use App\Models\ClutchCount;
use App\Models\Decision;
use App\Models\User;
use App\Words\OddsWords;
use Destino\Inference\Faults\Contradiction;
use Destino\Inference\Faults\Explanation;
use Destino\Inference\Faults\Fault;

/**
 * Young that the records exclude, with what may explain each, and what was decided.
 *
 * @phpstan-type Told array{text: string, share: string, width: float, value: string}
 */
class ContradictionDesk
{
    /** Explanations less likely than this are not offered. */
    private const SLIGHT = 5e-4;

    public function __construct(private readonly User $keeper, private readonly Beliefs $beliefs, private readonly CatalogueShelf $shelf) {}

    /**
     * @param list<string>|null $of only what concerns one of these ("a5" an animal, "c7" counted young)
     * @return list<array{subject: string, link: string, about: string, explanations: list<Told>}>
     */
    public function open(?array $of = null): array
    {
        $open = [];
        foreach ($this->beliefs->kin->contradictions() as $contradiction) {
            if ($of !== null && array_intersect([$contradiction->subject, ...$contradiction->others], $of) === []) {
                continue;
            }
            $open[] = [
                'subject' => $this->names($contradiction), 'link' => $this->link($contradiction->subject),
                'about' => $this->about($contradiction),
                'explanations' => $this->explanations($contradiction),
            ];
        }

        return $open;
    }

    /** @return list<array{subject: string, link: string, about: string, chance: string, explanations: list<Told>}> what is hardly so */
    public function unlikely(): array
    {
        return array_map(fn (Contradiction $one): array => [
            'subject' => $this->names($one), 'link' => $this->link($one->subject), 'about' => $this->about($one),
            'chance' => number_format(1 / max(1e-12, (float) $one->chance)), 'explanations' => $this->explanations($one),
        ], $this->beliefs->kin->unlikely());
    }

    /** @return list<string> what is wrong with the records of a family, of which nothing is concluded */
    public function faults(): array
    {
        return array_map(
            fn (string $fault): string => (string) preg_replace_callback(
                '/\ba(\d+)\b/', fn (array $found): string => $this->name($found[0]), $fault,
            ),
            $this->beliefs->kin->faults(),
        );
    }

    /** @return list<array{decision: Decision, text: string}> newest first */
    public function decided(): array
    {
        /** @var list<Decision> $decisions */
        $decisions = $this->keeper->decisions()->with('animal')->latest('id')->get()->all();

        return array_map(
            fn (Decision $decision): array => [
                'decision' => $decision,
                'text' => $this->faultOf($decision)->words($this->name(...), $this->shelf->catalogue()),
            ],
            $decisions,
        );
    }

    /** @return list<Told> */
    private function explanations(Contradiction $contradiction): array
    {
        return array_map(fn (Explanation $one): array => [
            'text' => $one->words($this->name(...), $this->shelf->catalogue()),
            'share' => OddsWords::share($one->odds), 'width' => round(100 * $one->odds, 1),
            'value' => implode(
                ';',
                array_map(
                    fn (Fault $fault): string => implode(
                        '|', [$fault->kind()->value, $fault->subject, implode(',', $fault->alleles), $fault->instead ?? ''],
                    ),
                    $one->faults,
                ),
            ),
        ], array_values(array_filter($contradiction->explanations, fn (Explanation $one): bool => $one->odds >= self::SLIGHT)));
    }

    private function about(Contradiction $one): string
    {
        $clutch = CoreId::count($one->subject) !== null
            ? ClutchCount::query()->with('clutch')->find(CoreId::count($one->subject))?->clutch->title()
            : null;

        return ($clutch === null ? '' : "{$clutch}, ")
            .implode(', ', array_map(fn (string $locus): string => $this->shelf->catalogue()->locus($locus)->name, $one->loci));
    }

    private function names(Contradiction $one): string
    {
        return implode(', ', array_map($this->name(...), [$one->subject, ...$one->others]));
    }

    private function faultOf(Decision $decision): Fault
    {
        return Fault::of(
            $decision->kind, $decision->animal_id !== null ? CoreId::of($decision->animal_id) : CoreId::ofCount((int) $decision->count_id),
            array_values(array_filter($decision->alleles, fn (string $allele): bool => isset($this->shelf->catalogue()->alleles[$allele]))),
            isset($this->shelf->catalogue()->alleles[$decision->instead ?? '']) ? $decision->instead : null,
        );
    }

    private function name(string $id): string
    {
        return CoreId::animal($id) !== null
            ? (Animal::withTrashed()->where('user_id', $this->keeper->id)->find(CoreId::animal($id))->name ?? 'an animal')
            : '“'.(ClutchCount::query()->find(CoreId::count($id))?->sentence() ?? 'a count').'”';
    }

    private function link(string $id): string
    {
        return CoreId::animal($id) !== null
            ? route('animals.show', (int) CoreId::animal($id))
            : route('clutches.show', ClutchCount::withTrashed()->findOrFail(CoreId::count($id))->clutch_id);
    }
}
