<?php

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Laravel\Sanctum\Sanctum;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Every field of every form is sent what it was not made for: the answer is a refusal at its place or a record, never a fault. */
abstract class BadInputCase extends TestCase
{
    use RefreshDatabase;

    /** The addresses of each class; the first that fits is that of a form. */
    private const PARTS = [
        BadInputOfAnimalsTest::class => '~^(/api/v1)?/(animals|round|records|statements|weights)~',
        BadInputOfClutchesTest::class => '~^/(clutches|eggs|incubators|season|young|today)~',
        BadInputOfQuestionsTest::class => '~^/(pair|luck|genes|read|prove)~',
        BadInputTest::class => '~~',
    ];

    private const FORMS = [
        [
            'post', '/animals',
            [
                'name' => 'Yawl', 'number' => '', 'sex' => 'male', 'sex_found' => 'popped', 'sex_certainty' => '90',
                'genotype' => 'Pastel', 'said_by' => 'own', 'hatched_on' => '2022-08', 'sire_id' => '', 'sire_name' => '',
                'dam_id' => '', 'dam_name' => '', 'source' => '', 'acquired_on' => '', 'price' => '', 'notes' => '',
                'form_token' => '{token}',
            ],
        ],
        [
            'put', '/animals/{animal}',
            [
                'name' => 'Skiff', 'number' => '7', 'sex' => 'male', 'hatched_on' => '2022-08', 'sire_id' => '',
                'sire_name' => '', 'dam_id' => '', 'dam_name' => '', 'source' => '', 'acquired_on' => '', 'price' => '12.50',
                'notes' => '',
            ],
        ],
        [
            'post', '/animals/{animal}/statements',
            ['text' => 'Pastel', 'source' => 'seller', 'certainty' => '80', 'names_all' => '1', 'on' => '2026-01-01'],
        ],
        ['post', '/animals/{animal}/status', ['status' => 'breeder', 'on' => '2026-01-01', 'note' => '']],
        ['post', '/animals/{animal}/observations', ['condition' => 'wobble', 'grade' => 'none', 'on' => '2026-01-01', 'note' => '']],
        [
            'post', '/animals/{animal}/care',
            [
                'kind' => 'weight', 'grams' => '800', 'on' => '2026-01-01', 'outcome' => '', 'prey' => '', 'words' => '',
                'form_token' => '{token}',
            ],
        ],
        ['post', '/round/weight', ['on' => '2026-01-01', 'rows' => ['{animal}' => '900'], 'form_token' => '{token}']],
        [
            'post', '/round/feed',
            ['on' => '2026-01-01', 'prey' => 'small rat', 'rows' => ['{animal}' => 'taken'], 'form_token' => '{token}'],
        ],
        [
            'post', '/clutches',
            [
                'dam_id' => '{dam}', 'sires' => ['{animal}'], 'label' => '', 'sire_name' => '', 'paired_on' => '',
                'laid_on' => '2025-05-01', 'hatched_on' => '', 'eggs_good' => '6', 'eggs_infertile' => '', 'hatched' => '',
                'reason' => '', 'notes' => '', 'form_token' => '{token}', 'sure' => '1',
                'kept_id' => '', 'kept' => '',
            ],
        ],
        [
            'put', '/clutches/{clutch}',
            [
                'dam_id' => '{dam}', 'sires' => ['{animal}'], 'label' => '', 'sire_name' => '', 'paired_on' => '',
                'laid_on' => '2025-05-01', 'hatched_on' => '', 'eggs_good' => '6', 'eggs_infertile' => '', 'hatched' => '',
                'reason' => '', 'notes' => '',
            ],
        ],
        [
            'post', '/clutches/{clutch}/counts',
            ['count' => '2', 'saw' => 'not Clown', 'dead' => '0', 'note' => '', 'form_token' => '{token}'],
        ],
        [
            'post', '/clutches/{clutch}/hatchlings',
            [
                'name' => 'Young', 'sex' => 'unknown', 'sire_id' => '', 'genotype' => 'Pastel', 'certainty' => '100',
                'grams' => '60', 'form_token' => '{token}',
            ],
        ],
        [
            'post', '/prove/decisions',
            ['explanation' => 'unrecorded|a{animal}|clown', 'reason' => 'It was seen.', 'form_token' => '{token}', 'from' => ''],
        ],
        [
            'post', '/prove/traits',
            [
                'name' => 'Odd', 'notes' => '', 'first' => 'Skiff', 'sex' => 'male', 'gene' => '', 'on' => '2026-01-01',
                'form_token' => '{token}',
            ],
        ],
        [
            'post', '/genes/own',
            [
                'kind' => 'gene', 'name' => 'Tideline', 'inheritance' => 'recessive', 'locus' => '', 'effect' => 'pattern',
                'note' => '', 'aliases' => 'Tide', 'two_name' => '', 'two_looks' => '', 'two_viability' => '',
                'two_told_apart' => '', 'compounds' => '', 'nicknames' => '', 'form_token' => '{token}',
            ],
        ],
        [
            'post', '/projects',
            [
                'name' => 'Ours', 'target' => 'Clown + Pastel', 'horizon' => '3', 'wanted' => 'one', 'most_inbreeding' => '',
                'weight' => '1', 'budget' => '', 'tubs' => '', 'offers' => '', 'forbidden' => [], 'begun_on' => '', 'notes' => '',
                'assumptions' => [], 'form_token' => '{token}',
            ],
        ],
        [
            'post', '/clutches/{clutch}/events',
            [
                'kind' => 'pipped', 'egg' => '{egg}', 'on' => '2025-07-01', 'count' => '', 'infertile' => '', 'who' => '', 'saw' => '',
                'sure' => '', 'note' => '', 'from' => '', 'form_token' => '{token}',
            ],
        ],
        [
            'put', '/eggs/{egg}',
            ['across' => '40', 'down' => '30', 'slug' => '0', 'marked' => '1', 'apart' => '0', 'clump' => '', 'grams' => '88', 'note' => ''],
        ],
        [
            'post', '/incubators',
            [
                'name' => 'Loft', 'place' => '{token}', 'celsius' => '31.5', 'low' => '31', 'high' => '32', 'humid_low' => '',
                'humid_high' => '', 'notes' => '', 'form_token' => '{token}',
            ],
        ],
        ['post', '/incubators/{incubator}/readings', ['temperature' => '31.5', 'humidity' => '88', 'at' => '', 'form_token' => '{token}']],
        ['post', '/incubators/{incubator}/clutches', ['clutch' => '{clutch}']],
        [
            'put', '/animals/{animal}/sale',
            [
                'status' => 'for sale', 'on' => '2026-01-01', 'asking' => '200', 'deposit' => '', 'price' => '', 'buyer' => '',
                'sent_on' => '', 'note' => '', 'unsexed' => '',
            ],
        ],
        [
            'post', '/money/bookings',
            [
                'kind' => 'feed', 'on' => '2026-01-01', 'amount' => '12.50', 'animal_id' => '', 'project_id' => '', 'note' => '',
                'form_token' => '{token}',
            ],
        ],
        ['post', '/money/prices', ['target' => 'Clown', 'low' => '300', 'high' => '400', 'note' => '', 'form_token' => '{token}']],
        [
            'post', '/animals/chosen',
            ['do' => 'status', 'chosen' => ['{animal}'], 'status' => 'breeder', 'reason' => '', 'rack_id' => ''],
        ],
        ['post', '/animals/{animal}/tap', ['what' => 'fed', 'on' => '', 'form_token' => '{token}']],
        ['get', '/season/2025', ['target' => 'Clown']],
        ['get', '/young', ['season' => '2025']],
        ['get', '/money', ['year' => '2025']],
        ['get', '/clutches/{clutch}/eggs', ['egg' => '1', 'target' => 'Clown']],
        ['get', '/incubators/{incubator}', ['span' => 'day']],
        ['post', '/racks', ['name' => 'Harbour', 'rows' => '3', 'columns' => '4', 'form_token' => '{token}']],
        [
            'put', '/house',
            [
                'stances' => ['wobble' => 'warn'], 'schools' => [], 'lines' => [], 'error_masked' => '100', 'error_mixed' => '0',
                'slash' => 'either', 'currency' => 'EUR', 'number_pattern' => '',
            ],
        ],
        ['post', '/searches', ['name' => 'Mine', 'query' => 'genes=Clown']],
        [
            'put', '/projects/{project}',
            [
                'name' => 'Ours', 'target' => 'Clown + Pastel', 'horizon' => '3', 'wanted' => 'pair', 'most_inbreeding' => '',
                'weight' => '1', 'budget' => '', 'tubs' => '', 'offers' => 'Clown, female, 300', 'forbidden' => [],
                'begun_on' => '', 'notes' => '', 'assumptions' => [],
            ],
        ],
        ['post', '/projects/{project}/forbid', ['pairs' => ['{animal}:{dam}']]],
        ['post', '/projects/{project}/keep', ['step' => 'x', 'count' => '2']],
        ['post', '/projects/{project}/pin', ['animal' => '{animal}']],
        ['put', '/animals/{animal}/place', ['to' => '{rack}:1:1']],
        [
            'post', '/prove/traits/{trait}/entries',
            [
                'name' => 'Tender', 'sex' => 'female', 'look' => 'odd', 'sire_id' => '', 'dam_id' => '', 'count' => '1',
                'on' => '2026-01-01', 'form_token' => '{token}',
            ],
        ],
        [
            'post', '/people',
            ['name' => 'Helper', 'email' => '{token}@tests.localhost', 'password' => 'a long enough one', 'role' => 'helper'],
        ],
        ['post', '/account/tokens', ['token_name' => 'Scale']],
        ['post', '/api/v1/weights', ['weights' => [['number' => '7', 'grams' => 900, 'on' => '2026-01-01', 'token' => '{token}']]]],
        [
            'post', '/api/v1/readings',
            ['place' => 'Harbour', 'kind' => 'temperature', 'value' => '31.5', 'at' => '2026-01-01T10:00:00Z', 'token' => '{token}'],
        ],
        ['get', '/api/v1/readings', ['place' => 'Harbour', 'since' => '2026-01-01', 'limit' => '10']],
        ['get', '/api/v1/animals', ['genes' => 'carries Clown', 'page' => '1']],
        [
            'get', '/pair',
            [
                'sire' => 'Pastel', 'dam' => 'Clown', 'sire_id' => '', 'dam_id' => '', 'target' => 'Clown', 'eggs' => '6',
                'by' => 'look', 'school' => [], 'hatched' => '', 'sexed' => '', 'alike' => '', 'n' => '',
            ],
        ],
        ['get', '/pair/sheet', ['sire' => 'Pastel', 'dam' => 'Clown', 'target' => 'Clown', 'eggs' => '6']],
        ['get', '/pair/outcomes.csv', ['sire' => 'Pastel', 'dam' => 'Clown', 'target' => 'Clown', 'eggs' => '6', 'by' => 'look']],
        ['post', '/today/taps', ['what' => 'fed', 'on' => '', 'chosen' => ['{animal}'], 'form_token' => '{token}']],
        ['get', '/luck', ['chance' => '1/4', 'eggs' => '12', 'hits' => '3', 'of' => '', 'target' => '']],
        [
            'get', '/animals',
            [
                'genes' => 'carries Clown', 'find' => '', 'status' => '', 'rack' => '', 'view' => '', 'sort' => '',
                'colour' => '', 'page' => '1',
            ],
        ],
        ['get', '/genes', ['find' => 'car', 'kind' => '', 'page' => '1']],
        ['get', '/read', ['text' => 'Pastel', 'as' => 'male']],
        ['get', '/prove', ['of' => '', 'page' => '1']],
        ['get', '/clutches', ['season' => '', 'page' => '1']],
    ];

    /** After these the page that comes back is looked at as well. */
    private const TYPED = ['a list with names', 'a mark'];

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function forms(): iterable
    {
        foreach (self::FORMS as [$method, $address, $fields]) {
            if (key(array_filter(self::PARTS, fn (string $one): bool => preg_match($one, $address) === 1)) === static::class) {
                yield "{$method} {$address}" => [$method, $address, $fields];
            }
        }
    }

    /** @return array<string, mixed> */
    private static function nasty(): array
    {
        return [
            'a list' => ['x', 'y'], 'a list in a list' => [['x' => ['y']]],
            'a list with names' => ['first' => '1:2', '7' => ['grams' => '8']],
            'much text' => str_repeat('Pastel het Clown ', 2000), 'a large number' => '99999999999999999999',
            'below nothing' => '-1', 'half' => '0.5',
            'nobody' => '424242', 'no such day' => '2026-02-31', 'long ago' => '0000-00-00', 'other letters' => "Ⅻ \u{202E}⚥ ½ Ω",
            'not text' => "\xC3\x28", 'a null byte' => "Clown\0", 'a mark' => "'\"><b>%_\\Ⅻ \u{202E}⚥ ½ Ω", 'truth' => true, 'blank' => " \n\t ",
            'grammar' => ') or (( 66% / het', 'an infinity' => '1e999', 'an address' => 'genes[]=x&find[y]=z&page=-3',
            'a path' => '../../etc',
        ];
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('forms')]
    public function test_what_no_field_was_made_for_is_refused_or_kept(string $method, string $address, array $fields): void
    {
        Queue::fake();
        [$sire, $dam] = [
            $this->made(['name' => 'Skiff', 'sex' => 'male', 'number' => '7', 'genotype' => 'Pastel het Clown']),
            $this->made(['name' => 'Tender', 'genotype' => 'het Clown']),
        ];
        $clutch = $this->keeper()->clutches()->create([
            'dam_id' => $dam->id, 'laid_on' => '2025-05-05', 'hatched_on' => '2025-07-01', 'hatched' => 5,
        ]);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        [$project, $rack, $trait] = [
            (string) $this->keeper()->projects()->create(['name' => 'Mine', 'target' => 'Clown'])->id,
            (string) $this->keeper()->racks()->create(['name' => 'A', 'rows' => 2, 'columns' => 2])->id,
            (string) $this->keeper()->oddTraits()->create(['name' => 'Odd'])->id,
        ];
        $egg = (string) $clutch->eggs()->create(['number' => 1])->id;
        $incubator = (string) $this->keeper()->incubators()
            ->create(['name' => 'Box', 'place' => 'box', 'celsius' => 31.5, 'low' => 31, 'high' => 32])->id;
        $isProgram = str_starts_with($address, '/api');
        $isProgram ? Sanctum::actingAs($this->keeper(), ['read', 'log']) : $this->actingAs($this->keeper());
        $faults = [];
        foreach (['', ...array_keys($fields)] as $field) {
            foreach ($field === '' ? ['as it is meant' => null] : self::nasty() as $what => $value) {
                $real = [
                    '{animal}' => (string) $sire->id, '{dam}' => (string) $dam->id, '{clutch}' => (string) $clutch->id,
                    '{project}' => $project, '{rack}' => $rack, '{trait}' => $trait, '{egg}' => $egg, '{incubator}' => $incubator, '{token}' => (string) Str::uuid(),
                ];
                $sent = json_decode(strtr((string) json_encode($fields), $real), true);
                if ($field !== '') {
                    $sent[$field] = $value;
                }
                session()->forget('errors');
                $response = $method === 'get'
                    ? $this->get(strtr($address, $real).'?'.http_build_query($sent))
                    : $this->{$isProgram ? 'postJson' : $method}(strtr($address, $real), $sent);
                if (
                    $response->getStatusCode() >= 500
                    || ($field === '' && ($response->getStatusCode() >= 400 || session('errors') !== null))
                ) {
                    $faults[] = "{$field}: {$what}: {$response->getStatusCode()} ".($response->exception?->getMessage() ?? '')
                        .json_encode(session('errors')?->getBags());
                }
                // the form comes back with what was typed
                if (! $isProgram && in_array($what, self::TYPED, true) && $response->isRedirect()) {
                    $back = $this->get((string) $response->headers->get('Location'));
                    $back->getStatusCode() >= 500
                    && $faults[] = "{$field}: {$what}: after it {$back->getStatusCode()} ".($back->exception?->getMessage() ?? '');
                }
            }
        }
        $this->assertSame([], $faults);
        $this->app['auth']->forgetGuards();
        $this->actingAs($this->keeper(), 'web');
        $after = ['/animals', "/animals/{$sire->id}", "/clutches/{$clutch->id}", '/prove'];
        foreach (['/clutches', '/genes', '/projects', '/racks', '/pair', '/house'] as $list) { // and the list that the form belongs to
            str_starts_with($address, $list) && $after[] = $list;
        }
        foreach ($after as $page) {
            $this->assertLessThan(500, $this->get($page)->getStatusCode(), "{$page} after it");
        }
    }
}
