<?php

namespace Tests\Feature;

use App\House\House;
use App\Incubation\Chart;
use App\Incubation\IncubatorCard;
use App\Incubation\Log;
use App\Incubation\Warmths;
use App\Models\Clutch;
use App\Models\HouseRules;
use App\Models\Incubator;
use App\Models\Reading;
use App\Scale\BoxProbe;
use App\Season\Due;
use App\Season\Records;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class IncubatorsTest extends TestCase
{
    use RefreshDatabase;

    private const RIGHT = [
        'name' => 'Loft', 'place' => 'loft-probe', 'celsius' => '31.5', 'low' => '31', 'high' => '32', 'humid_low' => '75',
        'humid_high' => '97',
    ];

    protected function tearDown(): void
    {
        date_default_timezone_set('UTC');
        parent::tearDown();
    }

    /** The house in another zone than that of the tests. */
    private function inZone(string $zone): void
    {
        config(['destino.zone' => $zone]);
        date_default_timezone_set($zone);
    }

    private function incubator(): Incubator
    {
        return $this->keeper()->incubators()->create(self::RIGHT);
    }

    /** @param list<string> $faults */
    private function filled(Incubator $incubator, float $celsius, int $days, int $minutes, array $faults = []): void
    {
        foreach ((new BoxProbe($incubator->place, $celsius, $faults, 3))->readings(time(), $days, $minutes) as $one) {
            $this->keeper()->readings()->create(['at' => Carbon::parse($one['at'])] + $one);
        }
    }

    private function eggs(Incubator $incubator, int $daysAgo): Clutch
    {
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Normal', 'hatched_on' => '2020-07-01']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'incubator_id' => $incubator->id]);
        $clutch->events()->create(['kind' => 'laid', 'on' => Carbon::today()->subDays($daysAgo)->format('Y-m-d'), 'count' => 6]);

        return $clutch->fresh(['incubator', 'dam', 'events', 'sires']);
    }

    public function test_an_incubator_is_noted_in_the_unit_of_the_house(): void
    {
        $this->get('/incubators')->assertOk()->assertSee('No incubators yet.');
        HouseRules::query()->forceCreate(['user_id' => $this->keeper()->id, 'choices' => ['temperature' => 'F'], 'version' => 1]);
        $this->post(
            '/incubators',
            ['name' => 'Loft', 'celsius' => '88.7', 'low' => '87.8', 'high' => '89.6 °F', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
        $incubator = Incubator::query()->sole();
        $this->assertSame(['Loft', 31.5, 31.0, 32.0], [$incubator->place, $incubator->celsius, $incubator->low, $incubator->high]);
        $this->get("/incubators/{$incubator->id}")->assertOk()->assertSee('88.7 °F');
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['name' => ''], 'name', 'Give the incubator a name'];
        yield 'temperature 315' => [['celsius' => '315'], 'celsius', 'between 20.0 °C and 40.0 °C'];
        yield 'a word' => [['low' => 'warm'], 'low', 'between 20.0 °C'];
        yield 'limits the wrong way round' => [['low' => '32', 'high' => '31', 'celsius' => '31'], 'high', 'must be more than the least'];
        yield 'set outside what is right' => [['celsius' => '33'], 'celsius', 'outside what is right'];
        yield 'half a limit' => [['humid_high' => ''], 'humid_high', 'both limits'];
        yield 'a place that is taken' => [['place' => 'taken'], 'place', 'The probe of Other sends from there already.'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_told_at_its_place(array $change, string $field, string $says): void
    {
        $this->keeper()->incubators()->create(['name' => 'Other', 'place' => 'taken'] + self::RIGHT);
        $answer = $this->post(
            '/incubators', $change + self::RIGHT + ['form_token' => (string) Str::uuid()],
        )->assertSessionHasErrors($field);
        $this->assertStringContainsString($says, (string) $answer->getSession()->get('errors')->first($field));
        $this->assertSame(1, Incubator::query()->count());
    }

    public function test_a_reading_by_hand_is_kept_once(): void
    {
        $incubator = $this->incubator();
        $typed = ['temperature' => '31,4', 'humidity' => '88', 'form_token' => (string) Str::uuid()];
        $this->post("/incubators/{$incubator->id}/readings", $typed)->assertSessionHasNoErrors();
        $this->post("/incubators/{$incubator->id}/readings", $typed);
        $this->assertEquals(
            [['temperature', 31.4], ['humidity', 88]],
            Reading::query()->get()->map(fn (Reading $one): array => [$one->kind, $one->value])->all(),
        );
        $this->get("/incubators/{$incubator->id}")->assertSee('31.4 °C, 88 % humidity');
        foreach ([['temperature' => '315'], [], ['temperature' => '31', 'at' => now()->addDay()->format('Y-m-d\TH:i')]] as $wrong) {
            $this->post(
                "/incubators/{$incubator->id}/readings", $wrong + ['form_token' => (string) Str::uuid()],
            )->assertSessionHasErrors(null, null, 'reading');
        }
        $this->assertSame(2, Reading::query()->count());
    }

    public function test_a_reading_by_hand_counts_as_one(): void
    {
        $incubator = $this->incubator();
        $read = fn (array $typed): \Illuminate\Testing\TestResponse => $this->post(
            "/incubators/{$incubator->id}/readings", $typed + ['form_token' => (string) Str::uuid()],
        );
        $read(['temperature' => '315'])->assertSessionHasErrors(['temperature' => '315.0 °C is too hot for eggs. Did you mean 31.5 °C? Give a temperature between -20.0 °C and 60.0 °C.'], null, 'reading');
        $read(['temperature' => '31.5', 'at' => now()->subDays(5)->format('Y-m-d\TH:i')]);
        $alarms = fn (): string => implode(' ', (new IncubatorCard($incubator, new House([]), Carbon::now()))->alarms);
        $this->assertStringContainsString('no readings since', $alarms());
        $this->assertStringNotContainsString('clock', $alarms(), 'what was read off five days ago was not sent late');
        $read(['temperature' => '31.5']);
        $this->assertSame('', $alarms());
        Carbon::setTestNow(now()->addHour());
        $read(['temperature' => '32.6']);
        $this->assertStringContainsString('32.6 °C, outside its range', $alarms(), 'nothing else was heard: it is told at once');
        Carbon::setTestNow();
    }

    public function test_a_file_of_readings_comes_in_once_and_says_what_it_left(): void
    {
        $incubator = $this->incubator();
        $csv = "Time;Temp;RH\n2026-03-01 10:00;31,5;85\n2026-03-01T11:00:00+01:00;31.6;\nsoon;31;80\n1772366400;\"31.7\";86\n2026-03-01 13:00;warm;87\n2099-01-01;31;80\n";
        $send = fn (string $text): \Illuminate\Testing\TestResponse => $this->post(
            "/incubators/{$incubator->id}/file", ['file' => UploadedFile::fake()->createWithContent('log.csv', $text)],
        );
        $send($csv)->assertSessionHasNoErrors()->assertSessionHas(
            'said',
            '6 readings taken in; 3 not taken: line 4: “soon” is no time; line 6: “warm” is no temperature; line 7: “2099-01-01” is in the future.',
        );
        $this->assertSame('2026-03-01 10:00:00', Reading::query()->where('value', 31.6)->sole()->at->format('Y-m-d H:i:s'));
        $send($csv)->assertSessionHas(
            'said', fn (string $said): bool => str_starts_with($said, '0 readings taken in, 6 were there already; 3 not taken'),
        );
        $send("\xff\xfe\x00")->assertSessionHasErrors('file', null, 'file');
        $send('')->assertSessionHasErrors('file', null, 'file');
        $send("place,value\nx,3")->assertSessionHasErrors(
            [
                'file' => 'The first line must name a column of times (such as “at”) and one of “temperature” or “humidity”; it reads “place, value”.',
            ],
            null, 'file',
        );
        $this->assertSame(6, Reading::query()->count());
    }

    public function test_hours_are_those_of_the_clock_on_the_wall_across_its_changes(): void
    {
        $this->inZone('Europe/Vienna');
        $incubator = $this->incubator();
        $csv = "at,temperature\n2026-03-29 01:30,31\n2026-03-29 03:30,32\n2026-10-25T02:30:00+02:00,33\n2026-10-25T02:30:00+01:00,34\n";
        $this->post(
            "/incubators/{$incubator->id}/file", ['file' => UploadedFile::fake()->createWithContent('log.csv', $csv)],
        )->assertSessionHasNoErrors();
        $this->assertSame(
            ['2026-03-29 00:30', '2026-03-29 01:30', '2026-10-25 00:30', '2026-10-25 01:30'],
            Reading::query()->orderBy('at')->get()->map(fn (Reading $one): string => $one->at->format('Y-m-d H:i'))->all(),
        );
        $this->travelTo(Carbon::parse('2026-07-01 10:00:00', 'UTC'));
        $this->post(
            "/incubators/{$incubator->id}/readings",
            ['temperature' => '31', 'at' => '2026-07-01T11:58', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasNoErrors();
        $this->assertSame(
            '2026-07-01 09:58',
            Reading::query()->where('at', '>', '2026-06-01')->where('at', '<', '2026-08-01')->sole()->at->format('Y-m-d H:i'),
        );
        $this->post(
            "/incubators/{$incubator->id}/readings",
            ['temperature' => '31', 'at' => '2026-07-01T12:30', 'form_token' => (string) Str::uuid()],
        )->assertSessionHasErrors('at', null, 'reading');
    }

    public function test_today_is_today_where_the_snakes_are(): void
    {
        $incubator = $this->incubator();
        foreach (['Pacific/Auckland' => ['2026-07-02', '2026-07-01 20:30'], 'America/Los_Angeles' => ['2026-07-01', '2026-07-01 20:30']] as $zone => [$today, $utc]) {
            $this->inZone($zone);
            $this->travelTo(Carbon::parse('2026-07-01 20:30', 'UTC'));
            $animal = $this->made(['name' => $zone, 'genotype' => 'Normal']);
            $this->post(
                "/animals/{$animal->id}/tap", ['what' => 'fed', 'on' => $today, 'form_token' => (string) Str::uuid()],
            )->assertSessionHasNoErrors();
            $this->assertSame($today, $animal->care()->sole()->on->format('Y-m-d'));
            $tomorrow = Carbon::parse($today)->addDay()->format('Y-m-d');
            $this->post(
                "/animals/{$animal->id}/tap", ['what' => 'fed', 'on' => $tomorrow, 'form_token' => (string) Str::uuid()],
            )->assertSessionHasErrors('on');
            Reading::query()->delete();
            $this->post(
                "/incubators/{$incubator->id}/readings", ['temperature' => '31.5', 'form_token' => (string) Str::uuid()],
            )->assertSessionHasNoErrors();
            $this->assertSame($utc, substr((string) \Illuminate\Support\Facades\DB::table('readings')->value('at'), 0, 16));
            $this->assertSame([], (new Log($incubator))->recent('humidity', Carbon::now()));
            [[$at, , $arrived]] = (new Log($incubator))->recent('temperature', Carbon::now());
            $this->assertSame([Carbon::now()->getTimestamp(), Carbon::now()->getTimestamp()], [$at, $arrived]);
            $this->get("/incubators/{$incubator->id}?span=day")->assertOk()->assertSee('from 1 reading');
        }
    }

    public function test_fahrenheit_is_read_where_the_heading_says_so(): void
    {
        $incubator = $this->incubator();
        $this->post(
            "/incubators/{$incubator->id}/file",
            ['file' => UploadedFile::fake()->createWithContent('log.csv', "at,Fahrenheit\n2026-03-01 10:00,88.7\n")],
        )->assertSessionHasNoErrors();
        $this->assertSame(31.5, Reading::query()->sole()->value);
    }

    public function test_a_failing_heater_stands_under_today_while_eggs_lie_in_it(): void
    {
        $incubator = $this->incubator();
        $this->filled($incubator, 31.5, 1, 10, ['heater']);
        $this->get('/today')->assertDontSee('Incubator alarms');
        $this->eggs($incubator, 20);
        $this->get('/today')->assertSeeInOrder(['Incubator alarms', 'Loft', 'outside its range since']);
        $this->get('/incubators')->assertSee('look');
        $this->get("/incubators/{$incubator->id}?span=day")->assertOk()->assertSee('Range: 31.0 °C to 32.0 °C.');
    }

    public function test_the_window_follows_the_warmth_that_was_measured(): void
    {
        $incubator = $this->incubator();
        $clutch = $this->eggs($incubator, 40);
        $today = Carbon::today();
        $due = fn (): Due => Due::of($clutch, new Records([]), $today) ?? $this->fail('eggs are due');
        $usual = $due();
        $this->assertStringContainsString('No readings from its incubator', $usual->rests);
        $this->filled($incubator, 30.5, 41, 120);
        $cool = $due();
        $warmth = Warmths::of($clutch, $today);
        $this->assertEqualsWithDelta(40 * 10.5 / 11.5, $warmth?->grown, .2);
        $this->assertEqualsWithDelta(
            40 - $warmth->grown + (57.5 - $warmth->grown) / (10.5 / 11.5) - (57.5 - $warmth->grown), $usual->from?->diffInDays($cool->from),
            1.6,
        );
        $this->assertGreaterThan(4, $usual->to?->diffInDays($cool->to));
        $this->assertStringContainsString('Warmth so far equals 36.', $cool->rests);
    }

    public function test_a_chart_breaks_where_nothing_was_heard_and_counts_every_reading(): void
    {
        $incubator = $this->incubator();
        $this->filled($incubator, 31.5, 2, 10, ['dropouts']);
        $chart = new Chart($incubator, 'temperature', 'week', Carbon::now()->addMinute(), new House);
        $this->assertCount(1, $chart->gaps());
        $this->assertSame(Reading::query()->where('kind', 'temperature')->count(), array_sum(array_column($chart->buckets, 'count')));
        $values = Reading::query()->where('kind', 'temperature')->pluck('value');
        $this->assertSame(
            [$values->min(), $values->max()], [min(array_column($chart->buckets, 'least')), max(array_column($chart->buckets, 'most'))],
        );
        $this->assertSame(2, substr_count($chart->line(), 'M'));
        $this->assertSame(
            [],
            (
                new Log($this->keeper()->incubators()->create(['name' => 'New', 'place' => 'new'] + self::RIGHT))
            )->buckets('temperature', Carbon::now()->subDay(), Carbon::now(), 60),
        );
    }

    public function test_many_readings_in_one_message_are_answered_one_by_one(): void
    {
        $token = $this->keeper()->createToken('probe', ['log'])->plainTextToken;
        $right = [
            'place' => 'loft-probe', 'kind' => 'temperature', 'value' => 31.5, 'at' => '2026-03-01T10:00:00+01:00',
            'token' => (string) Str::uuid(),
        ];
        $send = fn (array $readings): \Illuminate\Testing\TestResponse => $this->withToken($token)->postJson(
            '/api/v1/readings', ['readings' => $readings],
        );
        $send([$right, $right, ['value' => 315, 'token' => (string) Str::uuid()] + $right, 'x'])->assertStatus(201)
            ->assertJsonPath('results.0.result', 'kept')->assertJsonPath('results.1.result', 'kept already')
                ->assertJsonPath('results.2.result', 'refused')
            ->assertJsonPath('results.3.errors.place.0', 'The place field is required.');
        $this->assertSame('2026-03-01 09:00:00', Reading::query()->sole()->at->format('Y-m-d H:i:s'));
        $send(array_fill(0, 1001, $right))->assertStatus(422);
        $send([])->assertStatus(422);
        $this->withToken($token)->postJson('/api/v1/readings', ['value' => 999] + $right)->assertStatus(422)
            ->assertJsonValidationErrors('value');
    }

    public function test_eggs_are_put_in_and_only_those_of_the_collection(): void
    {
        $incubator = $this->incubator();
        $clutch = $this->eggs($this->keeper()->incubators()->create(['name' => 'Old', 'place' => 'old'] + self::RIGHT), 5);
        $this->get("/incubators/{$incubator->id}")->assertSee('Add to this incubator');
        $this->post("/incubators/{$incubator->id}/clutches", ['clutch' => $clutch->id])->assertSessionHasNoErrors();
        $this->assertSame($incubator->id, $clutch->fresh()->incubator_id);
        $this->post("/incubators/{$incubator->id}/clutches", ['clutch' => 99])->assertSessionHasErrors('clutch');
        $this->get("/clutches/{$clutch->id}")->assertSee('Loft');
        $this->delete("/records/incubator/{$incubator->id}")->assertRedirect(route('incubators.index'));
        $this->get("/clutches/{$clutch->id}")->assertOk();
        $this->get('/today')->assertOk();
    }
}
