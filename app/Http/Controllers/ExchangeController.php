<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Backup\BackupError;
use App\Backup\Vault;
use App\Catalogue\CatalogueShelf;
use App\Collection\Opened;
use App\Exchange\AnimalSheet;
use App\Exchange\Archive\Archive;
use App\Exchange\Bringing;
use App\Exchange\Emptying;
use App\Exchange\PastedList;
use App\Exchange\PedigreeFile;
use App\Exchange\SeasonCalendar;
use App\Exchange\Table;
use App\Exchange\Upload;
use App\Http\Requests\PasteRequest;
use App\Http\Requests\UploadRequest;
use App\Jobs\BringIn;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Photos\Darkroom;
use App\Tables\Sheet;
use Destino\DestinoError;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/** Bringing in and taking out. Nothing is written before it has been looked at. */
class ExchangeController extends Controller
{
    /** Rows that are brought in while one waits. */
    private const AT_ONCE = 300;

    public function __construct(
        private readonly Opened $opened,
        private readonly CatalogueShelf $shelf,
        private readonly Darkroom $darkroom,
    ) {}

    public function index(#[CurrentKeeper] User $keeper): View
    {
        $this->authorize('manage');

        return view('exchange.index',
            ['animals' => $keeper->animals()->count(), 'imports' => $keeper->imports()->latest('id')->limit(10)->get()]);
    }

    public function download(string $format, #[CurrentKeeper] User $keeper): AnyResponse
    {
        $this->authorize('manage');
        $name = 'destino-'.now()->format('Y-m-d');

        return match ($format) {
            'zip' => $this->archive($keeper, "{$name}.zip"),
            Sheet::CSV, Sheet::XLSX =>
                Sheet::download($name, $format, AnimalSheet::headings(), fn (): iterable => AnimalSheet::rows($this->opened)),
            'ped' => self::text(PedigreeFile::write($this->opened), "{$name}.ped", 'text/plain'),
            default => self::text(SeasonCalendar::of($keeper), "{$name}.ics", 'text/calendar'),
        };
    }

    public function upload(UploadRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $upload = Upload::keep($keeper, $request->file('file'));
        try {
            $upload->check();
        } catch (DestinoError $error) {
            $upload->forget();
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }

        return redirect()->route('exchange.preview', $upload->id);
    }

    /** A message of several animals is looked at as a list is. */
    public function paste(PasteRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $name = 'pasted '.now()->format('j M H.i').'.csv';

        return redirect()->route(
            'exchange.preview', Upload::keepText($keeper, $name, PastedList::csv((string) $request->validated('text')))->id,
        );
    }

    public function preview(Request $request, string $upload, #[CurrentKeeper] User $keeper): View|RedirectResponse
    {
        $this->authorize('manage');
        $upload = Upload::find($keeper, $upload);
        if ($upload === null) {
            return redirect()->route('exchange')->with('said', 'That file is not here any more. Choose it again.');
        }

        return view('exchange.preview', $upload->isArchive()
            ? [
                'upload' => $upload, 'plan' => null, 'archive' => Archive::open($upload->path()),
                'animals' => $keeper->animals()->withTrashed()->count(),
            ]
            : [
                'upload' => $upload, 'plan' => $upload->plan($request->query(), $keeper, $this->shelf, $this->opened->house),
                    'archive' => null,
                'animals' => $keeper->animals()->count(),
            ]);
    }

    /** What cells mean that could not be read; kept with the file, so that one may come back. */
    public function answer(Request $request, string $upload, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('manage');
        $upload = Upload::find($keeper, $upload);
        if ($upload === null) {
            return redirect()->route('exchange')->with('said', 'That file is not here any more. Choose it again.');
        }
        $valid = $request->validate(
            ['answers' => ['required', 'array', 'max:2000'], 'answers.*' => ['nullable', 'string', 'max:500']],
            ['answers' => 'Answer in at most 500 characters each.'],
        );
        $upload->answer($valid['answers']);

        return redirect()->to(
            route('exchange.preview', [$upload->id] + $request->query()).'#problems',
        )->with('said', 'Check again with what you said.');
    }

    public function store(Request $request, string $upload, #[CurrentKeeper] User $keeper, Darkroom $darkroom): RedirectResponse
    {
        $this->authorize('manage');
        $import = $keeper->imports()->where('upload', $upload)->first();
        if ($import !== null) { // the second click of a double one
            return redirect()->route('imports.show', $import);
        }
        $upload = Upload::find($keeper, $upload);
        if ($upload === null) {
            return redirect()->route('exchange')->with('said', 'That file was already imported. See the animals.');
        }
        if (! $upload->isArchive()) {
            return $this->bringIn($request, $upload, $keeper);
        }
        try {
            $count = (new Archive($keeper, $darkroom))->take(...Archive::open($upload->path()));
        } catch (DestinoError $error) {
            return redirect()->route('exchange.preview', [$upload->id] + $request->query())
                ->withErrors(['file' => $error->getMessage()])
                ->withInput();
        }
        $upload->forget();

        return redirect()->route('animals.index')->with('said', number_format($count).' '.Str::plural('animal', $count).' brought in.');
    }

    /** A short list at once, a long one in the background; a receipt of either. */
    private function bringIn(Request $request, Upload $upload, User $keeper): RedirectResponse
    {
        $choices = [
            'columns' => (array) $request->query('columns', []), 'dates' => $request->query('dates'),
                'weighed' => $request->query('weighed'),
                'repeated' => $request->boolean('repeated'),
        ];
        try {
            if (count(Table::read($upload->path(), $upload->name)->rows) <= self::AT_ONCE) {
                return redirect()->route('imports.show', (new Bringing($this->opened))->atOnce($upload, $choices));
            }
        } catch (DestinoError $error) { // nothing came of it: the file can be tried again
            return redirect()->route('exchange.preview',
                [$upload->id] + $request->query())->withErrors(['file' => $error->getMessage()])->withInput();
        }
        $import = Bringing::begin($keeper, $upload, $choices);
        $import->wasRecentlyCreated && BringIn::dispatch($import->id)->afterCommit();

        return redirect()->route('imports.show', $import);
    }

    private function archive(User $keeper, string $name): BinaryFileResponse
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'destino-');
        (new Archive($keeper, $this->darkroom))->write($path);

        return response()->download($path, $name, ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    private static function text(string $content, string $name, string $type): Response
    {
        return response(
            $content, 200,
            ['Content-Type' => "{$type}; charset=UTF-8", 'Content-Disposition' => "attachment; filename=\"{$name}\""],
        );
    }

    /** Everything goes, after a backup and the word for it. */
    public function empty(Request $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('keep-installation');
        $request->validate(['word' => ['required', 'in:empty']], ['word' => 'Type “empty” to confirm.']);
        try {
            $file = Vault::ofThisInstallation()->make(Carbon::now());
        } catch (BackupError $error) {
            throw ValidationException::withMessages(
                ['word' => "Nothing was removed, since no backup could be made: {$error->getMessage()}"],
            );
        }
        $count = Emptying::of($keeper);

        return redirect()->route('exchange')->with(
            'said', "{$count} animals and all that belongs to them are gone. The backup {$file} has them.",
        );
    }
}
