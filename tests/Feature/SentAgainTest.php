<?php

namespace Tests\Feature;

use App\Http\Middleware\AnswerOutbox;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Clutch;
use App\Models\Enums\Role;
use App\Models\Kinds;
use App\Models\OddTrait;
use App\Models\Plan;
use App\Models\Project;
use App\Models\TraitEntry;
use App\Models\User;
use App\People\OutboxOwner;
use Closure;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

/** What is sent twice is made once, also where what it made was removed in the meantime; and each row of a message is answered. */
class SentAgainTest extends TestCase
{
    use RefreshDatabase;

    private Animal $female;

    private Animal $male;

    private Clutch $clutch;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->male = $this->made(['name' => 'Fathom', 'sex' => 'male']);
        $this->female = $this->made(['name' => 'Estuary', 'sex' => 'female']);
        $this->clutch = $this->keeper()->clutches()->create(['dam_id' => $this->female->id, 'laid_on' => '2026-05-01', 'eggs_good' => 6]);
        $this->clutch->sires()->create(['animal_id' => $this->male->id]);
        $this->made(['name' => 'Ripple', 'clutch_id' => $this->clutch->id]);
    }

    /** @return array<string, array{string, Closure(self): array{string, array<string, mixed>}}> kind of the record, address and fields */
    public static function forms(): array
    {
        $day = '2026-06-01';
        $at = fn (self $test, string $path): string => "/animals/{$test->female->id}/{$path}";

        return [
            'animal' => ['animal', fn (): array => ['/animals', ['name' => 'Jib', 'sex' => 'male', 'genotype' => 'Pastel']]],
            'hatchling' => ['animal', fn (self $test): array => ["/clutches/{$test->clutch->id}/hatchlings", ['name' => 'Jib', 'genotype' => 'Pastel', 'grams' => '61']]],
            'care' => ['care', fn (self $test): array => [$at($test, 'care'), ['kind' => 'weight', 'on' => $day, 'grams' => '900']]],
            'tap' => ['care', fn (self $test): array => [$at($test, 'tap'), ['what' => 'fed', 'on' => $day]]],
            'taps of several' => ['care', fn (self $test): array => ['/today/taps', ['what' => 'fed', 'on' => $day, 'chosen' => [$test->female->id]]]],
            'statement' => ['statement', fn (self $test): array => [$at($test, 'statements'), ['text' => 'Clown', 'source' => 'own', 'certainty' => 100]]],
            'status' => ['status', fn (self $test): array => [$at($test, 'status'), ['status' => 'breeder', 'on' => $day]]],
            'observation' => ['observation', fn (self $test): array => [$at($test, 'observations'), ['condition' => 'wobble', 'grade' => 'none', 'on' => $day]]],
            'photograph' => ['photo', fn (self $test): array => [$at($test, 'photos'), ['on' => $day, 'photo' => UploadedFile::fake()->image('one.jpg', 40, 30)]]],
            'clutch' => ['clutch', fn (self $test): array => ['/clutches', ['dam_id' => $test->female->id, 'sires' => [$test->male->id], 'laid_on' => '2024-05-01', 'sure' => '1']]],
            'event' => ['event', fn (self $test): array => ["/clutches/{$test->clutch->id}/events", ['kind' => 'lock', 'on' => '2026-02-01']]],
            'count' => ['count', fn (self $test): array => ["/clutches/{$test->clutch->id}/counts", ['saw' => 'Pastel', 'count' => 2]]],
            'sighting' => ['sighting', fn (self $test): array => ["/clutches/{$test->clutch->id}/bench", [
                'animal' => $test->clutch->hatchlings()->sole()->id, 'cue' => 'head-stamp', 'state' => 'faint', 'on' => $day,
            ]]],
            'alike' => ['alike', function (self $test): array {
                $test->made(['name' => 'Other', 'clutch_id' => $test->clutch->id]);

                return ["/clutches/{$test->clutch->id}/alike", ['target' => 'Pastel', 'animals' => $test->clutch->hatchlings()->pluck('id')->all()]];
            }],
            'project' => ['project', fn (): array => ['/projects', ['name' => 'One', 'target' => 'Clown', 'horizon' => 4, 'wanted' => 'one', 'weight' => 1]]],
            'price' => ['price', fn (): array => ['/money/prices', ['target' => 'Clown', 'low' => '300', 'high' => '400']]],
            'booking' => ['booking', fn (): array => ['/money/bookings', ['kind' => 'feed', 'on' => $day, 'amount' => '40']]],
            'incubator' => ['incubator', fn (): array => ['/incubators', [
                'name' => 'Boathouse', 'place' => 'boathouse', 'celsius' => '31.5', 'low' => '30.5', 'high' => '32.5',
            ]]],
            'notebook' => ['trait', fn (): array => ['/prove/traits', ['name' => 'Odd belly', 'first' => 'Jib', 'sex' => 'male', 'on' => $day]]],
            'entry of a notebook' => ['trait-entry', function (self $test) use ($day): array {
                $trait = $test->keeper()->oddTraits()->create(['name' => 'Odd belly']);

                return ["/prove/traits/{$trait->id}/entries", ['name' => 'Jib', 'sex' => 'male', 'look' => 'odd', 'count' => 1, 'on' => $day]];
            }],
            'decision' => ['decision', fn (self $test): array => ['/prove/decisions', [
                'explanation' => "unrecorded|a{$test->female->id}|clown|", 'reason' => 'her dam was one',
            ]]],
            'change of the gene facts' => ['gene', fn (): array => ['/genes/own', ['kind' => 'alias', 'gene' => 'clown', 'name' => 'Jester of ours']]],
        ];
    }

    /** @param Closure(self): array{string, array<string, mixed>} $form */
    #[DataProvider('forms')]
    public function test_sent_removed_and_sent_again_is_told_and_can_be_brought_back(string $kind, Closure $form): void
    {
        [$address, $fields] = $form($this);
        $fields += ['form_token' => (string) Str::uuid()];
        $class = Kinds::named($kind)->class;
        $before = $class::query()->max('id') ?? 0;
        $send = fn (): TestResponse => $this->from('/today')->post($address, $fields);
        $send()->assertSessionHasNoErrors()->assertRedirect();
        $made = $class::query()->where('id', '>', $before)->get();
        $this->assertCount(1, $made);
        $id = $made[0]->getKey();
        $send()->assertRedirect();
        $this->assertSame([$id], $class::query()->where('id', '>', $before)->pluck('id')->all(), 'the second of two clicks makes nothing');
        $this->delete("/records/{$kind}/{$id}")->assertRedirect();
        if ($address !== '/today/taps') { // which answers row by row
            $send()->assertRedirect('/today')->assertSessionHas('undo', route('records.restore', [$kind, $id]))
                ->assertSessionHas('said', fn (string $said): bool => str_contains($said, 'removed since'));
        }
        $this->postJson($address, $fields)->assertStatus($address === '/today/taps' ? 302 : 409);
        $this->assertSame([], $class::query()->where('id', '>', $before)->pluck('id')->all());
        $this->post("/records/{$kind}/{$id}/restore")->assertRedirect();
        $send()->assertRedirect()->assertSessionHasNoErrors();
        $this->assertSame([$id], $class::query()->where('id', '>', $before)->pluck('id')->all());
    }

    public function test_who_may_not_bring_it_back_is_told_without_the_button(): void
    {
        $fields = ['dam_id' => $this->female->id, 'sires' => [$this->male->id], 'form_token' => (string) Str::uuid(), 'sure' => '1'];
        $this->post('/clutches', $fields)->assertSessionHasNoErrors();
        Clutch::query()->orderByDesc('id')->first()?->delete();
        $this->flushSession();
        $helper = User::factory()->create(['owner_id' => $this->keeper()->id, 'role' => Role::Helper]);
        $this->actingAs($helper)->post('/clutches', $fields)->assertSessionMissing('undo')
            ->assertSessionHas('said', fn (string $said): bool => str_contains($said, 'removed since'));
    }

    public function test_what_is_made_in_two_is_made_wholly_or_not_at_all(): void
    {
        $breaks = true;
        foreach ([Plan::class, TraitEntry::class] as $second) {
            $second::creating(function () use (&$breaks): void {
                $breaks && throw new RuntimeException('a fault in the middle');
            });
        }
        $forms = [
            '/projects' => [Project::class, 'plans', ['name' => 'One', 'target' => 'Clown', 'horizon' => 4, 'wanted' => 'one', 'weight' => 1]],
            '/prove/traits' => [OddTrait::class, 'entries', ['name' => 'Odd belly', 'first' => 'Jib', 'sex' => 'male', 'on' => '2026-06-01']],
        ];
        foreach ($forms as $address => [$class, $second, $fields]) {
            $breaks = true;
            $fields['form_token'] = (string) Str::uuid();
            $this->post($address, $fields)->assertStatus(500);
            $this->assertSame(0, $class::query()->count(), $address);
            $breaks = false;
            foreach ([1, 2] as $click) {
                $this->post($address, $fields)->assertRedirect()->assertSessionHasNoErrors();
                $this->assertSame(1, $class::query()->sole()->{$second}()->count(), "{$address}, click {$click}");
            }
        }
        // One of before, without its plan: sending it again mends it.
        Project::query()->sole()->plans()->delete();
        $this->post('/projects', $forms['/projects'][2] + ['form_token' => Project::query()->sole()->form_token])->assertRedirect();
        $this->assertSame(1, Project::query()->sole()->plans()->count());
    }

    /**
     * @param array<string, mixed> $fields
     * @return TestResponse<\Illuminate\Http\JsonResponse>
     */
    private function outbox(string $address, array $fields, ?User $of = null): TestResponse
    {
        return $this->postJson($address, $fields, [AnswerOutbox::HEADER => OutboxOwner::of($of ?? $this->keeper())]);
    }

    public function test_each_row_of_a_round_is_answered(): void
    {
        $sold = $this->made(['name' => 'Skiff']);
        $sold->delete();
        $round = ['form_token' => (string) Str::uuid(), 'on' => '2026-11-30', 'prey' => 'mouse'];
        $rows = [$this->male->id => 'taken', $this->female->id => 'sang', $sold->id => 'refused', 99999 => 'taken'];
        $this->outbox('/round/feed', $round + ['rows' => $rows])->assertOk()->assertJson([
            'kept' => [$this->male->id],
            'rows' => [
                $this->male->id => ['state' => 'kept', 'name' => 'Fathom'],
                $this->female->id => ['state' => 'refused', 'name' => 'Estuary', 'why' => 'Say whether the food was taken, refused or brought up again.'],
                $sold->id => ['state' => 'gone', 'name' => 'Skiff', 'why' => 'Skiff is not in the collection any more.'],
                99999 => ['state' => 'gone', 'why' => 'This animal is not in the collection any more.'],
            ],
        ]);
        $this->outbox('/round/feed', $round + ['rows' => [$this->male->id => 'taken']])->assertJsonPath("rows.{$this->male->id}.state", 'there');
        $entry = CareEntry::query()->sole();
        $entry->delete();
        $this->outbox('/round/feed', $round + ['rows' => [$this->male->id => 'taken']])->assertJson(['kept' => [], 'rows' => [
            $this->male->id => ['state' => 'removed', 'restore' => route('records.restore', ['care', $entry->id])],
        ]]);
        $this->outbox('/round/feed', $round + ['rows' => [$this->male->id => '']])->assertJsonPath("rows.{$this->male->id}.state", 'taken back');
        $this->outbox('/round/feed', $round + ['rows' => [$this->male->id => 'refused']])->assertJsonPath("rows.{$this->male->id}.state", 'kept');
        $this->assertSame(['refused'], CareEntry::query()->get()->map(fn (CareEntry $one): string => $one->outcome->value)->all());
        $this->assertSame(0, CareEntry::query()->whereIn('animal_id', [$sold->id, $this->female->id])->count());
    }

    public function test_a_whole_form_of_a_round_says_who_is_not_there_any_more(): void
    {
        $gone = $this->made(['name' => 'Skiff']);
        $gone->delete();
        $form = ['form_token' => (string) Str::uuid(), 'on' => '2026-11-30', 'rows' => [$this->male->id => '900', $gone->id => '400']];
        $this->post('/round/weight', $form)->assertSessionHas('said', '1 weight logged. Not saved: Skiff is not in the collection any more.');
    }

    public function test_taps_for_several_are_answered_one_by_one(): void
    {
        $gone = $this->made(['name' => 'Skiff']);
        $gone->delete();
        $tap = ['what' => 'fed', 'form_token' => (string) Str::uuid(), 'chosen' => [$this->male->id, $gone->id]];
        $this->outbox('/today/taps', $tap)->assertOk()->assertJson([
            'said' => 'Fed logged for Fathom. Not saved: Skiff is not in the collection any more.',
            'rows' => [$this->male->id => ['state' => 'kept'], $gone->id => ['state' => 'gone']],
        ]);
        $this->outbox('/today/taps', ['chosen' => [$gone->id]] + $tap)->assertOk()->assertJsonPath("rows.{$gone->id}.state", 'gone');
        $this->from('/today')->post('/today/taps', ['chosen' => [$gone->id]] + $tap)->assertSessionHasErrors('chosen');
        $this->outbox("/animals/{$gone->id}/tap", ['what' => 'fed'])->assertNotFound()
            ->assertJson(['message' => 'This record is not in the collection any more.']);
        $this->assertSame(1, CareEntry::query()->count());
    }

    public function test_an_outbox_belongs_to_a_person_and_a_collection(): void
    {
        $other = User::factory()->create(['owner_id' => $this->keeper()->id, 'role' => Role::Helper]);
        $stranger = User::factory()->create();
        $round = ['form_token' => (string) Str::uuid(), 'on' => '2026-11-30', 'rows' => [$this->male->id => '900']];
        foreach ([$other, $stranger] as $whose) {
            $this->outbox('/round/weight', $round, $whose)->assertStatus(412);
            $this->assertSame(0, CareEntry::query()->count());
        }
        $this->flushSession();
        $this->actingAs($other)->outbox('/round/weight', $round)->assertStatus(412);
        $this->outbox('/round/weight', $round, $other)->assertOk();
        $this->assertSame(1, CareEntry::query()->count());
        $marks = array_map(OutboxOwner::of(...), [$this->keeper(), $other, $stranger]);
        $this->assertCount(3, array_unique($marks));
        $this->get('/today')->assertSee("data-owner=\"{$marks[1]}\"", false)->assertDontSee($marks[0]);
    }

    public function test_names_are_found_for_what_is_given_to_another_animal(): void
    {
        $this->made(['name' => 'Estoril', 'number' => 'D-7']);
        $this->getJson('/animals/names?find=est')->assertOk()
            ->assertJsonPath('animals.0.label', 'Estoril · D-7')->assertJsonPath('animals.1.id', $this->female->id)->assertJsonCount(2, 'animals');
        $this->getJson('/animals/names?find=d-7')->assertJsonCount(1, 'animals');
        $this->flushSession();
        $this->actingAs(User::factory()->create())->getJson('/animals/names')->assertJsonCount(0, 'animals');
    }
}
