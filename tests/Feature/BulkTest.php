<?php

namespace Tests\Feature;

use App\Models\Animal;
use App\Models\Enums\Role;
use App\Models\Enums\Status;
use App\Models\StatusEvent;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The same for several animals at once: all of them, or none. */
class BulkTest extends TestCase
{
    use RefreshDatabase;

    /** @return list<int> */
    private function four(): array
    {
        return array_map(fn (string $name): int => $this->made(['name' => $name])->id, ['A', 'B', 'C', 'D']);
    }

    /**
     * @param array<string, mixed> $what
     * @param list<int> $chosen
     */
    private function for(array $chosen, array $what): TestResponse
    {
        return $this->post('/animals/chosen', $what + ['chosen' => $chosen]);
    }

    public function test_a_status_is_set_for_those_chosen_and_taken_back_at_once(): void
    {
        [$a, $b, $c, $d] = $this->four();
        $this->get('/animals?view=list')->assertSee('Choose A', false);
        $this->for([$a, $b, $c], ['do' => 'status', 'status' => 'for sale'])->assertSessionHas('said', '3 animals: for sale from today.');
        $this->assertSame(
            [3, Status::Growing],
            [StatusEvent::query()->where('status', Status::ForSale)->count(), Animal::query()->findOrFail($d)->status()],
        );
        $this->post('/animals/chosen/undo')->assertSessionHas('said', 'Undone for 3.');
        $this->assertSame(0, StatusEvent::query()->count());
        $this->post('/animals/chosen/undo')->assertSessionHas('said', 'There is nothing left to undo.');
        $this->for([$a], ['do' => 'status', 'status' => 'hold-back'])->assertSessionHasErrors('reason', null, 'bulk');
        $this->for([$a], ['do' => 'status', 'status' => 'hold-back', 'reason' => 'first of the line'])->assertSessionHasNoErrors();
        $this->assertNotNull(StatusEvent::query()->sole()->review_on);
    }

    public function test_a_rack_takes_all_of_them_or_none(): void
    {
        [$a, $b, $c, $d] = $this->four();
        $rack = $this->keeper()->racks()->create(['name' => 'Loft', 'rows' => 2, 'columns' => 2]);
        Animal::query()->findOrFail($d)->update(['rack_id' => $rack->id, 'rack_row' => 1, 'rack_column' => 2]);
        $this->for([$a, $b, $c], ['do' => 'rack', 'rack_id' => $rack->id])->assertSessionHasNoErrors();
        $this->assertSame(
            ['1:1', '2:1', '2:2'],
            Animal::query()->whereIn('id', [$a, $b, $c])->orderBy('name')->get()
                ->map(fn (Animal $one): string => "{$one->rack_row}:{$one->rack_column}")->all(),
        );
        $e = $this->made(['name' => 'E'])->id;
        $this->for([$e], ['do' => 'rack', 'rack_id' => $rack->id])->assertSessionHasErrors(
            ['rack_id' => 'Loft has room for 0, not for 1.'], null, 'bulk',
        );
        $this->for([$a, $b], ['do' => 'rack', 'rack_id' => $rack->id])->assertSessionHasNoErrors(); // within their own rack
        $this->assertSame(4, $rack->animals()->count());
    }

    public function test_they_are_taken_out_and_come_back(): void
    {
        [$a, $b] = $this->four();
        $this->for([$a, $b], ['do' => 'out'])->assertSessionHas('said', 'Removed: 2 animals.');
        $this->assertSame(2, Animal::query()->count());
        $this->post('/animals/chosen/undo');
        $this->assertSame(4, Animal::query()->count());
    }

    public function test_what_cannot_be_done_is_told_and_nothing_is_done(): void
    {
        [$a] = $this->four();
        $foreign = User::factory()->create()->animals()->create(['name' => 'Foreign', 'sex' => 'male']);
        $this->for([], ['do' => 'out'])->assertSessionHasErrors(['chosen' => 'Choose at least one animal.'], null, 'bulk');
        $this->for([$a, $foreign->id], ['do' => 'out'])->assertSessionHasErrors('chosen', null, 'bulk');
        $this->for([$a], ['do' => 'sing'])->assertSessionHasErrors('do', null, 'bulk');
        $this->for([$a], ['do' => 'rack', 'rack_id' => 99])->assertSessionHasErrors('rack_id', null, 'bulk');
        $this->assertSame([4, 0], [Animal::query()->where('user_id', $this->keeper()->id)->count(), StatusEvent::query()->count()]);
        $this->flushSession();
        $this->actingAs(User::factory()->create(['owner_id' => $this->keeper()->id, 'role' => Role::Helper]));
        $this->for([$a], ['do' => 'out'])->assertForbidden();
    }
}
