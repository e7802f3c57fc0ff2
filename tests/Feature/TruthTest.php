<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Decision;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

/** On the pages: what is recorded is never dropped, misread or counted twice, and no record brings a page down. */
class TruthTest extends TestCase
{
    use RefreshDatabase;

    private const PAGES = ['/prove', '/animals', '/pair', '/clutches', '/today'];

    public function test_two_normals_with_a_counted_pastel_are_a_contradiction(): void
    {
        [$sire, $dam] = $this->pair('Normal', 'Normal');
        $this->clutch($dam, [$sire->id], ['hatched' => 4])->counts()->create(['saw' => 'Pastel', 'count' => 1]);
        $this->get('/prove')
            ->assertOk()
            ->assertSee('does not fit the recorded parents')
            ->assertSeeInOrder(["{$sire->name} carries Pastel, but this was never recorded", 'was misidentified']);
    }

    public function test_a_sire_keeps_his_sex_and_one_of_unknown_sex_is_read_as_a_male(): void
    {
        [$sire, $dam] = $this->pair('Banana', 'Normal');
        $young = $this->made(['name' => 'Wherry', 'sex' => 'male', 'genotype' => 'Banana', 'sire_id' => $sire->id, 'dam_id' => $dam->id]);
        $form = ['name' => 'Skiff', 'notes' => '', 'hatched_on' => ''];
        $this->put("/animals/{$sire->id}", ['sex' => 'unknown'] + $form)
            ->assertSessionHasErrors(['sex' => 'Skiff is recorded as the sire of Wherry, and is therefore male. Change that first.']);
        $this->put("/animals/{$dam->id}", ['name' => 'Tender', 'sex' => 'male'] + $form)
            ->assertSessionHasErrors(['sex' => 'Tender is recorded as the dam of Wherry, and is therefore female. Change that first.']);
        $this->put("/animals/{$sire->id}", ['sex' => 'male'] + $form)->assertSessionHasNoErrors();
        Animal::query()->whereKey($sire->id)->update(['sex' => null]); // as older records may have it
        foreach ([...self::PAGES, "/animals/{$sire->id}", "/animals/{$young->id}", "/prove/{$sire->id}"] as $page) {
            $this->assertContains($this->get($page)->getStatusCode(), [200, 404], $page);
        }
        $this->assertSame('Banana (male maker)', $this->text($young));
    }

    public function test_counts_that_overlap_with_animals_that_were_kept_count_once(): void
    {
        [$sire, $dam] = $this->pair('50% het Clown', 'Clown');
        $clutch = $this->clutch($dam, [$sire->id], ['hatched' => 3]);
        $clutch->counts()->create(['saw' => 'not Clown', 'count' => 3]);
        $this->assertSame('11% het Clown', $this->text($sire), '1/8 against 1');
        foreach (['One', 'Two'] as $name) {
            $this->made([
                'name' => $name, 'genotype' => 'Normal', 'sire_id' => $sire->id, 'dam_id' => $dam->id, 'clutch_id' => $clutch->id,
            ]);
        }
        $this->assertSame('11% het Clown', $this->text($sire), 'three hatchlings, and not five');
        $this->get("/clutches/{$clutch->id}")->assertSee(
            '2 of the counted are taken to be kept as animals too: each hatchling counts once. Nothing missing.',
        );
        $clutch->update(['hatched' => 5]);
        $this->assertSame('3% het Clown', $this->text($sire), 'five of five');
        $clutch->counts()->create(['saw' => 'not Clown', 'count' => 9]);
        $this->get("/clutches/{$clutch->id}")->assertSee('more than hatched: one of the figures is wrong');
    }

    public function test_a_laboratorys_absence_is_believed(): void
    {
        $animal = $this->made(['name' => 'Tender', 'genotype' => '66% het Clown']);
        $this->post(
            "/animals/{$animal->id}/statements",
            ['text' => 'no Clown', 'source' => 'laboratory', 'certainty' => 99, 'names_all' => '0', 'on' => '2026-01-01'],
        )->assertSessionHasNoErrors();
        $this->assertSame('2% het Clown', $this->text($animal));
        $this->get("/animals/{$animal->id}")->assertOk()->assertSee('no Clown');
    }

    public function test_extreme_evidence_brings_no_page_down(): void
    {
        [$sire, $dam] = $this->pair('66% het Clown', 'Clown');
        $clutches = array_map(fn (): Clutch => $this->clutch($dam, [$sire->id], []), range(1, 10));
        foreach ($clutches as $clutch) {
            $clutch->counts()->create(['saw' => 'not Clown', 'count' => 7]);
        }
        $agreeing = $this->made(['name' => 'Often said', 'genotype' => 'het Clown', 'sire_id' => $sire->id, 'dam_id' => $dam->id]);
        foreach (range(1, 26) as $i) {
            $agreeing->statements()->create([
                'text' => 'het Clown', 'source' => ['own', 'seller', 'laboratory'][$i % 3], 'certainty' => 70 + $i % 5,
            ]);
        }
        foreach (
            [
                ...self::PAGES, "/animals/{$sire->id}", "/animals/{$agreeing->id}", "/prove/{$sire->id}",
                '/pair?'.http_build_query(['sire_id' => $sire->id, 'dam_id' => $dam->id, 'target' => 'Clown']),
            ] as $page
        ) {
            $this->assertContains($this->get($page)->getStatusCode(), [200, 404], $page);
        }
        $this->assertStringContainsString('het Clown', $this->text($sire), 'hardly, and not never');
    }

    public function test_clutches_of_two_sires_without_a_label_and_of_one_from_outside(): void
    {
        [$sire, $dam] = $this->pair('Normal', '50% het Clown');
        $other = $this->made(['name' => 'Yawl', 'sex' => 'male', 'genotype' => 'Clown']);
        foreach ([[$sire->id, $other->id], [$sire->id, null], [null], []] as $sires) {
            $clutch = $this->clutch($dam, $sires, ['laid_on' => '2026-05-01', 'hatched' => 4]);
            $clutch->counts()->create(['saw' => 'not Clown', 'count' => 2]);
            $this->made(['name' => "Young {$clutch->id}", 'genotype' => 'Normal', 'dam_id' => $dam->id, 'clutch_id' => $clutch->id]);
            foreach (
                [
                    ...self::PAGES, "/clutches/{$clutch->id}", "/clutches/{$clutch->id}/edit", "/animals/{$dam->id}",
                    "/prove/{$dam->id}",
                ] as $page
            ) {
                $this->assertContains($this->get($page)->getStatusCode(), [200, 404], $page);
            }
        }
        $form = ['dam_id' => $dam->id, 'sires' => [$sire->id, $other->id], 'laid_on' => '2026-04-01', 'eggs_good' => 4, 'sure' => '1'];
        $this->followingRedirects()->post('/clutches', $form)->assertOk()->assertSee('Possible sires');
        $this->clutch($dam, [null], ['hatched' => 1])->counts()->create(['saw' => 'Clown', 'count' => 1]);
        $this->assertSame('het Clown', $this->text($dam), 'a visual of hers, whoever the sire was');
    }

    public function test_a_chain_of_alternatives_is_refused_and_brings_nothing_down(): void
    {
        $chain = 'Pastel or Enchi Enchi or Mojave Mojave or Fire Fire or Leopard Leopard or Calico Calico or Pinstripe';
        $this->get('/pair?'.http_build_query(['sire' => $chain, 'dam' => $chain]))
            ->assertStatus(422)
            ->assertSee('in more ways than can be worked out');
        [$sire, $dam] = $this->pair($chain, $chain);
        foreach (
            [
                "/animals/{$sire->id}", '/pair?'.http_build_query(['sire_id' => $sire->id, 'dam_id' => $dam->id]),
                route('clutches.create', ['dam_id' => $dam->id, 'sire_id' => $sire->id]),
            ] as $page
        ) {
            $this->assertContains($this->get($page)->getStatusCode(), [200, 422], $page);
        }
    }

    public function test_two_faults_are_decided_together_and_kept_apart(): void
    {
        [$sire, $dam] = $this->pair('Normal', 'Normal');
        $clutch = $this->clutch($dam, [$sire->id], ['hatched' => 12]);
        $clutch->counts()->create(['saw' => 'Clown', 'count' => 3]);
        $clutch->counts()->create(['saw' => 'not Clown', 'count' => 9]);
        $page = $this->get('/prove')->assertOk()->assertSee(
            "{$sire->name} carries Clown, but this was never recorded. And: {$dam->name} carries Clown",
        );
        $this->assertSame(
            1,
            preg_match('/value="(unrecorded\|a\d+\|clown\|;unrecorded\|a\d+\|clown\|)"/', (string) $page->getContent(), $found),
        );
        $this->post(
            '/prove/decisions',
            ['explanation' => $found[1], 'reason' => 'Three of twelve.', 'form_token' => (string) \Illuminate\Support\Str::uuid()],
        )->assertSessionHasNoErrors();
        $this->assertSame(2, Decision::query()->count());
        $this->get('/prove')->assertDontSee('cannot be</h2>', false);
        $this->assertSame(['het Clown', 'het Clown'], [$this->text($sire), $this->text($dam)]);
    }

    public function test_what_is_possible_and_hardly_so_is_flagged(): void
    {
        [$sire, $dam] = $this->pair('het Clown', 'Clown');
        $clutch = $this->clutch($dam, [$sire->id], ['hatched' => 16]);
        $clutch->counts()->create(['saw' => 'not Clown', 'count' => 16]);
        $this->get('/prove')->assertOk()->assertSeeInOrder(['possible, and hardly so', 'about once in 65,536', 'Another male is the sire']);
        $this->assertSame('het Clown', $this->text($sire));
    }

    public function test_an_own_gene_holds_what_a_shipped_one_holds(): void
    {
        $form = [
            'kind' => 'gene', 'name' => 'Harbour', 'inheritance' => 'incomplete-dominant', 'locus' => 'bel', 'effect' => 'light',
            'aliases' => 'Quay, Pier', 'two_name' => 'White Harbour', 'two_looks' => 'White with dark eyes.',
            'two_viability' => 'lethal', 'two_told_apart' => 'yes', 'compounds' => "Mojave = Moonrise, dies\nLesser = Dusk",
            'nicknames' => 'Harbour Bee = Harbour Spider',
        ];
        $this->post('/genes/own', ['compounds' => 'nonsense'] + $form)->assertSessionHasErrors('compounds');
        $this->post('/genes/own', $form)->assertSessionHasNoErrors()->assertRedirect();
        foreach (
            [
                'Moonrise' => 'Mojave', 'White Harbour' => 'Harbour', 'Harbour Bee' => 'Harbour Spider', 'Quay' => 'Harbour',
                'Dusk' => 'Lesser',
            ] as $typed => $meant
        ) {
            $this->getJson('/read?'.http_build_query(['text' => $typed, 'as' => 'female']))
                ->assertOk()
                ->assertJsonPath('errors', [])
                ->assertSee(explode(' ', $meant)[0]);
        }
        $this->get(
            '/pair?'.http_build_query(['sire' => 'Harbour', 'dam' => 'Mojave', 'by' => 'genotype']),
        )->assertOk()->assertSee('Moonrise');
    }

    public function test_a_round_longer_than_php_lets_in_is_refused_whole(): void
    {
        $most = (int) ini_get('max_input_vars');
        $animal = $this->made(['name' => 'Tender']);
        $rows = array_fill(1, $most + 5, '900');
        $this->post(
            '/rounds/weight', ['on' => '2026-01-01', 'form_token' => (string) \Illuminate\Support\Str::uuid(), 'rows' => $rows],
        )->assertStatus(413)->assertSee('Nothing was saved.');
        $this->assertSame(0, $animal->care()->count());
        $this->assertStringContainsString('max_input_vars=20000', (string) file_get_contents(base_path('bin/destino')));
    }

    public function test_the_command_tells_every_fault_with_its_place(): void
    {
        $this->assertSame(
            2,
            Artisan::call(
                'destino:predict',
                ['--sire' => 'Pastle Enhci', '--dam' => 'het clown pied', '--target' => 'Clwon', '--json' => true],
            ),
        );
        $answer = json_decode((string) preg_replace('/^[^{]*/', '', Artisan::output()), true);
        $this->assertSame(
            [['sire', 'Pastle', 1], ['sire', 'Enhci', 8], ['dam', 'pied', 11], ['target', 'Clwon', 1]],
            array_map(fn (array $one): array => [$one['field'], $one['piece'], $one['position']], $answer['errors']),
        );
        $this->assertSame($answer['errors'][0], array_intersect_key($answer['error'], $answer['errors'][0]));
        $this->assertSame(0, Artisan::call('destino:predict', ['--sire' => 'Enchi Cinnamon', '--dam' => 'Normal']));
        $this->assertStringContainsString('Rests on a disputed fact: Is enchi an allele at the cinnamon locus', Artisan::output());
    }

    public function test_a_document_with_wrong_fields_is_refused_whole(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-');
        file_put_contents(
            $file,
            json_encode(['format' => 'destino-pedigree/1', 'animals' => [['id' => 'A', 'sxe' => 'male', 'stated' => ['Clown']]]]),
        );
        $this->assertSame(2, Artisan::call('destino:infer', ['file' => $file, '--json' => true]));
        $answer = Artisan::output();
        $this->assertStringContainsString('sxe', $answer);
        $this->assertStringContainsString('animals[0].stated is a list', $answer);
        unlink($file);
    }

    /** @return array{Animal, Animal} */
    private function pair(string $sire, string $dam): array
    {
        return [
            $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => $sire]),
            $this->made(['name' => 'Tender', 'sex' => 'female', 'genotype' => $dam]),
        ];
    }

    /**
     * @param  list<int|null>  $sires
     * @param  array<string, mixed>  $values
     */
    private function clutch(Animal $dam, array $sires, array $values): Clutch
    {
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => '2026-07-05'] + $values);
        foreach ($sires as $sire) {
            $clutch->sires()->create($sire === null ? ['name' => 'A male elsewhere'] : ['animal_id' => $sire]);
        }

        return $clutch;
    }

    private function text(Animal $animal): string
    {
        return app(Doorway::class)->open(User::query()->findOrFail($animal->user_id))->beliefs()->text($animal->id);
    }
}
