<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Http\Requests\BookingRequest;
use App\Http\Requests\PriceRequest;
use App\Http\Requests\SaleRequest;
use App\Models\Animal;
use App\Money\Book;
use App\Money\Ledger;
use App\Season\Leaving;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** What the collection costs and brings. */
class MoneyController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    public function index(Request $request): View
    {
        $this->authorize('money');
        $keeper = $this->opened->keeper();
        $year = (string) $request->query('year', '');
        $year = preg_match('/^(19|20)\d\d$/', $year) === 1 ? $year : now()->format('Y');

        return view('money.index', [
            'ledger' => new Ledger($keeper, $year, $this->opened->house->currency()), 'book' => new Book($this->opened),
            'prices' => $keeper->prices()->get(),
            'projects' => $keeper->projects()->orderBy('name')->pluck('name', 'id')->all(), 'house' => $this->opened->house,
            'animals' => $keeper->animals()->orderBy('name')->pluck('name', 'id')->all(), 'token' => (string) Str::uuid(),
        ]);
    }

    public function book(BookingRequest $request): RedirectResponse
    {
        $booking = $request->addTo($this->opened->keeper());

        return redirect()->to($booking->home())->with(
            'said', "{$this->opened->house->money($booking->amount)} are booked for {$booking->sentence()}.",
        )
            ->with('undo', route('records.destroy', ['booking', $booking->id]))->with('undo_method', 'delete');
    }

    public function price(PriceRequest $request): RedirectResponse
    {
        $price = $request->addTo($this->opened->keeper());

        return redirect()->to($price->home())->with('said', "Price for {$price->target} added.");
    }

    public function sale(SaleRequest $request, Animal $animal): RedirectResponse
    {
        $event = $request->write();
        $answer = redirect()->to(route('animals.show', $animal).'#sale')
            ->with(
                'said',
                trim(
                    (
                        $event === null ? 'Saved.' : "{$animal->name} is {$event->status->value} from {$event->on->format('j F Y')}."
                    ).' '.($event === null ? '' : Leaving::warning($animal, $event->status)),
                ),
            );

        return $event === null
            ? $answer
            : $answer->with('undo', route('records.destroy', ['status', $event->id]))->with('undo_method', 'delete');
    }
}
