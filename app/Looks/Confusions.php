<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Collection\Statuses;
use App\Models\Project;
use Destino\Appearance\Distance;
use Destino\Appearance\Look;
use Destino\Genome\Allele;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use Destino\Identification\CueChances;
use Destino\Identification\Sign;
use Destino\Identification\Signs;

/**
 * Which looks this keeper will mix up, for the genes that are in the collection, and which forms hide others.
 *
 * @phpstan-type Pair array{
 *     one: string, other: string, apart: float, tells: string, says: string|null, looks: array{Look, Look}, planned: int,
 *     sign: Sign|null,
 * }
 */
class Confusions
{
    /** A pair is listed that is drawn no further apart than this, and that no cue parts this well. */
    private const NEAR = 9.0;

    private const PARTED = .3;

    private const MOST = 40;

    /** Cues that are named of a pair. */
    private const SIGNS = 2;

    private readonly Signs $signs;

    /** @var list<Allele> that somebody here may carry */
    private readonly array $genes;

    /** @var array<string, list<string>> alleles that may be carried, by the core's id of the animal */
    private readonly array $carried;

    public function __construct(private readonly Gallery $gallery, private readonly Opened $opened)
    {
        $catalogue = $gallery->catalogue();
        $this->signs = new Signs(new CueChances($catalogue, $gallery->facts()), $opened->shelf->cues());
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
                if ($apart > self::NEAR && $said === null) {
                    continue;
                }
                $signs = $this->signs->of($this->formsOf($keyOther), $this->formsOf($keyOne));
                if ($said !== null || $signs === [] || $signs[0]->gain() < self::PARTED) {
                    $pairs[] = [
                        'one' => $textOne, 'other' => $textOther, 'apart' => $apart, 'says' => $said, 'looks' => [$one, $other],
                        'sign' => $signs[0] ?? null, 'tells' => $this->tells($textOne, $textOther, array_slice($signs, 0, self::SIGNS)),
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

    /** @param list<Sign> $signs */
    private function tells(string $one, string $other, array $signs): string
    {
        if ($signs === []) {
            return 'Nothing that the eye could go by: only breeding or a test tells.';
        }

        return 'Look at: '.implode('; ', array_map(fn (Sign $sign): string => lcfirst($sign->cue->name)." ({$sign->cue->where}), "
            ."{$sign->stateName()} in ".round(100 * $sign->share)." % of {$other}, in ".round(100 * $sign->otherwise)." % of {$one}", $signs)).'.';
    }

    /** @return list<Form> in which a gene first shows; none for a normal */
    private function formsOf(string $key): array
    {
        $catalogue = $this->gallery->catalogue();
        $allele = $key === '' ? null : $catalogue->allele($key);

        return match (true) {
            $allele === null => [],
            $allele->inheritance === Inheritance::Recessive => [$catalogue->twoCopies($allele)],
            default => [$catalogue->oneCopy($allele)],
        };
    }

    /** @return list<array{string, string, Look}> normal, and each gene that is here as it first shows */
    private function shown(): array
    {
        $shown = [['', 'Normal', $this->gallery->ofForms([])]];
        foreach ($this->genes as $allele) {
            $forms = $this->formsOf($allele->key);
            $shown[] = [$allele->key, $forms[0]->text, $this->gallery->ofForms($forms)];
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
