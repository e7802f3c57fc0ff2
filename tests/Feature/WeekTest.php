<?php

namespace Tests\Feature;

use App\Models\HouseRules;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\TestCase;

class WeekTest extends TestCase
{
    use RefreshDatabase;

    public function test_the_week_begins_where_the_house_begins_it_and_says_each_window_twice(): void
    {
        Carbon::setTestNow('2026-06-17 09:00'); // a Wednesday
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'Clown']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id]);
        $clutch->events()->create(['kind' => 'laid', 'on' => '2026-04-25', 'count' => 6]); // day 53 is 17 June, day 62 is 26 June
        $held = $this->made(['name' => 'Dory', 'genotype' => 'Pastel']);
        $held->statusEvents()->create(['status' => 'hold-back', 'on' => '2026-06-01', 'review_on' => '2026-06-20']);
        $html = $this->get('/today')->assertOk()
            ->assertSeeInOrder(['This week and the next', 'Mon', '15 Jun', 'Wed', '17 Jun', 'Tender: first pips can start', '20 Jun', 'Dory: look again', 'Tender: first pips last day expected', '28 Jun'])
            ->getContent();
        $this->assertSame(1, substr_count((string) $html, 'first pips can start'));

        HouseRules::query()->forceCreate(['user_id' => $this->keeper()->id, 'choices' => ['week' => 'sunday'], 'version' => 1]);
        $this->get('/today')->assertSeeInOrder(['This week and the next', 'Sun', '14 Jun', '27 Jun'])->assertDontSee('28 Jun');
    }

    public function test_with_nothing_ahead_there_is_no_week(): void
    {
        $this->made(['name' => 'Dory', 'genotype' => 'Pastel']);
        $this->get('/today')->assertOk()->assertDontSee('This week and the next');
    }
}
