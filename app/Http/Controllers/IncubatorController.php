<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Http\Limits;
use App\Http\Requests\HandReadingRequest;
use App\Http\Requests\IncubatorRequest;
use App\Incubation\Chart;
use App\Incubation\IncubatorCard;
use App\Incubation\ReadingFile;
use App\Incubation\UnreadableReadings;
use App\Models\Clutch;
use App\Models\Incubator;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Where eggs lie: what it is like in there, and what is to be looked at. */
class IncubatorController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    public function index(): View
    {
        $this->authorize('read');
        $keeper = $this->opened->keeper();

        return view('incubators.index', [
            'cards' => IncubatorCard::all($keeper, $this->opened->house), 'unclaimed' => IncubatorCard::unclaimed($keeper),
            'house' => $this->opened->house, 'token' => (string) Str::uuid(),
        ]);
    }

    public function show(Request $request, Incubator $incubator): View
    {
        $this->authorize('view', $incubator);
        $span = (string) $request->query('span', 'week');
        $span = isset(Chart::SPANS[$span]) ? $span : 'week';
        $incubator->load('clutches.dam', 'clutches.sires.animal');

        return view('incubators.show', [
            'card' => new IncubatorCard($incubator, $this->opened->house, Carbon::now()), 'incubator' => $incubator, 'span' => $span,
            'house' => $this->opened->house,
            'charts' => array_map(
                fn (string $kind): Chart => new Chart($incubator, $kind, $span, Carbon::now(), $this->opened->house), IncubatorCard::KINDS,
            ),
            'elsewhere' => $this->opened->keeper()->clutches()->with('dam', 'sires.animal')->get()
                ->filter(
                    fn (Clutch $clutch): bool => $clutch->laid_on !== null && ! $clutch->isOut()
                        && $clutch->incubator_id !== $incubator->id,
                )->values(),
            'token' => (string) Str::uuid(),
        ]);
    }

    public function store(IncubatorRequest $request): RedirectResponse
    {
        $incubator = $request->addTo($this->opened->keeper());

        return redirect()->route('incubators.show', $incubator)->with(
            'said', "{$incubator->name} added. Readings come to it from the place “{$incubator->place}”.",
        );
    }

    public function update(IncubatorRequest $request, Incubator $incubator): RedirectResponse
    {
        $request->change($incubator);

        return redirect()->route('incubators.show', $incubator)->with('said', 'Saved.');
    }

    public function read(HandReadingRequest $request, Incubator $incubator): RedirectResponse
    {
        $count = $request->addTo($incubator);

        return redirect()->route('incubators.show', $incubator)->with(
            'said', $count === 1 ? 'The reading is kept.' : 'The readings are kept.',
        );
    }

    public function file(Request $request, Incubator $incubator): RedirectResponse
    {
        $this->authorize('log', $incubator);
        $request->validateWithBag('file', ['file' => ['required', 'file', 'max:20480', 'extensions:csv,txt']], [
            'file.required' => 'Choose a file.', 'file.max' => 'The file is larger than 20 MB.',
            'file.extensions' => 'Choose a list of readings as .csv.',
            'file' => 'The file could not be uploaded: this server takes at most '.Limits::words(Limits::upload(20)).'.',
        ]);
        $readings = new ReadingFile($incubator, $this->opened->house);
        try {
            $readings->take((string) $request->file('file')?->getRealPath());
        } catch (UnreadableReadings $fault) {
            throw ValidationException::withMessages(['file' => $fault->getMessage()])->errorBag('file');
        }

        return redirect()->route('incubators.show', $incubator)->with('said', $readings->sentence());
    }

    /** Eggs go into it. */
    public function place(Request $request, Incubator $incubator): RedirectResponse
    {
        $this->authorize('log', $incubator);
        $valid = $request->validate(
            [
                'clutch' => [
                    'required', 'integer', Rule::exists('clutches', 'id')->where('user_id', $incubator->user_id)->whereNull('deleted_at'),
                ],
            ],
            ['clutch' => 'Choose a clutch of yours.'],
        );
        $clutch = DB::transaction(function () use ($valid, $incubator): Clutch {
            $clutch = Clutch::query()->findOrFail((int) $valid['clutch']);
            $clutch->update(['incubator_id' => $incubator->id]);

            return $clutch;
        });

        return redirect()->route('incubators.show', $incubator)->with('said', "The eggs of {$clutch->title()} lie in {$incubator->name}.");
    }
}
