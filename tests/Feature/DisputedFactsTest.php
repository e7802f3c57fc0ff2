<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Models\Animal;
use App\Prove\DisputedFacts;
use App\Prove\OwnCrosses;
use Destino\Genome\Claim;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Tests\TestCase;

/** What the young of a collection, and those that a friend counted, say of the facts that keepers dispute. */
class DisputedFactsTest extends TestCase
{
    use RefreshDatabase;

    private function facts(): DisputedFacts
    {
        return new DisputedFacts(app(Doorway::class)->open($this->keeper()));
    }

    private function claim(string $key): Claim
    {
        return app(Doorway::class)->open($this->keeper())->shelf->catalogue()->claims[$key];
    }

    private function young(Animal $sire, Animal $dam, string $name, string $genes, array $more = [], array $statement = []): Animal
    {
        $animal = $this->made(['name' => $name, 'genotype' => $genes, 'sire_id' => $sire->id, 'dam_id' => $dam->id] + $more);
        $animal->statements()->update($statement + ['source' => 'own']);

        return $animal;
    }

    /** Five young of a dam with Enchi and Cinnamon, none with both or neither. */
    private function season(): void
    {
        $sire = $this->made(['name' => 'Rowan', 'sex' => 'male', 'genotype' => 'Pastel het Clown']);
        $dam = $this->made(['name' => 'Sorrel', 'sex' => 'female', 'genotype' => 'Enchi Cinnamon het Clown']);
        foreach (['Enchi', 'Pastel Enchi', 'Cinnamon', 'Pastel Cinnamon', 'Cinnamon Clown'] as $i => $genes) {
            $this->young($sire, $dam, "Y{$i}", $genes);
        }
    }

    public function test_young_tell_of_a_disputed_locus(): void
    {
        $this->assertSame([], $this->facts()->all());
        $this->season();
        $evidence = $this->facts()->about($this->claim('enchi-cinnamon-allelism'));
        $this->assertSame(5, $evidence?->young);
        // One locus: 1/2 each. Separate loci: 1/4 each. One record in fifty is wrong: .98 of what is so, .02 of what is not.
        $this->assertEqualsWithDelta((.5 / .26) ** 5, ($evidence->shares['allelic'] ?? 0) / ($evidence->shares['separate'] ?? 1), 1e-6);
        $this->get('/prove')->assertOk()->assertSee('What keepers dispute')->assertSee('What 5 young say');
        $this->get('/genes/enchi')->assertOk()->assertSee('What 5 young say')
            ->assertSee($this->claim('enchi-cinnamon-allelism')->schools['allelic']->name);
        $this->get('/genes/clown')->assertOk()->assertDontSee('young say');
    }

    public function test_what_is_not_sure_tells_nothing(): void
    {
        $sire = $this->made(['name' => 'Rowan', 'sex' => 'male', 'genotype' => 'Normal']);
        $dam = $this->made(['name' => 'Sorrel', 'sex' => 'female', 'genotype' => 'Enchi Cinnamon']);
        $other = $this->made(['name' => 'Hazel', 'sex' => 'female', 'genotype' => 'Enchi or Cinnamon']);
        $this->young($sire, $dam, 'doubtful', 'Enchi', [], ['certainty' => 80]);
        $this->young($sire, $dam, 'not all named', 'Enchi', [], ['names_all' => false]);
        $this->young($sire, $dam, 'by its parents', 'Enchi', [], ['source' => 'parents']);
        $this->young($sire, $dam, 'open', 'Enchi or Cinnamon');
        $this->young($sire, $other, 'of an open dam', 'Enchi');
        $this->made(['name' => 'of one parent', 'genotype' => 'Enchi', 'dam_id' => $dam->id]);
        $this->assertSame([], $this->facts()->own());
        $this->young($sire, $dam, 'tapped', 'Enchi', [], ['certainty' => 95]);
        $this->assertSame(['Normal', 'Enchi Cinnamon', 'Enchi'], array_column($this->facts()->own(), 'genes'));
    }

    public function test_a_young_with_young_of_its_own_stands_between_them(): void
    {
        $sire = $this->made(['name' => 'Rowan', 'sex' => 'male', 'genotype' => 'Banana (male maker)']);
        $dam = $this->made(['name' => 'Sorrel', 'sex' => 'female', 'genotype' => 'Normal']);
        $son = $this->young($sire, $dam, 'Alder', 'Banana', ['sex' => 'male']);
        $mate = $this->made(['name' => 'Linden', 'sex' => 'female', 'genotype' => 'Mojave']);
        foreach (['male' => 'Banana Mojave', 'female' => 'Mojave'] as $sex => $genes) {
            $this->young($son, $mate, "of {$sex}", $genes, ['sex' => $sex]);
        }
        $this->young($son, $mate, 'of no sure sex', 'Banana', ['sex' => 'female', 'sex_certainty' => 80]);
        $own = $this->facts()->own();
        $this->assertSame(['male', 'female', 'female', 'male', 'male', 'female', null], array_column($own, 'sex'));
        $this->assertSame([null, null, null, 1, 4, 4, 4], array_column($own, 'sire'));
        $this->assertSame(
            ['Banana (male maker)', 'Normal', 'Normal', 'Banana', 'Banana', 'Normal', 'Banana'], array_column($own, 'genes'),
        );
        $evidence = $this->facts()->about($this->claim('banana-sex-fraction'));
        $this->assertSame(4, $evidence?->young);
        $this->assertSame(0.0, $evidence->fraction[1] ?? null, 'no young went over');
        $this->get('/genes/banana')->assertOk()->assertSee('95 % of what is likely lies between');
    }

    public function test_counts_of_a_friend_weigh_as_much_as_they_are_given(): void
    {
        $this->season();
        $own = $this->facts()->about($this->claim('enchi-cinnamon-allelism'))?->shares ?? [];
        $file = (string) $this->get('/genes/counts')->assertOk()->getContent();
        foreach (['Rowan', 'Sorrel', 'Y0', 'Clown', 'Pastel'] as $private) {
            $this->assertStringNotContainsString($private, $file);
        }
        $document = json_decode($file, true);
        $this->assertSame(['Normal', 'Enchi Cinnamon', 'Enchi', 'Enchi', 'Cinnamon', 'Cinnamon', 'Cinnamon'], array_column($document['animals'], 'genes'));

        $take = fn (array $animals, int $weight = 100) => $this->post('/genes/own', [
            'kind' => 'counts', 'from' => 'Marta', 'weight' => $weight, 'form_token' => (string) Str::uuid(),
            'file' => UploadedFile::fake()->createWithContent('c.json', (string) json_encode(['animals' => $animals] + $document)),
        ]);
        $wrong = $document['animals'];
        foreach ([
            'an unknown gene' => ['genes' => 'Cinamon'], 'a parent that is none' => ['sire' => 2], 'one parent' => ['sire' => null],
            'open genes' => ['genes' => 'Enchi or Cinnamon'], 'a number twice' => ['id' => 1], 'itself' => ['dam' => 7],
        ] as $what => $change) {
            $take([...array_slice($wrong, 0, 6), $change + $wrong[6]])->assertSessionHasErrors('file');
            $this->assertSame(0, $this->keeper()->geneChanges()->count(), $what);
        }
        $take($document['animals'])->assertSessionHasNoErrors();
        $with = $this->facts()->about($this->claim('enchi-cinnamon-allelism'));
        $this->assertSame(10, $with?->young);
        $odds = fn (array $shares): float => $shares['allelic'] / $shares['separate'];
        $this->assertEqualsWithDelta($odds($own) ** 2, $odds($with->shares), 1e-6 * $odds($own) ** 2);
        $this->keeper()->geneChanges()->get()->each->delete();
        $take($document['animals'], 50)->assertSessionHasNoErrors();
        $half = $this->facts()->about($this->claim('enchi-cinnamon-allelism'))?->shares ?? [];
        $this->assertEqualsWithDelta($odds($own) ** 1.5, $odds($half), 1e-6 * $odds($own) ** 1.5);
        $this->get('/genes/confusions')->assertSee('and 7 animals', false);
    }

    public function test_the_school_of_the_house_changes_nothing_of_it(): void
    {
        $this->season();
        $before = [$this->facts()->own(), $this->facts()->about($this->claim('enchi-cinnamon-allelism'))?->shares];
        $this->keeper()->houseRules()->create(['choices' => ['schools' => ['enchi-cinnamon-allelism' => 'allelic']]]);
        $opened = app(Doorway::class)->open($this->keeper()->fresh());
        $this->assertSame(['enchi-cinnamon-allelism' => 'allelic'], $opened->shelf->schools());
        $this->assertSame($before[0], (new OwnCrosses($opened))->all());
        $this->assertSame($before[1], (new DisputedFacts($opened))->about($this->claim('enchi-cinnamon-allelism'))?->shares);
    }
}
