<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Collection\Doorway;
use App\Models\Animal;
use App\Models\Clutch;
use App\Projects\LuckSoFar;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class LuckSoFarTest extends TestCase
{
    use RefreshDatabase;

    /**
     * @return iterable<string, array{string, string, string, list<array{string, int}>, array{string, int, int, float}|null, string}>
     *     sire, dam, target, counts, hope with known, hits and expected, words
     */
    public static function pairs(): iterable
    {
        // (3/4)¹² = 3.2 in 100; (3/4)⁴ = 32 in 100, and calm until 11 = ⌈ln 20 / ln (4/3)⌉.
        yield 'worse than one in twenty' => [
            'het Clown', 'het Clown', 'Clown', [['not Clown', 12]], ['Clown', 12, 0, 3.0],
            'About 3 in 100 do as badly. Prove both parents',
        ];
        yield 'unlucky and calm' => [
            'het Clown', 'het Clown', 'Clown', [['not Clown', 4]], ['Clown', 4, 0, 1.0], '7 more hatchlings without a hit are still normal',
        ];
        yield 'lucky' => [
            'het Clown', 'het Clown', 'Clown', [['Clown', 3], ['not Clown', 1]], ['Clown', 4, 3, 1.0],
            'About 5 in 100 do as well.',
        ];
        yield 'as was to be expected' => [
            'het Clown', 'Clown', 'Clown', [['Clown', 3], ['not Clown', 3]], ['Clown', 6, 3, 3.0], 'As expected.',
        ];
        // Piebald is not to be had of these two: they are judged by the rest of the target.
        yield 'as much of the target as they can bring' => [
            'Pastel het Clown', 'het Clown', 'Clown + Pastel + Piebald',
            [['Pastel, not Clown', 5], ['Clown, no Pastel', 1], ['Clown + Pastel', 2]], ['Clown + Pastel', 8, 2, 1.0],
            'do as well',
        ];
        // Of young that are only known not to be Pastel nobody knows whether they are hets: they count as no hit of both.
        yield 'what is not known is not counted' => ['Pastel het Clown', 'het Clown', 'Clown + Pastel', [['Clown', 4]], null, ''];
        // A normal shows nothing at all, so it is a miss; so is one that shows Pastel alone.
        yield 'normals are misses' => [
            'het Clown', 'het Clown', 'Clown', [['Normal', 12]], ['Clown', 12, 0, 3.0], 'About 3 in 100 do as badly. Prove both parents',
        ];
        yield 'only something else is a miss' => [
            'Pastel het Clown', 'het Clown', 'Clown', [['only Pastel', 3], ['Clown', 1]], ['Clown', 4, 1, 1.0], 'As expected.',
        ];
        yield 'a choice' => [
            'Pastel het Clown', 'het Clown', 'Clown or Pastel', [['Normal', 3], ['Pastel', 4], ['Clown', 1]],
            ['Clown or Pastel', 8, 5, 5.0], 'As expected.',
        ];
        yield 'nothing to be lucky about' => ['Clown', 'Clown', 'Clown', [['Clown', 4]], null, ''];
        yield 'not a thing of the target' => ['Pastel', 'Normal', 'Clown', [['Pastel', 2], ['not Pastel', 2]], null, ''];
    }

    /**
     * @param list<array{string, int}> $counts
     * @param array{string, int, int, float}|null $expected
     */
    #[DataProvider('pairs')]
    public function test_a_pair_is_judged_by_what_it_can_bring(
        string $sire,
        string $dam,
        string $target,
        array $counts,
        ?array $expected,
        string $words,
    ): void {
        [$male, $female] = [
            $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => $sire]),
            $this->made(['name' => 'Tender', 'genotype' => $dam]),
        ];
        $rows = $this->luck($target, [$this->clutch($male, $female, $counts)]);
        if ($expected === null) {
            $this->assertSame([], $rows);

            return;
        }
        $this->assertSame(
            ['Skiff × Tender', ...$expected],
            [$rows[0]['pair'], $rows[0]['hope'], $rows[0]['known'], $rows[0]['hits'], $rows[0]['expected']],
        );
        $this->assertStringContainsString($words, $rows[0]['sentence']);
        $this->assertSame(str_contains($words, 'Prove both parents'), $rows[0]['isOdd']);
    }

    public function test_clutches_of_one_pair_add_up_and_kept_young_count(): void
    {
        [$male, $female] = [
            $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'het Clown']),
            $this->made(['name' => 'Tender', 'genotype' => 'Clown']),
        ];
        $first = $this->clutch($male, $female, [['not Clown', 3]]);
        $second = $this->clutch($male, $female, [['not Clown', 2]]);
        $this->made(['name' => 'Dory', 'genotype' => 'Clown', 'sire_id' => $male->id, 'dam_id' => $female->id, 'clutch_id' => $second->id]);
        $rows = $this->luck('Clown', [$first, $second->refresh()]);
        $this->assertCount(1, $rows);
        $this->assertSame([6, 1, 3.0], [$rows[0]['known'], $rows[0]['hits'], $rows[0]['expected']]);
    }

    public function test_the_luck_of_a_clutch_a_pairing_and_a_female(): void
    {
        $males = array_map(
            fn (string $name) => $this->made(['name' => $name, 'sex' => 'male', 'genotype' => 'het Clown']), ['Skiff', 'Wherry'],
        );
        $female = $this->made(['name' => 'Tender', 'genotype' => 'Clown']);
        $first = $this->clutch($males[0], $female, [['not Clown', 4]]);
        $this->clutch($males[0], $female, [['Clown', 1], ['not Clown', 1]]);
        $this->clutch($males[1], $female, [['Clown', 3]]);
        $ask = fn (string $of, string $target = 'Clown') => $this->get('/luck?'.http_build_query(['of' => $of, 'target' => $target]));

        // 1/2 an egg: none of 4; 1 of 6; 4 of 9.
        $ask("clutch-{$first->id}")->assertOk()->assertSee('0 hits in 4 young, 2.0 expected')->assertSee("As few or fewer in 6.3\u{a0}%");
        $ask("pair-{$males[0]->id}-{$female->id}")->assertSee('1 hit in 6 young, 3.0 expected')->assertSee('About 11 in 100 do as badly.');
        $ask("dam-{$female->id}")->assertSee('4 hits in 9 young, 4.5 expected')->assertSee('Wherry × Tender');
        $ask("dam-{$female->id}", 'Piebald')->assertOk()->assertSee('Nothing to compare');
        $ask("dam-{$female->id}", '')->assertUnprocessable()->assertSee('Enter a target');
        $ask("dam-{$female->id}", 'Clwon')->assertUnprocessable()->assertSee('Clwon');
        $ask('clutch-99999')->assertUnprocessable()->assertSee('Choose one of your hatched clutches');
        $this->get('/luck')->assertOk()->assertSee('From your own records');
    }

    public function test_good_luck_is_not_talked_about_as_bad(): void
    {
        $this->get('/luck?chance=1+in+16&eggs=20&hits=6')->assertOk()
            ->assertSee('So rare that the chance is likely higher than thought')
            ->assertDontSee('Luck, or something else')->assertDontSee('How long to stay calm');
        $this->get('/luck?chance=1/4&eggs=8&hits=4')->assertOk()->assertSee('Lucky, but some keeper sees it every season');
    }

    public function test_a_season_is_reckoned_each_pairing_once(): void
    {
        foreach (['Clown', 'het Clown'] as $target) {
            $this->keeper()->projects()->create(['name' => $target, 'target' => $target]);
        }
        $male = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'het Clown']);
        $dams = array_map(fn (string $name) => $this->made(['name' => $name, 'genotype' => 'het Clown']), ['Tender', 'Punt', 'Gig']);
        $this->clutch($male, $dams[0], [['not Clown', 6]]);
        $lucky = $this->clutch($male, $dams[1], [['Clown', 1], ['not Clown', 4]]);
        $this->clutch($male, $dams[2], [])->update(['eggs_good' => 4, 'hatched' => 3]); // nothing is told of these
        $this->made(
            [
                'name' => 'Dory', 'sex' => 'female', 'genotype' => 'Clown', 'sire_id' => $male->id, 'dam_id' => $dams[1]->id,
                'clutch_id' => $lucky->id,
            ],
        );
        $lucky->update(['hatched' => 6]);

        // 2 of 12 at 1/4: P(two or fewer) = 0.3907
        $this->get('/season/2026')->assertOk()->assertSeeInOrder([
            '3 of 4 good eggs (75 %)', '0 males, 1 female', '2 of 12 young, 3.0 expected.', "As few or fewer in 39\u{a0}% of such seasons",
            'Skiff × Tender', '1/4', '0</strong> of 6', '1.5', 'Skiff × Punt', '2</strong> of 6', '1 hatched clutch stands in no row',
        ], false);
        $this->get('/season/2026?target=Piebald')->assertOk()->assertSee('no pairing of the season gives it by chance');
        $this->get('/season/2026?target=Pidbald')->assertUnprocessable()->assertSee('Pidbald');
        $this->get('/season/2019')->assertOk()->assertSee('0 clutches');
        $this->get('/season/soon')->assertNotFound();
    }

    /** @param list<array{string, int}> $counts */
    private function clutch(Animal $sire, Animal $dam, array $counts): Clutch
    {
        $clutch = $this->keeper()->clutches()->create([
            'dam_id' => $dam->id, 'hatched_on' => '2026-07-01', 'hatched' => array_sum(array_column($counts, 1)),
        ]);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        foreach ($counts as [$saw, $count]) {
            $clutch->counts()->create(['saw' => $saw, 'count' => $count]);
        }

        return $clutch;
    }

    /**
     * @param list<Clutch> $clutches
     * @return list<array<string, mixed>>
     */
    private function luck(string $target, array $clutches): array
    {
        $shelf = app(CatalogueShelf::class);
        foreach ($clutches as $clutch) {
            $clutch->load('dam', 'sires.animal', 'counts', 'hatchlings');
        }

        return (
            new LuckSoFar($shelf->targetsWithChoices()->read($target), $clutches, app(Doorway::class)->open($this->keeper())->beliefs(), $shelf)
        )->rows();
    }
}
