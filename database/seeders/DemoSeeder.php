<?php

namespace Database\Seeders;

use App\Models\User;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A made-up keeper in a converted boathouse, with two projects: Genetic Stripe Piebald with Calico, and Ultramel in a
 * Mystic/Mojave compound.
 */
class DemoSeeder extends Seeder
{
    /** Name, sex, hatched, genotype, notes. */
    private const ANIMALS = [
        ['Anchor', 'male', '2021-07-14', 'Genetic Stripe het Piebald', 'Bought as a yearling; eats anything. First male of the stripe project.'],
        ['Brightwater', 'female', '2020-08-02', 'Piebald', 'About 60% white. Slow starter every autumn.'],
        ['Calico Jenny', 'female', '2021-06-21', 'Calico 66% het Genetic Stripe', 'Sold to me as 66% het Genetic Stripe, out of two hets. Not proven yet.'],
        ['Driftwood', 'male', '2022-07-30', 'Calico het Piebald', 'White reaches high on the left flank.'],
        ['Estuary', 'female', '2022-08-11', 'double het Genetic Stripe Piebald', 'Own hatchling, Anchor × Brightwater.'],
        ['Fathom', 'female', '2022-08-11', 'double het Genetic Stripe Piebald', 'Own hatchling, Anchor × Brightwater. The heavier sister.'],
        ['Gunwale', 'male', '2022-08-11', 'double het Genetic Stripe Piebald', 'Own hatchling, Anchor × Brightwater.'],
        ['Halyard', 'female', '2023-07-05', 'Calico het Genetic Stripe het Piebald', 'The one to keep from last year but one.'],
        ['Inlet', 'male', '2020-06-18', 'Mojave het Ultramel', 'Start of the second project.'],
        ['Jetty', 'female', '2020-09-09', 'Mystic het Ultramel', ''],
        ['Keel', 'female', '2021-08-25', 'Ultramel', 'Warm caramel, very clean sides.'],
        ['Lantern', 'male', '2022-07-12', 'Mojave/Mystic het Ultramel', 'Lavender head, one parent Inlet, the other Jetty.'],
        ['Mooring', 'female', '2022-07-12', 'Mystic 66% het Ultramel', 'Sister of Lantern; whether she got Ultramel nobody knows.'],
        ['North Pier', 'male', '2021-05-30', 'Axanthic (line 1)', 'Meant for a grey project.'],
        ['Oarlock', 'female', '2021-06-04', 'Axanthic (line 2)', 'Bought for North Pier before I knew that there are lines. Will never give greys with him.'],
        ['Pontoon', 'male', '2021-09-16', 'Banana', 'Nobody wrote down which parent gave it: male maker or female maker unknown.'],
        ['Quayside', 'female', '2020-07-23', 'Pastel Enchi', ''],
        ['Ripple', 'female', '2021-07-01', 'Spider', 'Slight head wobble, eats well. Not bred since I read up on it.'],
        ['Sandbar', 'male', '2022-06-27', 'Yellow Belly or Gravel', 'The seller was not sure; flames at the belly edge either way.'],
        ['Tidemark', 'female', '2022-09-03', 'Pinstripe', ''],
        ['Undertow', 'male', '2023-08-14', 'Pastel Mojave het Clown', 'Swap with a friend. Young, but ready next winter.'],
        ['Vellum', 'female', '2019-08-08', 'Fire het Clown', 'Oldest girl, two clutches so far.'],
        ['Weir', 'female', '2023-07-19', 'Super Pastel', 'Fades a little every shed.'],
        ['Yawl', 'male', '2024-06-30', 'Pinstripe 50% het Piebald', 'Hold-back from Tidemark.'],
    ];

    /** Sire and dam by name; a parent that is not in the collection is an outside animal. */
    private const PARENTS = [
        'Calico Jenny' => ['Old Painter', 'Striped Sally'],
        'Estuary' => ['Anchor', 'Brightwater'],
        'Fathom' => ['Anchor', 'Brightwater'],
        'Gunwale' => ['Anchor', 'Brightwater'],
        'Halyard' => ['Anchor', 'Calico Jenny'],
        'Lantern' => ['Inlet', 'Jetty'],
        'Mooring' => ['Inlet', 'Jetty'],
        'Yawl' => ['Driftwood', 'Tidemark'],
    ];

    /** Weights by name: months before today, grams. */
    private const WEIGHTS = [
        'Calico Jenny' => [[9, 1380], [6, 1455], [3, 1520], [0, 1590]],
        'Estuary' => [[8, 1240], [5, 1330], [2, 1410]],
        'Fathom' => [[8, 1390], [5, 1490], [2, 1565]],
        'Halyard' => [[10, 870], [7, 1010], [4, 1150], [1, 1270]],
        'Gunwale' => [[6, 720], [1, 790]],
        'Lantern' => [[7, 640], [2, 705]],
        'Yawl' => [[9, 310], [5, 420], [1, 540]],
    ];

    public function run(): void
    {
        DB::transaction(function (): void {
            $keeper = User::createOrFirst(
                ['email' => 'boathouse@destino.localhost'],
                ['name' => 'The boathouse', 'password' => Str::random(40)],
            );
            foreach (self::ANIMALS as [$name, $sex, $hatched, $genotype, $notes]) {
                $keeper->animals()->create(['name' => $name, 'sex' => $sex, 'hatched_on' => $hatched, 'genotype' => $genotype, 'notes' => $notes === '' ? null : $notes]);
            }
            foreach (self::WEIGHTS as $name => $weights) {
                foreach ($weights as [$months, $grams]) {
                    $keeper->animals()->where('name', $name)->sole()->care()->create(['kind' => 'weight', 'on' => now()->subMonths($months)->format('Y-m-d'), 'grams' => $grams]);
                }
            }
            $keeper->animals()->where('name', 'Halyard')->sole()->care()->createMany([
                ['kind' => 'feed', 'on' => now()->subDays(9)->format('Y-m-d'), 'outcome' => 'taken', 'prey' => 'medium rat'],
                ['kind' => 'shed', 'on' => now()->subDays(20)->format('Y-m-d'), 'words' => 'in one piece'],
                ['kind' => 'feed', 'on' => now()->subDays(23)->format('Y-m-d'), 'outcome' => 'refused', 'prey' => 'medium rat', 'words' => 'blue'],
            ]);
            foreach (self::PARENTS as $name => [$sire, $dam]) {
                $keeper->animals()->where('name', $name)->sole()->update(self::parent($keeper, 'sire', $sire) + self::parent($keeper, 'dam', $dam));
            }
        });
    }

    /** @return array<string, int|string> */
    private static function parent(User $keeper, string $role, string $name): array
    {
        $animal = $keeper->animals()->where('name', $name)->first();

        return $animal === null ? ["{$role}_name" => $name] : ["{$role}_id" => $animal->id];
    }
}
