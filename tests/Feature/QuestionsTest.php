<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Collection\Doorway;
use App\Collection\Kept;
use App\House\House;
use App\Models\Animal;
use App\Prove\Design;
use App\Prove\Evidence;
use App\Prove\OpenQuestions;
use App\Prove\Question;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Open questions by worth, mates by seasons, and what each clutch did to a belief. */
class QuestionsTest extends TestCase
{
    use RefreshDatabase;

    /** @return iterable<string, array{string, string, string, array<string, float>}> genes, group, question, answers */
    public static function questions(): iterable
    {
        yield 'a possible het' => ['66% het Clown', 'clown', 'Does Skiff carry Clown?', ['het Clown' => 2 / 3, 'does not carry it' => 1 / 3]];
        yield 'one copy or two' => [
            'Pinstripe (33% two copies)', 'pinstripe', 'Is Skiff Pinstripe or Homozygous Pinstripe?',
            ['Pinstripe' => 2 / 3, 'Homozygous Pinstripe' => 1 / 3],
        ];
        yield 'which of two' => [
            'Yellow Belly or Gravel', 'yellow-belly', 'Is Skiff Yellow Belly or Gravel?', ['Yellow Belly' => .5, 'Gravel' => .5],
        ];
        yield 'which maker' => [
            'Banana', 'sex', 'Is Skiff Banana (female maker) or Banana (male maker)?',
            ['Banana (female maker)' => .5, 'Banana (male maker)' => .5],
        ];
    }

    /** @param array<string, float> $answers */
    #[DataProvider('questions')]
    public function test_a_doubt_is_a_question_with_answers(string $genes, string $group, string $words, array $answers): void
    {
        $skiff = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => $genes]);
        $catalogue = app(CatalogueShelf::class)->catalogue();
        $key = $group === 'sex' ? $catalogue->sexGroup()->key : $catalogue->groupOf($catalogue->allele($group)->locus)->key;
        $questions = array_values(
            array_filter(
                Question::of($skiff, $this->beliefs()->belief($skiff->id), $catalogue),
                fn (Question $one): bool => $one->group->key === $key,
            ),
        );
        $this->assertCount(1, $questions);
        $found = $questions[0]->answers();
        $this->assertEqualsCanonicalizing(array_keys($answers), array_keys($found));
        foreach ($answers as $answer => $share) {
            $this->assertEqualsWithDelta($share, $found[$answer], .006, $answer); // as percentages are typed
        }
        $this->assertEqualsCanonicalizing(
            explode(' or ', str_replace(['Is Skiff ', 'Does Skiff carry ', '?'], '', $words)),
            explode(' or ', str_replace(['Is Skiff ', 'Does Skiff carry ', '?'], '', $questions[0]->words())),
        );
    }

    public function test_what_projects_want_and_what_is_for_sale_comes_first(): void
    {
        foreach (
            [
                'Plain' => 'het Ultramel', 'Wanted' => '50% het Clown', 'Unwanted' => '50% het Piebald',
                'Sold' => '50% het Albino', 'Gone' => '50% het Clown',
            ] as $name => $genes
        ) {
            $this->made(['name' => $name, 'genotype' => $genes]);
        }
        $this->made(['name' => 'Surer', 'genotype' => '90% het Piebald']);
        $this->keeper()->projects()->create(['name' => 'Heads', 'target' => 'Clown', 'weight' => 9]);
        $this->keeper()->animals()->where('name', 'Sold')->sole()->statusEvents()->create(['status' => 'for sale', 'on' => '2026-01-01']);
        $this->keeper()->animals()->where('name', 'Gone')->sole()->statusEvents()->create(['status' => 'sold', 'on' => '2026-01-01']);
        $ranked = (new OpenQuestions($this->keeper(), $this->beliefs(), app(CatalogueShelf::class), app(Kept::class)))->ranked();
        $this->assertSame(
            ['Wanted', 'Sold', 'Unwanted', 'Surer'],
            array_map(fn (array $one): string => $one['question']->animal->name, $ranked),
        );
        $this->assertSame(['wanted by Heads', 'the label it is sold under', '', ''], array_column($ranked, 'why'));
        // One bit, with half a bit for each of the weight of nine.
        $this->assertEqualsWithDelta(1 + .5 * 9, $ranked[0]['worth'], 1e-9);
    }

    public function test_the_mate_that_tells_soonest_comes_first_and_those_that_tell_nothing_are_left_out(): void
    {
        $skiff = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => '66% het Clown']);
        foreach (['Visual' => 'Clown', 'Het' => 'het Clown', 'Doubtful' => '50% het Clown', 'Plain' => 'Pastel'] as $name => $genes) {
            $this->made(['name' => $name, 'sex' => 'female', 'genotype' => $genes, 'hatched_on' => '2020-06-01']);
        }
        $mates = $this->design($skiff, 'clown')->mates();
        $this->assertSame(['Visual', 'Het', 'Doubtful'], array_map(fn (array $one): string => $one['mate']->name, $mates));
        $this->assertSame([[6, 8], [13, 19], [null, null]], array_map(fn (array $one): array => [$one['eggs95'], $one['eggs99']], $mates));
        // Six eggs of a clutch of 6 · 0.8464: two clutches, laid in 70 % of seasons.
        $this->assertSame(2.9, $mates[0]['seasons']);
        $this->assertNull($this->design($skiff, 'clown')->sons(), 'sons prove a dam');
    }

    public function test_sons_can_prove_a_dam_without_a_visual_mate(): void
    {
        $tender = $this->made(['name' => 'Tender', 'sex' => 'female', 'genotype' => '66% het Clown']);
        $this->made(['name' => 'Plain', 'sex' => 'male', 'genotype' => 'Pastel']);
        $design = $this->design($tender, 'clown');
        $this->assertSame([], $design->mates());
        $this->assertSame(
            ['50 %', '75 %', '88 %', '94 %'],
            array_map(fn (array $one): string => str_replace("\u{a0}", ' ', $one['carries']), $design->sons() ?? []),
        );
        $this->get("/prove/{$tender->id}/clown")->assertOk()->assertSee('No mate of the collection can settle it; sons held back can.');
        $this->get("/prove/{$tender->id}/nothing")->assertNotFound();
    }

    public function test_each_clutch_moves_a_belief_and_leaving_it_out_tells_how_much(): void
    {
        $skiff = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => '50% het Clown']);
        $tender = $this->made(['name' => 'Tender', 'genotype' => 'Clown']);
        $clutches = [];
        foreach ([[2024, 1], [2025, 2]] as [$year, $plain]) {
            $clutch = $this->keeper()->clutches()->create(['dam_id' => $tender->id, 'hatched_on' => "{$year}-07-01", 'hatched' => $plain]);
            $clutch->sires()->create(['animal_id' => $skiff->id]);
            $clutch->counts()->create(['saw' => 'not Clown', 'count' => $plain]);
            $clutches[] = $clutch->load('dam', 'sires.animal');
        }
        $beliefs = $this->beliefs();
        $catalogue = app(CatalogueShelf::class)->catalogue();
        $steps = (
            new Evidence(
                new Question($skiff->load('statements'), $beliefs->belief($skiff->id), $catalogue->groupOf('clown'), $catalogue),
                $beliefs, $clutches, [],
            )
        )->steps();
        // 1/2, then 1/3, then 1/9.
        $this->assertEqualsWithDelta([.5, 1 / 3, 1 / 9], array_map(fn (array $step): float => $step['shares']['het Clown'], $steps), 1e-9);
        $this->assertStringContainsString("het Clown 20\u{a0}%", (string) $steps[1]['without'], 'without the first: (1/4)/(1/4 + 1)');
        $this->assertStringContainsString("het Clown 33\u{a0}%", (string) $steps[2]['without']);
    }

    private function design(Animal $animal, string $gene): Design
    {
        $shelf = app(CatalogueShelf::class);
        $beliefs = $this->beliefs();
        $question = new Question($animal, $beliefs->belief($animal->id), $shelf->catalogue()->groupOf($gene), $shelf->catalogue());

        return new Design($question, $this->keeper(), $beliefs, $shelf, new House);
    }

    private function beliefs(): Beliefs
    {
        return app(Doorway::class)->open($this->keeper())->beliefs();
    }
}
