<?php

namespace Tests\Feature;

use App\Catalogue\CueLine;
use App\Collection\Doorway;
use App\Looks\CueTally;
use App\Models\GeneChange;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Cues that the keeper saw on animals whose genes are sure otherwise, counted beside the estimates. */
class CueTallyTest extends TestCase
{
    use RefreshDatabase;

    /** @param array<string, mixed> $statement */
    private function seen(string $name, string $genes, array $statement, string $cue, string $state, ?string $who = null): void
    {
        $animal = $this->made(['name' => $name, 'genotype' => $genes, 'hatched_on' => '2020-07-01']);
        $animal->statements()->update($statement);
        $animal->sightings()->create(['cue' => $cue, 'state' => $state, 'on' => '2020-09-01', 'who' => $who]);
    }

    public function test_confirmed_animals_are_counted_and_move_the_estimate(): void
    {
        $opened = app(Doorway::class)->open($this->keeper());
        $line = array_values(
            array_filter(CueLine::of($opened->shelf, 'yellow-belly'), fn (CueLine $one): bool => $one->rule->text() === 'Yellow Belly'),
        )[0];
        [$state, $other] = [$line->state(), array_values(array_diff($line->cue->states, [$line->state()]))[0]];
        $laboratory = ['source' => 'laboratory', 'on' => '2020-10-01'];
        $this->seen('A', 'Yellow Belly', $laboratory, $line->cue->key, $state);
        $this->seen('B', 'Yellow Belly', ['source' => 'own', 'on' => '2024-01-01'], $line->cue->key, $other);
        $this->seen('C', 'Yellow Belly', $laboratory, $line->cue->key, $other, 'a friend'); // another's opinion
        $this->seen('D', 'Yellow Belly', ['source' => 'own', 'on' => '2020-10-01'], $line->cue->key, $state); // told by the very cue
        $this->seen('E', 'Yellow Belly', ['source' => 'seller', 'on' => '2024-01-01'], $line->cue->key, $state);
        $this->seen('F', 'Normal', $laboratory, $line->cue->key, $state);
        $this->seen('G', 'Yellow Belly or Gravel', $laboratory, $line->cue->key, $state); // not sure

        $tally = new CueTally(app(Doorway::class)->open($this->keeper()));
        $this->assertSame(
            [2, 1], [$tally->count($line->cue, $line->rule), $tally->count($line->cue, $line->cue->rules[count($line->cue->rules) - 1])],
        );
        $at = $line->cue->state($state);
        $this->assertEqualsWithDelta(
            100 * (10 * $line->rule->chances[$at]->toFloat() + 1) / 12, $tally->percentages($line->cue, $line->rule)[$at], .06,
        );
        $this->assertEqualsWithDelta(100, array_sum($tally->percentages($line->cue, $line->rule)), .3);

        $page = $this->get('/genes/yellow-belly')->assertOk()->assertSee('Seen on 2 confirmed animals of yours');
        preg_match('/name="chances" value="([\d., ]+)"><button/', (string) $page->getContent(), $found);
        $this->post(
            '/genes/own',
            [
                'kind' => 'cue', 'gene' => 'yellow-belly', 'rule' => $line->key(), 'chances' => $found[1],
                'form_token' => (string) Str::uuid(),
            ],
        )
            ->assertSessionHasNoErrors();
        $this->assertSame('cue', GeneChange::query()->sole()->kind);
        $this->get('/genes/yellow-belly')->assertOk()->assertSee('Your chances; before');
    }

    public function test_without_sightings_nothing_is_counted(): void
    {
        $this->made(['name' => 'A', 'genotype' => 'Yellow Belly']);
        $this->get('/genes/yellow-belly')->assertOk()->assertDontSee('confirmed animal of yours')
            ->assertDontSee('confirmed animals of yours');
    }
}
