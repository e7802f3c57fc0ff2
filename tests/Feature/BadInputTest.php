<?php

namespace Tests\Feature;

use App\Http\Middleware\OneValueForOneField;
use DOMDocument;
use DOMElement;
use DOMXPath;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/** Forms about anything else; and every list that a form sends. */
class BadInputTest extends BadInputCase
{
    public function test_every_list_that_a_form_of_ours_sends_is_taken(): void
    {
        Storage::fake('local');
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Spider het Clown']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Spider']);
        $project = $this->keeper()->projects()->create(['name' => 'Mine', 'target' => 'Clown']);
        $list = (string) $this->post(
            '/exchange', ['file' => UploadedFile::fake()->createWithContent('list.csv', "ID,Name,Sex\nA1,Yawl,m\n")],
        )->headers->get('Location');
        $lists = [];
        foreach (
            [
                '/house', '/clutches/create', '/round/weight', '/round/feed', '/projects/create', "/projects/{$project->id}",
                "/pair?sire_id={$sire->id}&dam_id={$dam->id}", $list,
            ] as $page
        ) {
            $document = new DOMDocument;
            $document->loadHTML((string) $this->get($page)->assertOk()->getContent(), LIBXML_NOERROR);
            foreach ((new DOMXPath($document))->query('//form//*[contains(@name, "[")]') ?: [] as $control) {
                for ($form = $control; $form instanceof DOMElement && $form->nodeName !== 'form'; $form = $form->parentNode);
                $field = strstr($control->getAttribute('name'), '[', true);
                $action = $form->getAttribute('action') ?: $page;
                $answer = (new OneValueForOneField)->handle(
                    Request::create($action, strtoupper($form->getAttribute('method')), [$field => ['x' => 'y']]),
                    fn (): Response => new Response('taken'),
                );
                $this->assertSame('taken', $answer->getContent(), "{$field} on {$page}");
                $lists[$field] = true;
            }
        }
        $this->assertEqualsCanonicalizing(
            ['schools', 'stances', 'lines', 'sires', 'rows', 'assumptions', 'school', 'columns'], array_keys($lists),
        );
        $this->get($list.'?'.http_build_query(['columns' => ['number', 'notes', 'sex']]))->assertOk()->assertSee('Look again');
    }
}
