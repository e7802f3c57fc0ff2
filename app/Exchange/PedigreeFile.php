<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Models\Animal;
use Destino\Genome\Allele;
use Destino\Genome\Sex;

/**
 * The pedigree in linkage format: family, animal, sire, dam, sex (1 male, 2 female, 0 not known), trait (0), and two
 * allele numbers for each locus (1 is the wild type, 0 0 where it is not sure). Lines that begin with # say what the
 * numbers mean.
 */
final class PedigreeFile
{
    private const SEX = ['male' => '1', 'female' => '2'];

    /** @var array<string, string> code by sex and name of parents from outside */
    private array $outside = [];

    /** @var array<string, array<string, int>> number of each allele by locus */
    private readonly array $codes;

    /** @param list<Animal> $animals */
    private function __construct(private readonly Opened $opened, private readonly array $animals)
    {
        $this->codes = $this->codes();
    }

    public static function write(Opened $opened): string
    {
        /** @var list<Animal> $animals */
        $animals = $opened->keeper()->animals()->orderBy('id')->get()->all();
        $file = new self($opened, $animals);

        return implode("\n", [...$file->head(), ...$file->rows()])."\n";
    }

    /** @return array<string, array<string, int>> of the loci that anything is known of, in printer's order */
    private function codes(): array
    {
        $catalogue = $this->opened->shelf->catalogue();
        $loci = [];
        foreach ($this->animals as $animal) {
            foreach ($this->opened->beliefs()->belief($animal->id)->groups() as $group) {
                foreach (array_diff($catalogue->groups[$group]->loci, [Sex::LOCUS]) as $locus) {
                    $loci[$locus] = $catalogue->locus($locus)->rank;
                }
            }
        }
        asort($loci);
        $codes = [];
        foreach (array_keys($loci) as $locus) {
            $alleles = $catalogue->locus($locus)->alleles;
            $codes[$locus] = [Allele::WILD => 1] + array_combine($alleles, array_map(fn (int $i): int => $i + 2, array_keys($alleles)));
        }

        return $codes;
    }

    /** @return list<string> */
    private function head(): array
    {
        $lines = ['# linkage-format pedigree; columns: family, animal, sire, dam, sex, trait, then two alleles for each locus below'];
        foreach ($this->codes as $locus => $codes) {
            $told = array_map(fn (string $allele, int $code): string => "{$code} = {$allele}", array_keys($codes), $codes);
            $lines[] = "# locus {$locus}: ".implode(', ', $told);
        }

        return $lines;
    }

    /** @return list<string> parents from outside first */
    private function rows(): array
    {
        $known = array_fill_keys(array_column($this->animals, 'id'), true);
        $rows = array_map(fn (Animal $animal): string => $this->row($animal, $known), $this->animals);
        foreach ($this->outside as $key => $code) {
            array_unshift($rows, "1 {$code} 0 0 {$key[0]} 0".str_repeat(' 0 0', count($this->codes)).'  # '.substr($key, 1));
        }

        return $rows;
    }

    /** @param array<int, true> $known */
    private function row(Animal $animal, array $known): string
    {
        $cells = [
            '1', CoreId::of($animal->id), $this->parent($animal->sire_id, $animal->sire_name, 1, $known),
            $this->parent($animal->dam_id, $animal->dam_name, 2, $known), self::SEX[$animal->sex->value ?? ''] ?? '0', '0',
        ];
        $belief = $this->opened->beliefs()->belief($animal->id);
        foreach ($this->codes as $locus => $numbers) {
            $pairs = $belief->marginalAt($locus, $this->opened->shelf->catalogue()->groupOf($locus));
            $pair = $pairs->isCertain() ? array_values($pairs->entries())[0][0] : null;
            array_push($cells, ...($pair === null ? ['0', '0'] : [(string) $numbers[$pair[0]], (string) $numbers[$pair[1]]]));
        }

        return implode(' ', $cells)."  # {$animal->name}";
    }

    /** @param array<int, true> $known */
    private function parent(?int $id, ?string $name, int $sex, array $known): string
    {
        if ($id !== null && isset($known[$id])) {
            return CoreId::of($id);
        }

        return ($name ?? '') === '' ? '0' : $this->outside["{$sex}{$name}"] ??= 'x'.(count($this->outside) + 1);
    }
}
