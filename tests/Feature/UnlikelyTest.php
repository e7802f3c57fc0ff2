<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\Clutch;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What hardly ever is: asked about once, never refused, never taken in silence. */
class UnlikelyTest extends TestCase
{
    use RefreshDatabase;

    private Animal $dam;

    private Animal $sire;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-09-01 12:00');
        $this->dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown', 'hatched_on' => '2021-07-01']);
        $this->sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel', 'hatched_on' => '2021-07-01']);
    }

    /** @return iterable<string, array{array<string, string>, string|null}> */
    public static function clutches(): iterable
    {
        yield 'an ordinary one' => [['paired_on' => '2026-01-10', 'laid_on' => '2026-04-20', 'eggs_good' => '7', 'hatched_on' => '2026-06-17', 'hatched' => '6'], null];
        yield 'a dam of seven weeks' => [['laid_on' => '2021-08-20', 'eggs_good' => '4'], 'Tender was 7 weeks old on 20 August 2021'];
        yield 'a dam that had not hatched' => [['hatched_on' => '2021-07-20', 'hatched' => '4'], 'Tender was not hatched yet on 24 May 2021'];
        yield 'a sire of three months, one thing at a time' => [['paired_on' => '2021-10-10', 'laid_on' => '2022-09-01'], 'Skiff was 14 weeks old on 10 October 2021'];
        yield 'forty eggs' => [['laid_on' => '2026-04-20', 'eggs_good' => '39', 'eggs_infertile' => '1'], '40 eggs are more than nearly any ball python lays'];
        yield 'hatched after four days' => [['laid_on' => '2026-04-20', 'hatched_on' => '2026-04-24'], '4 days lie from laying to hatching'];
        yield 'carried for two years' => [['paired_on' => '2024-04-20', 'laid_on' => '2026-04-24'], '734 days lie from the pairing to the eggs'];
    }

    /** @param array<string, string> $values */
    #[DataProvider('clutches')]
    public function test_a_clutch_is_asked_about_once_and_then_recorded(array $values, ?string $question): void
    {
        $form = ['dam_id' => $this->dam->id, 'sires' => [$this->sire->id], 'form_token' => (string) Str::uuid()] + $values;
        $answer = $this->followingRedirects()->from('/clutches/create')->post('/clutches', $form)->assertOk();
        if ($question === null) {
            $this->assertSame(1, Clutch::query()->count());

            return;
        }
        $answer->assertSee('Is that right?')->assertSee($question);
        foreach ($values as $value) {
            $answer->assertSee('value="'.$value.'"', false); // nothing typed is lost
        }
        $this->assertSame(0, Clutch::query()->count());
        $this->post('/clutches', $form + ['sure' => '1'])->assertSessionHasNoErrors();
        $this->assertSame(1, Clutch::query()->count());
    }

    public function test_the_same_clutch_twice_is_asked_about_and_a_double_click_is_not(): void
    {
        $form = ['dam_id' => $this->dam->id, 'sires' => [$this->sire->id], 'laid_on' => '2026-04-20', 'eggs_good' => '6'];
        $token = (string) Str::uuid();
        $this->post('/clutches', $form + ['form_token' => $token])->assertSessionHasNoErrors();
        $this->post('/clutches', $form + ['form_token' => $token])->assertSessionHasNoErrors();
        $this->assertSame(1, Clutch::query()->count());

        $this->post('/clutches', ['laid_on' => '2026-05-02', 'form_token' => (string) Str::uuid()] + $form)
            ->assertSessionHasErrors(['sure' => 'A clutch of Tender is recorded already, laid about 20 April 2026. Is this another one?']);
        $this->post('/clutches', ['laid_on' => '2025-05-02', 'form_token' => (string) Str::uuid()] + $form)->assertSessionHasNoErrors();
        $clutch = Clutch::query()->firstOrFail();
        $this->put("/clutches/{$clutch->id}", ['version' => $clutch->version, 'eggs_good' => '5'] + $form)->assertSessionHasNoErrors();
        $this->assertSame(5, $clutch->refresh()->eggs_good);
    }

    public function test_a_parent_hardly_of_an_age_is_asked_about(): void
    {
        $form = ['name' => 'Dory', 'sex' => 'female', 'genotype' => 'Clown', 'dam_id' => $this->dam->id, 'sire_id' => $this->sire->id];
        $this->post('/animals', $form + ['hatched_on' => '2021-11-01', 'form_token' => (string) Str::uuid()])
            ->assertSessionHasErrors(['sure' => 'Tender was 9 weeks old on 5 September 2021, by the records. Is it the right animal, and are the days right?']);
        $this->post('/animals', $form + ['hatched_on' => '2021-11-01', 'sure' => '1', 'form_token' => (string) Str::uuid()])
            ->assertSessionHasNoErrors();
        $this->post('/animals', ['name' => 'Gig'] + $form + ['hatched_on' => '2022', 'form_token' => (string) Str::uuid()])
            ->assertSessionHasNoErrors();
    }

    public function test_a_tap_with_forty_eggs_is_kept_and_asked_about(): void
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $this->dam->id, 'paired_on' => '2026-01-10']);
        $this->post("/clutches/{$clutch->id}/events", ['kind' => 'laid', 'on' => '2026-04-20', 'count' => '40'])
            ->assertSessionHas('said', fn (string $said): bool => str_contains($said, '40 eggs are more than nearly any'));
        $this->assertSame(40, $clutch->refresh()->eggs_good);
    }
}
