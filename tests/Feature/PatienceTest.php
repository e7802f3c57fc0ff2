<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Collection\ContentKeys;
use App\Collection\Individuals;
use App\Collection\Kept;
use App\Collection\Patience;
use App\Collection\Records;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** When a page waits for what follows from a change, and by what an answer is known to be still the same. */
class PatienceTest extends TestCase
{
    public function test_a_page_that_may_not_be_behind_always_waits(): void
    {
        $patience = $this->patience(false);
        $this->assertFalse($patience->isOver());
        $this->assertFalse($patience->isBehind());
        $this->assertNull(app(Kept::class)->get('behind:1'), 'nobody else is told that something is behind');
    }

    public function test_patience_is_over_for_as_long_as_a_worker_takes(): void
    {
        $this->assertTrue($this->patience()->isOver());
        $this->travel(20)->seconds();
        $again = $this->patience();
        $this->assertTrue($again->isOver(), 'counted from the first page that found it undone');
        $this->travel(11)->seconds();
        $this->assertTrue($again->isOver(), 'a page decides once');
        $this->assertFalse($this->patience()->isOver(), 'no worker came');
        $this->patience()->end();
        $this->assertTrue($this->patience()->isOver(), 'one came: the next change starts anew');
    }

    public function test_a_page_that_lacks_what_was_known_waits_from_then_on_and_still_says_that_it_was_behind(): void
    {
        $patience = $this->patience();
        $this->assertTrue($patience->isOver());
        $patience->waits();
        $this->assertFalse($patience->isOver());
        $this->assertTrue($patience->isBehind());
    }

    public function test_what_an_animal_follows_from_changes_with_each_of_its_ancestors_and_with_nobody_else(): void
    {
        $chance = new Randomizer(new Mt19937(4));
        $changed = $same = 0;
        for ($round = 0; $round < 30; $round++) {
            $animals = $this->animals($chance);
            $before = $this->keys($animals, []);
            $who = $chance->getInt(1, count($animals));
            $after = $this->keys($animals, [$who => 'Clown']);
            $line = $this->lineOf($who, $animals);
            foreach (array_keys($animals) as $id) {
                isset($line[$id]) ? $changed++ : $same++;
                $this->assertSame(isset($line[$id]), $before[$id] !== $after[$id], "animal {$id}, of which {$who} changed");
            }
        }
        $this->assertGreaterThan(40, $changed);
        $this->assertGreaterThan(100, $same);
    }

    public function test_records_that_make_an_animal_its_own_ancestor_have_keys_too(): void
    {
        $row = fn (int $id, ?int $sire, ?int $dam): array => [
            'id' => $id, 'sex' => null, 'sire_id' => $sire, 'dam_id' => $dam, 'sire_name' => null, 'clutch_id' => null,
        ];
        $keys = $this->keys([1 => $row(1, 2, 3), 2 => $row(2, 1, 3), 3 => $row(3, null, null)], []);
        $this->assertCount(3, array_unique($keys));
    }

    private function patience(bool $isShort = true): Patience
    {
        return new Patience(app(Kept::class), 1, $isShort);
    }

    /** @return array<int, array<string, mixed>> rows; of each both parents are recorded or none */
    private function animals(Randomizer $chance): array
    {
        $animals = [];
        for ($id = 1; $id <= 12; $id++) {
            $hasParents = $id > 4 && $chance->getInt(0, 3) > 0;
            $animals[$id] = [
                'id' => $id, 'sex' => $id % 2 === 1 ? 'male' : 'female', 'sire_name' => null, 'clutch_id' => null,
                'sire_id' => $hasParents ? 2 * $chance->getInt(0, intdiv($id - 2, 2)) + 1 : null,
                'dam_id' => $hasParents ? 2 * $chance->getInt(1, intdiv($id - 1, 2)) : null,
            ];
        }

        return $animals;
    }

    /**
     * @param array<int, array<string, mixed>> $animals
     * @return array<int, true> an animal, its young, their young, and so on
     */
    private function lineOf(int $who, array $animals): array
    {
        $line = [$who => true];
        foreach ($animals as $id => $row) { // parents have smaller numbers than their young
            if (isset($line[$row['sire_id'] ?? 0]) || isset($line[$row['dam_id'] ?? 0])) {
                $line[$id] = true;
            }
        }

        return $line;
    }

    /**
     * @param array<int, array<string, mixed>> $animals
     * @param array<int, string> $statements by animal
     * @return array<int, string>
     */
    private function keys(array $animals, array $statements): array
    {
        $said = array_map(fn (string $text): array => [
            ['id' => 1, 'text' => $text, 'source' => 'own', 'certainty' => 100, 'names_all' => false],
        ], $statements);
        $records = new Records($animals, $said);
        $keys = new ContentKeys($records, new Individuals($records, app(CatalogueShelf::class)), 'facts', 50);

        return array_map(fn (array $row): string => $keys->of($row['id']), $animals);
    }
}
