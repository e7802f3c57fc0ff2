<?php

namespace App\Exchange;

use App\Catalogue\CatalogueShelf;
use App\Exchange\Cells\DateCell;
use App\Exchange\Cells\SoftCells;
use App\Exchange\Cells\WeightCell;
use App\House\House;
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

    /** How sure a sex with a question mark is, in percent. */
    private const LIKELY_SEX = 75;

    private readonly string $currency;

    /** @var array<string, bool|null> whether the day comes first in the dates of a column, where that is known */
    private readonly array $dayFirst;

    /** @var array<string, true> names and numbers of the list, in lower case */
    private array $listed = [];

    /** @var array<string, string> canonical name or number, in lower case, of everything that a parent can be: "animal" or line number */
    private array $parents = [];

    /**
     * @param  array<int, Field|null>  $columns  meaning of each column; null: kept in the notes
     * @param  string  $slashes  DAY_FIRST, MONTH_FIRST or empty where not chosen
     * @param  array<string, string>  $answers  what to read in place of a text, by keyOf()
     */
    public function __construct(
        public readonly Table $table,
        public readonly array $columns,
        private readonly User $keeper,
        private readonly CatalogueShelf $shelf,
        House $house,
        private readonly string $slashes = '',
        private readonly array $answers = [],
    ) {
        $this->currency = $house->currency();
        $this->dayFirst = $this->orders();
        foreach ($table->rows as $cells) {
            foreach ($cells as $i => $text) {
                if ($text !== '' && in_array($this->columns[$i] ?? null, [Field::Name, Field::Number], true)) {
                    $this->listed[mb_strtolower($text)] = true;
                }
            }
        }
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

    /** @return list<ImportRow> rows that would be written: a soft cell refuses none */
    public function ready(bool $repeated = false): array
    {
        return array_values(
            array_filter(
                $this->rows,
                fn (ImportRow $row): bool => $row->errors === [] && ($repeated || $row->repeats === ''),
            ),
        );
    }

    /**
     * Rows for the eye: of a long list those that need a look, and the first of the others.
     *
     * @return list<ImportRow>
     */
    public function shown(int $most = 400): array
    {
        if (count($this->rows) <= $most) {
            return $this->rows;
        }
        $needs = fn (ImportRow $row): bool => $row->errors !== [] || $row->repeats !== '' || $row->genesUnread || $row->remarks !== [];
        $first = array_slice(array_values(array_filter($this->rows, $needs)), 0, $most - 100);
        $others = array_slice(array_values(array_filter($this->rows, fn (ImportRow $row): bool => ! $needs($row))), 0, $most - count($first));

        return [...$first, ...$others];
    }

    /** @return array<string, int> */
    public function counts(): array
    {
        return [
            'rows' => count($this->rows),
            'ready' => count($this->ready()),
            'wrong' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors !== [])),
            'unread' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && $row->genesUnread)),
            'remarks' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && $row->remarks !== [])),
            'repeated' => count(array_filter($this->rows, fn (ImportRow $row): bool => $row->errors === [] && $row->repeats !== '')),
        ];
    }

    public static function keyOf(string $field, string $text): string
    {
        return $field.':'.hash('xxh64', $text);
    }

    /**
     * Cells that need a word from the keeper, equal ones together, those of most rows first.
     *
     * @return list<array{key: string, field: string, text: string, message: string, choices: list<string>, rows: list<int>}>
     */
    public function problems(): array
    {
        $problems = [];
        foreach ($this->rows as $row) {
            $choices = [];
            foreach ($row->asked as $one) {
                $choices[$one['field']] = $one['choices'];
            }
            foreach ($row->errors === [] ? $row->remarks : [] as $one) {
                $key = self::keyOf($one['field'], $one['text']);
                $problems[$key] ??= ['key' => $key, 'choices' => $choices[$one['field']] ?? [], 'rows' => []] + $one;
                $problems[$key]['rows'][] = $row->line;
            }
        }
        usort($problems, fn (array $a, array $b): int => [count($b['rows']), $a['field']] <=> [count($a['rows']), $b['field']]);

        return $problems;
    }

    /** @return array<string, bool|null> by column: as the keeper said, or as one of its dates shows */
    private function orders(): array
    {
        $orders = [];
        foreach ([Field::Hatched, Field::Acquired, Field::Weighed] as $field) {
            $column = array_search($field, $this->columns, true);
            $texts = $column === false
                ? []
                : array_map(fn (array $cells): string => $cells[$column] ?? '', array_values($this->table->rows));
            $orders[$field->value] = $this->slashes === '' ? DateCell::orderOf($texts) : $this->slashes === self::DAY_FIRST;
        }

        return $orders;
    }

    /** @param  list<string>  $cells */
    private function row(int $line, array $cells): ImportRow
    {
        $row = new ImportRow($line);
        [$texts, $rest] = $this->sorted($row, $cells);
        $text = fn (Field $field): string => $texts[$field->value] ?? '';
        $this->called($row, $text);
        if ($row->values['name'] === '') {
            array_filter($texts) === [] ? $row->fail('name', 'The row says nothing of an animal.') : $row->values['name'] = "Row {$line}";
        }
        [$row->values['hatched_on'], $row->values['hatched_precision']] = $this->day($row, 'hatched', $text(Field::Hatched));
        [$row->values['acquired_on']] = $this->day($row, 'acquired', $text(Field::Acquired));
        $row->values['price_cents'] = $this->price($row, $text(Field::Price));
        $this->weight($row, $text(Field::Weight), $text(Field::Weighed));
        $row->status = $this->status($row, $text(Field::Status));
        $row->saidBy = $this->saidBy($row, $text(Field::SaidBy));
        $row->sire = $this->parent($row, 'sire', $text(Field::Sire));
        $row->dam = $this->parent($row, 'dam', $text(Field::Dam));
        array_push($rest, ...$this->place($row, $text));
        $this->genes($row, $text(Field::Genes));
        $parts = array_filter([$text(Field::Notes), ...$rest, ...array_unique($row->kept)], fn (string $part): bool => $part !== '');
        $row->values['notes'] = $parts === [] ? null : mb_substr(implode("\n", $parts), 0, 10000);

        return $row;
    }

    /**
     * @param list<string> $cells
     * @return array{array<string, string>, list<string>} what stands in each field, and what stands in columns that are none
     */
    private function sorted(ImportRow $row, array $cells): array
    {
        $texts = $rest = [];
        foreach ($cells as $i => $text) {
            $field = $this->columns[$i] ?? null;
            if ($field === null) {
                $rest[] = $text === '' ? '' : "{$this->table->headings[$i]}: {$text}";
            } else {
                $texts[$field->value] = $this->answers[self::keyOf($field->value, $text)] ?? $text;
                if ($texts[$field->value] !== $text) { // what was written stays with the animal
                    $row->kept[] = "{$field->value} as written: {$text}";
                }
            }
        }

        return [$texts, $rest];
    }

    /** @param callable(Field): string $text */
    private function called(ImportRow $row, callable $text): void
    {
        $row->values = [
            'name' => mb_substr($text(Field::Name) !== '' ? $text(Field::Name) : $text(Field::Number), 0, 80),
            'number' => $text(Field::Number) === '' ? null : mb_substr($text(Field::Number), 0, 40),
            'sex' => null,
            'source' => $text(Field::Source) === '' ? null : mb_substr($text(Field::Source), 0, 120),
        ];
        $row->values['sex'] = $this->sex($row, $text(Field::Sex));
        foreach ([[Field::Name, 80], [Field::Number, 40], [Field::Source, 120]] as [$field, $most]) {
            if (mb_strlen($text($field)) > $most) {
                $row->remark($field->value, $text($field), "The {$field->value} has more than {$most} characters: its beginning is taken.");
            }
        }
    }

    /**
     * @param callable(Field): string $text
     * @return list<string> what is no place, for the notes
     */
    private function place(ImportRow $row, callable $text): array
    {
        $row->rack = $text(Field::Rack) === '' ? null : mb_substr($text(Field::Rack), 0, 60);
        $rest = [];
        foreach (['rack_row' => Field::Row, 'rack_column' => Field::Column] as $key => $field) {
            $number = $text($field);
            $isPlace = ctype_digit($number) && (int) $number >= 1 && (int) $number <= 30;
            $row->values[$key] = $isPlace ? (int) $number : null;
            if ($number !== '' && ! $isPlace) {
                $rest[] = "{$field->value}: {$number}";
            }
        }

        return $rest;
    }

    private function genes(ImportRow $row, string $text): void
    {
        $row->genes = $text;
        if ($text === '' || in_array(mb_strtolower($text), ['?', 'unknown', 'not known', 'n/a', 'tbd', '-'], true)) {
            $row->genesUnread = true;
            $row->notes[] = 'No genes given: not known, which is not Normal.';

            return;
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
            $choices = array_map(
                fn (string $one): string => $error->piece === '' ? $one : str_replace($error->piece, $one, $text),
                array_slice($error->suggestions, 0, 6),
            );
            $choices === []
                ? $row->remark('genes', $text, $error->getMessage())
                : $row->ask('genes', $text, $error->getMessage(), $choices);
        }
    }

    private function sex(ImportRow $row, string $text): ?Sex
    {
        [$sex, $isLikely, $isRead] = SoftCells::sex($text);
        if (! $isRead) {
            $row->remark('sex', $text, "“{$text}” is no sex: not known.");
        } elseif ($isLikely) {
            $row->remark('sex', $text, "“{$text}”: taken as {$sex?->value}, and not as sure.");
            $row->values['sex_certainty'] = self::LIKELY_SEX;
        }

        return $sex;
    }

    /** @return array{string|null, string} */
    private function day(ImportRow $row, string $field, string $text): array
    {
        $cell = DateCell::read($text, $this->dayFirst[$field] ?? null);
        if ($cell->isUnclear) {
            $this->hasUnclearDates = true;
            $row->ask(
                $field, $text, "“{$text}” can be read in two ways: does the day or the month come first?",
                [self::DAY_FIRST, self::MONTH_FIRST],
            );
        } elseif ($cell->day === null && ! $cell->isNothing) {
            $row->remark($field, $text, "“{$text}” is no date that could be: not known.");
        } elseif ($cell->isAbout) {
            $row->remark(
                $field, $text, "“{$text}”: taken as {$cell->precision->write(new \DateTimeImmutable((string) $cell->day))}, about.",
            );
        }

        return [$cell->day, $cell->precision->value];
    }

    private function price(ImportRow $row, string $text): ?int
    {
        [$cents, $isRead] = SoftCells::price($text, $this->currency);
        if (! $isRead) {
            $row->remark(
                'price', $text,
                $cents === null
                    ? "“{$text}” is no price in {$this->currency}: kept as it is written."
                    : "“{$text}”: the number is taken, the rest kept.",
            );
        }

        return $cents;
    }

    private function weight(ImportRow $row, string $text, string $day): void
    {
        $cell = WeightCell::read($text, $this->dayFirst['hatched'] ?? null);
        if ($cell->grams === null) {
            $cell->isNothing ?: $row->remark(
                'weight', $text, "“{$text}” is no weight from 1 to ".number_format(CareRequest::MOST_GRAMS).' g: not known.',
            );

            return;
        }
        $on = $cell->on ?? ($day === '' ? null : DateCell::read($day, $this->dayFirst[Field::Weighed->value] ?? null));
        [$row->grams, $row->weighedOn] = [$cell->grams, $on?->day];
        if ($row->weighedOn === null) {
            $row->remark('weight', $text, "{$cell->grams} g, on a day that is not known: kept in the notes until it is weighed.");
        } elseif ($cell->isAbout || $on?->precision !== Precision::Day || $on->isAbout) {
            $row->remark('weight', $text, "“{$text}”: taken as {$cell->grams} g on {$row->weighedOn}, about.");
        }
    }

    /** A name, nobody, or several of whom one is meant: kinship never goes through a guess. */
    private function parent(ImportRow $row, string $role, string $text): ?string
    {
        if (SoftCells::isNobody($text)) {
            return null;
        }
        $names = $this->isKnown($text) ? [$text] : SoftCells::parents($text);
        if (count($names) > 1) {
            $row->ask($role, $text, 'Which of '.implode(' and ', $names)." is the {$role}? Until then it is not known.", $names);

            return null;
        }

        return mb_substr($names[0] ?? $text, 0, 80);
    }

    private function isKnown(string $name): bool
    {
        return isset($this->parents[mb_strtolower($name)]) || isset($this->listed[mb_strtolower($name)]);
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
            $isItself = in_array(
                mb_strtolower($name), [mb_strtolower((string) $row->values['name']), mb_strtolower((string) $row->values['number'])], true,
            );
            if ($isItself) {
                $row->remark($role, $name, "An animal is not its own {$role}: not known.");
                $row->{$role} = null;
            } elseif ($found === null) {
                $row->notes[] = "{$name} is not in the list or the collection: kept as an outside {$role}.";
            } elseif ($found !== '' && $found !== $sex->value) {
                $row->remark($role, $name, "{$name} is {$found} and cannot be the {$role}: not known.");
                $row->{$role} = null;
            } elseif ($found === '') {
                $row->remark($role, $name, "Of {$name} no sex is known: kept as an open name, until it is.");
            }
        }
    }
}
