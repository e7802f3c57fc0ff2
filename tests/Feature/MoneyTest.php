<?php

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Exchange\Archive\Archive;
use App\Models\Animal;
use App\Models\Booking;
use App\Models\Enums\BookingKind;
use App\Models\Enums\Status;
use App\Models\Price;
use App\Models\Sale;
use App\Models\User;
use App\Money\Book;
use App\Money\ClutchWorth;
use App\Money\Ledger;
use App\Photos\Darkroom;
use App\View\Components\MoneyMonths\MoneyMonths;
use App\Young\KeepOrSell;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class MoneyTest extends TestCase
{
    use RefreshDatabase;

    private function ledger(string $year = '2026'): Ledger
    {
        return new Ledger($this->keeper(), $year, '€');
    }

    /** @param array<string, mixed> $values */
    private function sell(Animal $animal, array $values): \Illuminate\Testing\TestResponse
    {
        return $this->put("/animals/{$animal->id}/sale", $values + ['status' => 'sold', 'on' => '2026-05-01']);
    }

    public function test_every_amount_is_counted_once_in_its_year(): void
    {
        $this->travelTo('2026-11-01');
        $this->made(['name' => 'Bought', 'genotype' => 'Pastel', 'price_cents' => 34950, 'acquired_on' => '2026-02-03']);
        $this->made(['name' => 'Earlier', 'genotype' => 'Pastel', 'price_cents' => 10000, 'acquired_on' => '2025-02-03']);
        $this->made(['name' => 'Undated', 'genotype' => 'Pastel', 'price_cents' => 7700]);
        $sold = $this->made(['name' => 'Sold', 'genotype' => 'Pastel', 'sex' => 'male']);
        $this->sell($sold, ['asking' => '200', 'deposit' => '50', 'price' => '1,80.00'])->assertSessionHasErrors('price', null, 'sale');
        $this->sell(
            $sold, ['asking' => '200', 'deposit' => '50', 'price' => '180,50', 'buyer' => 'A. Keeper', 'sent_on' => '2026-05-03'],
        )->assertSessionHasNoErrors();
        $this->sell(
            $sold, ['asking' => '200', 'deposit' => '50', 'price' => '180.50', 'buyer' => 'A. Keeper', 'sent_on' => '2026-05-04'],
        )->assertSessionHas('said', 'Saved.');
        $book = ['kind' => 'feed', 'amount' => '99.95', 'on' => '2026-03-01', 'form_token' => (string) Str::uuid()];
        $this->post('/money/bookings', $book)->assertSessionHasNoErrors();
        $this->post('/money/bookings', $book); // a double click
        $this->post(
            '/money/bookings', ['kind' => 'income', 'amount' => '20', 'on' => '2026-03-02'] + ['form_token' => (string) Str::uuid()],
        );

        $ledger = $this->ledger();
        $this->assertSame(
            ['€ 200.50', '€ 449.45', '−€ 248.95', 1],
            [$ledger->income()->words(), $ledger->costs()->words(), $ledger->result()->words(), $ledger->undated()],
        );
        $this->assertSame('−€ 100', $this->ledger('2025')->result()->words());
        $this->assertSame([1, 1, Status::Sold], [Sale::query()->count(), $sold->statusEvents()->count(), $sold->fresh()->status()]);
        $this->get('/money?year=2026')->assertOk()->assertSeeInOrder(
            ['2026: −€ 248.95', '€ 180.50', 'sold 1 May 2026 for € 180.50 to A. Keeper'],
        );
        $this->get('/money?year=99999')->assertOk();

        $this->delete('/records/booking/'.Booking::query()->where('kind', BookingKind::Feed)->sole()->id);
        $this->assertSame('−€ 149', $this->ledger()->result()->words());
    }

    public function test_a_deposit_counts_when_the_animal_is_sold(): void
    {
        $animal = $this->made(['name' => 'Kept', 'genotype' => 'Pastel', 'sex' => 'male']);
        $this->sell($animal, ['status' => 'reserved', 'deposit' => '50', 'on' => '2026-04-01']);
        $this->assertSame(['€ 0', '€ 50'], [$this->ledger()->income()->words(), $this->ledger()->held()->words()]);
        $this->sell($animal, ['deposit' => '50', 'price' => '200']);
        $this->assertSame(['€ 200', '€ 0'], [$this->ledger()->income()->words(), $this->ledger()->held()->words()]);
        $this->assertSame(0, $this->ledger()->unpriced());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrongSales(): iterable
    {
        yield 'a price of −1' => [['price' => '-1'], 'price', 'not below 0'];
        yield 'a word' => [['asking' => 'cheap'], 'asking', 'is not an amount'];
        yield 'another currency' => [['asking' => '£80'], 'asking', 'not in €'];
        yield 'a day in the future' => [['on' => '2099-01-01'], 'on', 'today or earlier'];
        yield 'a status that is no sale' => [['status' => 'died'], 'status', 'offered, reserved or sold'];
        yield 'more deposit than price' => [['price' => '100', 'deposit' => '120'], 'deposit', 'more than the price'];
        yield 'sent before' => [['sent_on' => '2026-04-01'], 'sent_on', 'before that day'];
    }

    /** @param array<string, mixed> $values */
    #[DataProvider('wrongSales')]
    public function test_what_cannot_be_is_told_at_its_place_and_nothing_is_written(array $values, string $field, string $says): void
    {
        $animal = $this->made(['name' => 'Kept', 'genotype' => 'Pastel', 'sex' => 'male']);
        $answer = $this->sell($animal, $values + ['price' => '200'])->assertSessionHasErrors($field, null, 'sale');
        $this->assertStringContainsString($says, (string) $answer->getSession()->get('errors')->sale->first($field));
        $this->assertSame([0, 0], [Sale::query()->count(), $animal->statusEvents()->count()]);
    }

    public function test_an_unsexed_animal_is_sold_as_such(): void
    {
        $animal = $this->made(['name' => 'Young', 'genotype' => 'Pastel', 'sex' => null]);
        $this->sell($animal, ['price' => '40'])->assertSessionHasErrors('unsexed', null, 'sale');
        $this->sell($animal, ['price' => '40', 'unsexed' => '1'])->assertSessionHasNoErrors();
        $this->assertSame(4000, Sale::query()->sole()->price);
    }

    public function test_a_sale_in_two_windows_overwrites_nothing_unsaid(): void
    {
        $animal = $this->made(['name' => 'Jib', 'sex' => 'male']);
        $this->get("/animals/{$animal->id}")->assertSee('name="version" value="0"', false);
        $first = ['buyer' => 'Ms Ode', 'price' => '250', 'version' => '0'];
        $this->sell($animal, $first)->assertSessionHasNoErrors();
        $this->sell($animal, $first)->assertSessionHasNoErrors(); // the second of two clicks
        $errors = $this->sell($animal, ['asking' => '300', 'version' => '0'])->assertSessionHasErrors('version', null, 'sale')->getSession()->get('errors');
        $this->assertStringContainsString('It now says: Ms Ode, price € 250.', $errors->sale->first('version'));
        $this->assertSame('Ms Ode', $animal->sale()->sole()->buyer);
        $this->get("/animals/{$animal->id}")->assertSee('name="version" value="1"', false)->assertSee('changed while you were editing');
        $this->sell($animal, ['asking' => '300', 'version' => '1'])->assertSessionHasNoErrors();
        $this->assertSame([null, 30000, 2], [$animal->sale()->sole()->buyer, $animal->sale()->sole()->asking, $animal->sale()->sole()->version]);
    }

    public function test_the_price_book_is_read_and_shows_own_sales(): void
    {
        $line = fn (array $values): \Illuminate\Testing\TestResponse => $this->post(
            '/money/prices', $values + ['form_token' => (string) Str::uuid()],
        );
        $line(['target' => 'Clwn', 'low' => '10'])->assertSessionHasErrors('target', null, 'price');
        $line(['target' => 'Clown', 'low' => '500', 'high' => '400'])->assertSessionHasErrors('high', null, 'price');
        $line(['target' => 'Clown', 'low' => '400', 'high' => '500'])->assertSessionHasNoErrors();
        $line(['target' => 'Pastel', 'low' => '50'])->assertSessionHasNoErrors();
        $this->assertSame(
            [[40000, 50000], [5000, 5000]],
            Price::query()->orderBy('id')->get()->map(fn (Price $price): array => [$price->low, $price->high])->all(),
        );
        $this->sell($this->made(['name' => 'One', 'genotype' => 'Clown Pastel', 'sex' => 'male']), ['price' => '450']);
        $this->get('/money')->assertSee('own sales: 1, € 450');
    }

    public function test_a_clutch_is_worth_what_its_eggs_may_be_and_its_young_are(): void
    {
        $this->keeper()->prices()->create(['target' => 'Clown', 'low' => 40000, 'high' => 50000]);
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'Clown', 'hatched_on' => '2021-07-01']);
        $dam = $this->made(['name' => 'Tender', 'genotype' => 'het Clown', 'hatched_on' => '2020-07-01']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id]);
        $clutch->sires()->create(['animal_id' => $sire->id]);
        $clutch->events()->create(['kind' => 'laid', 'on' => Carbon::today()->subDays(58)->format('Y-m-d'), 'count' => 4]);
        $worth = function () use ($clutch): ClutchWorth {
            $opened = app(Doorway::class)->open($this->keeper());

            return new ClutchWorth($clutch->fresh(['sires.animal', 'hatchlings', 'events']), new Book($opened), $opened);
        };
        [$before] = $worth()->forecasts();
        // four eggs at even odds of € 450: € 900 on average; 1 of 16 has none, 1 of 16 all four
        $this->assertSame(
            ['90000', 45000, 135000],
            [$before['forecast']->mean->toString(), $before['forecast']->quantile(.1), $before['forecast']->quantile(.9)],
        );
        $this->get("/clutches/{$clutch->id}")->assertSee('€ 900 on average');
        $clutch->events()->create(['kind' => 'out', 'on' => Carbon::today()->format('Y-m-d'), 'count' => 3]);
        $this->post("/clutches/{$clutch->id}/hatchlings", ['name' => 'One', 'genotype' => 'Clown', 'form_token' => (string) Str::uuid()]);
        $this->post("/clutches/{$clutch->id}/hatchlings", ['name' => 'Two', 'form_token' => (string) Str::uuid()]);
        $this->assertSame(['low' => 40000, 'high' => 50000, 'known' => 1, 'open' => 1], $worth()->hatched());
        $this->assertSame('22500', $worth()->forecasts()[0]['forecast']->mean->toString());
        $this->get("/clutches/{$clutch->id}")->assertSeeInOrder(
            ['€ 400 to € 500', 'No price set for 1', '1 egg, € 225 on average'],
        );
    }

    public function test_keep_or_sell_gives_reasons_from_those_held_back(): void
    {
        $dam = $this->made(['name' => 'Dam', 'genotype' => 'Pinstripe', 'hatched_on' => '2020-07-01']);
        $clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => '2026-07-01', 'hatched' => 6]);
        $young = fn (string $name, string $sex, string $genes, string $status): Animal => tap(
            $this->made(
                [
                    'name' => $name, 'sex' => $sex, 'genotype' => $genes, 'dam_id' => $dam->id, 'clutch_id' => $clutch->id,
                    'hatched_on' => '2026-07-01',
                ],
            ),
            fn (Animal $one) => $one->statusEvents()->create(['status' => $status, 'on' => '2026-08-01', 'reason' => 'x']),
        );
        foreach (['A', 'B', 'C', 'D'] as $name) {
            $young($name, 'male', 'Pinstripe', 'hold-back');
        }
        $young('Girl', 'female', 'Normal', 'growing');
        $young('Boy', 'male', 'Pinstripe', 'growing');
        $ill = $young('Bent', 'female', 'Normal', 'growing');
        $ill->observations()->create(['condition' => 'Spinal kinking', 'grade' => 'severe', 'on' => '2026-08-01']);
        $healed = $young('Healed', 'female', 'Normal', 'growing');
        foreach (['2026-09-01' => 'none', '2026-08-01' => 'severe'] as $on => $grade) {
            $healed->observations()->create(['condition' => 'Respiratory infection', 'grade' => $grade, 'on' => $on]);
        }
        $young('Gone', 'female', 'Normal', 'sold');
        $page = new KeepOrSell('2026', app(Doorway::class)->open($this->keeper()));
        $rows = array_combine(array_map(fn (array $row): string => $row['animal']->name, $page->rows), $page->rows);
        $this->assertArrayNotHasKey('Gone', $rows);
        $this->assertSame(
            [['few females are held back: 0 of 4'], [], 'open'], [$rows['Girl']['keep'], $rows['Girl']['sell'], $rows['Girl']['leans']],
        );
        $this->assertSame(
            [['enough males are held back: 4 of 4', 'Pinstripe is in 100 % of those held back already'], 'sell'],
            [$rows['Boy']['sell'], $rows['Boy']['leans']],
        );
        $this->assertSame(['ill', [], []], [$rows['Bent']['leans'], $rows['Bent']['keep'], $rows['Bent']['sell']]);
        $this->assertContains('Bent', array_map(fn (array $row): string => $row['animal']->name, $page->columns()['Undecided']), 'keeping or selling is open');
        $this->assertSame('Bent', $page->rows[count($page->rows) - 1]['animal']->name);
        $this->assertSame(['Healed', 'open'], [$rows['Healed']['animal']->name, $rows['Healed']['leans']], 'the newest note counts');
        $this->assertSame('4 held back: 4 males.', $page->heldWords());
        $this->get('/young?season=2026')->assertOk()->assertSee('Not for breeding')->assertSee('Spinal kinking, severe on 1 Aug 2026. If you sell, tell the buyer. Ask a reptile vet');
        $this->get('/young?season=1999')->assertOk()->assertSee('No young of 1999 are here.');
    }

    public function test_money_is_in_the_archive(): void
    {
        $animal = $this->made(['name' => 'Kept', 'genotype' => 'Clown', 'sex' => 'male']);
        $this->sell($animal, ['price' => '200', 'buyer' => 'A. Keeper']);
        $this->keeper()->prices()->create(['target' => 'Clown', 'low' => 40000, 'high' => 50000]);
        $this->keeper()->bookings()->create(['kind' => 'veterinarian', 'on' => '2026-03-01', 'amount' => 8750, 'animal_id' => $animal->id]);
        $darkroom = app(Darkroom::class);
        $document = json_decode(Archive::json((new Archive($this->keeper(), $darkroom))->document()), true);
        $other = User::factory()->create();
        (new Archive($other, $darkroom))->take($document, []);
        $this->assertSame(
            ['€ 200', '€ 87.50'],
            [(new Ledger($other, '2026', '€'))->income()->words(), (new Ledger($other, '2026', '€'))->costs()->words()],
        );
        $this->assertSame('Kept', $other->bookings()->sole()->animal?->name);
        $this->assertSame('Clown', $other->prices()->sole()->target);
    }

    public function test_the_months_of_a_year_add_up_to_its_account(): void
    {
        $year = now()->subYear()->format('Y');
        $keeper = $this->keeper();
        $keeper->bookings()->create(['kind' => 'feed', 'amount' => 12_345, 'on' => "{$year}-03-31"]);
        $keeper->bookings()->create(['kind' => 'feed', 'amount' => 655, 'on' => "{$year}-03-01"]);
        $keeper->bookings()->create(['kind' => 'income', 'amount' => 5_000, 'on' => "{$year}-12-31"]);
        $this->made(['name' => 'Bought', 'price_cents' => 30_000, 'acquired_on' => "{$year}-01-02"]);
        $sold = $this->made(['name' => 'Sold']);
        $sold->sale()->create(['price' => 45_000]);
        $sold->statusEvents()->create(['status' => 'sold', 'on' => "{$year}-06-15"]);
        $ledger = new Ledger($keeper, $year, '€');
        $months = array_column($ledger->byMonth(), null, 'month');
        $this->assertSame([0, 30_000, -30_000], [$months[1]['income']->minor, $months[1]['costs']->minor, $months[1]['balance']->minor]);
        $this->assertSame([0, 13_000, -43_000], [$months[3]['income']->minor, $months[3]['costs']->minor, $months[3]['balance']->minor]);
        $this->assertSame([45_000, 2_000], [$months[6]['income']->minor, $months[6]['balance']->minor]);
        $this->assertSame($ledger->result()->minor, $months[12]['balance']->minor);
        $this->assertSame($ledger->income()->minor, array_sum(array_map(fn (array $one): int => $one['income']->minor, $months)));
        $this->assertSame($ledger->costs()->minor, array_sum(array_map(fn (array $one): int => $one['costs']->minor, $months)));
        $drawing = new MoneyMonths($ledger);
        $this->assertCount(4, $drawing->bars());
        foreach ($drawing->bars() as $bar) {
            $this->assertEqualsWithDelta($drawing->floor(), $bar['class'] === 'income' ? $bar['y'] + $bar['height'] : $bar['y'], .2);
        }
        $this->get("/money?year={$year}")->assertOk()->assertSee('money-months')->assertSee('Mar: income');
        $this->assertTrue((new MoneyMonths(new Ledger($keeper, '1999', '€')))->isEmpty());
    }
}
