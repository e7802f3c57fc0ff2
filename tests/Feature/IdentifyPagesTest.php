<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Clutch\KnownSoFar;
use App\Looks\Gallery;
use App\Looks\LoosePrint;
use App\Looks\StatePictures;
use App\Models\Animal;
use App\Models\Clutch;
use App\Words\OddsWords;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** One hatchling, one question after another. */
class IdentifyPagesTest extends TestCase
{
    use RefreshDatabase;

    private Clutch $clutch;

    /** @var array<string, Animal> */
    private array $young = [];

    private function hatch(): void
    {
        $sire = $this->made(['name' => 'Skerry', 'sex' => 'male', 'genotype' => 'Pastel Mojave het Clown', 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Marram', 'genotype' => 'Yellow Belly het Clown', 'hatched_on' => '2020-07-01']);
        $day = now()->subDays(12)->format('Y-m-d');
        $this->clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => $day, 'hatched' => 3]);
        $this->clutch->sires()->create(['animal_id' => $sire->id]);
        foreach (['One', 'Two', 'Three'] as $name) {
            $this->young[$name] = $this->made([
                'name' => $name, 'clutch_id' => $this->clutch->id, 'dam_id' => $dam->id, 'sire_id' => $sire->id, 'genotype' => null,
                'hatched_on' => $day,
            ]);
        }
    }

    private function address(?string $name = null): string
    {
        return "/clutches/{$this->clutch->id}/identify".($name === null ? '' : "/{$this->young[$name]->id}");
    }

    /** @return list<string> keys of questions as they stand on a page, those that are asked */
    private function asked(string $name, string $query = ''): array
    {
        $page = (string) $this->get($this->address($name).$query)->assertOk()->getContent();
        preg_match_all('/data-question="([a-z-]+)"[^>]*data-asked/', $page, $found);

        return $found[1];
    }

    public function test_the_most_telling_question_comes_first_and_the_order_stays(): void
    {
        $this->hatch();
        $this->get($this->address())->assertOk()->assertSee('One')->assertSee('Pastel 50')->assertSee('het Clown 50');
        $before = $this->asked('One');
        $this->assertGreaterThan(3, count($before));
        $this->post("/clutches/{$this->clutch->id}/bench", [
            'animal' => $this->young['One']->id, 'cue' => $before[0], 'state' => $this->stateOf($before[0]), 'from' => 'identify',
        ])->assertRedirect(route('identify', [$this->clutch, $this->young['One']->id]));
        $after = $this->asked('One');
        $this->assertSame($after, array_values(array_intersect($before, $after)), 'what is still asked stands in the order it had');
        $this->assertSame($before, $this->asked('Two'), 'a sibling is asked the same, in the same order');
    }

    private function stateOf(string $cue): string
    {
        return $this->app->make(CatalogueShelf::class)->cues()[$cue]->states[1];
    }

    public function test_places_of_the_body_may_give_the_order(): void
    {
        $this->hatch();
        $cues = $this->app->make(CatalogueShelf::class)->cues();
        $order = ['overall', 'head', 'snout', 'eye', 'neck', 'back', 'flank', 'belly-edge', 'belly', 'tail', 'scales', 'behaviour'];
        $places = array_map(fn (string $key): int => (int) array_search($cues[$key]->where, $order, true), $this->asked('One', '?order=place'));
        $sorted = $places;
        sort($sorted);
        $this->assertSame($sorted, $places);
    }

    public function test_a_tap_answers_with_what_it_is_by_now(): void
    {
        $this->hatch();
        $tap = fn (string $state, string $was, string $token): TestResponse => $this->postJson("/clutches/{$this->clutch->id}/bench", [
            'animal' => $this->young['One']->id, 'cue' => 'belly-edge', 'state' => $state, 'was' => $was, 'form_token' => $token,
        ]);
        $first = (string) Str::uuid();
        $answer = $tap('strong checks', '', $first)->assertOk()->json("answers.{$this->young['One']->id}");
        $this->assertContains('Yellow Belly', array_map(fn (string $words): string => (string) preg_replace('/ \d.*$/', '', $words), $answer['shown']));
        $this->assertSame('Yellow Belly', $answer['name'], 'what is likelier than not by its look');
        $this->assertNotContains('belly-edge', $answer['worth']);
        $this->assertSame($answer, $tap('strong checks', '', $first)->json("answers.{$this->young['One']->id}"), 'sent twice, made once');
        $this->assertSame(1, $this->young['One']->sightings()->count());
        $this->assertSame('Still open', $tap('strong checks', 'strong checks', (string) Str::uuid())->json("answers.{$this->young['One']->id}.name"), 'taken back');
        $this->assertSame(0, $this->young['One']->sightings()->count());
    }

    public function test_two_beside_each_other_are_asked_the_same_and_answered_each(): void
    {
        $this->hatch();
        [$one, $two] = [$this->young['One']->id, $this->young['Two']->id];
        $page = (string) $this->get($this->address('One')."?beside={$two}")->assertOk()->assertSee('One and Two')->assertSee('One alone')->getContent();
        preg_match_all('~data-question="([a-z-]+)".*?</section>~s', $page, $found);
        foreach ($found[0] as $question) {
            $this->assertSame([(string) $one, (string) $two], preg_match_all('/name="animal"\s+value="(\d+)"/', $question, $forms) ? $forms[1] : []);
        }
        $answers = $this->postJson("/clutches/{$this->clutch->id}/bench", [
            'animal' => $two, 'cue' => 'belly-edge', 'state' => 'strong checks', 'first' => $one, 'beside' => $two, 'form_token' => (string) Str::uuid(),
        ])->assertOk()->json('answers');
        $this->assertSame([$one, $two], array_keys($answers));
        $this->assertSame(['Still open', 'Yellow Belly'], array_column($answers, 'name'));
        $this->post("/clutches/{$this->clutch->id}/bench", [
            'animal' => $two, 'cue' => 'belly-edge', 'state' => 'faint checks', 'was' => 'strong checks', 'first' => $one, 'beside' => $two, 'from' => 'identify',
        ]);
        $this->get($this->address('One')."?beside={$one}")->assertOk()->assertSee('a sibling …');
        $this->get($this->address('One').'?beside=99999')->assertOk()->assertDontSee('alone');
    }

    public function test_another_clutch_has_other_hatchlings(): void
    {
        $this->hatch();
        $this->get("/clutches/{$this->clutch->id}/identify/{$this->clutch->dam_id}")->assertNotFound();
        $empty = $this->keeper()->clutches()->create(['dam_id' => $this->clutch->dam_id]);
        $this->get("/clutches/{$empty->id}/identify")->assertRedirect(route('bench', $empty));
        $this->get("/clutches/{$this->clutch->id}/bench")->assertOk()->assertSeeInOrder(['0 of 3 sure', 'Not looked at', 'May show', 'Clown', 'Identify One']);
    }

    public function test_all_that_hatched_are_added_at_once_and_once(): void
    {
        $this->hatch();
        $this->clutch->update(['hatched' => 7]);
        $this->clutch->counts()->create(['saw' => 'Pastel', 'count' => 1]);
        $page = $this->get("/clutches/{$this->clutch->id}")->assertOk()->assertSee('Hatchlings to add');
        $this->assertMatchesRegularExpression('/name="how_many"[^>]*value="3"/', (string) $page->getContent());
        $form = ['how_many' => '3', 'form_token' => (string) Str::uuid()];
        foreach (['3 hatchlings added.', 'These hatchlings are added already.'] as $said) {
            $this->post("/clutches/{$this->clutch->id}/hatchlings/all", $form)
                ->assertRedirect("/clutches/{$this->clutch->id}/first")->assertSessionHas('said', $said);
        }
        $new = Animal::query()->where('clutch_id', $this->clutch->id)->latest('id')->limit(3)->get();
        $this->assertSame(6, Animal::query()->where('clutch_id', $this->clutch->id)->count());
        $this->assertSame([3, 3], [$new->pluck('name')->unique()->count(), $new->pluck('number')->unique()->count()]);
        $this->assertSame([$this->clutch->dam_id], $new->pluck('dam_id')->unique()->all());
        $this->get("/clutches/{$this->clutch->id}")->assertDontSee('Hatchlings to add');
        foreach (['0', '31', 'x', ''] as $wrong) {
            $this->post("/clutches/{$this->clutch->id}/hatchlings/all", ['how_many' => $wrong] + $form)
                ->assertSessionHasErrorsIn('hatchlings', 'how_many');
        }
    }

    public function test_what_shows_and_what_is_carried_are_not_mixed(): void
    {
        $catalogue = $this->app->make(CatalogueShelf::class)->catalogue();
        $form = fn (string $locus, string $a, string $b, float $share): array => ['form' => $catalogue->form($locus, $a, $b), 'decimal' => $share];
        $clown = $catalogue->allele('clown')->locus;
        $pastel = $catalogue->allele('pastel')->locus;
        $known = new KnownSoFar([
            $form($clown, 'clown', 'clown', .25), $form($clown, 'clown', '+', .5), $form($pastel, 'pastel', '+', .9991),
            $form($pastel, 'pastel', 'pastel', .0009),
        ], $catalogue, 12);
        $this->assertSame(['Pastel almost certain', 'Clown '.OddsWords::share(.25)], $known->shown(), 'under one in a hundred is left out');
        $this->assertSame(['het Clown '.OddsWords::share(.50)], $known->carried());
        $this->assertSame(['Pastel', false], [$known->name(), $known->isSure()]);
        $this->assertSame(['Clown '.OddsWords::share(.25)], $known->open());
    }

    public function test_one_copy_and_two_that_look_the_same_are_one_look(): void
    {
        $catalogue = $this->app->make(CatalogueShelf::class)->catalogue();
        $locus = $catalogue->allele('calico')->locus;
        $forms = [
            ['form' => $catalogue->form($locus, 'calico', 'calico'), 'decimal' => .3], ['form' => $catalogue->form($locus, 'calico', '+'), 'decimal' => .698],
        ];
        $known = new KnownSoFar($forms, $catalogue, 5);
        $this->assertSame([['Calico almost certain'], 'Calico', true], [$known->shown(), $known->name(), $known->isSure()]);
    }

    public function test_what_nobody_tells_apart_at_this_age_is_one_thing(): void
    {
        $catalogue = $this->app->make(CatalogueShelf::class)->catalogue();
        [$one, $other] = $this->alike($catalogue);
        $forms = fn (float $share): array => [['form' => $one, 'decimal' => $share], ['form' => $other, 'decimal' => .98 - $share]];
        $this->assertSame(["{$one->text} or {$other->text} ".OddsWords::share(.98)], (new KnownSoFar($forms(.5), $catalogue, 5))->shown());
        $this->assertTrue((new KnownSoFar($forms(.5), $catalogue, 5))->isSure(), 'together they are sure');
        $this->assertStringNotContainsString(' or ', implode((new KnownSoFar($forms(.97), $catalogue, 5))->shown()), 'one of them is known');
    }

    /** @return array{Form, Form} two of a locus that look alike in the first weeks */
    private function alike(Catalogue $catalogue): array
    {
        foreach ($catalogue->lookAlikes as $set) {
            $forms = array_map(fn (string $member) => $set->formOf($member, $catalogue), $set->members);
            if ($set->holdsAtHatching() && count($forms) > 1 && $forms[0]->locus === $forms[1]->locus) {
                return [$forms[0], $forms[1]];
            }
        }
        $this->fail('no two genes of a locus look alike');
    }

    public function test_answers_are_drawn_on_the_hatchlings_own_look(): void
    {
        $this->hatch();
        $shelf = $this->app->make(CatalogueShelf::class);
        $pictures = new StatePictures($shelf);
        $look = LoosePrint::exact((new Gallery($shelf))->ofText('Pastel Enchi', 12, 7));
        $draw = fn (string $key, int $state, bool $own): string => (string) $pictures->draw($key, $state, $own ? $look : null);
        $seen = 0;
        foreach ($shelf->cues() as $key => $cue) {
            $all = array_map(fn (int $state): string => $pictures->has($key) ? $draw($key, $state, true) : '', array_keys($cue->states));
            if ($pictures->has($key)) {
                $this->assertSame(count($all), count(array_unique($all)), "{$key}: states are drawn apart");
                $seen++;
            }
        }
        $this->assertGreaterThan(20, $seen);
        $this->assertStringNotContainsString($this->fill($draw('back-band', 1, false)), $draw('back-band', 1, true), 'in its own colours');
        $address = $pictures->address('back-band', 1, $look, 'x');
        $this->assertSame($draw('back-band', 1, true), $this->get($address)->assertOk()->getContent());
        $normal = LoosePrint::exact((new Gallery($shelf))->ofText('Normal'));
        $this->assertSame([], $normal->values);
        $this->assertSame(
            $pictures->draw('back-band', 1, $normal), $this->get($pictures->address('back-band', 1, $normal, 'x'))->getContent(), 'a normal too',
        );
        foreach (['look=nothing~1', 'look=yellow~x', 'seed=x'] as $wrong) {
            $this->get("/genes/states/back-band/1.svg?{$wrong}")->assertNotFound();
        }
    }

    private function fill(string $svg): string
    {
        return preg_match_all('/fill="(#[0-9a-f]{6})"/', $svg, $found) > 1 ? $found[1][1] : $this->fail('nothing is filled');
    }
}
