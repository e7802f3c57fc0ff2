<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Claim;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Inference\Experiments\CrossAnimal;
use Destino\Inference\Experiments\Crosses;
use Destino\Inference\Experiments\SeenForms;
use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * Reads the animals of a counts document (destino-counts/1) by the genes of one school: founders carry what is said of them,
 * young show it.
 *
 * @phpstan-type CrossEntry array{id: int, sex: 'male'|'female'|null, sire: int|null, dam: int|null, genes: string}
 */
final readonly class CrossReader
{
    public function __construct(private GeneFacts $facts) {}

    /**
     * The crosses that bear on a claim. An animal of which the school's notation makes no sense (three alleles of one locus) is
     * a mistaken record where it is a young; what descends from a founder like it is in no school's crosses.
     *
     * @param list<CrossEntry> $animals
     */
    public function read(array $animals, Claim $claim): Crosses
    {
        $loci = $this->lociOf($claim);
        $unsure = $this->unsure($claim);
        $read = [];
        $excluded = 0;
        foreach ($animals as $animal) {
            $sex = $animal['sex'] === null ? null : Sex::from($animal['sex']);
            $belief = $this->facts->reader()->read($animal['genes'], $sex ?? Sex::Female)->belief;
            if ($belief === null) {
                $excluded++;
            } else {
                $read[$animal['id']] = $animal['sire'] === null || $animal['dam'] === null
                    ? CrossAnimal::founder($belief)
                    : CrossAnimal::young($sex, $animal['sire'], $animal['dam'], new SeenForms($this->seen($belief, $loci), $unsure));
            }
        }
        $groups = [];
        foreach ($loci as $locus) {
            $group = $this->facts->catalogue()->groupOf($locus);
            $groups[$group->key] = $group;
        }

        return new Crosses(new GenotypeSpace($this->facts->catalogue(), array_values($groups)), $read, $excluded);
    }

    /**
     * That every parent stands before its young, with its sex, and nothing twice.
     *
     * @param list<CrossEntry> $animals
     *
     * @throws DocumentError
     */
    public function check(array $animals): void
    {
        $sexes = [];
        foreach ($animals as $i => $animal) {
            $at = "animals[{$i}]";
            match (true) {
                array_key_exists($animal['id'], $sexes) => throw new DocumentError(["{$at}: two animals have the number {$animal['id']}."]),
                ($animal['sire'] === null) !== ($animal['dam'] === null) => throw new DocumentError(["{$at} wants both parents, or none."]),
                default => null,
            };
            foreach (['sire' => 'male', 'dam' => 'female'] as $role => $sex) {
                if ($animal[$role] !== null && ($sexes[$animal[$role]] ?? null) !== $sex) {
                    throw new DocumentError(["{$at}.{$role}: no {$sex} with the number {$animal[$role]} stands before it."]);
                }
            }
            $sexes[$animal['id']] = $animal['sex'];
        }
    }

    /** @return list<string> keys of the loci of which a claim speaks, as this school has them */
    private function lociOf(Claim $claim): array
    {
        $catalogue = $this->facts->catalogue();

        return array_values(array_unique(array_map(
            static fn (string $allele): string => $catalogue->allele($allele)->locus,
            array_filter($claim->alleles(), static fn (string $key): bool => isset($catalogue->alleles[$key])),
        )));
    }

    /** @return array<string, string> alleles whose two-copy form may or may not live, by the look of that form */
    private function unsure(Claim $claim): array
    {
        $unsure = [];
        foreach ($claim->schools as $school) {
            foreach ($school->changes as $change) {
                $pair = $change['change'] === 'set-viability' && is_array($change['alleles'] ?? null) ? $change['alleles'] : [];
                $allele = $this->facts->catalogue()->alleles[is_string($pair[0] ?? null) ? $pair[0] : ''] ?? null;
                if ($allele !== null && $pair === [$allele->key, $allele->key]) {
                    $unsure[$this->facts->catalogue()->twoCopies($allele)->look] = $allele->key;
                }
            }
        }

        return $unsure;
    }

    /**
     * @param list<string> $loci
     * @return array<string, Form> by locus
     */
    private function seen(Belief $belief, array $loci): array
    {
        $catalogue = $this->facts->catalogue();
        $seen = [];
        foreach ($loci as $locus) {
            $pairs = $belief->marginalAt($locus, $catalogue->groupOf($locus))->entries();
            $forms = array_map(static fn (array $entry): Form => $catalogue->form($locus, $entry[0][0], $entry[0][1]), array_values($pairs));
            $shown = array_values(array_filter($forms, static fn (Form $form): bool => $form->shows !== []));
            $seen[$locus] = $shown[0] ?? $catalogue->form($locus, Allele::WILD, Allele::WILD);
        }

        return $seen;
    }
}
