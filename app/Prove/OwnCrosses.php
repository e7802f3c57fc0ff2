<?php

declare(strict_types=1);

namespace App\Prove;

use App\Catalogue\CatalogueShelf;
use App\Collection\Opened;
use App\Collection\Records;
use Destino\Documents\CrossReader;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Claim;
use Destino\Genome\Form;
use Destino\Genome\JointBelief;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Source;
use Destino\Notation\Printer;
use Illuminate\Support\Facades\DB;

/**
 * The crosses of a collection whose young tell something of a disputed fact: parents of known genes, and young by what they show,
 * as the records have it whatever school is followed. Genes of which no claim speaks are left out, and so is everything else.
 *
 * @phpstan-import-type CrossEntry from CrossReader
 * @phpstan-import-type AnimalRow from Records
 */
final class OwnCrosses
{
    /** How sure a statement of what a young shows must be, in per cent: a look that was tapped is. */
    private const SURE = 90;

    private readonly Records $records;

    private readonly CatalogueShelf $shelf;

    private readonly Catalogue $catalogue;

    /** @var array<string, true> keys of the linkage groups of which a claim speaks */
    private readonly array $groups;

    /** @var array<int, Sex> where it is sure, by animal */
    private readonly array $sexes;

    /** @var array<int, list<int|null>> possible sires by clutch */
    private readonly array $sires;

    /** @var array<int, Belief|null> by animal: the genes that a parent has for certain; null where they are not */
    private array $genes = [];

    public function __construct(Opened $opened)
    {
        $this->records = $opened->beliefs()->records;
        $claims = $opened->shelf->catalogue()->claims;
        // The shipped choice reads and prints: what an animal shows does not hang on the school that the house follows.
        $this->shelf = $opened->shelf->withSchools(array_map(fn (Claim $claim): string => $claim->default, $claims));
        $this->catalogue = $this->shelf->catalogue();
        $this->groups = $this->groupsOf($claims);
        $this->sires = array_column($this->records->clutches, 'sires', 'id');
        $sexes = DB::table('animals')->where('user_id', $opened->keeper()->id)->whereNull('deleted_at')->where('sex_certainty', 100)
            ->whereNotNull('sex')->pluck('sex', 'id')->all();
        $this->sexes = array_map(fn (string $sex): Sex => Sex::from($sex), $sexes);
    }

    /** @return list<CrossEntry> parents before their young */
    public function all(): array
    {
        $shown = [];
        foreach ($this->records->animals as $id => $row) {
            $text = $this->bears($row) ? $this->shown($id) : null;
            $text === null ?: $shown[$id] = $text;
        }
        $parents = [];
        foreach (array_keys($shown) as $id) {
            $parents[] = (int) $this->records->animals[$id]['sire_id'];
            $parents[] = (int) $this->records->animals[$id]['dam_id'];
        }
        $founders = array_values(array_diff(array_unique($parents), array_keys($shown)));
        sort($founders);
        $number = array_flip([...$founders, ...$this->inOrder(array_keys($shown))]);
        $printer = new Printer($this->catalogue);

        return array_map(fn (int $id): array => [
            'id' => $number[$id] + 1,
            'sex' => in_array($id, $parents, true) ? $this->role($id)->value : ($this->sexes[$id] ?? null)?->value,
            'sire' => isset($shown[$id]) ? $number[(int) $this->records->animals[$id]['sire_id']] + 1 : null,
            'dam' => isset($shown[$id]) ? $number[(int) $this->records->animals[$id]['dam_id']] + 1 : null,
            'genes' => $shown[$id] ?? self::orNormal($this->genes($id) === null ? '' : $printer->belief($this->genes($id))),
        ], array_keys($number));
    }

    /**
     * @param list<int> $young
     * @return list<int> parents before their young
     */
    private function inOrder(array $young): array
    {
        $order = [];
        while ($young !== []) {
            $left = array_filter($young, fn (int $id): bool => array_intersect(
                [$this->records->animals[$id]['sire_id'], $this->records->animals[$id]['dam_id']], $young,
            ) !== []);
            if (count($left) === count($young)) {
                break; // the records make a circle
            }
            array_push($order, ...array_diff($young, $left));
            $young = $left;
        }

        return $order;
    }

    /**
     * @param array<string, Claim> $claims
     * @return array<string, true>
     */
    private function groupsOf(array $claims): array
    {
        $groups = [];
        foreach ($claims as $claim) {
            foreach ($claim->isOfHeredity() ? $claim->alleles() : [] as $allele) {
                $known = $this->catalogue->alleles[$allele] ?? null;
                $known === null ?: $groups[$this->catalogue->groupOf($known->locus)->key] = true;
            }
        }

        return $groups;
    }

    /**
     * Whether an animal is a young of two parents of known genes who have two alleles of claims together, or of a sire who has one.
     *
     * @param AnimalRow $row
     */
    private function bears(array $row): bool
    {
        [$sire, $dam] = [$row['sire_id'], $row['dam_id']];
        if ($sire === null || $dam === null || ! isset($this->records->animals[$sire], $this->records->animals[$dam])
            || ($this->sires[$row['clutch_id'] ?? 0] ?? [$sire]) !== [$sire]) {
            return false;
        }
        [$of, $and] = [$this->genes($sire), $this->genes($dam)];

        return $of !== null && $and !== null && ($this->copies($of) > 0 || $this->copies($and) > 1);
    }

    private function role(int $id): Sex
    {
        return in_array($id, array_column($this->records->animals, 'sire_id'), true) ? Sex::Male : Sex::Female;
    }

    /** How many alleles that are not wild type a sure animal has where claims speak. */
    private function copies(Belief $belief): int
    {
        return count($this->alleles($belief));
    }

    /** @return list<string> alleles of each genotype that is possible, one after the other */
    private function alleles(Belief $belief): array
    {
        $alleles = [];
        foreach ($belief->groups() as $key) {
            $group = $this->catalogue->groups[$key];
            foreach (array_diff($group->loci, [Sex::LOCUS]) as $locus) {
                foreach ($belief->marginalAt($locus, $group)->entries() as [$pair]) {
                    array_push($alleles, ...array_filter($pair, fn (string $one): bool => isset($this->catalogue->alleles[$one])));
                }
            }
        }

        return $alleles;
    }

    /** What a parent carries where claims speak; null where statements differ or none is certain. */
    private function genes(int $id): ?Belief
    {
        if (! array_key_exists($id, $this->genes)) {
            $said = [];
            foreach ($this->records->statements[$id] ?? [] as $statement) {
                $belief = $statement['certainty'] === 100 ? $this->read($statement['text'], $this->role($id)) : null;
                if ($belief !== null && ($belief->factors !== [] || $statement['names_all'])) {
                    $said[(new Printer($this->catalogue))->belief($belief)] = $belief;
                }
            }
            $this->genes[$id] = count($said) === 1 && reset($said)->isCertain() ? reset($said) : null;
        }

        return $this->genes[$id];
    }

    /** What an animal shows where claims speak, as words; null where nobody who looked is sure. */
    private function shown(int $id): ?string
    {
        $said = [];
        foreach ($this->records->statements[$id] ?? [] as $statement) {
            if ($statement['certainty'] >= self::SURE && $statement['names_all'] && $statement['source'] !== Source::Parents->value) {
                $belief = $this->read($statement['text'], $this->sexes[$id] ?? Sex::Female);
                $said[$belief === null ? '?' : $this->look($belief) ?? '?'] = true;
            }
        }

        return count($said) === 1 && array_key_first($said) !== '?' ? (string) array_key_first($said) : null;
    }

    /** The forms that show, as words; null where it is open what does. */
    private function look(Belief $belief): ?string
    {
        $words = [];
        foreach ($belief->groups() as $key) {
            $group = $this->catalogue->groups[$key];
            foreach (array_diff($group->loci, [Sex::LOCUS]) as $locus) {
                $forms = array_map(
                    fn (array $entry): Form => $this->catalogue->form($locus, ...$entry[0]),
                    array_values($belief->marginalAt($locus, $group)->entries()),
                );
                $looks = array_unique(array_map(fn (Form $form): string => $form->shows === [] ? '' : $form->look, $forms));
                if (count($looks) > 1) {
                    return null;
                }
                $words[] = reset($looks) === '' ? '' : $forms[0]->text;
            }
        }

        return self::orNormal(implode(' ', array_filter($words)));
    }

    /** What a text says of the groups of which claims speak; null where it cannot be read, or names a gene of the keeper's own there. */
    private function read(string $text, Sex $sex): ?Belief
    {
        $belief = $this->shelf->reader()->read($text, $sex)->belief;
        if ($belief === null) {
            return null;
        }
        $isOf = fn (string $group): bool => isset($this->groups[$group]);
        $own = array_filter($belief->factors, fn (JointBelief $factor): bool => array_filter($factor->groups, $isOf) !== []);
        $isTied = array_filter($own, fn (JointBelief $factor): bool => array_filter($factor->groups, $isOf) !== $factor->groups) !== [];
        $restricted = new Belief($sex, array_values($own));
        $isPrivate = array_filter($this->alleles($restricted), fn (string $allele): bool => str_starts_with($allele, 'own-')) !== [];

        return $isTied || $isPrivate ? null : $restricted;
    }

    private static function orNormal(string $text): string
    {
        return $text === '' ? 'Normal' : $text;
    }
}
