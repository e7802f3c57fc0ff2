<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Incubator;
use App\Models\Project;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use DOMDocument;
use DOMElement;
use DOMXPath;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** What a page names by an id is there once. */
class IdsTest extends TestCase
{
    use RefreshDatabase;

    private const PAGES = [
        '/today', '/animals', '/animals?view=list', '/animals/create', '/animals/{halyard}', '/animals/{halyard}/edit', '/pair', '/pair?sire_id={gunwale}&dam_id={halyard}&target=Clown',
        '/clutches', '/clutches/create', '/clutches/{keel}', '/clutches/{keel}/edit', '/clutches/{vellum}/eggs?egg=5', '/clutches/{keel}/bench', '/clutches/{keel}/identify',
        '/season', '/incubators', '/incubators/{incubator}', '/projects', '/projects/create', '/projects/{project}', '/prove', '/luck', '/genes', '/genes/own',
        '/genes/pastel', '/genes/compare', '/genes/design', '/genes/confusions', '/genes/train', '/house', '/house/all', '/racks', '/money', '/exchange',
        '/people', '/account', '/young', '/round/weight', '/round/feed', '/guide',
    ];

    public function test_every_id_is_there_once_and_every_reference_leads_to_one(): void
    {
        $this->seed(DemoSeeder::class);
        $this->flushSession();
        $this->actingAs(User::query()->where('email', 'boathouse@destino.localhost')->sole());
        $animal = fn (string $name): int => Animal::query()->where('name', $name)->sole()->id;
        $clutch = fn (string $dam): int => Clutch::query()->where('dam_id', $animal($dam))->latest('id')->firstOrFail()->id;
        $ids = [
            '{halyard}' => $animal('Halyard'), '{gunwale}' => $animal('Gunwale'), '{keel}' => $clutch('Keel'), '{vellum}' => $clutch('Vellum'),
            '{incubator}' => Incubator::query()->firstOrFail()->id, '{project}' => Project::query()->firstOrFail()->id,
        ];
        foreach (self::PAGES as $address) {
            $page = strtr($address, $ids);
            $this->assertSame([], $this->faultsOf((string) $this->get($page)->assertOk()->getContent()), $page);
        }
    }

    public function test_a_form_that_was_refused_too(): void
    {
        $this->from('/animals/create')->followingRedirects()->post('/animals', ['name' => '', 'genotype' => 'Pastle', 'hatched_on' => 'x']);
        $page = (string) $this->from('/animals/create')->followingRedirects()->post('/animals', ['name' => ''])->getContent();
        $this->assertSame([], $this->faultsOf($page));
        $this->assertStringContainsString('aria-invalid="true"', $page);
    }

    /** @return list<string> */
    private function faultsOf(string $html): array
    {
        $document = new DOMDocument;
        libxml_use_internal_errors(true);
        $document->loadHTML($html);
        $paths = new DOMXPath($document);
        $ids = $faults = [];
        foreach ($paths->query('//*[@id]') ?: [] as $one) {
            $id = $one instanceof DOMElement ? $one->getAttribute('id') : '';
            isset($ids[$id]) ? $faults[] = "{$id} twice" : $ids[$id] = true;
        }
        foreach (['aria-describedby', 'aria-labelledby', 'for', 'list'] as $name) {
            foreach ($paths->query("//*[@{$name}]") ?: [] as $one) {
                $wanted = $one instanceof DOMElement ? preg_split('/\s+/', trim($one->getAttribute($name))) ?: [] : [];
                foreach (array_filter($wanted) as $id) {
                    isset($ids[$id]) ?: $faults[] = "{$name} of {$id}";
                }
            }
        }

        return array_values(array_unique($faults));
    }
}
