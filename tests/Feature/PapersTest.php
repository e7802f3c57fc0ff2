<?php

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

class PapersTest extends TestCase
{
    use RefreshDatabase;

    public function test_a_paper_says_what_the_records_support_and_on_what_it_rests(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'het Clown', 'number' => 'S1']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'het Clown']);
        $young = $this->made([
            'name' => 'Dory', 'number' => 'D7', 'sex' => null, 'genotype' => 'Normal', 'sire_id' => $sire->id, 'dam_id' => $dam->id,
            'hatched_on' => '2026-07-01',
        ]);
        $young->care()->create(['kind' => 'weight', 'on' => '2026-08-01', 'grams' => 95]);
        $text = $this->printed(
            (string) $this->get("/animals/{$young->id}/paper.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf')
                ->getContent(),
        );
        foreach (['Dory', 'D7 · sex not known, hatched', '66% het Clown', 'own identification', 'Sire: Skiff (S1), het Clown', 'Dam: Tender', '95 g on 1 August 2026'] as $words) {
            $this->assertStringContainsString($words, $text);
        }
    }

    public function test_an_animal_of_which_nothing_is_known_promises_nothing(): void
    {
        $bare = $this->made(['name' => trim(str_repeat('Windjammer ', 7)), 'sex' => null, 'genotype' => null, 'sire_name' => 'Old Painter']);
        $bare->update(['genes_open' => '']);
        $text = $this->printed((string) $this->get("/animals/{$bare->id}/paper.pdf")->assertOk()->getContent());
        foreach (['genes not known', 'Nothing was stated', 'Old Painter, of another collection', 'None recorded.'] as $words) {
            $this->assertStringContainsString($words, $text);
        }
    }

    public function test_a_paper_tells_what_was_seen_malformed_by_the_newest_note(): void
    {
        $animal = $this->made(['name' => 'Bent', 'genotype' => 'Pastel']);
        foreach (['2026-08-01' => 'severe', '2026-09-01' => 'slight'] as $on => $grade) {
            $animal->observations()->create(['condition' => 'Spinal kinking', 'grade' => $grade, 'on' => $on]);
        }
        $paper = fn (): string => $this->printed((string) $this->get("/animals/{$animal->id}/paper.pdf")->getContent());
        $this->assertStringContainsString('1 September 2026: Spinal kinking: slight.', $paper());
        $this->assertStringContainsString('not for breeding', $paper());
        $this->assertStringNotContainsString('severe', $paper());
        $animal->observations()->create(['condition' => 'Spinal kinking', 'grade' => 'none', 'on' => '2026-10-01']);
        $this->assertStringNotContainsString('kinking', $paper());
    }

    public function test_what_nobody_tells_apart_at_its_age_is_said_on_papers(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Cinnamon']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Black Pastel']);
        $mate = $this->made(['name' => 'Punt', 'genotype' => 'Pastel']);
        $young = fn (string $name, int $dam, int $days, string $genes) => $this->made([
            'name' => $name, 'genotype' => $genes, 'sire_id' => $sire->id, 'dam_id' => $dam, 'hatched_on' => now()->subDays($days)->format('Y-m-d'),
        ]);
        $both = $young('Dory', $dam->id, 20, 'Cinnamon');
        $one = $young('Gig', $mate->id, 20, 'Cinnamon');
        $plain = $young('Raft', $dam->id, 20, 'Normal');
        $says = 'Cinnamon or Black Pastel: cannot be told apart at this age';
        $this->get("/animals/{$both->id}")->assertSee($says);
        $this->assertStringContainsString($says, $this->printed((string) $this->get("/animals/{$both->id}/paper.pdf")->getContent()));
        foreach ([$one, $plain] as $other) {
            $this->get("/animals/{$other->id}")->assertOk()->assertDontSee('cannot be told apart');
        }
        $this->assertSame(1, substr_count($this->printed((string) $this->get('/labels.pdf')->getContent()), 'cannot be told'));
    }

    public function test_labels_are_printed_for_what_a_search_finds(): void
    {
        foreach (range(1, 25) as $i) {
            $this->made(['name' => "Hull {$i}", 'genotype' => $i === 3 ? 'Pastel' : '66% het Clown']);
        }
        $pdf = (string) $this->get('/labels.pdf')->assertOk()->getContent();
        $this->assertSame(2, preg_match_all('~/Type /Page\b[^s]~', $pdf), '25 labels, 24 on a sheet');
        $text = $this->printed($pdf);
        $this->assertSame(24, substr_count($text, '66% het Clown'));
        $one = $this->printed((string) $this->get('/labels.pdf?genes=Pastel')->assertOk()->getContent());
        $this->assertStringContainsString('Hull 3', $one);
        $this->assertSame(1, substr_count($one, 'Hull '));
        $this->get('/labels.pdf?find=nobody')->assertRedirect('/animals?find=nobody');
        $this->get('/labels.pdf?genes=Pastle')->assertRedirect('/animals?genes=Pastle');
    }

    public function test_the_longest_genes_are_made_small_and_never_cut_in_silence(): void
    {
        $some = 'Pastel Enchi Orange Dream Yellow Belly Leopard Spotnose Pinstripe het Clown het Piebald het Genetic Stripe het Ultramel';
        $this->made(['name' => 'Bark', 'genotype' => $some]);
        $this->assertStringContainsString('het Ultramel', $this->printed((string) $this->get('/labels.pdf')->getContent()));
        $sheet = new \App\Papers\Sheet('One');
        $sheet->AddPage();
        $sheet->fit(str_repeat('Yellow Belly ', 300), 0, 0, 39, 16, 8);
        $this->assertStringContainsString('the whole is in the record', $this->printed($sheet->bytes()));
    }

    public function test_the_list_of_offers_has_the_words_of_the_labels(): void
    {
        foreach (['for sale' => '=Gig', 'reserved' => 'Punt', 'breeder' => 'Barge'] as $status => $name) {
            $this->made(
                ['name' => $name, 'sex' => null, 'genotype' => '50% het Clown'],
            )->statusEvents()->create(['status' => $status, 'on' => '2026-01-01']);
        }
        \App\Models\Animal::query()->where('name', 'Punt')->sole()->sale()->create(['asking' => 30000, 'price' => 27550]);
        $csv = $this->get('/offered.csv')->assertOk()->streamedContent();
        $this->assertStringContainsString("'=Gig,\"not known\",,\"50% het Clown\",,,\"for sale\"", $csv);
        $this->assertStringContainsString('Punt', $csv);
        $this->assertStringContainsString('reserved,275.50,€', $csv);
        $this->assertStringNotContainsString('Barge', $csv);
    }

    /** The texts of a document, in the order in which they are drawn. */
    private function printed(string $pdf): string
    {
        $this->assertStringStartsWith('%PDF-', $pdf);
        preg_match_all('~/Filter /FlateDecode[^>]*/Length (\d+)[^>]*>>\s*stream\n~', $pdf, $streams, PREG_OFFSET_CAPTURE);
        $this->assertNotEmpty($streams[0]);
        $text = '';
        foreach ($streams[0] as $i => [$head, $at]) {
            $stream = (string) gzuncompress(substr($pdf, $at + strlen($head), (int) $streams[1][$i][0]));
            preg_match_all('~\[?\(((?:\\\\.|[^\\\\)])*)\)\]? ?TJ~s', $stream, $pieces);
            foreach ($pieces[1] as $piece) {
                $text .= mb_convert_encoding(stripslashes($piece), 'UTF-8', 'UTF-16BE').' ';
            }
        }

        return (string) preg_replace('~\s+~u', ' ', $text);
    }
}
