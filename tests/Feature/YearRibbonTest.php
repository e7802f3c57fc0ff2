<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Models\Clutch;
use App\Season\YearRibbon;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** The keeper's year at the top of every page at the desk. */
class YearRibbonTest extends TestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2027-03-10 09:00'));
    }

    private function ribbon(): ?YearRibbon
    {
        return YearRibbon::of(app(Doorway::class)->open($this->keeper()));
    }

    private function clutch(string $dam, array $events): Clutch
    {
        $animal = $this->made(['name' => $dam, 'sex' => 'female', 'genotype' => 'Normal']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $animal->id]);
        foreach ($events as [$kind, $on]) {
            $this->event($clutch, $kind, $on);
        }

        return $clutch;
    }

    private function event(Clutch $clutch, string $kind, ?string $on): void
    {
        $clutch->events()->create(['kind' => $kind, 'on' => $on]);
    }

    /** @return list<array{string, int, string}> */
    private function marks(): array
    {
        return array_map(fn (array $mark): array => [$mark['kind'], $mark['count'], $mark['words']], $this->ribbon()->marks ?? []);
    }

    public function test_an_empty_year_has_none(): void
    {
        $this->assertNull($this->ribbon());
        $this->get('/animals')->assertOk()->assertDontSee('class="year', false);
        $this->clutch('Alder', [['laid', '2025-05-01'], ['hatched', '2025-07-01']]);
        $this->assertNull($this->ribbon(), 'of the year before last');
    }

    public function test_marks_by_the_week_and_what_is_to_be_expected(): void
    {
        $this->clutch('Alder', [['lock', '2026-11-02'], ['lock', '2026-11-04'], ['lock', null]]);
        $this->clutch('Birch', [['lock', '2026-11-03'], ['lock', '2026-12-20']]);
        $this->clutch('Cedar', [['laid', '2027-02-20']]);
        $this->clutch('Elm', [['laid', '2026-10-01'], ['hatched', '2026-12-01']]);
        $this->clutch('Fir', [['lock', '2026-09-30']]);
        $this->assertSame([
            ['laid', 1, '1 clutch laid, 1 Oct'], ['lock', 3, '3 locks, 2 Nov'], ['out', 1, '1 clutch hatched, 1 Dec'],
            ['lock', 1, '1 lock, 20 Dec'], ['laid', 1, '1 clutch laid, 20 Feb'],
        ], $this->marks());
        $ribbon = $this->ribbon();
        $this->assertCount(1, $ribbon->windows ?? []);
        $this->assertStringContainsString('Cedar', $ribbon->windows[0]['words'] ?? '');
        $this->assertStringContainsString('4 locks, 2 laid, 1 hatched. Next: ', (string) $ribbon?->words());
        $this->assertEqualsWithDelta(160 / 365, $ribbon?->now(), 1e-9); // from 1 October to 10 March
        $this->get('/animals')->assertOk()->assertSee('class="year no-print"', false)->assertSee('Open Today');
        $this->get('/today')->assertOk()->assertDontSee('class="year', false);
    }

    public function test_whatever_changes_a_clutch_changes_it_at_once(): void
    {
        $clutch = $this->clutch('Alder', [['lock', '2026-11-02']]);
        $this->assertSame([['lock', 1, '1 lock, 2 Nov']], $this->marks());
        $event = $clutch->events()->where('kind', 'lock')->sole();
        $event->update(['on' => '2026-11-12']); // within the same second
        $this->assertSame([['lock', 1, '1 lock, 12 Nov']], $this->marks());
        $event->delete();
        $this->assertSame([], $this->marks());
        $event->restore();
        $this->event($clutch, 'laid', '2027-03-01');
        $this->assertCount(2, $this->marks());
        $this->assertCount(1, $this->ribbon()->windows ?? []);
        $clutch->dam->statusEvents()->create(['status' => 'died', 'on' => '2027-03-09']);
        $this->assertSame([], $this->ribbon()->windows ?? null, 'as Today has it');
        $this->travelTo(Carbon::parse('2027-10-01 09:00'));
        $this->assertNull($this->ribbon());
    }

    public function test_one_collection_sees_nothing_of_another(): void
    {
        $this->clutch('Alder', [['lock', '2026-11-02']]);
        $other = \App\Models\User::factory()->create();
        $this->assertNull(YearRibbon::of(app(Doorway::class)->open($other)));
        $this->assertNull(YearRibbon::of(app(Doorway::class)->nobodys()));
    }
}
