<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Health\BeforeOfPairs;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Observation;
use App\Projects\SeasonList;
use App\Projects\Workshop;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

class MalformedTest extends TestCase
{
    use RefreshDatabase;

    private Animal $sire;

    private function clutch(): Clutch
    {
        $this->sire = $this->made(['name' => 'Sire', 'sex' => 'male', 'genotype' => 'Cinnamon', 'hatched_on' => '2020-07-01']);
        $dam = $this->made(['name' => 'Dam', 'genotype' => 'Cinnamon', 'hatched_on' => '2020-07-01']);
        $clutch = $this->keeper()->clutches()
            ->create(['dam_id' => $dam->id, 'laid_on' => '2026-05-01', 'eggs_good' => 6, 'hatched_on' => '2026-07-01', 'hatched' => 6]);
        $clutch->sires()->create(['animal_id' => $this->sire->id]);
        foreach (['Super Cinnamon', 'Super Cinnamon', 'Cinnamon', 'Cinnamon', 'Normal', 'Normal'] as $i => $genes) {
            $this->made(
                [
                    'name' => "Young {$i}", 'sex' => 'male', 'genotype' => $genes, 'sire_id' => $this->sire->id, 'dam_id' => $dam->id,
                    'clutch_id' => $clutch->id, 'hatched_on' => '2026-07-01',
                ],
            );
        }

        return $clutch;
    }

    /** @param array<string, mixed> $values */
    private function note(string $name, array $values): \Illuminate\Testing\TestResponse
    {
        $animal = Animal::query()->where('name', $name)->sole();

        return $this->post(
            "/animals/{$animal->id}/observations", $values + ['condition' => 'Spinal kinking', 'grade' => 'moderate', 'on' => '2026-07-03'],
        );
    }

    public function test_only_two_copy_young_speak_for_the_genes_and_the_pairing_page_knows(): void
    {
        $clutch = $this->clutch();
        $this->get("/clutches/{$clutch->id}")->assertDontSee('Malformed or ailing');
        $this->note('Young 0', ['place' => 'neck', 'decision' => 'veterinarian'])->assertSessionHasNoErrors();
        $this->note('Young 1', ['grade' => 'severe', 'decision' => 'humane end'])->assertSessionHasNoErrors();
        $this->get("/clutches/{$clutch->id}")->assertSeeInOrder([
            'Malformed or ailing', '2 of 6 young that are recorded', 'Spinal kinking: moderate, neck; decided: veterinarian',
            'decided: humane end',
            "2 of 2 with two copies of Cinnamon, 0 of 4 of the rest. Genes 97\u{a0}%", 'reptile veterinarian',
        ]);
        $this->get("/pair?sire_id={$this->sire->id}&dam_id={$clutch->dam_id}")->assertSee(
            'Of this pair before: 2 of 6 young that are recorded were malformed or ailing.',
        );
    }

    public function test_the_season_and_the_plans_know_it(): void
    {
        $clutch = $this->clutch();
        $project = $this->keeper()->projects()->create(['name' => 'Dark', 'target' => 'Super Cinnamon', 'horizon' => 3]);
        $pair = ['sire' => "a{$this->sire->id}", 'dam' => "a{$clutch->dam_id}"];
        $project->plans()->create(['state' => 'done', 'seed' => 1, 'input' => 'x', 'result' => [
            'names' => [$pair['sire'] => 'Sire', $pair['dam'] => 'Dam'],
            'possible' => [$pair + ['target_an_egg' => .25, 'hazard' => .5]],
            'policy' => ['now' => ['matings' => [$pair + ['target_an_egg' => .25]], 'buy' => [], 'keep' => []], 'probability_by_season' => [['decimal' => .5, 'low' => .4, 'high' => .6, 'season' => 3]]],
        ]]);
        $projects = [$project->load('latestPlan')];
        $weight = fn (): float => (new SeasonList($projects, 4, [], BeforeOfPairs::of($this->opened())))->grants[0]['weight'];
        $sound = $weight();
        $this->get('/pair')->assertSee('Sire × Dam')->assertDontSee('malformed');
        foreach (['Young 0', 'Young 1'] as $name) {
            $this->note($name, ['decision' => 'watch']);
        }
        $this->assertEqualsWithDelta($sound * (6 - 2 + 2) / (6 + 2), $weight(), 1e-12, 'it is counted for that much less');
        // A plan that is made from now on plays with fewer sound young, and its figures are not lessened once more.
        $known = (new Workshop($this->opened()))->project($project)->sound;
        $this->assertSame(["{$pair['sire']} {$pair['dam']}" => .75], $known);
        $project->latestPlan->update(['result' => ['sound' => $known] + $project->latestPlan->result]);
        $this->assertEqualsWithDelta($sound, $weight(), 1e-12);
        foreach (['/pair', '/season', '/projects'] as $page) {
            $this->get($page)->assertOk()->assertSee('2 of 6 young that are recorded of this pair were malformed or ailing', false);
        }
    }

    private function opened(): Opened
    {
        return app(Doorway::class)->open($this->keeper()->fresh());
    }

    public function test_the_last_look_counts(): void
    {
        $clutch = $this->clutch();
        $this->note('Young 0', []);
        $this->note('Young 0', ['grade' => 'none', 'on' => '2026-08-03', 'condition' => 'spinal kinking']);
        $this->get("/clutches/{$clutch->id}")->assertDontSee('Malformed or ailing');
        $this->assertSame(2, Observation::query()->count(), 'the course over time stays');
    }

    public function test_all_alike_speak_for_incubation(): void
    {
        $clutch = $this->clutch();
        foreach (range(0, 5) as $i) {
            $this->note("Young {$i}", []);
        }
        $this->get("/clutches/{$clutch->id}")->assertSee("incubation over 99\u{a0}%");
    }

    public function test_what_is_no_decision_is_told_so(): void
    {
        $this->clutch();
        $this->note('Young 0', ['decision' => 'ignore'])->assertSessionHasErrors('decision', null, 'observation');
        $this->note('Young 0', ['place' => str_repeat('x', 61)])->assertSessionHasErrors('place', null, 'observation');
        $this->assertSame(0, Observation::query()->count());
    }
}
