<?php

namespace Tests\Feature;

use App\Collection\Opened;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A page asks the database as often of four times as many animals, clutches and entries. */
class QueriesTest extends TestCase
{
    use RefreshDatabase;

    /** What no page asks for more than. */
    private const MOST = 40;

    private int $made = 0;

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        foreach (['/today', '/animals', '/pair', '/clutches', '/season', '/young', '/racks', '/round/weight', '/projects', '/money', '/prove'] as $page) {
            yield $page => [$page];
        }
    }

    #[DataProvider('pages')]
    public function test_a_page_does_not_ask_for_each_animal(string $page): void
    {
        $this->animals(8);
        $few = $this->asked($page);
        $this->animals(24);
        $this->assertLessThanOrEqual($few + 2, $this->asked($page), 'as many questions as before');
        $this->assertLessThanOrEqual(self::MOST, $few);
    }

    private function asked(string $page): int
    {
        app(Opened::class); // beliefs are there before
        $this->get($page)->assertOk();
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->get($page)->assertOk();

        return count(DB::getQueryLog());
    }

    /** Half of them of each sex, each with a weight and a meal, and a clutch for each pair. */
    private function animals(int $count): void
    {
        for ($i = 0; $i < $count; $i += 2) {
            $pair = [];
            foreach (['male', 'female'] as $sex) {
                $pair[] = $animal = $this->made([
                    'name' => 'Hull '.++$this->made, 'sex' => $sex, 'genotype' => $i % 4 === 0 ? 'Pastel het Clown' : 'Clown', 'hatched_on' => '2021-07-01',
                ]);
                $animal->care()->create(['kind' => 'weight', 'on' => now()->subMonth()->format('Y-m-d'), 'grams' => 1800]);
                $animal->care()->create(['kind' => 'feed', 'on' => now()->subMonth()->format('Y-m-d'), 'outcome' => 'taken']);
            }
            $clutch = $this->keeper()->clutches()->create(['dam_id' => $pair[1]->id, 'paired_on' => now()->subDays(10)->format('Y-m-d')]);
            $clutch->sires()->create(['animal_id' => $pair[0]->id]);
        }
    }
}
