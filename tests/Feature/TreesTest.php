<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Collection\Doorway;
use App\Family\DescendantTree;
use App\Family\PedigreeTree;
use App\Models\Animal;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** Ancestors and descendants as they are laid out: everybody has a place of his own, and lines meet those they are about. */
class TreesTest extends TestCase
{
    use RefreshDatabase;

    public function test_three_generations_stand_beside_each_other_the_sire_above_the_dam(): void
    {
        $young = $this->bred('Wherry', $this->bred('Skiff', $this->animal('Anchor', 'male'), null), $this->animal('Tender', 'female'));
        $tree = $this->pedigree($young);
        $this->assertTrue($tree->isKnown());
        $names = array_column($tree->nodes, 'name');
        sort($names);
        $this->assertSame(['', '', '', 'Anchor', 'Skiff', 'Tender', 'Wherry'], $names, 'who is not known keeps a place');
        $at = array_column($tree->nodes, null, 'name');
        $this->assertTrue($at['Skiff']['y'] < $at['Wherry']['y'] && $at['Wherry']['y'] < $at['Tender']['y']);
        $this->assertTrue($at['Wherry']['x'] < $at['Skiff']['x'] && $at['Skiff']['x'] < $at['Anchor']['x']);
        $this->assertApart($tree->nodes, $tree->width(), $tree->height());
        $this->assertCount(count($tree->nodes) - 1, $tree->lines, 'a line for each parent');
        $this->assertMeet($tree->lines, $tree->nodes);
        $this->assertFalse($this->pedigree($this->animal('Gig', 'male'))->isKnown());
    }

    public function test_descendants_have_places_of_their_own_and_who_is_not_drawn_is_counted_once(): void
    {
        $sire = $this->animal('Anchor', 'male');
        $dams = [$this->animal('Tender', 'female'), $this->animal('Barge', 'female')];
        $children = array_map(fn (int $i): Animal => $this->bred("Child {$i}", $sire, $dams[$i % 2]), range(0, 3));
        foreach (range(0, 2) as $i) { // of two children of his: two lines lead to them
            $this->bred("Grandchild {$i}", $children[0], $children[1], 'male');
        }
        $tree = $this->descendants($sire);
        $this->assertCount(4 + 2 * 3, $tree->nodes, 'in both places of their lines');
        $this->assertSame(0, $tree->more);
        $this->assertApart($tree->nodes, $tree->width(), $tree->height());
        $this->assertMeet($tree->lines, $tree->nodes);
        $with = array_column(array_filter($tree->nodes, fn (array $node): bool => str_starts_with($node['card']->animal->name, 'Child')), 'with');
        sort($with);
        $this->assertSame(['Barge', 'Barge', 'Tender', 'Tender'], $with);

        // a line of five generations: the last two are too far away to be drawn
        $last = $children[2];
        foreach (['Great', 'Greater', 'Greatest'] as $name) {
            $last = $this->bred($name, $last->sex?->value === 'male' ? $last : $sire, $last->sex?->value === 'male' ? $dams[0] : $last, 'male');
        }
        $this->bred('Last', $last, $dams[1]);
        $tree = $this->descendants($sire);
        $drawn = array_unique(array_map(fn (array $node): string => $node['card']->animal->name, $tree->nodes));
        $all = Animal::query()->whereNotNull('sire_id')->count();
        $this->assertSame($all - count($drawn), $tree->more);
        $this->assertGreaterThan(0, $tree->more);
        $this->get("/animals/{$sire->id}")->assertOk()->assertSee("{$tree->more} more are not drawn");
    }

    public function test_a_large_family_is_drawn_as_far_as_it_can_be_read_and_the_rest_is_counted(): void
    {
        [$sire, $dam] = [$this->animal('Anchor', 'male'), $this->animal('Tender', 'female')];
        foreach (range(1, 70) as $i) {
            $this->bred("Young {$i}", $sire, $dam);
        }
        $tree = $this->descendants($sire);
        $this->assertSame([60, 10], [count($tree->nodes), $tree->more]);
        $this->assertApart($tree->nodes, $tree->width(), $tree->height());
        $this->assertTrue($this->descendants($this->animal('Gig', 'male'))->isEmpty());
    }

    /** @param list<array{x: float, y: float}> $nodes */
    private function assertApart(array $nodes, float $width, float $height): void
    {
        foreach ($nodes as $i => $one) {
            $this->assertGreaterThanOrEqual(0.0, $one['y']);
            $this->assertLessThanOrEqual($width, $one['x'] + PedigreeTree::WIDTH);
            $this->assertLessThanOrEqual($height, $one['y'] + PedigreeTree::HEIGHT);
            foreach (array_slice($nodes, $i + 1) as $other) {
                $this->assertTrue(
                    abs($one['x'] - $other['x']) >= PedigreeTree::WIDTH || abs($one['y'] - $other['y']) >= PedigreeTree::HEIGHT,
                    'no two lie on each other',
                );
            }
        }
    }

    /**
     * @param list<array{float, float, float, float}> $lines
     * @param list<array{x: float, y: float}> $nodes
     */
    private function assertMeet(array $lines, array $nodes): void
    {
        $middles = array_map(fn (array $node): string => "{$node['x']} ".($node['y'] + PedigreeTree::HEIGHT / 2), $nodes);
        $this->assertNotSame([], $lines);
        foreach ($lines as [$fromX, $fromY, $toX, $toY]) {
            $this->assertContains(($fromX - PedigreeTree::WIDTH)." {$fromY}", $middles);
            $this->assertContains("{$toX} {$toY}", $middles);
        }
    }

    private function pedigree(Animal $animal): PedigreeTree
    {
        $opened = app(Doorway::class)->open($this->keeper());

        return new PedigreeTree($animal->refresh(), $opened->family(), app(CatalogueShelf::class), $opened->beliefs());
    }

    private function descendants(Animal $animal): DescendantTree
    {
        $opened = app(Doorway::class)->open($this->keeper());

        return new DescendantTree($animal->refresh(), $opened->family(), app(CatalogueShelf::class), $opened->beliefs());
    }

    private function animal(string $name, string $sex): Animal
    {
        return $this->made(['name' => $name, 'sex' => $sex, 'genotype' => 'Normal']);
    }

    private function bred(string $name, ?Animal $sire, ?Animal $dam, ?string $sex = null): Animal
    {
        return $this->made([
            'name' => $name, 'sire_id' => $sire?->id, 'dam_id' => $dam?->id, 'genotype' => 'Normal',
            'sex' => $sex ?? (str_ends_with($name, '0') ? 'male' : 'female'),
        ]);
    }
}
