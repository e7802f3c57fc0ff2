<?php

namespace Tests\Feature;

use App\Models\CareEntry;
use App\Models\Reading;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;
use Laravel\Sanctum\Sanctum;
use Tests\TestCase;

/** Messages of programs are bounded in rows and bytes before they are worked on, and answered row by row. */
class MessageLimitsTest extends TestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        Sanctum::actingAs($this->keeper(), ['read', 'log']);
    }

    public function test_too_many_rows_are_refused_before_any_is_looked_at(): void
    {
        $weight = fn (): array => ['number' => 'A1', 'grams' => 1, 'token' => '0'];
        $looked = 0;
        Validator::extend('uuid', function () use (&$looked): bool {
            $looked++;

            return true;
        });
        $this->postJson('/api/v1/weights', ['weights' => array_map($weight, range(1, 501))])->assertStatus(422)
            ->assertJsonPath('errors.weights.0', 'A message can hold up to 500 weights.');
        $this->postJson('/api/v1/readings', ['readings' => array_fill(0, 1001, ['token' => '0'])])->assertStatus(422)
            ->assertJsonPath('errors.readings.0', 'A message can hold up to 1000 readings.');
        $this->assertSame(0, $looked);
    }

    public function test_too_many_bytes_are_refused_before_they_are_read(): void
    {
        $long = ['weights' => [['number' => str_repeat('a', 1_000_000), 'grams' => 1, 'token' => (string) Str::uuid()]]];
        $this->postJson('/api/v1/weights', $long)->assertStatus(413)->assertJsonPath('message', 'A message can hold up to 1 MB. Nothing was saved. Send it in parts.');
        $this->postJson('/round/weight', ['rows' => [str_repeat('a', 4_000_000)]])->assertStatus(413);
        $this->call('POST', '/api/v1/readings', server: ['CONTENT_LENGTH' => '90000000', 'CONTENT_TYPE' => 'application/json'], content: '{}')->assertStatus(413);
    }

    public function test_each_weight_is_answered_and_one_that_is_wrong_holds_back_no_other(): void
    {
        $animal = $this->made(['name' => 'Jib', 'number' => 'A1']);
        $token = fn (): string => (string) Str::uuid();
        $good = ['number' => 'A1', 'grams' => 900, 'token' => $token()];
        $answer = $this->postJson('/api/v1/weights', ['weights' => [
            $good, ['number' => 'A1', 'grams' => 'heavy', 'token' => $token()], ['number' => ['A1'], 'grams' => 1, 'token' => $token()], 'no row', ['grams' => 5],
            ['number' => 'A1', 'grams' => 5, 'on' => '2999-01-01', 'token' => $token()], ['number' => 'Z9', 'grams' => 5, 'token' => $token()],
        ]])->assertCreated();
        $this->assertSame(
            ['kept', 'refused', 'refused', 'refused', 'refused', 'refused', 'no such animal or tub'], array_column($answer->json('results'), 'result'),
        );
        $this->assertSame(['on'], array_keys($answer->json('results.5.errors')));
        $this->assertSame([900], $animal->care()->pluck('grams')->all());
        $this->postJson('/api/v1/weights', ['weights' => [$good]])->assertJsonPath('results.0.result', 'kept already');
        CareEntry::query()->sole()->delete();
        $this->postJson('/api/v1/weights', ['weights' => [$good]])->assertStatus(422)->assertJsonPath('results.0.result', 'removed since');
        $this->assertSame(0, Reading::query()->count() + CareEntry::query()->count());
    }
}
