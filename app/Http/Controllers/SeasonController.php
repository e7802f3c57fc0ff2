<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Http\Middleware\AnswerOutbox;
use App\Http\Requests\EventRequest;
use App\Http\RowAnswers;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Clutch;
use App\Models\Once;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Projects\Board;
use App\Projects\SeasonGrid;
use App\Projects\SeasonReckoning;
use App\Season\Due;
use App\Season\Order;
use App\Season\Ribbon;
use App\Season\TodayPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** The snake room: what is due, and what happened, in a tap. */
class SeasonController extends Controller
{
    /** What one tap logs of an animal. */
    private const TAPS = [
        'fed' => ['kind' => 'feed', 'outcome' => 'taken'], 'refused' => ['kind' => 'feed', 'outcome' => 'refused'],
        'shed' => ['kind' => 'shed'],
    ];

    private const TAP_MESSAGES = [
        'what' => 'Choose what to log.', 'on' => 'The day lies in the future, or is none.', 'chosen' => 'Tick the animals first.',
    ];

    /** Where the entries of the last tap for several stand, to be undone. */
    private const UNDO = 'taps-undo';

    public function __construct(private readonly Opened $opened) {}

    /** @return array<string, mixed> */
    private static function tapRules(): array
    {
        return [
            'what' => ['required', Rule::in(array_keys(self::TAPS))],
            'on' => ['nullable', 'date_format:Y-m-d', 'before_or_equal:today'], 'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @param array<string, mixed> $valid what was tapped */
    private static function logged(Animal $animal, array $valid): CareEntry
    {
        $values = self::TAPS[$valid['what']] + ['on' => $valid['on'] ?? Carbon::today()->format('Y-m-d')];
        $prey = $valid['what'] === 'shed' ? null : $animal->latestFeed()->value('prey');
        if (isset($valid['form_token'])) {
            /** @var CareEntry */
            return Once::create($animal->care(), $valid['form_token'], $values + ['prey' => $prey]);
        }

        // the second of two quick taps changes nothing
        return $animal->care()->where('created_at', '>', now()->subSeconds(10))->where($values)->first() ?? $animal->care()
            ->create($values + ['prey' => $prey]);
    }

    public function today(): View
    {
        $this->authorize('read');

        return view('season.today', ['page' => new TodayPage($this->opened)]);
    }

    /** Who goes to whom, and one pair of it in full. */
    public function board(Request $request): View
    {
        $this->authorize('read');
        $board = new Board($this->opened);

        return view('season.board', [
            'board' => $board, 'grid' => new SeasonGrid($board, $this->opened, $request->integer('sire'), $request->integer('dam')),
            'prints' => new Prints(new Gallery($this->opened->shelf), kept: $this->opened->kept, isLoose: true),
        ]);
    }

    /** A season against what was to be expected of it. */
    public function reckoning(Request $request, string $season): Response
    {
        $this->authorize('read');
        $page = new SeasonReckoning($season, (string) $request->query('target', ''), $this->opened);

        $today = Carbon::today();
        $ribbon = new Ribbon($page->clutches, Due::among($this->opened->keeper(), $today), $today);

        return response()->view('season.reckoning', ['page' => $page, 'ribbon' => $ribbon], $page->error === null ? 200 : 422);
    }

    public function log(EventRequest $request, Clutch $clutch): RedirectResponse
    {
        $event = $request->addTo($clutch);
        $asks = Order::question($clutch, $event);

        return redirect()->to(match (true) {
            $request->input('from') === 'today' => route('today'),
            $event->egg_id !== null => route('eggs', [$clutch, 'egg' => $event->egg_id]),
            default => route('clutches.show', $clutch),
        })
            ->with('said', "{$clutch->dam->name}: {$event->sentence()}.".($asks === null ? '' : " {$asks}"))
            ->with('undo', route('records.destroy', ['event', $event->id]))->with('undo_method', 'delete');
    }

    /** Fed, refused or shed, today. */
    public function tap(Request $request, Animal $animal): RedirectResponse
    {
        $this->authorize('log', $animal);
        $valid = $request->validate(self::tapRules(), self::TAP_MESSAGES);
        $entry = DB::transaction(fn (): CareEntry => self::logged($animal, $valid));

        return redirect()->route('today')->with('said', "{$animal->name}: {$entry->sentence()}.")
            ->with('undo', route('records.destroy', ['care', $entry->id]))->with('undo_method', 'delete');
    }

    /** The same of several animals. */
    public function tapSeveral(Request $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('log');
        $valid = $request->validate(
            self::tapRules() + ['chosen' => ['required', 'array', 'max:2000'], 'chosen.*' => ['integer']], self::TAP_MESSAGES,
        );
        $answers = (new RowAnswers)->log(
            $keeper, array_values(array_unique(array_map(intval(...), $valid['chosen']))),
                fn (Animal $animal): CareEntry => self::logged($animal, $valid),
        );
        if ($answers->entries === [] && ! $request->expectsJson()) {
            throw ValidationException::withMessages(['chosen' => ltrim($answers->words())]);
        }
        $request->session()->put(self::UNDO, array_map(fn (CareEntry $entry): int => $entry->id, $answers->entries));
        $names = array_map(fn (CareEntry $entry): string => $entry->animal->name, $answers->entries);
        sort($names);

        return redirect()->route('today')->with(
            'said', ucfirst($valid['what']).' logged for '.implode(', ', array_slice($names, 0, 4))
                .(count($names) > 4 ? ' and '.(count($names) - 4).' more' : '').'.'.$answers->words(),
        )->with('undo', route('taps.undo'))->with(AnswerOutbox::ROWS, $answers->rows());
    }

    public function undoSeveral(Request $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('log');
        $ids = $request->session()->pull(self::UNDO, []);
        $entries = CareEntry::query()->whereKey(is_array($ids) ? $ids : [])->where('user_id', $keeper->id)->get();
        DB::transaction(fn () => $entries->each->delete());

        return redirect()->route('today')->with(
            'said', $entries->isEmpty() ? 'There is nothing left to undo.' : "Undone for {$entries->count()}.",
        );
    }
}
