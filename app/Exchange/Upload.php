<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catalogue\CatalogueShelf;
use App\Exchange\Archive\Archive;
use App\Exchange\Cells\DateCell;
use App\Exchange\Errors\ExchangeError;
use App\House\House;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use ZipArchive;

/** A file that is to be looked at before it is taken in; kept for one keeper, for a day. */
class Upload
{
    private const KEPT_SECONDS = 86400;

    private function __construct(public readonly string $id, public readonly string $name, private readonly string $file) {}

    public static function keep(User $keeper, UploadedFile $file): self
    {
        self::sweep($keeper);
        $id = (string) Str::uuid();
        $name = Str::limit(preg_replace('/[^\pL\pN ._-]/u', '', $file->getClientOriginalName()) ?: 'list', 80, '');
        $path = self::folder($keeper)."/{$id}--{$name}";
        Storage::put($path, (string) file_get_contents($file->getRealPath()));

        return new self($id, $name, $path);
    }

    /** A list that was typed or pasted. */
    public static function keepText(User $keeper, string $name, string $csv): self
    {
        self::sweep($keeper);
        $id = (string) Str::uuid();
        Storage::put($path = self::folder($keeper)."/{$id}--{$name}", $csv);

        return new self($id, $name, $path);
    }

    public static function find(User $keeper, string $id): ?self
    {
        if (! Str::isUuid($id)) {
            return null;
        }
        foreach (Storage::files(self::folder($keeper)) as $path) {
            if (str_starts_with(basename($path), "{$id}--")) {
                return new self($id, substr(basename($path), 38), $path);
            }
        }

        return null;
    }

    public function path(): string
    {
        return Storage::path($this->file);
    }

    public function forget(): void
    {
        Storage::delete([$this->file, $this->answersFile()]);
    }

    /**
     * What the keeper said of cells that could not be read: equal texts of a column are answered once.
     *
     * @return array<string, string> text to read instead, by column and text as written
     */
    public function answers(): array
    {
        $kept = Storage::exists($this->answersFile()) ? json_decode((string) Storage::get($this->answersFile()), true) : [];

        return is_array($kept) ? array_filter($kept, is_string(...)) : [];
    }

    /** @param array<string, string|null> $answers empty: as it is written */
    public function answer(array $answers): void
    {
        Storage::put($this->answersFile(), (string) json_encode(array_filter(
            array_merge($this->answers(), $answers), fn (?string $answer): bool => $answer !== null && trim($answer) !== '',
        )));
    }

    private function answersFile(): string
    {
        return dirname($this->file)."/answers-{$this->id}.json";
    }

    public function isArchive(): bool
    {
        $zip = new ZipArchive;
        if ($zip->open($this->path(), ZipArchive::RDONLY) === true) {
            return $zip->locateName('collection.json') !== false;
        }

        return str_starts_with(ltrim((string) file_get_contents($this->path(), false, null, 0, 64)), '{');
    }

    /** @throws ExchangeError when it is neither an archive nor a list */
    public function check(): void
    {
        $this->isArchive() ? Archive::open($this->path()) : Table::read($this->path(), $this->name);
    }

    /**
     * What it would become, with the columns as they were chosen or, without a choice, as their headings say.
     *
     * @param array<string, mixed> $choices columns and dates, as typed
     * @param list<int> $made animals that came from it already
     */
    public function plan(array $choices, User $keeper, CatalogueShelf $shelf, House $house, array $made = []): ImportPlan
    {
        $table = Table::read($this->path(), $this->name);
        $columns = $table->hasHeadings ? Field::match($table->headings) : (new ColumnGuess($shelf))->of($table);
        $chosen = (array) ($choices['columns'] ?? []);
        foreach (array_keys($columns) as $i) {
            if (is_string($chosen[$i] ?? null)) {
                $columns[$i] = Field::tryFrom($chosen[$i]);
            }
        }
        $dates = is_string($choices['dates'] ?? null) ? $choices['dates'] : '';

        $weighed = is_string($choices['weighed'] ?? null) ? $choices['weighed'] : '';
        $isDay = preg_match('/^\d{4}-\d\d-\d\d$/D', $weighed) === 1 && $weighed <= now()->format('Y-m-d');

        return new ImportPlan(
            $table, $columns, $keeper, $shelf, $house,
            in_array($dates, [DateCell::DAY_FIRST, DateCell::MONTH_FIRST], true) ? $dates : '', $this->answers(), $made,
            $isDay ? $weighed : '',
        );
    }

    private static function folder(User $keeper): string
    {
        return "imports/{$keeper->id}";
    }

    private static function sweep(User $keeper): void
    {
        foreach (Storage::files(self::folder($keeper)) as $path) {
            if (Storage::lastModified($path) < time() - self::KEPT_SECONDS) {
                Storage::delete($path);
            }
        }
    }
}
