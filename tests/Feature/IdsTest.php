<?php

namespace Tests\Feature;

use App\Models\Clutch;
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
        '/today', '/animals', '/animals?view=list', '/animals/create', '/animals/8', '/animals/8/edit', '/pair', '/pair?sire_id=7&dam_id=3&target=Clown',
        '/clutches', '/clutches/create', '/clutches/8', '/clutches/8/edit', '/clutches/9/eggs?egg=5', '/clutches/8/bench', '/clutches/8/identify',
        '/season', '/incubators', '/incubators/2', '/projects', '/projects/create', '/projects/1', '/prove', '/luck', '/genes', '/genes/own',
        '/genes/pastel', '/genes/compare', '/genes/design', '/genes/confusions', '/genes/train', '/house', '/racks', '/money', '/exchange',
        '/people', '/account', '/young', '/round/weight', '/round/feed', '/guide',
    ];

    public function test_every_id_is_there_once_and_every_reference_leads_to_one(): void
    {
        $this->seed(DemoSeeder::class);
        $this->flushSession();
        $this->actingAs(User::query()->where('email', 'boathouse@destino.localhost')->sole());
        $this->assertSame(9, Clutch::query()->findOrFail(9)->id);
        foreach (self::PAGES as $page) {
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
