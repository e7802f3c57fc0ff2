<?php

namespace Tests\Feature;

use App\Models\CareEntry;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The interface for programs: what it answers, and how it refuses. */
class ProgramsTest extends TestCase
{
    use RefreshDatabase;

    protected function startsSignedIn(): bool
    {
        return false;
    }

    public function test_animals_are_listed_as_they_are_believed(): void
    {
        $sire = $this->made([
            'name' => 'Skiff', 'number' => '001', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2022-01-01',
            'hatched_precision' => 'year',
        ]);
        $this->made(['name' => 'Wherry', 'number' => '002', 'sex' => null, 'genotype' => 'Normal', 'sire_id' => $sire->id]);
        $answer = $this->getJson('/api/v1/animals?per_page=1&page=2', $this->token(['read']))
            ->assertOk()
            ->assertJson(['page' => 2, 'pages' => 2, 'total' => 2]);
        $this->assertSame(
            ['002', 'Wherry', null, 'het Clown', 'growing', null],
            array_map(fn (string $key) => $answer->json("data.0.{$key}"), ['number', 'name', 'sex', 'genes', 'status', 'grams']),
        );
        $this->getJson("/api/v1/animals/{$sire->id}", $this->token(['read']))->assertJsonPath('data.hatched', '2022');
    }

    /** @return iterable<string, array{array<string, mixed>, int, string}> */
    public static function messages(): iterable
    {
        $right = ['number' => '001', 'grams' => 900, 'token' => '7f9c2ba4-0000-4000-a000-000000000001'];
        yield 'by number' => [$right, 201, 'kept'];
        yield 'by tub' => [['number' => null, 'tub' => 'Harbour 1·2'] + $right, 201, 'kept'];
        yield 'a tub that nobody is in' => [['number' => null, 'tub' => 'Harbour 2·2'] + $right, 422, 'no such animal or tub'];
        yield 'an unknown number' => [['number' => '999'] + $right, 422, 'no such animal or tub'];
        yield 'too heavy' => [['grams' => 8001] + $right, 422, 'out of range: 1 to 8000 g'];
        yield 'nothing on the scale' => [['grams' => 0] + $right, 422, 'out of range: 1 to 8000 g'];
    }

    /** @param array<string, mixed> $message */
    #[DataProvider('messages')]
    public function test_a_weight_is_answered_by_itself(array $message, int $status, string $result): void
    {
        $rack = $this->keeper()->racks()->create(['name' => 'Harbour', 'rows' => 2, 'columns' => 2]);
        $this->made(['name' => 'Skiff', 'number' => '001', 'rack_id' => $rack->id, 'rack_row' => 1, 'rack_column' => 2]);
        $this->postJson(
            '/api/v1/weights', ['weights' => [array_filter($message, fn ($value): bool => $value !== null)]],
            $this->token(['read', 'log']),
        )->assertStatus($status)->assertJsonPath('results.0.result', $result);
        $this->assertSame($status === 201 ? 1 : 0, CareEntry::query()->count());
    }

    public function test_one_fault_stops_no_round(): void
    {
        $this->made(['number' => '001']);
        $this->made(['number' => '002']);
        $weight = fn (string $number, int $grams): array => ['number' => $number, 'grams' => $grams, 'token' => (string) Str::uuid()];
        $answer = $this->postJson(
            '/api/v1/weights',
            ['weights' => [$weight('001', 900), $weight('nobody', 900), $weight('002', 99999), $weight('002', 1200)]],
            $this->token(['read', 'log']),
        )->assertCreated();
        $this->assertSame(
            ['kept', 'no such animal or tub', 'out of range: 1 to 8000 g', 'kept'],
            array_column($answer->json('results'), 'result'),
        );
        $this->assertSame([900, 1200], CareEntry::query()->orderBy('id')->pluck('grams')->all());
    }

    public function test_what_is_no_message_is_named_by_field(): void
    {
        $this->postJson('/api/v1/weights', ['weights' => [['grams' => 'heavy']]], $this->token(['log']))
            ->assertStatus(422)
            ->assertJsonValidationErrors(['weights.0.grams', 'weights.0.token']);
        $this->postJson('/api/v1/readings', ['place' => '', 'kind' => 'smell', 'value' => 'x', 'at' => 'then'], $this->token(['log']))
            ->assertStatus(422)
            ->assertJsonValidationErrors(['place', 'kind', 'value', 'at', 'token']);
    }

    public function test_a_token_can_be_revoked_and_is_not_a_session(): void
    {
        $this->actingAs($this->keeper())
            ->post('/account/tokens', ['token_name' => 'scale'])
            ->assertRedirect('/account')
            ->assertSessionHas('token');
        $token = (string) session('token');
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/v1/animals', ['Authorization' => "Bearer {$token}"])->assertOk();
        $id = $this->keeper()->tokens()->sole()->id;
        $this->flushSession();
        $this->app['auth']->shouldUse('web');
        $this->actingAs($this->keeper())->delete("/account/tokens/{$id}")->assertRedirect('/account');
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/v1/animals', ['Authorization' => "Bearer {$token}"])->assertUnauthorized();
        $this->getJson('/api/v1/animals', ['Authorization' => 'Bearer made-up'])->assertUnauthorized();
    }

    public function test_the_rules_of_the_house_hold_for_programs(): void
    {
        $this->made(['name' => 'Skiff', 'genotype' => 'Axanthic']);
        $rules = $this->keeper()->houseRules()->make(['choices' => ['lines' => ['Axanthic' => 'Axanthic (line 2)']]]);
        $rules->user_id = $this->keeper()->id;
        $rules->save();
        $this->getJson('/api/v1/animals', $this->token(['read']))->assertJsonPath('data.0.genes', 'Axanthic (line 2)');
    }

    public function test_programs_that_ask_too_fast_are_turned_away(): void
    {
        $header = $this->token(['read']);
        for ($i = 0; $i < 120; $i++) {
            $this->getJson('/api/v1/readings', $header);
        }
        $this->getJson('/api/v1/readings', $header)->assertTooManyRequests();
    }

    /**
     * @param  list<string>  $abilities
     * @return array<string, string>
     */
    private function token(array $abilities, ?User $person = null): array
    {
        return ['Authorization' => 'Bearer '.($person ?? $this->keeper())->createToken('test', $abilities)->plainTextToken];
    }
}
