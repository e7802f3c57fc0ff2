<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Looks\ConfirmedReadings;
use App\Looks\OwnEyes;
use App\Models\Animal;
use App\Models\GeneChange;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Cues that the keeper read on animals whose genes are sure otherwise: how the keeper's eye differs, and what friends counted. */
class OwnEyesTest extends TestCase
{
    use RefreshDatabase;

    private const SNOUT = 'snout-spots';

    private function seen(string $name, string $genes, string $state, array $statement = [], ?string $who = null, string $cue = self::SNOUT): Animal
    {
        $animal = $this->made(['name' => $name, 'genotype' => $genes, 'hatched_on' => '2020-07-01']);
        $animal->statements()->update($statement + ['source' => 'laboratory', 'on' => '2020-10-01']);
        $animal->sightings()->create(['cue' => $cue, 'state' => $state, 'on' => '2023-09-01', 'who' => $who]);

        return $animal;
    }

    private function eyes(): OwnEyes
    {
        return new OwnEyes(app(Doorway::class)->open($this->keeper()));
    }

    /** Thirty-two normals, of which this keeper saw faint spots on fourteen. */
    private function readAll(): void
    {
        foreach (range(1, 32) as $i) {
            $this->seen("N{$i}", 'Normal', $i <= 14 ? 'faint' : 'none');
        }
    }

    public function test_only_animals_that_are_sure_without_the_cue_are_counted(): void
    {
        $this->seen('A', 'Spotnose', 'clear');
        $this->seen('B', 'Spotnose', 'faint', ['source' => 'own', 'on' => '2024-01-01']); // stated of it grown
        $this->seen('C', 'Spotnose', 'faint', [], 'a friend'); // another's opinion
        $this->seen('D', 'Spotnose', 'clear', ['source' => 'own', 'on' => '2020-10-01']); // told by the very cue
        $this->seen('E', 'Spotnose', 'clear', ['source' => 'seller', 'on' => '2024-01-01']);
        $this->seen('F', 'Yellow Belly or Gravel', 'none'); // not sure
        $this->seen('G', 'Piebald', 'white bands, colour between', cue: 'white-area');
        $this->seen('H', 'Piebald', 'saddled body', cue: 'white-area'); // as it was called before
        $this->assertSame([2, 2], [$this->eyes()->count(self::SNOUT), $this->eyes()->count('white-area')]);
        $this->assertNull($this->eyes()->eye(self::SNOUT), 'too few');
        $readings = (new ConfirmedReadings(app(Doorway::class)->open($this->keeper())))->all();
        $this->assertSame(['clear', 'faint'], array_map(
            fn (array $one): string => $one['cue']->states[$one['state']], array_slice($readings, 0, 2),
        ));
    }

    public function test_own_figures_are_used_once_chosen_and_put_back(): void
    {
        $this->get('/genes/confusions')->assertOk()->assertSee('From 30 confirmed readings of a cue on');
        $this->post('/genes/own', ['kind' => 'eye', 'gene' => self::SNOUT])->assertSessionHasErrors('gene');
        $this->readAll();
        $this->get('/genes/confusions')->assertOk()->assertSee('You see “faint” where we see “none”.')->assertSee('32 readings')
            ->assertSee('Use my own figures');
        $shelf = fn () => app(Doorway::class)->open($this->keeper())->shelf;
        $before = $shelf()->cues()[self::SNOUT]->reading?->eye;
        $token = (string) Str::uuid();
        foreach ([1, 2] as $ignored) { // a click that arrives twice
            $this->post('/genes/own', ['kind' => 'eye', 'gene' => self::SNOUT, 'form_token' => $token])->assertSessionHasNoErrors();
        }
        $change = GeneChange::query()->sole();
        $this->assertLessThan(0, $shelf()->cues()[self::SNOUT]->reading?->eye->shift);
        $this->assertSame(0.0, $before?->shift);
        $this->get('/genes/confusions')->assertSee('Your own figures are used.');
        $this->post('/genes/own', ['kind' => 'eye', 'gene' => self::SNOUT, 'form_token' => (string) Str::uuid()])->assertSessionHasNoErrors();
        $again = GeneChange::query()->sole();
        $this->assertNotSame($change->id, $again->id);
        $this->delete("/records/gene/{$again->id}");
        $this->assertSame(0.0, $shelf()->cues()[self::SNOUT]->reading?->eye->shift);
    }

    public function test_counts_are_given_to_a_friend_and_taken_in_with_a_weight(): void
    {
        $this->readAll();
        $file = $this->get('/genes/counts')->assertOk()->assertDownload('cue-counts.json')->getContent();
        $this->assertStringNotContainsString('N1', (string) $file);
        $document = json_decode((string) $file, true);
        $this->assertSame(['destino-counts/1', 32], [$document['format'], count($document['readings'])]);
        $this->assertSame(['cue' => self::SNOUT, 'state' => 'faint', 'days' => 1157, 'genes' => 'Normal'], $document['readings'][0]);

        Animal::query()->get()->each->forceDelete();
        $this->assertSame(0, $this->eyes()->count(self::SNOUT));
        $take = fn (string $text, array $more = []) => $this->post('/genes/own', $more + [
            'kind' => 'counts', 'from' => 'Marta', 'weight' => 50, 'form_token' => (string) Str::uuid(),
            'file' => UploadedFile::fake()->createWithContent('cue-counts.json', $text),
        ]);
        $take((string) $file)->assertSessionHasNoErrors();
        $this->assertSame(16, $this->eyes()->count(self::SNOUT));
        $this->get('/genes/confusions')->assertSee('32 readings of Marta', false)->assertSee('Marta count for 50');
        foreach ([
            'no JSON' => 'nothing', 'another document' => '{"format": "destino-clutch/1"}',
            'an unknown cue' => str_replace(self::SNOUT, 'snot-spots', (string) $file),
            'an unknown state' => str_replace('"faint"', '"fant"', (string) $file),
            'genes of which it is open what shows' => str_replace('"Normal"', '"Pastel or Enchi"', (string) $file),
            'an unknown gene' => str_replace('"Normal"', '"Nrmal"', (string) $file),
        ] as $what => $wrong) {
            $take($wrong)->assertSessionHasErrors('file');
            $this->assertSame(1, GeneChange::query()->count(), $what);
        }
        $take((string) $file, ['weight' => 0])->assertSessionHasErrors('weight');
        $take((string) $file)->assertSessionHasNoErrors();
        $this->assertSame(32, $this->eyes()->count(self::SNOUT), 'two friends, each by half');
    }
}
