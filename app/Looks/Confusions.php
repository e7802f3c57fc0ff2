<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Collection\Statuses;
use App\Models\Project;
use Destino\Appearance\Difference;
use Destino\Appearance\Distance;
use Destino\Appearance\Look;
use Destino\Genome\Allele;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;

/**
 * Which looks this keeper will mix up, for the genes that are in the collection, and which forms hide others.
 *
 * @phpstan-type Pair array{
 *     one: string, other: string, apart: float, tells: string, says: string|null, looks: array{Look, Look}, planned: int,
 * }
 */
class Confusions
{
    /** A pair is listed that lies no further apart than this. */
    private const NEAR = 9.0;

    private const MOST = 40;

    /** @var list<Allele> that somebody here may carry */
    private readonly array $genes;

    /** @var array<string, list<string>> alleles that may be carried, by the core's id of the animal */
    private readonly array $carried;

    public function __construct(private readonly Gallery $gallery, private readonly Opened $opened)
    {
        $catalogue = $gallery->catalogue();
        $statuses = Statuses::of($opened->keeper());
        $carried = [];
        foreach ($opened->keeper()->animals()->get(['id', 'user_id']) as $animal) {
            if (! $statuses->status($animal->id)->isHere()) {
                continue;
            }
            $belief = $opened->beliefs()->belief($animal->id);
            foreach ($belief->groups() as $group) {
                foreach ($catalogue->groups[$group]->loci as $locus) {
                    foreach ($belief->marginalAt($locus, $catalogue->groups[$group])->entries() as [$pair]) {
                        foreach ($pair as $allele) {
                            $carried[CoreId::of($animal->id)][$allele] = $allele;
                        }
                    }
                }
            }
        }
        $this->carried = array_map(array_values(...), $carried);
        $all = array_merge([], ...array_values($this->carried));
        $this->genes = array_values(array_filter($catalogue->alleles, fn (Allele $allele): bool => in_array($allele->key, $all, true)));
    }

    /** @return list<Pair> the hardest to tell first */
    public function pairs(): array
    {
        $shown = $this->shown();
        $colours = array_map(fn (array $one): Distance => new Distance($one[2]), $shown);
        $pairs = [];
        foreach ($shown as $i => [$keyOne, $textOne, $one]) {
            foreach (array_slice($shown, $i + 1, null, true) as $j => [$keyOther, $textOther, $other]) {
                $said = $this->said($keyOne, $keyOther);
                $apart = $colours[$i]->toThat($colours[$j]);
                if ($apart <= self::NEAR || $said !== null) {
                    $words = Difference::between($one, $other, $this->gallery->facts())->words(3);
                    $pairs[] = [
                        'one' => $textOne, 'other' => $textOther, 'apart' => $apart, 'says' => $said, 'looks' => [$one, $other],
                        'tells' => $words === [] ? 'Nothing that the eye could go by: only breeding or a test tells.'
                            : "{$textOther} has ".implode('; ', $words).'.',
                        'planned' => $this->planned($keyOne, $keyOther),
                    ];
                }
            }
        }
        usort($pairs, fn (array $a, array $b): int => [$b['planned'], $a['apart']] <=> [$a['planned'], $b['apart']]);

        return array_slice($pairs, 0, self::MOST);
    }

    /** @return list<array{form: string, hides: string, shows: string}> forms that can come of what is here and hide other genes */
    public function masks(): array
    {
        $catalogue = $this->gallery->catalogue();
        $keys = array_map(fn (Allele $allele): string => $allele->key, $this->genes);
        $masks = [];
        foreach ($catalogue->loci as $locus) {
            foreach ($catalogue->masksAt($locus->key) as $mask) {
                if (array_diff(array_keys($mask->form->copies), $keys) !== []) {
                    continue;
                }
                $through = array_filter($this->genes, fn (Allele $allele): bool => ($mask->showsThrough[$allele->key] ?? '') !== '');
                $alleles = array_merge(
                    [],
                    ...array_map(
                        fn (string $allele, int $copies): array => array_fill(0, $copies, $allele), array_keys($mask->form->copies),
                        $mask->form->copies,
                    ),
                );
                $masks[] = [
                    'form' => count($alleles) === 2 ? $catalogue->form($locus->key, $alleles[0], $alleles[1])->text : $catalogue
                        ->oneCopy($catalogue->allele($alleles[0]))->text,
                    'hides' => $mask->text,
                    'shows' => implode(
                        ', ', array_map(fn (Allele $allele): string => $allele->name.' '.$mask->showsThrough[$allele->key].'ly', $through),
                    ),
                ];
            }
        }

        return $masks;
    }

    /** @return list<array{string, string, Look}> normal, and each gene that is here as it first shows */
    private function shown(): array
    {
        $catalogue = $this->gallery->catalogue();
        $shown = [['', 'Normal', $this->gallery->ofForms([])]];
        foreach ($this->genes as $allele) {
            $form = $allele->inheritance === Inheritance::Recessive ? $catalogue->twoCopies($allele) : $catalogue->oneCopy($allele);
            $shown[] = [$allele->key, $form->text, $this->gallery->ofForms([$form])];
        }

        return $shown;
    }

    private function said(string $one, string $other): ?string
    {
        foreach ($this->gallery->catalogue()->lookAlikes as $set) {
            if ($set->copies !== 'two' && in_array($one, $set->members, true) && in_array($other, $set->members, true)) {
                return $set->text;
            }
        }

        return null;
    }

    /** @var list<list<string>>|null alleles of both parents, by planned pairing */
    private ?array $matings = null;

    /** How many of the pairings that plans ask for this season could give both. */
    private function planned(string $one, string $other): int
    {
        $this->matings ??= $this->matings();
        $has = fn (array $alleles, string $key): bool => $key === '' || in_array($key, $alleles, true);

        return count(array_filter($this->matings, fn (array $alleles): bool => $has($alleles, $one) && $has($alleles, $other)));
    }

    /** @return list<list<string>> */
    private function matings(): array
    {
        $pairs = [];
        /** @var Project $project */
        foreach ($this->opened->keeper()->projects()->with('latestPlan')->get() as $project) {
            foreach ($project->made()->policy['now']['matings'] ?? [] as $mating) {
                $pairs["{$mating['sire']} {$mating['dam']}"] = [
                    ...$this->carried[$mating['sire']] ?? [], ...$this->carried[$mating['dam']] ?? [],
                ];
            }
        }

        return array_values($pairs);
    }
}
