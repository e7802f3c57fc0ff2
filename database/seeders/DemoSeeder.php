<?php

namespace Database\Seeders;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\User;
use App\Scale\BoxProbe;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A made-up keeper in a converted boathouse, with two projects: Genetic Stripe Piebald with Calico, and Ultramel in a
 * Mystic/Mojave compound.
 */
class DemoSeeder extends Seeder
{
    /** Name, sex, hatched (a day, or how many days before today), genotype, notes. */
    private const ANIMALS = [
        [
            'Anchor', 'male', '2021-07-14', 'Genetic Stripe het Piebald',
            'Bought as a yearling; eats anything. First male of the stripe project.',
        ],
        ['Brightwater', 'female', '2020-08-02', 'Piebald', 'About 60% white. Slow starter every autumn.'],
        [
            'Calico Jenny', 'female', '2021-06-21', 'Calico 66% het Genetic Stripe',
            'Sold to me as 66% het Genetic Stripe, out of two hets. Not proven yet.',
        ],
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
        [
            'Oarlock', 'female', '2021-06-04', 'Axanthic (line 2)',
            'Bought for North Pier before I knew that there are lines. Will never give greys with him.',
        ],
        ['Pontoon', 'male', '2021-09-16', 'Banana', 'Nobody wrote down which parent gave it: male maker or female maker unknown.'],
        ['Quayside', 'female', '2020-07-23', 'Pastel Enchi', ''],
        ['Ripple', 'female', '2021-07-01', 'Spider', 'Slight head wobble, eats well. Not bred since I read up on it.'],
        ['Sandbar', 'male', '2022-06-27', 'Yellow Belly or Gravel', 'The seller was not sure; flames at the belly edge either way.'],
        ['Tidemark', 'female', '2022-09-03', 'Pinstripe', ''],
        ['Undertow', 'male', '2023-08-14', 'Pastel Mojave het Clown', 'Swap with a friend. Young, but ready next winter.'],
        ['Vellum', 'female', '2019-08-08', 'Fire het Clown', 'Oldest girl, two clutches so far.'],
        ['Weir', 'female', '2023-07-19', 'Super Pastel', 'Fades a little every shed.'],
        ['Yawl', 'male', '2024-06-30', 'Pinstripe 50% het Piebald', 'Hold-back from Tidemark.'],
        [
            'Zephyr', 'female', '2024-06-30', 'Pinstripe Piebald',
            'Came out of Driftwood × Tidemark with a white belly and half a white back. Nobody expected that.',
        ],
        ['Buoy', 'male', 118, 'Piebald', 'From the first clutch of the stripe project with a chance of the whole thing.'],
        ['Cleat', null, 118, 'Calico', 'Too lively to be sexed yet.'],
        ['Dinghy', 'male', 131, 'Mojave Ultramel', ''],
        ['Ebb', 'female', 131, 'Mystic Ultramel', ''],
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
        'Zephyr' => ['Driftwood', 'Tidemark'],
        'Buoy' => ['Gunwale', 'Halyard'],
        'Cleat' => ['Gunwale', 'Halyard'],
        'Dinghy' => ['Lantern', 'Keel'],
        'Ebb' => ['Lantern', 'Keel'],
    ];

    /** Who stated the genotype, where it was not the keeper: source, name, day. */
    private const STATED = [
        'Anchor' => ['seller', 'Old Painter', '2022-09-03'],
        'Calico Jenny' => ['seller', 'Old Painter', '2022-09-03'],
        'Inlet' => ['seller', null, '2021-03-20'],
        'Jetty' => ['seller', null, '2021-03-20'],
        'Sandbar' => ['seller', 'a fair table', '2023-10-14'],
        'Quayside' => ['seller', null, '2021-11-06'],
        'Undertow' => ['seller', 'a friend', '2024-05-18'],
    ];

    /** Further statements: animal, text, source, who, day, certainty in percent, note. */
    private const FURTHER = [
        ['Quayside', 'Pastel', 'own', null, '2026-02-15', 70, 'Beside her last young I see no Enchi in her.'],
        ['Inlet', 'Mojave het Ultramel', 'laboratory', 'shed sample', '2025-04-02', 100, null],
    ];

    /** Dam, sires, paired, laid, good, infertile, hatched on, hatched, kept, counts by look, notes; a day as for the animals. */
    private const CLUTCHES = [
        [
            'Brightwater', ['Anchor'], '2022-01-20', '2022-06-12', 6, 1, '2022-08-11', 6, ['Estuary', 'Fathom', 'Gunwale'],
            [['not Genetic Stripe, not Piebald', 3]], 'Sold the other three as double hets.',
        ],
        [
            'Jetty', ['Inlet'], '2021-12-28', '2022-05-14', 5, 0, '2022-07-12', 5, ['Lantern', 'Mooring'],
            [['Mojave, not Ultramel', 2], ['not Ultramel', 1]], null,
        ],
        [
            'Calico Jenny', ['Anchor'], '2023-01-08', '2023-05-08', 4, 2, '2023-07-05', 3, ['Halyard'],
            [['not Genetic Stripe', 2]], 'First clutch of hers, small.',
        ],
        [
            'Tidemark', ['Driftwood'], '2024-01-11', '2024-05-03', 6, 0, '2024-06-30', 6, ['Yawl', 'Zephyr'],
            [['Pinstripe, not Piebald', 3], ['not Pinstripe, not Piebald', 1]], 'One of them should not exist.',
        ],
        [
            'Calico Jenny', ['Anchor'], '2025-01-03', '2025-05-20', 3, 3, '2025-07-17', 1, [], [['not Genetic Stripe', 1]],
            'Two went bad in June.',
        ],
        [
            'Mooring', ['Lantern'], '2025-01-19', '2025-06-02', 5, 1, '2025-07-30', 4, [], [['not Ultramel', 4]],
            'To see whether Mooring got Ultramel.',
        ],
        [
            'Halyard', ['Gunwale'], 323, 175, 6, 0, 118, 5, ['Buoy', 'Cleat'],
            [['not Piebald, not Genetic Stripe', 3]], null,
        ],
        [
            'Keel', ['Lantern'], 335, 189, 7, 0, 131, 6, ['Dinghy', 'Ebb'],
            [['Mojave, not Ultramel', 2], ['Mystic, not Ultramel', 2]], null,
        ],
    ];

    /** Status by name: status, day, reason, days from today to the review. */
    private const STATUSES = [
        'Anchor' => ['breeder', '2022-11-01', null, null], 'Brightwater' => ['breeder', '2021-12-01', null, null],
        'Calico Jenny' => ['breeder', '2022-12-01', null, null],
        'Driftwood' => ['breeder', '2023-11-20', null, null], 'Gunwale' => ['breeder', '2025-11-15', null, null],
        'Halyard' => ['breeder', '2025-12-01', null, null],
        'Inlet' => ['breeder', '2021-11-01', null, null], 'Jetty' => ['breeder', '2021-11-01', null, null],
        'Keel' => ['breeder', '2025-11-01', null, null], 'Lantern' => ['breeder', '2024-11-01', null, null],
        'Vellum' => ['breeder', '2022-11-01', null, null],
        'Yawl' => ['hold-back', '2024-09-01', 'Until it is clear what Zephyr means: he may carry more than half a chance.', 40],
        'Zephyr' => ['hold-back', '2024-09-01', 'To find out where her white comes from.', 90],
        'Sandbar' => ['for sale', '2026-09-12', null, null],
        'Weir' => ['reserved', '2026-11-02', 'For the friend of the Undertow swap.', 30],
        'Undertow' => ['quarantine', '2026-10-18', 'Back from a visit.', null],
        'Oarlock' => ['sold', '2026-04-11', 'To somebody with a line 2 project.', null],
    ];

    /** Racks: name, rows, columns, animals from the top left. */
    private const RACKS = [
        [
            'Harbour', 4, 3,
            [
                'Brightwater', 'Calico Jenny', 'Jetty', 'Keel', 'Vellum', 'Quayside', 'Estuary', 'Fathom', 'Halyard', 'Ripple',
                'Tidemark', 'Mooring',
            ],
        ],
        [
            'Slipway', 3, 4,
            ['Anchor', 'Driftwood', 'Inlet', 'Lantern', 'Gunwale', 'North Pier', 'Pontoon', 'Sandbar', 'Yawl', 'Zephyr', 'Weir'],
        ],
        ['Nursery', 2, 5, ['Buoy', 'Cleat', 'Dinghy', 'Ebb']],
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
            $made = [];
            foreach (self::ANIMALS as $i => [$name, $sex, $hatched, $genotype, $notes]) {
                $hatched = self::day($hatched);
                [$source, $who, $on] = self::STATED[$name] ?? ['own', null, null];
                $made[$name] = $keeper->animals()->create([
                    'name' => $name, 'number' => sprintf('%03d', $i + 1), 'sex' => $sex,
                    'sex_found' => $source === 'seller' ? 'told' : ($sex === null ? null : 'popped'), 'hatched_on' => $hatched,
                    'notes' => $notes === '' ? null : $notes, 'source' => $who, 'acquired_on' => $on,
                ]);
                $made[$name]->statements()->create(['text' => $genotype, 'source' => $source, 'who' => $who, 'on' => $on ?? $hatched]);
            }
            foreach (self::FURTHER as [$name, $text, $source, $who, $on, $certainty, $note]) {
                $made[$name]->statements()->create([
                    'text' => $text, 'source' => $source, 'who' => $who, 'on' => $on, 'certainty' => $certainty, 'note' => $note,
                ]);
            }
            foreach (self::PARENTS as $name => [$sire, $dam]) {
                $made[$name]->update(self::parent($made, 'sire', $sire) + self::parent($made, 'dam', $dam));
            }
            $this->care($made);
            $this->clutches($keeper, $made);
            $this->season($keeper, $made);
            $this->standing($keeper, $made);
            $this->projects($keeper);
            $this->money($keeper, $made);
            $this->oddLook($keeper);
        });
    }

    /** @param string|int $when a day, or how many days ago: the young of the last season are as old whenever the demo begins */
    private static function day(string|int $when): string
    {
        return is_int($when) ? now()->subDays($when)->format('Y-m-d') : $when;
    }

    /** @param array<string, Animal> $made */
    private function care(array $made): void
    {
        foreach (self::WEIGHTS as $name => $weights) {
            foreach ($weights as [$months, $grams]) {
                $made[$name]->care()->create(['kind' => 'weight', 'on' => now()->subMonths($months)->format('Y-m-d'), 'grams' => $grams]);
            }
        }
        $made['Halyard']->care()->createMany([
            ['kind' => 'feed', 'on' => now()->subDays(9)->format('Y-m-d'), 'outcome' => 'taken', 'prey' => 'medium rat'],
            ['kind' => 'shed', 'on' => now()->subDays(20)->format('Y-m-d'), 'words' => 'in one piece'],
            [
                'kind' => 'feed', 'on' => now()->subDays(23)->format('Y-m-d'), 'outcome' => 'refused', 'prey' => 'medium rat',
                'words' => 'blue',
            ],
        ]);
        $made['Ripple']->observations()->createMany([
            ['condition' => 'Wobble', 'grade' => 'moderate', 'on' => '2023-02-11', 'note' => 'when she strikes'],
            ['condition' => 'Wobble', 'grade' => 'slight', 'on' => '2026-03-08'],
        ]);
    }

    /** @param array<string, Animal> $made */
    private function clutches(User $keeper, array $made): void
    {
        foreach (self::CLUTCHES as [$dam, $sires, $paired, $laid, $good, $infertile, $hatchedOn, $hatched, $kept, $counts, $notes]) {
            $clutch = $keeper->clutches()->create([
                'dam_id' => $made[$dam]->id, 'paired_on' => self::day($paired), 'laid_on' => self::day($laid), 'eggs_good' => $good,
                'eggs_infertile' => $infertile, 'hatched_on' => self::day($hatchedOn), 'hatched' => $hatched, 'notes' => $notes,
            ]);
            foreach ($sires as $sire) {
                $clutch->sires()->create(['animal_id' => $made[$sire]->id]);
            }
            foreach ($kept as $name) {
                $made[$name]->update(['clutch_id' => $clutch->id]);
            }
            foreach ($counts as [$saw, $count]) {
                $clutch->counts()->create(['saw' => $saw, 'count' => $count]);
            }
        }
    }

    /**
     * The season that runs: eggs that pip in these days, a pair that is together, and siblings half told apart.
     *
     * @param array<string, Animal> $made
     */
    private function season(User $keeper, array $made): void
    {
        $day = fn (int $ago): string => now()->subDays($ago)->format('Y-m-d');
        $eggs = $keeper->clutches()->create(['dam_id' => $made['Vellum']->id, 'paired_on' => $day(160), 'target' => 'Fire + Mojave']);
        $eggs->sires()->create(['animal_id' => $made['Inlet']->id]);
        $eggs->events()->createMany([
            ['kind' => 'lock', 'on' => $day(158)], ['kind' => 'ovulation', 'on' => $day(106)], ['kind' => 'pre-lay-shed', 'on' => $day(88)],
            ['kind' => 'laid', 'on' => $day(57), 'count' => 7, 'infertile' => 1], ['kind' => 'first-meal', 'on' => $day(49)],
        ]);
        $this->box($eggs, $day);
        $two = $keeper->clutches()->create(
            ['dam_id' => $made['Quayside']->id, 'paired_on' => $day(140), 'target' => 'Pastel + Enchi + Banana'],
        );
        $two->sires()->createMany([['animal_id' => $made['Pontoon']->id], ['animal_id' => $made['Sandbar']->id]]);
        $two->events()->createMany([
            ['kind' => 'lock', 'on' => $day(131)], ['kind' => 'ovulation', 'on' => $day(78)], ['kind' => 'pre-lay-shed', 'on' => $day(61)],
            ['kind' => 'laid', 'on' => $day(31), 'count' => 6, 'infertile' => 0],
        ]);
        $this->incubators($keeper, ['Boathouse 1' => $eggs, 'Boathouse 2' => $two]);
        $pair = $keeper->clutches()->create(['dam_id' => $made['Estuary']->id, 'paired_on' => $day(20)]);
        $pair->sires()->create(['animal_id' => $made['Inlet']->id]);
        $pair->events()->create(['kind' => 'lock', 'on' => $day(18)]);
        foreach (['Dinghy' => ['blotch-eyes' => 'one, round', 'eye-band' => 'normal'], 'Ebb' => ['blotch-eyes' => 'two']] as $name => $cues) {
            foreach ($cues as $cue => $state) {
                $made[$name]->sightings()->create(['cue' => $cue, 'state' => $state, 'on' => $day(30)]);
            }
        }
    }

    /**
     * Two incubators with a probe in each; the heater of the second fails this morning.
     *
     * @param array<string, Clutch> $clutches by the name of the incubator
     */
    private function incubators(User $keeper, array $clutches): void
    {
        $now = intdiv(now()->getTimestamp(), 1800) * 1800;
        foreach (['Boathouse 1' => [31.5, 58, ['door']], 'Boathouse 2' => [31.2, 32, ['heater', 'dropouts']]] as $name => [$celsius, $days, $faults]) {
            $incubator = $keeper->incubators()->create([
                'name' => $name, 'place' => strtolower(str_replace(' ', '-', $name)), 'celsius' => $celsius, 'low' => 30.8, 'high' => 32.2,
                'humid_low' => 75, 'humid_high' => 97,
                'notes' => 'Vermiculite and water one to one by weight; the probe lies between the boxes.',
            ]);
            $clutches[$name]->update(['incubator_id' => $incubator->id]);
            $messages = (new BoxProbe($incubator->place, $celsius, $faults, 7))->readings($now, $days, 30);
            $rows = array_map(function (array $one) use ($keeper): array {
                $at = (int) strtotime($one['at']);
                $came = date('Y-m-d H:i:s', $at); // where the snakes are; the reading itself in UTC

                return ['user_id' => $keeper->id, 'created_at' => $came, 'updated_at' => $came, 'at' => gmdate('Y-m-d H:i:s', $at)] + $one;
            }, $messages);
            foreach (array_chunk($rows, 400) as $some) {
                DB::table('readings')->insert($some);
            }
        }
    }

    /**
     * A box of eggs at term, each with its place and what happened to it.
     *
     * @param \Closure(int): string $day so many days ago
     */
    private function box(Clutch $clutch, \Closure $day): void
    {
        $places = [[17, 26], [34, 22], [51, 27], [25, 55], [42, 54], [59, 56], [80, 72], [84, 26]];
        $eggs = [];
        foreach ($places as $i => [$across, $down]) {
            $eggs[] = $clutch->eggs()->create([
                'number' => $i + 1, 'across' => $across, 'down' => $down, 'marked' => true, 'slug' => $i === 7, 'apart' => $i === 6,
                'clump' => in_array($i, [3, 4], true) ? 1 : null, 'grams' => [88, 91, 86, 84, 90, 87, 79, 41][$i],
            ]);
        }
        foreach ([
            [0, 'veins', 40, null], [1, 'veins', 40, null], [2, 'veins', 40, null], [4, 'veins', 40, null], [6, 'no-veins', 40, 'yellow'],
            [5, 'dented', 12, 'all dent before they pip'], [3, 'mould', 30, 'wiped off'], [6, 'egg-bad', 21, 'collapsed and smells'],
            [0, 'pipped', 0, null], [4, 'pipped', 0, null],
        ] as [$egg, $kind, $ago, $note]) {
            $clutch->events()->create([
                'kind' => $kind, 'on' => $day($ago), 'egg_id' => $eggs[$egg]->id, 'note' => $note,
                'count' => in_array($kind, ['egg-bad', 'pipped'], true) ? 1 : null,
            ]);
        }
    }

    /** @param array<string, Animal> $made */
    private function standing(User $keeper, array $made): void
    {
        foreach (self::STATUSES as $name => [$status, $on, $reason, $review]) {
            $made[$name]->statusEvents()->create([
                'status' => $status, 'on' => $on, 'reason' => $reason,
                'review_on' => $review === null ? null : now()->addDays($review)->format('Y-m-d'),
            ]);
        }
        foreach (self::RACKS as $i => [$name, $rows, $columns, $animals]) {
            $rack = $keeper->racks()->create(['name' => $name, 'rows' => $rows, 'columns' => $columns, 'position' => $i]);
            foreach ($animals as $at => $animal) {
                $made[$animal]->update([
                    'rack_id' => $rack->id, 'rack_row' => intdiv($at, $columns) + 1, 'rack_column' => $at % $columns + 1,
                ]);
            }
        }
        $keeper->savedSearches()->create(['name' => 'Stripe carriers', 'query' => 'genes=carries+Genetic+Stripe']);
    }

    /** An odd look that nobody can name, over four seasons. */
    private function oddLook(User $keeper): void
    {
        $trait = $keeper->oddTraits()->create([
            'name' => 'Ember rim',
            'notes' => 'A thin rust-red rim around every flame. The seller had never seen it; both parents are said to be plain.',
        ]);
        $made = [];
        foreach ([
            ['Pilot', 'male', 'odd', null, null, 1, '2022-09-10'],
            ['Wharf', 'female', 'normal', null, null, 1, '2022-09-10'],
            ['young of 2023', 'male', 'normal', 'Pilot', 'Wharf', 3, '2023-08-02'],
            ['young of 2023', 'female', 'normal', 'Pilot', 'Wharf', 2, '2023-08-02'],
            ['Gangway', 'female', 'normal', 'Pilot', 'Wharf', 1, '2023-08-02'],
            ['young of 2026', 'female', 'odd', 'Pilot', 'Gangway', 2, '2026-08-19'],
            ['young of 2026', 'male', 'odd', 'Pilot', 'Gangway', 1, '2026-08-19'],
            ['young of 2026', 'male', 'normal', 'Pilot', 'Gangway', 2, '2026-08-19'],
        ] as [$name, $sex, $look, $sire, $dam, $count, $on]) {
            $made[$name] = $trait->entries()->create([
                'name' => $name, 'sex' => $sex, 'look' => $look, 'sire_id' => $sire === null ? null : $made[$sire]->id,
                'dam_id' => $dam === null ? null : $made[$dam]->id, 'count' => $count, 'on' => $on,
            ]);
        }
    }

    /**
     * Two years of an account, a price book, one animal reserved and one sold.
     *
     * @param array<string, Animal> $made
     */
    private function money(User $keeper, array $made): void
    {
        foreach ([
            ['Clown', 350, 500, null], ['Piebald', 250, 400, 'high white more'], ['Ultramel', 280, 380, null],
            ['Ultramel + Mojave', 450, 600, null],
            ['Genetic Stripe', 180, 250, null], ['Mojave', 60, 90, null], ['Pastel', 40, 60, null], ['Pastel, female', 60, 80, null],
            ['Pinstripe', 50, 80, null],
        ] as [$target, $low, $high, $note]) {
            $keeper->prices()->create(['target' => $target, 'low' => 100 * $low, 'high' => 100 * $high, 'note' => $note]);
        }
        $year = (int) now()->format('Y');
        foreach ([
            ['feed', "{$year}-01-12", 18450, 'rats, frozen, for the winter'], ['feed', "{$year}-06-03", 21200, null],
            ['equipment', "{$year}-04-18", 14900, 'second thermostat'],
            ['veterinarian', "{$year}-03-09", 8750, 'Ripple, check of the head'], ['power', "{$year}-07-01", 26100, 'half a year'],
            ['feed', ($year - 1).'-02-02', 20350, null],
        ] as [$kind, $on, $amount, $note]) {
            $keeper->bookings()->create(
                [
                    'kind' => $kind, 'on' => $on, 'amount' => $amount, 'note' => $note,
                    'animal_id' => $kind === 'veterinarian' ? $made['Ripple']->id : null,
                ],
            );
        }
        $made['Oarlock']->sales()->create(
            ['asking' => 14000, 'price' => 12000, 'buyer' => 'a keeper of greys', 'sent_on' => $year.'-04-13'],
        );
        $made['Cleat']->observations()->createMany([
            [
                'condition' => 'Spinal kinking', 'grade' => 'moderate', 'on' => now()->subDays(60)->format('Y-m-d'), 'place' => 'tail',
                'decision' => 'watch',
            ],
            [
                'condition' => 'Spinal kinking', 'grade' => 'slight', 'on' => now()->subDays(12)->format('Y-m-d'), 'place' => 'tail',
                'decision' => 'watch', 'note' => 'eats by itself',
            ],
        ]);
        $made['Dinghy']->sales()->create(['asking' => 55000, 'deposit' => 15000, 'buyer' => 'a keeper two towns on']);
        $made['Dinghy']->statusEvents()->create(
            ['status' => 'reserved', 'on' => now()->subDays(9)->format('Y-m-d'), 'reason' => 'a keeper two towns on'],
        );
    }

    private function projects(User $keeper): void
    {
        $keeper->projects()->create([
            'name' => 'Painted stripes', 'target' => 'Genetic Stripe + Piebald + Calico', 'horizon' => 8, 'weight' => 3,
            'budget' => 1500, 'begun_on' => '2021-11-01',
            'offers' => [['genes' => 'Genetic Stripe Piebald', 'sex' => 'female', 'age' => 30, 'price' => 1400]],
            'notes' => 'The one that everything began with.',
        ]);
        $keeper->projects()->create([
            'name' => 'Caramel lavender', 'target' => 'Ultramel + Mojave/Mystic', 'horizon' => 6, 'weight' => 2,
            'begun_on' => '2021-11-01',
        ]);
    }

    /**
     * @param array<string, Animal> $made
     * @return array<string, int|string>
     */
    private static function parent(array $made, string $role, string $name): array
    {
        return isset($made[$name]) ? ["{$role}_id" => $made[$name]->id] : ["{$role}_name" => $name];
    }
}
