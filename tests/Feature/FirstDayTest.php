<?php

namespace Tests\Feature;

use App\Clutch\FirstDay;
use App\Clutch\LikelyLooks;
use App\Collection\Doorway;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\Role;
use App\Models\Enums\SexFound;
use App\Models\User;
use Destino\Genome\Sex;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Arr;
use Illuminate\Support\Str;
use Tests\TestCase;

/** The hatchlings of a clutch in a row: sex, weight, look; and what would make a label surer. */
class FirstDayTest extends TestCase
{
    use RefreshDatabase;

    private Clutch $clutch;

    private Animal $young;

    private function hatch(string $sire, string $dam): void
    {
        $sire = $this->made(['name' => 'Skerry', 'sex' => 'male', 'genotype' => $sire, 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Marram', 'genotype' => $dam, 'hatched_on' => '2020-07-01']);
        $day = now()->subDays(3)->format('Y-m-d');
        $this->clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => $day, 'hatched' => 2]);
        $this->clutch->sires()->create(['animal_id' => $sire->id]);
        $this->young = $this->made([
            'name' => 'One', 'sex' => null, 'clutch_id' => $this->clutch->id, 'dam_id' => $dam->id, 'sire_id' => $sire->id, 'genotype' => null,
            'hatched_on' => $day,
        ]);
    }

    /** @return list<string> */
    private function looks(): array
    {
        return array_column((new LikelyLooks($this->clutch->fresh(), app(Doorway::class)->open($this->keeper())))->all(), 'text');
    }

    /** @param array<string, string> $fields */
    private function tap(array $fields): \Illuminate\Testing\TestResponse
    {
        return $this->postJson("/animals/{$this->young->id}/first", $fields + ['form_token' => (string) Str::uuid()]);
    }

    public function test_the_looks_of_a_clutch_are_those_that_show(): void
    {
        $this->hatch('Pastel Clown', 'Yellow Belly het Clown');
        $looks = $this->looks();
        sort($looks);
        $this->assertSame([
            'Clown', 'Normal', 'Pastel', 'Pastel, Clown', 'Pastel, Yellow Belly', 'Pastel, Yellow Belly, Clown', 'Yellow Belly', 'Yellow Belly, Clown',
        ], $looks);
        foreach ($looks as $look) {
            $this->assertStringNotContainsString('het', $look);
        }
    }

    public function test_look_alikes_are_one_look_under_both_names_and_what_cannot_hatch_is_none(): void
    {
        $this->hatch('Cinnamon', 'Black Pastel');
        $this->assertContains('Cinnamon or Black Pastel', $this->looks());
        foreach ($this->looks() as $look) {
            $this->assertNotSame('Cinnamon', $look);
        }
    }

    public function test_a_sex_is_one_tap_and_a_second_one_takes_it_back(): void
    {
        $this->hatch('Pastel Clown', 'het Clown');
        $this->get("/clutches/{$this->clutch->id}/first")->assertOk()->assertSee('not done yet')->assertSee('Pastel, Clown');
        $this->tap(['sex' => 'male', 'was' => ''])->assertOk()->assertJson(['said' => 'One is male']);
        $this->assertSame([Sex::Male, SexFound::Popped], [$this->young->fresh()->sex, $this->young->fresh()->sex_found]);
        $this->tap(['sex' => 'male', 'was' => ''])->assertOk();
        $this->assertSame(Sex::Male, $this->young->fresh()->sex, 'one that arrives twice does the same as one');
        $this->tap(['sex' => 'male', 'was' => 'male'])->assertOk()->assertJson(['said' => 'One: sex not known']);
        $this->assertNull($this->young->fresh()->sex);
        $this->tap(['sex' => 'both'])->assertStatus(422);
        $this->tap([])->assertStatus(422);
    }

    public function test_what_a_page_fetches_late_uses_up_nothing_that_is_to_be_said(): void
    {
        $this->hatch('Pastel', 'Normal');
        $this->from("/clutches/{$this->clutch->id}/first")->post("/animals/{$this->young->id}/first", ['sex' => 'male', 'was' => '']);
        foreach (['Accept' => 'image/avif,image/svg+xml,*/*;q=0.8', 'X-Background' => '1', 'X-Live' => '1'] as $header => $value) {
            $this->get('/clutches', [$header => $value])->assertOk();
            $this->flushHeaders();
        }
        $this->get("/clutches/{$this->clutch->id}/first", ['Accept' => 'text/html'])->assertSee('One is male.');
    }

    public function test_the_sex_of_a_parent_is_not_turned_by_a_tap(): void
    {
        $this->hatch('Pastel', 'Normal');
        $this->tap(['sex' => 'male', 'was' => '']);
        $this->keeper()->clutches()->create(['dam_id' => $this->clutch->dam_id])->sires()->create(['animal_id' => $this->young->id]);
        $this->tap(['sex' => 'female', 'was' => 'male'])->assertStatus(422)->assertJsonFragment(['sex' => ['One is a parent already. Change the sex on its record.']]);
        $this->assertSame(Sex::Male, $this->young->fresh()->sex);
    }

    public function test_a_look_is_a_statement_that_is_most_likely_right_and_another_takes_its_place(): void
    {
        $this->hatch('Pastel Clown', 'Yellow Belly het Clown');
        $this->tap(['look' => 'Pastel, Clown', 'was' => ''])->assertOk();
        $this->assertSame(['Pastel, Clown', FirstDay::CERTAINTY], [$this->young->statements()->sole()->text, $this->young->statements()->sole()->certainty]);
        $this->get("/clutches/{$this->clutch->id}/first")->assertSee('Pastel, Clown</span>', false);
        $this->tap(['look' => 'Pastel', 'was' => 'Pastel, Clown'])->assertOk();
        $this->assertSame('Pastel', $this->young->statements()->sole()->text);
        $this->young->statements()->create(['text' => 'not Clown', 'source' => 'own', 'certainty' => 100]);
        $this->tap(['look' => 'Pastel', 'was' => 'Pastel'])->assertOk()->assertJson(['said' => 'One: look taken back']);
        $this->assertSame('not Clown', $this->young->statements()->sole()->text, 'what was said otherwise stays');
        $this->tap(['look' => 'Xylograph', 'was' => ''])->assertStatus(422);
    }

    public function test_a_helper_sexes_and_does_not_say_what_it_carries(): void
    {
        $this->hatch('Pastel', 'Normal');
        $this->actingAs(User::factory()->create(['owner_id' => $this->keeper()->id, 'role' => Role::Helper]));
        $this->tap(['sex' => 'male', 'was' => ''])->assertOk();
        $this->tap(['look' => 'Pastel', 'was' => ''])->assertForbidden();
        $this->get("/clutches/{$this->clutch->id}/first")->assertOk()->assertDontSee('name="look"', false);
    }

    public function test_what_would_make_a_label_surer_is_told_beside_it(): void
    {
        $this->hatch('Piebald het Clown', 'Clown het Piebald');
        $this->young->update(['sex' => 'female']);
        $this->get("/animals/{$this->young->id}/surer")->assertOk()->assertSee('The label says')->assertSee('One more look')->assertSee('Chance that it settles it:')
            ->assertSee('Waiting')->assertSee('Skerry would:');
        $this->get("/animals/{$this->clutch->dam_id}/surer")->assertOk()->assertSee('Nothing would add to it');
        $alone = $this->made(['name' => 'Alone', 'sex' => null, 'genotype' => '50% het Piebald']);
        $this->get("/animals/{$alone->id}/surer")->assertOk()->assertSee('Its clutch is not in the records')->assertSee('Find out the sex first');
    }

    public function test_the_chance_of_a_look_is_that_of_the_target_that_asks_for_it_and_nothing_else(): void
    {
        $genes = ['Pastel', 'Super Pastel', 'Pinstripe', 'Leopard', 'Clown', 'het Clown', '66% het Piebald', 'Piebald', 'Spotnose'];
        $alike = fn (array $list): array => array_filter($list, fn (string $one): bool => $one !== 'Super Pastel' || ! in_array('Pastel', $list, true));
        mt_srand(11);
        $asked = 0;
        for ($i = 0; $i < 12; $i++) {
            $parents = [];
            foreach (['male', 'female'] as $sex) {
                $own = array_rand(array_flip($genes), 3);
                $own = array_filter($own, fn (string $one): bool => ! (str_contains($one, 'het ')
                    && in_array(substr($one, strpos($one, 'het ') + 4), $own, true)));
                $parents[$sex] = $this->made(['name' => "P{$i} {$sex}", 'sex' => $sex, 'genotype' => implode(' ', $alike($own))]);
            }
            $clutch = $this->keeper()->clutches()->create(['dam_id' => $parents['female']->id]);
            $clutch->sires()->create(['animal_id' => $parents['male']->id]);
            $opened = app(Doorway::class)->open($this->keeper());
            $looks = (new LikelyLooks($clutch->fresh(), $opened))->all();
            $cross = Cross::of(
                $opened->shelf->catalogue(), $opened->beliefs()->belief($parents['male']->id), $opened->beliefs()->belief($parents['female']->id),
            );
            $chances = array_column($looks, 'chance');
            $this->assertLessThanOrEqual(1 + 1e-9, array_sum($chances));
            $this->assertSame($chances, array_reverse(array_values(Arr::sort($chances))), 'the likeliest first');
            foreach ($looks as $look) {
                $single = array_filter(['Pastel', 'Leopard', 'Spotnose'], fn (string $one): bool => str_contains($look['text'], $one)
                    && ! str_contains($look['text'], "Super {$one}")); // a target by its name is met by two copies as well
                $target = $opened->shelf->targets()->read($look['text'] === 'Normal' ? 'Normal' : 'only '.str_replace(',', '', $look['text'])
                    .implode('', array_map(fn (string $one): string => ", not Super {$one}", $single)));
                $this->assertEqualsWithDelta(
                    TargetOdds::of($cross, $target, hatched: true)->chance->perEgg()->toFloat(), $look['chance'], 1e-9, $look['text'],
                );
                $asked++;
            }
        }
        $this->assertGreaterThan(40, $asked);
    }
}
