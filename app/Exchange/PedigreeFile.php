<?php

namespace App\Exchange;

use App\Collection\Opened;
use App\Models\Animal;
use Destino\Genome\Allele;
use Destino\Genome\Sex;

/**
 * The pedigree in linkage format: family, animal, sire, dam, sex (1 male, 2 female, 0 not known), trait (0), and two
 * allele numbers for each locus (1 is the wild type, 0 0 where it is not sure). Lines that begin with # say what the
 * numbers mean.
 */
class PedigreeFile
{
    public static function write(Opened $opened): string
    {
        [$keeper, $beliefs, $catalogue] = [$opened->keeper(), $opened->beliefs(), $opened->shelf->catalogue()];
        /** @var list<Animal> $animals */
        $animals = $keeper->animals()->orderBy('id')->get()->all();
        $loci = [];
        foreach ($animals as $animal) {
            foreach ($beliefs->belief($animal->id)->groups() as $group) {
                foreach ($catalogue->groups[$group]->loci as $locus) {
                    if ($locus !== Sex::LOCUS) {
                        $loci[$locus] = $catalogue->locus($locus)->rank;
                    }
                }
            }
        }
        asort($loci);
        $lines = ['# linkage-format pedigree; columns: family, animal, sire, dam, sex, trait, then two alleles for each locus below'];
        $codes = [];
        foreach (array_keys($loci) as $locus) {
            $codes[$locus] = [Allele::WILD => 1] + array_combine(
                $catalogue->locus($locus)->alleles,
                array_map(fn (int $i): int => $i + 2, array_keys($catalogue->locus($locus)->alleles)),
            );
            $lines[] = "# locus {$locus}: "
                .implode(
                    ', ',
                    array_map(fn (string $allele, int $code): string => "{$code} = {$allele}", array_keys($codes[$locus]), $codes[$locus]),
                );
        }
        $outside = $rows = [];
        $known = array_fill_keys(array_map(fn (Animal $animal): int => $animal->id, $animals), true);
        foreach ($animals as $animal) {
            $parent = function (?int $id, ?string $name, int $sex) use (&$outside, $known): string {
                if ($id !== null && isset($known[$id])) {
                    return "a{$id}";
                }
                if (($name ?? '') === '') {
                    return '0';
                }

                return $outside["{$sex}{$name}"] ??= 'x'.(count($outside) + 1);
            };
            $cells = ['1', "a{$animal->id}", $parent($animal->sire_id, $animal->sire_name, 1), $parent($animal->dam_id, $animal->dam_name, 2), match ($animal->sex) {
                Sex::Male => '1',
                Sex::Female => '2',
                null => '0',
            }, '0'];
            $belief = $beliefs->belief($animal->id);
            foreach ($codes as $locus => $numbers) {
                $pairs = $belief->marginalAt($locus, $catalogue->groupOf($locus));
                $pair = $pairs->isCertain() ? array_values($pairs->entries())[0][0] : null;
                array_push($cells, ...($pair === null ? ['0', '0'] : [(string) $numbers[$pair[0]], (string) $numbers[$pair[1]]]));
            }
            $rows[] = implode(' ', $cells)."  # {$animal->name}";
        }
        foreach ($outside as $key => $code) {
            array_unshift($rows, "1 {$code} 0 0 {$key[0]} 0".str_repeat(' 0 0', count($codes)).'  # '.substr($key, 1));
        }

        return implode("\n", [...$lines, ...$rows])."\n";
    }
}
