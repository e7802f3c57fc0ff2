<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\GeneChange;
use App\Models\OddTrait;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A recessive that nobody has named: a gene of the keeper's own under a working name. Records say the working name; when the gene gets a
 * name, or turns out to be one that the library knows, the working name stays an alias, so that all that was written is still read.
 */
class UnnamedGene
{
    private const WORDS = ['unknown', 'unnamed', 'unknown recessive', 'unnamed recessive', 'unknown gene', 'mystery gene'];

    /** @return array{kind: string, gene: string, data: array<string, mixed>} of the record of a new one */
    public static function values(string $name, string $note, User $keeper): array
    {
        $taken = $keeper->geneChanges()->withTrashed()->where('kind', 'gene')->pluck('gene')->flip();
        $number = 1;
        while ($name === '' && $taken->has('own-unnamed-'.$number)) {
            $number++;
        }
        $name = $name === '' ? "Unnamed {$number}" : trim($name);

        return ['kind' => 'gene', 'gene' => 'own-'.Str::slug($name), 'data' => [
            'name' => $name, 'inheritance' => 'recessive', 'locus' => '', 'effect' => 'unclear', 'note' => $note, 'unnamed' => true,
        ]];
    }

    /**
     * "het unknown" asks which of them is meant: the answer is written down, so that it stays true when there is a second.
     *
     * @param list<GeneChange> $changes
     * @return list<array<string, mixed>> questions of the gene facts
     */
    public static function questions(array $changes): array
    {
        $unnamed = array_values(array_filter($changes, static fn (GeneChange $one): bool => (bool) ($one->data['unnamed'] ?? false)));
        $choices = array_map(static fn (GeneChange $one): string => $one->data['name'], $unnamed);

        return $choices === [] ? [] : array_map(static fn (string $word): array => [
            'name' => $word, 'choices' => $choices, 'text' => 'A recessive without a name goes by its working name.',
        ], self::WORDS);
    }

    /** The gene gets a name; what it was called is still read. */
    public static function rename(GeneChange $gene, string $name): void
    {
        DB::transaction(function () use ($gene, $name): void {
            $data = $gene->data;
            $others = array_diff([...$data['aliases'] ?? [], $data['name']], [$name]);
            $gene->update(['data' => ['name' => $name, 'aliases' => array_values(array_unique($others)), 'unnamed' => false] + $data]);
        });
    }

    /** The gene turns out to be one that the library knows: its names are aliases of that one, and whatever held it holds that one. */
    public static function becomes(GeneChange $gene, string $known, User $keeper): void
    {
        DB::transaction(function () use ($gene, $known, $keeper): void {
            foreach (array_unique([$gene->data['name'], ...$gene->data['aliases'] ?? []]) as $name) {
                $keeper->geneChanges()->create(['kind' => 'alias', 'gene' => $known, 'data' => ['name' => $name]]);
            }
            $keeper->geneChanges()->where('kind', 'alias')->where('gene', $gene->gene)->get()
                ->each(static fn (GeneChange $alias): bool => $alias->update(['gene' => $known]));
            foreach ($keeper->geneChanges()->where('kind', 'nickname')->get() as $named) {
                $alleles = array_map(static fn (string $one): string => $one === $gene->gene ? $known : $one, $named->data['alleles']);
                $named->update(['data' => ['alleles' => array_values(array_unique($alleles))] + $named->data]);
            }
            $keeper->oddTraits()->where('gene', $gene->gene)->get()
                ->each(static fn (OddTrait $trait): bool => $trait->update(['gene' => $known]));
            $gene->delete();
        });
    }
}
