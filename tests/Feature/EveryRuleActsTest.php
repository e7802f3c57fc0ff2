<?php

namespace Tests\Feature;

use App\Animals\AnimalPage;
use App\Clutch\EggTray;
use App\Collection\AnimalCard;
use App\Collection\Doorway;
use App\Collection\Families;
use App\Family\Relatedness;
use App\House\Choices;
use App\House\House;
use App\House\Stances;
use App\Models\Animal;
use App\Models\HouseRules;
use App\Papers\Label;
use App\Projects\ProjectPage;
use App\Projects\Workshop;
use App\Season\TodayPage;
use Destino\Genome\Sex;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Nothing is asked of a keeper that changes no answer. */
class EveryRuleActsTest extends TestCase
{
    use RefreshDatabase;

    /** @return iterable<string, array{string, list<mixed>}> rule, choices that must give different answers */
    public static function rules(): iterable
    {
        foreach (Choices::simple() as $key => $choice) {
            yield $key => [$key, array_keys($choice['options'])];
        }
        foreach (Choices::numbers() as $key => $number) {
            yield $key => [$key, [$number['min'], $number['default'] === $number['min'] ? $number['max'] : $number['default']]];
        }
        yield 'currency' => ['currency', ['€', 'kr']];
        yield 'number_pattern' => ['number_pattern', ['{000}', '{yy}-{00}']];
    }

    /** @param list<mixed> $choices */
    #[DataProvider('rules')]
    public function test_every_choice_changes_an_answer(string $key, array $choices): void
    {
        $this->collection();
        $answers = array_map(fn (mixed $choice): string => $this->answer($key, [$key => $choice]), $choices);
        $this->assertCount(count($choices), array_unique($answers), implode(' | ', $answers));
    }

    public function test_every_stance_school_and_line_changes_an_answer(): void
    {
        $opened = app(Doorway::class)->open($this->keeper());
        $catalogue = $opened->shelf->catalogue();
        $walked = 0;
        foreach (Stances::all($catalogue) as $key => $entry) {
            $stances = array_map(
                fn (string $stance): string => (new House(['stances' => [$key => $stance]]))->stances($catalogue)[$key]->value,
                ['inform', 'warn', 'refuse'],
            );
            $this->assertSame(['inform', 'warn', 'refuse'], $stances);
            $walked++;
        }
        foreach ($catalogue->claims as $claim) {
            $facts = array_map(
                fn (string $school): string => serialize($this->shelfUnder(['schools' => [$claim->key => $school]])->catalogue()),
                array_keys($claim->schools),
            );
            $this->assertCount(count($claim->schools), array_unique($facts), "{$claim->key}: each school has facts of its own");
            $walked++;
        }
        foreach ($catalogue->sharedLines() as $shared) {
            $read = array_map(
                fn (string $line): string => serialize(
                    $this->shelfUnder(['lines' => [$shared->name => $line]])->reader()->read($shared->name, Sex::Female)->belief,
                ),
                $shared->choices,
            );
            $this->assertCount(count($shared->choices), array_unique($read), "“{$shared->name}” is read as chosen");
            $walked++;
        }
        $this->assertGreaterThan(20, $walked);
    }

    private function collection(): void
    {
        $sire = $this->made(['name' => 'Sire', 'sex' => 'male', 'genotype' => 'het Clown', 'hatched_on' => '2016-07-01']);
        $dam = $this->made(['name' => 'Dam', 'genotype' => 'het Clown', 'hatched_on' => '2016-07-01']);
        foreach (['Son' => 'male', 'Daughter' => 'female'] as $name => $sex) {
            $young = $this->made([
                'name' => $name, 'sex' => $sex, 'genotype' => 'het Clown', 'hatched_on' => '2019-07-01', 'sire_id' => $sire->id,
                'dam_id' => $dam->id,
            ]);
            $young->care()->create([
                'kind' => 'weight', 'on' => Carbon::today()->subDay()->format('Y-m-d'), 'grams' => $sex === 'male' ? 300 : 1000,
            ]);
        }
    }

    /** Of an animal that has a name of the house. */
    private function label(): string
    {
        $this->post('/genes/own', ['kind' => 'nickname', 'combination' => 'Wharf', 'means' => 'Pastel Enchi']);
        $animal = $this->keeper()->animals()->where('name', 'Named')->first()
            ?? $this->made(['name' => 'Named', 'sex' => 'male', 'genotype' => 'Pastel Enchi het Clown']);
        $opened = app(Doorway::class)->open($this->keeper()->fresh());

        return Label::in($opened, (new AnimalPage($animal, $opened))->card)->genes;
    }

    /** @param array<string, mixed> $choices */
    private function answer(string $key, array $choices): string
    {
        HouseRules::query()->where('user_id', $this->keeper()->id)->delete();
        HouseRules::query()->forceCreate(['user_id' => $this->keeper()->id, 'choices' => $choices, 'version' => 1]);
        $opened = app(Doorway::class)->open($this->keeper()->fresh());
        $animal = fn (string $name): Animal => $this->keeper()->animals()->where('name', $name)->sole();
        if (str_starts_with($key, 'error_')) {
            return serialize(Families::rates($opened->house)->all());
        }
        [$sex, $of] = [...explode('_', $key), ''];

        return match (true) {
            in_array($of, ['months', 'grams'], true) => $this->readiness(
                $animal($sex === 'male' ? 'Son' : 'Daughter'), $key, $opened->house,
            ),
            $key === 'females_per_male' => (string) $opened->house->number($key)
                .(new Workshop($opened))->project($this->project())->assumptions->femalesPerMale,
            $key === 'relatedness' => $this->related($choices[$key]),
            $key === 'slash' => serialize($opened->shelf->reader()->read('Lesser/Butter', Sex::Female)->belief),
            $key === 'labels' => $this->label(),
            $key === 'dominance' => (string) preg_replace('/\s+/', ' ', strip_tags($this->get('/genes')->getContent())),
            $key === 'week' => (string) (new TodayPage($opened))->week()->days[0]['day'],
            $key === 'weight' => $opened->house->weight(1420),
            $key === 'temperature' => $opened->house->temperature(31.5).$opened->house->celsius('31.5'),
            $key === 'opening' => (string) $this->opening($opened->house),
            $key === 'opening_day' => (string) $this->opening(new House(['opening' => 'from-day'] + $choices)),
            $key === 'risk' => (new ProjectPage($this->planned(), new Workshop($opened)))->answer(),
            $key === 'currency' => $opened->house->money(1250),
            default => (string) $this->numbered(),
        };
    }

    /** What is said to opening an egg on day 50, before any has pipped. */
    private function opening(House $house): ?string
    {
        $dam = $this->keeper()->animals()->where('name', 'Dam')->sole();
        $clutch = $this->keeper()->clutches()->firstOrCreate(['dam_id' => $dam->id]);
        $clutch->update(['laid_on' => '2026-01-01', 'eggs_good' => 5]);

        return EggTray::objection($clutch->fresh(), $house, Carbon::parse('2026-02-20'));
    }

    private function readiness(Animal $animal, string $key, House $house): string
    {
        $young = $this->keeper()->animals()->where('name', $animal->name)->sole();
        $young->hatched_on = str_ends_with($key, 'months')
            ? Carbon::today()->subMonths(str_starts_with($key, 'male') ? 6 : 20)
            : $young->hatched_on;
        $card = new AnimalCard(
            $young, app(Doorway::class)->open($this->keeper())->beliefs(),
            app(Doorway::class)->open($this->keeper())->shelf->catalogue(),
        );

        return implode(' ', $card->readiness($house)->reasons);
    }

    /** What a pair of each closeness is told. */
    private function related(string $limit): string
    {
        $opened = app(Doorway::class)->open($this->keeper());
        $pairs = [['Sire', 'Daughter'], ...$this->further()];
        $this->assertSame($limit === 'none' ? null : $limit, $opened->house->relatednessLimit()?->toString());

        return implode(' ', array_map(function (array $pair) use ($opened): string {
            [$sire, $dam] = array_map(fn (string $name): Animal => $this->keeper()->animals()->where('name', $name)->sole(), $pair);

            return Relatedness::of($opened->family(), $sire, $dam, $opened->house->relatednessLimit())->isAboveLimit() ? 'above' : 'within';
        }, $pairs));
    }

    /** @return list<array{string, string}> pairs with F of 3/8, 3/16 and 1/8: inbred, and nephew with half aunt */
    private function further(): array
    {
        $id = fn (string $name): int => $this->keeper()->animals()->where('name', $name)->sole()->id;
        if (! $this->keeper()->animals()->where('name', 'Closed')->exists()) {
            $this->made([
                'name' => 'Closed', 'genotype' => 'Normal', 'hatched_on' => '2021-07-01', 'sire_id' => $id('Sire'),
                'dam_id' => $id('Daughter'),
            ]);
            $this->made(['name' => 'Half', 'genotype' => 'Normal', 'hatched_on' => '2019-08-01', 'sire_id' => $id('Sire')]);
            $this->made(['name' => 'Niece', 'genotype' => 'Normal', 'hatched_on' => '2021-08-01', 'dam_id' => $id('Daughter')]);
        }

        return [['Sire', 'Closed'], ['Son', 'Half'], ['Son', 'Niece']];
    }

    private function numbered(): ?string
    {
        $this->post(
            '/animals',
            ['name' => 'Numbered', 'genotype' => 'Pastel', 'said_by' => 'own', 'sex' => 'male', 'hatched_on' => '2022'],
        )->assertSessionHasNoErrors();
        $animal = $this->keeper()->animals()->where('name', 'Numbered')->sole();
        $number = $animal->number;
        $animal->forceDelete();

        return $number;
    }

    private function project(): \App\Models\Project
    {
        return $this->keeper()->projects()->firstOrCreate(['name' => 'One'], ['target' => 'Clown', 'horizon' => 8]);
    }

    private function planned(): \App\Models\Project
    {
        $project = $this->project();
        $chances = array_map(
            fn (int $season): array => ['season' => $season, 'decimal' => $season / 8, 'low' => 0, 'high' => 1], range(1, 8),
        );
        $project->plans()->firstOrCreate(
            ['state' => 'done'],
            ['seed' => 1, 'input' => '', 'result' => ['policy' => ['probability_by_season' => $chances], 'routes' => []]],
        );

        return $project->load('latestPlan');
    }

    /** @param array<string, mixed> $choices */
    private function shelfUnder(array $choices): \App\Catalogue\CatalogueShelf
    {
        return app('catalogue.shipped')->forHouse(new House($choices), []);
    }
}
