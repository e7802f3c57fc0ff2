<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\Statement;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\Support\Shelf;
use Tests\TestCase;

class SearchTest extends TestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-23 20:00');
    }

    public function test_what_is_kept_of_beliefs_follows_every_change_of_the_records(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown']);
        $child = $this->made(['name' => 'Dinghy', 'sex' => 'female', 'genotype' => 'Pastel', 'sire_id' => $sire->id]);
        $this->assertFound(['Dinghy', 'Skiff'], 'carries Clown');
        $this->assertFound(['Dinghy', 'Skiff'], 'carries Clown', 'asked a second time, when the answer is kept');

        $statement = Statement::query()->where('animal_id', $sire->id)->sole();
        $statement->update(['text' => 'Piebald']);
        $this->assertFound([], 'carries Clown', 'the sire is something else now');
        $this->assertFound(['Dinghy', 'Skiff'], 'carries Piebald', 'and so is its child');
        $this->assertStringContainsString('het Piebald', $this->believed($child));

        $statement->update(['text' => 'het Piebald']);
        $this->assertFound(['Skiff', 'Dinghy'], 'carries Piebald', 'the surest first: the child carries it with 1/2');
        $this->get('/animals?genes=carries+Piebald')->assertSee('50');

        $child->update(['sire_id' => null]);
        $this->assertFound(['Skiff'], 'carries Piebald', 'no child of his any more');
        $this->assertStringNotContainsString('Piebald', $this->believed($child));
        $statement->update(['text' => 'Clown']);
        $this->assertFound(['Skiff'], 'carries Clown', 'back as it was: nothing kept of the child of then');
    }

    public function test_ready_looks_at_the_last_weight_by_its_date(): void
    {
        $female = $this->made(['name' => 'Tender', 'sex' => 'female', 'genotype' => 'Clown', 'hatched_on' => '2021-07-01']);
        $other = $this->made(['name' => 'Barge', 'sex' => 'female', 'genotype' => 'Clown', 'hatched_on' => '2021-07-01']);
        $other->care()->create(['kind' => 'weight', 'on' => '2026-11-01', 'grams' => 1900]);
        $female->care()->create(['kind' => 'weight', 'on' => '2026-10-10', 'grams' => 1300]);
        $this->assertFound(['Barge'], 'carries Clown, female, ready', 'too light');

        $last = $female->care()->create(['kind' => 'weight', 'on' => '2026-11-10', 'grams' => 1700]);
        $this->assertFound(['Barge', 'Tender'], 'carries Clown, female, ready');
        $female->care()->create(['kind' => 'weight', 'on' => '2026-08-10', 'grams' => 1100]);
        $this->assertFound(['Barge', 'Tender'], 'carries Clown, female, ready', 'an older weight that was entered later');
        $female->care()->create(['kind' => 'feed', 'on' => '2026-11-20', 'outcome' => 'taken']);
        $this->assertFound(['Barge', 'Tender'], 'carries Clown, female, ready', 'a meal is no weight');
        $last->delete();
        $this->assertFound(['Barge'], 'carries Clown, female, ready', 'the last weight was taken out');
    }

    public function test_two_statuses_at_once_are_asked_about_and_none_is_dropped(): void
    {
        $sold = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown']);
        $this->made(['name' => 'Punt', 'sex' => 'male', 'genotype' => 'Clown']);
        $sold->statusEvents()->create(['status' => 'sold', 'on' => '2026-05-01']);
        $this->assertFound(['Skiff'], 'Clown, sold');
        $this->assertFound(['Skiff'], 'sold, Clown, sold', 'said twice it is one');
        $this->assertFound(['Punt'], 'Clown');
        $this->get('/animals?'.http_build_query(['genes' => 'Clown, sold, breeder']))->assertUnprocessable()
            ->assertSee('sold and breeder: an animal is one of them.')->assertDontSee(' fit. ')->assertSee('value="Clown, sold, breeder"', false);
    }

    public function test_an_animal_is_found_by_as_much_as_is_believed_of_it(): void
    {
        $genes = ['Clown', 'het Clown', '66% het Clown', 'Pastel', 'Super Pastel', 'Pastel het Clown', 'Mojave/Mystic', 'Normal', 'Yellow Belly or Gravel'];
        foreach ($genes as $i => $text) {
            $this->made(['name' => "Hull {$i}", 'sex' => 'female', 'genotype' => $text]);
        }
        $asked = ['carries Clown', 'Clown', 'het Clown', 'not Pastel', 'Yellow Belly or Gravel', 'super Pastel', 'Pastel + carries Clown', 'Yellow Belly', 'no Clown'];
        foreach ($asked as $question) {
            $target = Shelf::facts()->targets()->read($question);
            $chances = [];
            foreach ($genes as $i => $text) {
                $chance = $target->chanceFor(Shelf::belief($text), Shelf::catalogue());
                $chance->isZero() ?: $chances["Hull {$i}"] = $chance;
            }
            uksort($chances, fn (string $a, string $b): int => $chances[$b]->compareTo($chances[$a]) ?: $a <=> $b);
            $this->assertFound(array_keys($chances), $question, $question);
        }
    }

    private function believed(Animal $animal): string
    {
        $text = $this->get("/animals/{$animal->id}")->assertOk()->viewData('page')->card->genotype();
        $this->app->terminate();

        return $text;
    }

    /** @param list<string> $names in their order */
    private function assertFound(array $names, string $genes, string $why = ''): void
    {
        $response = $this->get('/animals?'.http_build_query(['genes' => $genes]))->assertOk();
        $found = array_map(fn ($card): string => $card->animal->name, $response->viewData('cards'));
        $this->app->terminate(); // what a request keeps is written after its answer
        $this->assertSame($names, $found, $why);
    }
}
