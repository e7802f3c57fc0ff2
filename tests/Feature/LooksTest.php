<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Drawing\SnakeSvg;
use App\Looks\Gallery;
use App\Looks\KeptDrawings;
use App\Models\Animal;
use App\Models\Drill;
use App\Train\Examiner;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class LooksTest extends TestCase
{
    use RefreshDatabase;

    public function test_the_same_genotype_age_and_seed_are_drawn_the_same_byte_for_byte(): void
    {
        $gallery = fn (): Gallery => new Gallery(app(CatalogueShelf::class));
        $drawn = fn (string $text, string $size = 'full', int $seed = 0): string => (new KeptDrawings(null))->alone($gallery()->ofText($text, 1000, $seed), 'x', $size);
        foreach (['Normal', 'Pastel Clown', 'Piebald Yellow Belly'] as $text) {
            foreach (['small', 'card', 'full', 'flat'] as $size) {
                $this->assertSame($drawn($text, $size), $drawn($text, $size));
            }
        }
        $this->assertSame($drawn('Pastel Clown', 'small'), $drawn('Clown Pastel', 'small'), 'in whatever order');
        $this->assertNotSame($drawn('Normal'), $drawn('Normal', 'full', 3));
        $limits = ['small' => 7_000, 'card' => 15_000, 'full' => 40_000, 'flat' => 40_000];
        foreach (['Normal', 'GHI Mojave', 'Monsoon', 'Super Gravel', 'Super Mojave', 'Pastel Spider', 'Banana Piebald'] as $text) {
            foreach ($limits as $size => $most) {
                $this->assertNotFalse(simplexml_load_string($drawn($text, $size)), "{$text} is well-formed");
                $this->assertLessThan($most, strlen(SnakeSvg::content($gallery()->ofText($text), $size)), "{$text}, {$size}");
            }
        }
    }

    public function test_a_drawing_shows_what_the_amounts_say(): void
    {
        $gallery = new Gallery(app(CatalogueShelf::class));
        $fills = function (string $text) use ($gallery): array {
            preg_match_all('/fill="(#[0-9a-f]{6})"/', SnakeSvg::content($gallery->ofText($text), 'card'), $found);

            return $found[1];
        };
        $brightness = fn (string $hex): int => (int) array_sum(array_map(hexdec(...), str_split(substr($hex, 1), 2)));
        $this->assertLessThan(120, min(array_map($brightness, $fills('Normal'))), 'black on it');
        $this->assertGreaterThan(600, min(array_map($brightness, array_slice($fills('Super Lesser'), 0, 6))), 'nothing dark');
        $this->assertContains('#faf7f0', $fills('Piebald'), 'white without pigment');
        $this->assertNotContains('#faf7f0', $fills('Normal'));
        $this->assertContains('#7fb4d8', $fills('Super Mojave'), 'blue eyes');
        $this->assertSame($fills('Lesser'), $fills('Butter'), 'which nobody tells apart');
        $this->assertNotSame($fills('Pastel'), $fills('Enchi'));
    }

    /** States of a cue that the eye tells apart are not drawn alike, but for those that a drawing of this size cannot hold. */
    public function test_states_of_a_cue_are_drawn_apart(): void
    {
        $alike = [];
        foreach (app(CatalogueShelf::class)->shipped()['cues'] as $cue) {
            $drawn = [];
            foreach ($cue['states'] as $state) {
                $amounts = $state['picture']['amounts'] ?? null;
                if ($amounts !== null && ! isset($amounts['before']) && ! isset($state['picture']['draw'])) {
                    $look = new \Destino\Appearance\Look($amounts, [], \Destino\Appearance\Sureness::Known, [], 1000, 0);
                    $drawn[SnakeSvg::content($look, 'flat')][] = "{$cue['key']}: {$state['name']}";
                }
            }
            $alike = [...$alike, ...array_values(array_filter($drawn, fn (array $same): bool => count($same) > 1))];
        }
        $this->assertSame([['body-scales: normal', 'body-scales: small']], $alike);
    }

    public function test_each_state_of_a_cue_comes_as_a_picture_of_its_own(): void
    {
        $first = $this->get('/genes/states/belly-edge/0.svg')->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        $this->assertNotFalse(simplexml_load_string((string) $first->getContent()));
        $this->assertSame($first->getContent(), $this->get('/genes/states/belly-edge/0.svg')->getContent(), 'kept');
        $this->assertNotSame($first->getContent(), $this->get('/genes/states/belly-edge/2.svg')->assertOk()->getContent());
        foreach (['belly-edge/17', 'balance/0', 'eye-size/0', 'shed-print/0', 'nothing/0'] as $none) {
            $this->get("/genes/states/{$none}.svg")->assertNotFound();
        }
    }

    public function test_every_outcome_of_a_pairing_has_its_drawing(): void
    {
        $ask = '/pair?sire=Pastel+Enchi&dam=Mojave+het+Clown&target=Pastel+Mojave';
        // Nobody waits for drawings that were never made: they come by themselves, each under an address that says all of it.
        $this->assertStringNotContainsString('<symbol', $first = (string) $this->get($ask)->assertOk()->getContent());
        $files = $this->drawings($first);
        $page = $this->get($ask)->assertOk();
        $html = (string) $page->getContent();
        $this->assertStringNotContainsString('/genes/drawing.svg', $html);
        preg_match_all('~<symbol[^>]*>(.*?)</symbol>~', $html, $symbols);
        foreach ($symbols[1] as $symbol) {
            $bare = str_replace('class="skin-edge" stroke="#8c8677" stroke-opacity=".6" stroke-width="1.6"', 'class="skin-edge"', $files);
            $this->assertStringContainsString($symbol, $bare);
        }
        $this->assertSame(8, substr_count($html, '<symbol id="skin-'));
        $page->assertSeeInOrder(['The likeliest looks', 'Pastel Enchi Mojave', '★', 'All outcomes']);
        foreach (range(0, 7) as $i) {
            $this->assertStringContainsString("<use href=\"#skin-{$i}\"/>", $html);
        }
        $this->get('/pair?sire=Mojave+Pastel&dam=Mojave&by=genotype')->assertSee('Not to be seen in it: Pastel.');
    }

    /** All drawings that a page asks for, one after the other. */
    private function drawings(string $html): string
    {
        preg_match_all('~(?:src|href)="(/genes/drawing\.svg[^"]*)"~', $html, $found);
        $this->assertNotSame([], $found[1]);

        return implode('', array_map(function (string $address): string {
            $answer = $this->get(html_entity_decode($address))->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
            $this->assertStringContainsString('immutable', (string) $answer->headers->get('Cache-Control'));

            return (string) $answer->getContent();
        }, array_unique($found[1])));
    }

    /** @return iterable<string, array{string}> */
    public static function addressesOfNoDrawing(): iterable
    {
        yield 'an axis that is none' => ['amounts=feathers~100&seed=0&size=small'];
        yield 'an amount beyond all' => ['amounts=yellow~99999&seed=0&size=small'];
        yield 'an axis twice' => ['amounts=yellow~100.yellow~100&seed=0&size=small'];
        yield 'no number' => ['amounts=yellow~much&seed=0&size=small'];
        yield 'a size that is none' => ['amounts=yellow~100&seed=0&size=poster'];
        yield 'a seed that is none' => ['amounts=yellow~100&seed=1e9&size=small'];
        yield 'nothing' => [''];
    }

    #[DataProvider('addressesOfNoDrawing')]
    public function test_an_address_that_tells_no_drawing_is_no_page(string $query): void
    {
        $this->get('/genes/drawing.svg?'.$query)->assertNotFound();
    }

    public function test_the_heaviest_pairing_stays_light(): void
    {
        $ask = '/pair?sire=Pastel+Enchi+Leopard+Banana&dam=Mojave+Fire+Yellow+Belly';
        $this->drawings((string) $this->get($ask)->assertOk()->getContent());
        $html = (string) $this->get($ask)->assertOk()->getContent();
        $this->assertSame(60, substr_count($html, '<tr id="outcome-'));
        $this->assertLessThan(480_000, strlen($html));
    }

    public function test_animals_show_their_likeliest_look(): void
    {
        $animal = $this->made(['name' => 'Skiff', 'genotype' => 'Clown', 'hatched_on' => '2022-07-01']);
        $this->drawings((string) $this->get('/animals')->assertOk()->getContent());
        $this->get('/animals')->assertOk()->assertSee('<symbol id="skin-0"', false);
        $this->get("/animals/{$animal->id}")->assertOk()->assertSee('A drawing of the likeliest look');
    }

    public function test_genotypes_are_compared_in_words(): void
    {
        $this->get('/genes/compare')->assertOk()->assertSeeInOrder(['begin', 'One copy and two', 'Super Pastel', 'Alleles of one locus'])->assertSee('symbol id="skin-8"', false);
        $this->get('/genes/compare?'.http_build_query(['genes' => ['Normal', 'Pastel', 'Pastel Clown']]))->assertOk()
            ->assertSeeInOrder(['the others are held against this one', 'more yellow', 'without Pastel', 'without Clown']);
        $this->get('/genes/compare?'.http_build_query(['genes' => ['Lesser', 'Butter']]))->assertSee('hard to tell apart');
        $this->get('/genes/compare?'.http_build_query(['genes' => ['Pastel', 'Clwn']]))->assertUnprocessable()
            ->assertSee('Did you mean Clown?')->assertSee('value="Clwn"', false);
        $this->get(
            '/genes/compare?'.http_build_query(['genes' => array_fill(0, 9, 'Pastel')]),
        )->assertUnprocessable()->assertSee('At most 6');
        $this->get('/genes/compare?'.http_build_query(['genes' => [['x'], 'Pastel'], 'age' => 'old', 'individual' => '-4']))->assertOk();
        $this->get('/genes/compare?genes=Pastel')->assertOk();
    }

    public function test_wishes_lead_to_a_project(): void
    {
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'GHI', 'hatched_on' => '2022-07-01']);
        $page = $this->get(
            '/genes/design?'.http_build_query(['base' => 'Ultramel', 'wish' => ['contrast' => 'more', 'stripe' => 'keep']]),
        )->assertOk();
        $page->assertSee('more contrast')->assertSee('You have: Skiff')->assertSee('Make it a project');
        $this->get('/projects/create?target=Ultramel+GHI')->assertOk()->assertSee('value="Ultramel GHI"', false);
        $this->get(
            '/genes/design?'.http_build_query(['wish' => ['yellow' => 'more', 'silver' => 'more']]),
        )->assertOk()->assertSee('pull against each other');
        $this->get('/genes/design?base=Clwn')->assertUnprocessable()->assertSee('Did you mean Clown?');
        $this->get(
            '/genes/design?'.http_build_query(['wish' => ['yellow' => ['more'], 'nonsense' => 'more', 'orange' => 'lots']]),
        )->assertOk()->assertSee('Say what should change.');
    }

    public function test_what_will_be_mixed_up_is_listed_for_the_genes_that_are_here(): void
    {
        $this->get('/genes/confusions')->assertOk()->assertSee('Nothing in this collection looks alike enough');
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Fire Mojave', 'hatched_on' => '2022-07-01']);
        $this->made(['name' => 'Tender', 'genotype' => 'Vanilla Phantom', 'hatched_on' => '2021-07-01']);
        $this->get('/genes/confusions')->assertOk()->assertSee('Vanilla')->assertSee('fire is usually the brighter')
            ->assertSee('What hides what')->assertSee('Super Mojave');
    }

    public function test_a_round_of_ten_is_played_and_kept(): void
    {
        $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Pastel Clown', 'hatched_on' => '2022-07-01']);
        $this->get('/genes/train')->assertOk()->assertSee('Learn to see it.')->assertSee('0 due today');
        $this->post('/genes/train/begin')->assertRedirect('/genes/train');
        $signs = new \App\Catalogue\GeneSigns(app(CatalogueShelf::class));
        $examiner = new Examiner(new Gallery(app(CatalogueShelf::class)), ['pastel', 'clown'], $signs);
        $told = $examiner->question('cue:pastel', 3) ?? $this->fail('it is asked');
        $this->assertSame('Iris colour: green-gold', $told->options[$told->answer]['label']);
        $this->assertSame('eye', $told->place, 'the place of the cue that is asked');
        foreach (range(0, 9) as $at) {
            $state = session('train');
            $question = $examiner->question($state['items'][$at], $state['seed'] + $at);
            $this->assertNotNull($question);
            $this->get('/genes/train')->assertOk()->assertSee('Question '.($at + 1).' of 10')->assertSee($question->asks);
            $this->post(
                '/genes/train',
                ['at' => $at, 'choice' => $at === 3 ? ($question->answer + 1) % count($question->options) : $question->answer],
            );
            $this->post('/genes/train', ['at' => $at, 'choice' => 0]); // a double tap counts once
            $this->get('/genes/train')->assertSee($at === 3 ? 'No: it is' : 'Right:');
            $this->post('/genes/train/next');
        }
        $this->get('/genes/train')->assertSee('9 of 10 right.')->assertSee('How you do');
        $this->assertSame(10, Drill::query()->count());
        $this->assertSame([9, 1], [Drill::query()->where('box', 1)->count(), Drill::query()->where('box', 0)->count()]);
        $this->assertSame(10, (int) Drill::query()->sum('right') + (int) Drill::query()->sum('wrong'));
        $this->assertStringContainsString('pastel', Drill::query()->orderBy('id')->value('item'), 'genes of the collection first');
        $this->travel(1)->days();
        $this->post('/genes/train/begin');
        $this->assertSame(Drill::query()->where('box', 0)->value('item'), session('train')['items'][0], 'what is weak comes first');
    }

    public function test_the_trainer_asks_nothing_that_the_drawing_cannot_show(): void
    {
        $items = (new Examiner(new Gallery(app(CatalogueShelf::class)), ['pastel']))->items();
        $this->assertStringStartsWith('tell:pastel', $items[0]);
        foreach (['microscale', 'daddy'] as $invisible) {
            $this->assertSame([], preg_grep("/(^|:){$invisible}(:|$)/", $items));
        }
        $this->assertGreaterThan(100, count($items));
        foreach (['at' => 'x', 'choice' => '77'] as $field => $value) {
            $this->post('/genes/train', [$field => $value])->assertSessionHasErrors();
        }
        $this->post('/genes/train', ['at' => '0', 'choice' => '1'])->assertRedirect();
        $this->assertSame(0, Drill::query()->count(), 'no round has begun');
    }

    public function test_drills_come_back_from_an_archive(): void
    {
        $drill = new Drill(
            ['who' => 'Somebody', 'item' => 'tell:pastel', 'box' => 3, 'due_on' => '2026-12-01', 'right' => 5, 'wrong' => 1],
        );
        $drill->user_id = $this->keeper()->id;
        $drill->save();
        $this->artisan('destino:export', ['--format' => 'json'])->assertSuccessful();
        $this->assertTrue(collect(\App\Models\Kinds::sections())->contains(fn ($kind): bool => $kind->name === 'drill'));
    }

    public function test_the_command_answers_as_the_document_says(): void
    {
        $ask = function (array $options): array {
            $this->assertSame(0, Artisan::call('destino:looks', ['--json' => true] + $options));

            return (array) json_decode(Artisan::output(), true);
        };
        $look = $ask(['--genes' => 'Pastel het Clown', '--against' => 'Normal']);
        $this->assertSame(
            ['destino-look/1', 'adult', 1, 'well known'], [$look['format'], $look['age'], $look['seed'], $look['confidence']],
        );
        $this->assertTrue(
            (new \Opis\JsonSchema\Validator)->validate(
                json_decode((string) json_encode($look)), (string) file_get_contents(base_path('docs/formats/look.schema.json')),
            )->isValid(),
        );
        $this->assertSame([112, 23], [$look['scales']['columns'], $look['scales']['rows']]);
        $this->assertCount(23, $look['scales']['index']);
        $this->assertCount(112, $look['scales']['index'][0]);
        $this->assertLessThan(count($look['scales']['colours']), max(array_merge(...$look['scales']['index'])));
        $this->assertContains('more yellow', array_column($look['differences'], 'text'));
        $this->assertSame($look, $ask(['--genes' => 'Pastel het Clown', '--against' => 'Normal']));
        $this->assertNotSame($look['scales'], $ask(['--genes' => 'Pastel het Clown', '--seed' => '2'])['scales']);
        $this->assertSame(['Pastel'], $ask(['--genes' => 'Super Lesser Pastel'])['hidden']);
        foreach ([['--genes' => 'Clwn'], ['--genes' => 'Clown', '--age' => 'old'], ['--genes' => 'Clown', '--seed' => '0'], ['--genes' => 'Clown', '--against' => 'Pstel']] as $wrong) {
            $this->assertSame(2, Artisan::call('destino:looks', $wrong));
        }
        $this->assertSame(0, Artisan::call('destino:looks', ['--genes' => 'Clown', '--svg' => true]));
        $this->assertNotFalse(simplexml_load_string(Artisan::output()));
    }

    public function test_the_trainer_asks_of_own_photographs_and_lifts_what_tells(): void
    {
        $yellow = $this->made(['name' => 'Skiff', 'genotype' => 'Yellow Belly', 'hatched_on' => '2022-01-01']);
        $two = $this->made(['name' => 'Two', 'genotype' => 'Pastel Yellow Belly']); // two genes show
        $open = $this->made(['name' => 'Open', 'genotype' => 'Yellow Belly or Gravel']); // not sure
        $hidden = $this->made(['name' => 'Het', 'genotype' => 'Yellow Belly 66% het Clown']); // what is hidden matters not
        foreach ([$yellow, $two, $open, $hidden] as $animal) {
            $animal->photos()->create(['on' => '2026-01-01', 'file' => 'photos/x.jpg', 'width' => 4, 'height' => 3]);
        }
        $opened = app(\App\Collection\Doorway::class)->open($this->keeper());
        $photos = (new \App\Train\Photographed($opened))->genes();
        $ids = fn (Animal ...$of): array => array_map(fn (Animal $animal): int => $animal->photos()->sole()->id, $of);
        $this->assertSame(
            array_fill_keys($ids($yellow), 'yellow-belly'), array_intersect_key($photos, array_flip($ids($yellow, $two, $open))),
        );
        $this->assertSame('yellow-belly', $photos[$ids($hidden)[0]] ?? null);

        $examiner = new Examiner(new Gallery($opened->shelf), [], new \App\Catalogue\GeneSigns($opened->shelf), $photos);
        $item = "photo:{$ids($yellow)[0]}";
        $this->assertContains($item, $examiner->items());
        $question = $examiner->question($item, 5) ?? $this->fail('it is asked');
        $this->assertSame(['Yellow Belly', $ids($yellow)[0]], [$question->options[$question->answer]['label'], $question->photo]);
        $this->assertNotNull($question->place);
        $this->assertNull($examiner->question('photo:4711', 5), 'a photograph that is gone');

        $this->post('/genes/train/begin');
        $asked = array_filter(session('train')['items'], fn (string $one): bool => str_starts_with($one, 'photo:'));
        $this->assertCount(2, $asked);
        session()->put('train', ['items' => [$item], 'seed' => 5, 'at' => 0, 'right' => 0, 'last' => null]);
        $this->get('/genes/train')->assertOk()->assertSee('One of your own animals')->assertSee("/photos/{$ids($yellow)[0]}", false);
        $this->post('/genes/train', ['at' => 0, 'choice' => $question->answer]);
        $this->get('/genes/train')->assertOk()->assertSee('data-lift-now="'.$question->place.'"', false)->assertSee('Look at: ');
    }
}
