<?php

namespace Tests\Feature;

use App\Care\Standings;
use App\Http\Middleware\AnswerOutbox;
use App\Models\Animal;
use App\Models\CareEntry;
use App\People\OutboxOwner;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Rounds through the racks: each tap by itself, or the whole form at once. */
class RoundTest extends TestCase
{
    use RefreshDatabase;

    private string $token;

    protected function setUp(): void
    {
        parent::setUp();
        $this->token = (string) Str::uuid();
    }

    /** @param array<int, string|null> $rows */
    private function tap(string $kind, array $rows, string $prey = ''): TestResponse
    {
        return $this->postJson(
            "/round/{$kind}", ['form_token' => $this->token, 'on' => Carbon::today()->format('Y-m-d'), 'prey' => $prey, 'rows' => $rows],
            [AnswerOutbox::HEADER => OutboxOwner::of($this->keeper())],
        );
    }

    public function test_a_tap_is_kept_changed_and_taken_back(): void
    {
        $animal = $this->made(['name' => 'Skiff']);
        $outcomes = fn (): array => $animal->care()->get()->map(fn (CareEntry $one): string => $one->outcome->value)->all();
        $this->tap('feed', [$animal->id => 'taken'])->assertOk()->assertJson(['kept' => [$animal->id]]);
        $this->tap('feed', [$animal->id => 'taken']);
        $this->assertSame(['taken'], $outcomes());
        $this->tap('feed', [$animal->id => 'refused']);
        $this->assertSame(['refused'], $outcomes());
        $this->tap('feed', [$animal->id => '']);
        $this->assertSame([], $outcomes());
        $this->tap('feed', [$animal->id => 'taken']);
        $this->assertSame(['taken'], $outcomes());
        $this->tap('feed', [$animal->id => 'eaten'])->assertStatus(422)->assertJsonValidationErrors("rows.{$animal->id}");
    }

    public function test_a_form_sent_again_with_other_values_changes_them_and_leaves_empty_rows_alone(): void
    {
        [$one, $two] = [$this->made(['name' => 'One']), $this->made(['name' => 'Two'])];
        $form = fn (array $rows): TestResponse => $this->post(
            '/round/weight', ['form_token' => $this->token, 'on' => Carbon::today()->format('Y-m-d'), 'rows' => $rows],
        );
        $form([$one->id => '900', $two->id => '800'])->assertSessionHas('said', '2 weights logged.');
        $form([$one->id => '910', $two->id => '']);
        $this->assertSame([910, 800], CareEntry::query()->orderBy('animal_id')->pluck('grams')->all());
    }

    public function test_the_prey_of_the_last_time_is_offered_again(): void
    {
        [$one, $two] = [$this->made(['name' => 'One']), $this->made(['name' => 'Two'])];
        $one->care()->create(['kind' => 'feed', 'on' => '2026-01-01', 'outcome' => 'taken', 'prey' => 'weaned rat']);
        $this->tap('feed', [$one->id => 'taken', $two->id => 'taken']);
        $today = fn (Animal $animal): ?string => $animal->care()->where('form_token', $this->token)->sole()->prey;
        $this->assertSame(['weaned rat', null], [$today($one), $today($two)]);
        $this->tap('feed', [$one->id => 'taken'], 'mouse');
        $this->assertSame('mouse', $today($one));
    }

    public function test_a_weight_far_from_the_one_before_is_kept_and_asked_about(): void
    {
        $animal = $this->made(['name' => 'Skiff']);
        $animal->care()->create(['kind' => 'weight', 'on' => Carbon::today()->subDays(20)->format('Y-m-d'), 'grams' => 1000]);
        $this->tap('weight', [$animal->id => '1240'])->assertJsonMissingPath("asks.{$animal->id}");
        $this->tap('weight', [$animal->id => '740'])->assertJsonPath(
            "asks.{$animal->id}", '740 g after 1,000 g on '.Carbon::today()->subDays(20)->format('j M Y').': is that right?',
        );
        $this->assertSame(740, $animal->care()->where('form_token', $this->token)->sole()->grams);
        $this->post(
            '/round/weight',
            ['form_token' => (string) Str::uuid(), 'on' => Carbon::today()->format('Y-m-d'), 'rows' => [$animal->id => '1200']],
        )
            ->assertSessionHas('said', '1 weight logged. Far from the weight before: Skiff. Is that right?');
    }

    public function test_twelve_hundred_animals_are_all_kept(): void
    {
        $rows = [];
        foreach (range(1, 1200) as $i) {
            $rows[] = [
                'user_id' => $this->keeper()->id, 'name' => "Animal {$i}", 'sex' => 'female', 'created_at' => now(), 'updated_at' => now(),
            ];
        }
        foreach (array_chunk($rows, 200) as $some) {
            Animal::query()->insert($some);
        }
        $this->tap('feed', array_fill_keys(Animal::query()->pluck('id')->all(), 'taken'))->assertOk();
        $this->assertSame(1200, CareEntry::query()->where('outcome', 'taken')->count());
    }

    public function test_what_makes_an_animal_worth_a_look(): void
    {
        $ago = fn (int $days): string => Carbon::today()->subDays($days)->format('Y-m-d');
        $animal = $this->made(['name' => 'Skiff']);
        $animal->care()->createMany([
            ['kind' => 'feed', 'on' => $ago(40), 'outcome' => 'taken', 'prey' => 'small rat'],
            ['kind' => 'feed', 'on' => $ago(20), 'outcome' => 'refused'],
            ['kind' => 'feed', 'on' => $ago(12), 'outcome' => 'regurgitated'], ['kind' => 'weight', 'on' => $ago(100), 'grams' => 1500],
            ['kind' => 'weight', 'on' => $ago(70), 'grams' => 1380],
        ]);
        $standing = (new Standings($this->keeper(), Carbon::today()))->of($animal->id);
        $this->assertSame([40, 2, 'small rat', -120, 120, 70], [
            $standing->daysWithoutFood(), $standing->refusals(), $standing->prey(), $standing->gain(), $standing->loss(),
            $standing->daysUnweighed(),
        ]);
        $this->get('/today')->assertSeeInOrder(
            [
                'Refusing or losing weight', 'did not take 2 meals in a row; 120 g below', 'Weighing overdue', '70 days',
                'Not eaten for long', '40 days',
            ],
        );
        $this->get('/round/feed')->assertSee('regurgitated, 2 times in a row, small rat');
        $this->get('/round/weight')->assertSee('lost 120 g');
        $animal->care()->create(['kind' => 'feed', 'on' => $ago(1), 'outcome' => 'taken']);
        $fed = (new Standings($this->keeper(), Carbon::today()))->of($animal->id);
        $this->assertSame([1, 0], [$fed->daysWithoutFood(), $fed->refusals()]);
    }

    public function test_hatchlings_stand_on_today_until_they_have_shed_and_eaten_three_times(): void
    {
        $dam = $this->made(['name' => 'Dam']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id]);
        $young = $this->made(
            ['name' => 'Jib', 'sex' => 'male', 'clutch_id' => $clutch->id, 'hatched_on' => Carbon::today()->subDays(9)->format('Y-m-d')],
        );
        $this->made(['name' => 'Grown', 'sex' => 'male', 'clutch_id' => $clutch->id, 'hatched_on' => '2020-01-01']);
        $this->get('/today')->assertSeeInOrder(
            ['Hatchlings', 'Jib', 'first shed due day 7 to 14, now day 9; meals in a row: 0 of 3'],
        )->assertDontSee('Grown');
        $tap = fn (string $what): TestResponse => $this->post(
            "/animals/{$young->id}/tap", ['what' => $what, 'form_token' => (string) Str::uuid()],
        );
        foreach (['shed', 'fed', 'refused', 'fed', 'fed'] as $what) {
            $tap($what);
        }
        $this->get('/today')->assertSee('meals in a row: 2 of 3')->assertDontSee('first shed day');
        $tap('fed');
        $this->get('/today')->assertDontSee('Hatchlings');
    }

    public function test_one_of_which_nothing_is_logged_does_not_drop_off(): void
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->made(['name' => 'Tender'])->id]);
        $hatched = fn (int $days): string => Carbon::today()->subDays($days)->format('Y-m-d');
        $young = $this->made(['name' => 'Jib', 'clutch_id' => $clutch->id, 'hatched_on' => $hatched(200)]);
        $this->made(['name' => 'Kedge', 'clutch_id' => $clutch->id, 'hatched_on' => $hatched(366)]);
        $this->get('/today')->assertSeeInOrder(['Hatchlings', 'Jib', 'first shed overdue (day 200'])->assertDontSee('Kedge');
        $this->post("/animals/{$young->id}/tap", ['what' => 'shed', 'form_token' => (string) Str::uuid()]);
        $this->get('/today')->assertDontSee('first shed overdue');
    }

    public function test_the_outbox_is_told_where_to_go_and_a_tap_with_a_token_is_made_once(): void
    {
        $animal = $this->made(['name' => 'Skiff']);
        $tap = ['what' => 'fed', 'on' => Carbon::yesterday()->format('Y-m-d'), 'form_token' => $this->token];
        $this->postJson("/animals/{$animal->id}/tap", $tap, [AnswerOutbox::HEADER => OutboxOwner::of($this->keeper())])->assertOk()->assertJson(
            ['to' => route('today'), 'said' => 'Skiff: fed, taken.'],
        );
        $this->postJson("/animals/{$animal->id}/tap", $tap, [AnswerOutbox::HEADER => OutboxOwner::of($this->keeper())])->assertOk();
        $this->assertSame(Carbon::yesterday()->format('Y-m-d'), $animal->care()->sole()->on->format('Y-m-d'));
        $this->get('/today')->assertSee('Skiff: fed, taken.');
        $this->postJson("/animals/{$animal->id}/tap", ['what' => 'sung'], [AnswerOutbox::HEADER => OutboxOwner::of($this->keeper())])->assertStatus(422);
    }
}
