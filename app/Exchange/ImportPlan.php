<?php

namespace App\Exchange;

use App\Catalogue\CatalogueShelf;
use App\Http\Requests\CareRequest;
use App\Models\Enums\Precision;
use App\Models\Enums\Status;
use App\Models\User;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Source;
use Destino\Notation\Printer;

/** What a list of animals would become in a collection, row by row. Nothing is written here. */
class ImportPlan
{
    /** How 03/04/2022 is meant. */
    public const DAY_FIRST = 'day-first';

    public const MONTH_FIRST = 'month-first';

    /** @var list<ImportRow> */
    public readonly array $rows;

    /** Whether a date can be read in two ways. */
    public bool $hasUnclearDates = false;

    /** @var array<string, string> canonical name or number, in lower case, of everything that a parent can be: "animal" or line number */
    private array $parents = [];

    /**
     * @param  array<int, Field|null>  $columns  meaning of each column; null: kept in the notes
     * @param  string  $slashes  DAY_FIRST, MONTH_FIRST or empty where not chosen
     */
    public function __construct(
        public readonly Table $table,
        public readonly array $columns,
        private readonly User $keeper,
        private readonly CatalogueShelf $shelf,
        private readonly string $slashes = '',
    ) {
        $known = $this->known();
        $rows = [];
        foreach ($table->rows as $line => $cells) {
            $rows[] = $this->row($line, $cells);
        }
        foreach ($rows as $row) {
            foreach (
                ['number' => (string) ($row->values['number'] ?? ''), 'name' => (string) ($row->values['name'] ?? '')] as $key => $text
            ) {
                if ($text !== '') {
                    $this->parents[mb_strtolower($text)] ??= (string) ($row->values['sex']->value ?? '');
                }
            }
        }
        foreach ($rows as $row) {
            $this->repeats($row, $known);
            $this->parentsOf($row);
        }
        $this->rows = $rows;
    }

    /** @return list<ImportRow> rows that would be written */
    public function ready(bool $repeated = false, bool $unread = false): array
    {
        return array_values(
            array_filter(
                $this->rows,
                fn (ImportRow $row): bool => $row->errors === [] && ($unread || ! $row->genesUnread) && ($repeated || $row->repeats === ''),
            ),
        );
    }

    /** @return array<string, int> */
    public function counts(): array
    {
        return [
            'rows' => count($this->rows),
            'ready' => count($this->ready()),
            'wrong' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors !== [])),
            'unread' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && $row->genesUnread)),
            'repeated' => count(
                array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && ! $row->genesUnread && $row->repeats !== ''),
            ),
        ];
    }

    /** @param  list<string>  $cells */
    private function row(int $line, array $cells): ImportRow
    {
        $row = new ImportRow($line);
        $texts = $rest = [];
        foreach ($cells as $i => $text) {
            $field = $this->columns[$i] ?? null;
            if ($field === null) {
                $rest[] = $text === '' ? '' : "{$this->table->headings[$i]}: {$text}";
            } else {
                $texts[$field->value] = $text;
            }
        }
        $text = fn (Field $field): string => $texts[$field->value] ?? '';
        $row->values = [
            'name' => mb_substr($text(Field::Name) !== '' ? $text(Field::Name) : $text(Field::Number), 0, 80),
            'number' => $text(Field::Number) === '' ? null : mb_substr($text(Field::Number), 0, 40),
            'sex' => $this->sex($row, $text(Field::Sex)),
            'source' => $text(Field::Source) === '' ? null : mb_substr($text(Field::Source), 0, 120),
        ];
        if ($row->values['name'] === '') {
            $row->fail('name', 'The row has neither a name nor a number.');
        }
        foreach ([[Field::Name, 80], [Field::Number, 40], [Field::Source, 120]] as [$field, $most]) {
            if (mb_strlen($text($field)) > $most) {
                $row->fail($field->value, "The {$field->value} has more than {$most} characters.");
            }
        }
        [$row->values['hatched_on'], $row->values['hatched_precision']] = $this->day($row, 'hatched', $text(Field::Hatched));
        [$row->values['acquired_on']] = $this->day($row, 'acquired', $text(Field::Acquired));
        $row->values['price_cents'] = $this->price($row, $text(Field::Price));
        $row->grams = $this->grams($row, $text(Field::Weight));
        $row->status = $this->status($row, $text(Field::Status));
        $row->saidBy = $this->saidBy($row, $text(Field::SaidBy));
        $row->sire = $text(Field::Sire) === '' ? null : mb_substr($text(Field::Sire), 0, 80);
        $row->dam = $text(Field::Dam) === '' ? null : mb_substr($text(Field::Dam), 0, 80);
        $row->rack = $text(Field::Rack) === '' ? null : mb_substr($text(Field::Rack), 0, 60);
        foreach (['rack_row' => Field::Row, 'rack_column' => Field::Column] as $key => $field) {
            $row->values[$key] = ctype_digit($text($field)) && (int) $text($field) >= 1 && (int) $text($field) <= 30
                ? (int) $text($field)
                : null;
            if ($text($field) !== '' && $row->values[$key] === null) {
                $rest[] = "{$field->value}: {$text($field)}";
            }
        }
        $this->genes($row, $text(Field::Genes));
        $notes = implode(
            "\n",
            array_filter(
                [$text(Field::Notes), ...$rest, ...$row->kept, $row->genesUnread ? "genes as written: {$row->genes}" : ''],
                fn (string $part): bool => $part !== '',
            ),
        );
        $row->values['notes'] = $notes === '' ? null : mb_substr($notes, 0, 10000);

        return $row;
    }

    private function genes(ImportRow $row, string $text): void
    {
        $row->genes = $text === '' ? 'Normal' : $text;
        if ($text === '') {
            $row->notes[] = 'No genes given: taken as Normal.';
        }
        $reading = $this->shelf->reader()->read($row->genes, $row->values['sex'] ?? null);
        $row->values['sex'] ??= $reading->sex;
        $row->values['number'] ??= $reading->number;
        if ($reading->belief !== null) {
            $row->read = (new Printer($this->shelf->catalogue()))->belief($reading->belief);
            array_push($row->notes, ...$reading->notes);

            return;
        }
        $row->genesUnread = true;
        foreach ($reading->errors as $error) {
            $row->notes[] = $error->getMessage();
        }
    }

    private function sex(ImportRow $row, string $text): ?Sex
    {
        return match (mb_strtolower($text)) {
            'm', 'male', 'man', '♂', '1.0', '1.0.0', 'boy' => Sex::Male,
            'f', 'female', 'w', '♀', '0.1', '0.1.0', 'girl' => Sex::Female,
            '', '?', 'u', 'unknown', 'not known', '0.0.1', 'unsexed', 'n/a' => null,
            default => $this->unread($row, 'sex', "“{$text}” is no sex: write male, female or nothing."),
        };
    }

    private function unread(ImportRow $row, string $field, string $message): null
    {
        $row->fail($field, $message);

        return null;
    }

    /** @return array{string|null, string} */
    private function day(ImportRow $row, string $field, string $text): array
    {
        if ($text === '' || $text === '?') {
            return [null, Precision::Day->value];
        }
        $plain = $text;
        if (preg_match('~^(\d{1,2})\.(\d{1,2})\.(\d{4})$~', $text, $part)) {
            $plain = "{$part[3]}-{$part[2]}-{$part[1]}";
        } elseif (preg_match('~^(\d{1,2})/(\d{1,2})/(\d{4})$~', $text, $part)) {
            [$first, $second] = [(int) $part[1], (int) $part[2]];
            if ($first <= 12 && $second <= 12 && $first !== $second && $this->slashes === '') {
                $this->hasUnclearDates = true;
                $row->fail($field, "“{$text}” can be read in two ways: choose whether the day or the month comes first, and look again.");

                return [null, Precision::Day->value];
            }
            $dayFirst = $second > 12 ? false : ($first > 12 || $this->slashes === self::DAY_FIRST || $first === $second);
            $plain = $dayFirst ? "{$part[3]}-{$second}-{$first}" : "{$part[3]}-{$first}-{$second}";
        } elseif (preg_match('~^(\d{1,2})[./](\d{4})$~', $text, $part)) {
            $plain = "{$part[2]}-{$part[1]}";
        }
        $day = Precision::read($plain);
        if ($day === null || $day[0] > now()->format('Y-m-d') || $day[0] < '1980') {
            $row->fail(
                $field,
                $day === null
                    ? "“{$text}” is no date: write 2022-08-11, 2022-08 or 2022."
                    : "“{$text}” lies in the future or too far back.",
            );

            return [null, Precision::Day->value];
        }

        return [$day[0], $day[1]->value];
    }

    private function price(ImportRow $row, string $text): ?int
    {
        $plain = (string) preg_replace('/[^\d.,]/', '', $text);
        if ($plain === '') {
            return null;
        }
        $plain = preg_match('/,\d{1,2}$/', $plain) ? str_replace(',', '.', str_replace('.', '', $plain)) : str_replace(',', '', $plain);
        if (! is_numeric($plain) || (float) $plain > 1e6) {
            $row->fail('price', "“{$text}” is no price.");

            return null;
        }

        return (int) round(100 * (float) $plain);
    }

    private function grams(ImportRow $row, string $text): ?int
    {
        if ($text === '') {
            return null;
        }
        $plain = str_replace([' ', ',', 'g'], '', mb_strtolower($text));
        if (! is_numeric($plain) || (float) $plain < 1 || (float) $plain > CareRequest::MOST_GRAMS) {
            $row->fail('weight', "“{$text}” is no weight in grams from 1 to ".number_format(CareRequest::MOST_GRAMS).'.');

            return null;
        }

        return (int) round((float) $plain);
    }

    private function status(ImportRow $row, string $text): ?string
    {
        if ($text === '') {
            return null;
        }
        $plain = mb_strtolower(str_replace(['_'], ' ', $text));
        foreach (Status::cases() as $status) {
            if (str_replace('-', ' ', $plain) === str_replace('-', ' ', $status->value)) {
                return $status->value;
            }
        }
        $row->notes[] = "“{$text}” is no status: it goes into the notes.";
        $row->kept[] = "status: {$text}";

        return null;
    }

    private function saidBy(ImportRow $row, string $text): string
    {
        return Source::tryFrom(mb_strtolower($text))->value
            ?? (($row->values['source'] ?? null) === null ? Source::Own->value : Source::Seller->value);
    }

    /** @return array{numbers: array<string, string>, names: array<string, string>} of the collection */
    private function known(): array
    {
        $numbers = $names = [];
        foreach (
            $this->keeper->animals()->withTrashed()->get([
                'id', 'name', 'number', 'sex', 'hatched_on', 'hatched_precision', 'deleted_at',
            ]) as $animal
        ) {
            if ($animal->number !== null) {
                $numbers[mb_strtolower($animal->number)] = $animal->name;
            }
            if (! $animal->trashed()) {
                $names[mb_strtolower($animal->name).'|'.$animal->hatched_on?->format('Y-m-d')] = $animal->name;
                $this->parents[mb_strtolower($animal->name)] ??= $animal->sex->value ?? '';
                $this->parents[mb_strtolower((string) $animal->number)] ??= $animal->sex->value ?? '';
            }
        }

        return ['numbers' => $numbers, 'names' => $names];
    }

    /** @param  array{numbers: array<string, string>, names: array<string, string>}  $known */
    private function repeats(ImportRow $row, array &$known): void
    {
        $number = mb_strtolower((string) $row->values['number']);
        $name = mb_strtolower((string) $row->values['name']).'|'.$row->values['hatched_on'];
        if ($number !== '' && isset($known['numbers'][$number])) {
            $row->repeats = "the number {$row->values['number']} belongs to {$known['numbers'][$number]}";
        } elseif (isset($known['names'][$name])) {
            $row->repeats = "{$known['names'][$name]} of the same hatch date";
        }
        if ($number !== '') {
            $known['numbers'][$number] ??= "row {$row->line}";
        }
        $known['names'][$name] ??= "row {$row->line}";
    }

    private function parentsOf(ImportRow $row): void
    {
        foreach (['sire' => Sex::Male, 'dam' => Sex::Female] as $role => $sex) {
            $name = $row->{$role};
            if ($name === null) {
                continue;
            }
            $found = $this->parents[mb_strtolower($name)] ?? null;
            if (
                in_array(
                    mb_strtolower($name),
                    [mb_strtolower((string) $row->values['name']), mb_strtolower((string) $row->values['number'])], true,
                )
            ) {
                $row->fail($role, 'An animal is not its own parent.');
            } elseif ($found === null) {
                $row->notes[] = "{$name} is not in the list or the collection: kept as an outside {$role}.";
            } elseif ($found !== $sex->value) {
                $row->fail($role, "{$name} is ".($found === '' ? 'of unknown sex' : $found)." and cannot be the {$role}.");
            }
        }
    }
}
