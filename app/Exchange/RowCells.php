<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Catalogue\CatalogueShelf;
use App\Exchange\Cells\DateCell;
use App\Exchange\Cells\SoftCells;
use App\Exchange\Cells\WeightCell;
use App\Models\CareEntry;
use App\Models\Enums\Precision;
use App\Models\Enums\Status;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Source;
use Destino\Notation\Printer;

/** Reads the cells of a row; what cannot be read, or in two ways, is remarked or asked at its row. */
final class RowCells
{
    /** How sure a sex with a question mark is, in percent. */
    private const LIKELY_SEX = 75;

    /** Whether a date could be read in two ways. */
    public bool $hasUnclearDates = false;

    /** @param array<string, bool|null> $dayFirst whether the day comes first in the dates of a column, where that is known */
    public function __construct(private readonly CatalogueShelf $shelf, private readonly string $currency,
        private readonly array $dayFirst, private readonly string $weighed = '') {}

    public function genes(ImportRow $row, string $text): void
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

    public function sex(ImportRow $row, string $text): ?Sex
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
    public function day(ImportRow $row, string $field, string $text): array
    {
        $cell = DateCell::read($text, $this->dayFirst[$field] ?? null);
        if ($cell->isUnclear) {
            $this->hasUnclearDates = true;
            $row->ask(
                $field, $text, "“{$text}” can be read in two ways: does the day or the month come first?",
                [DateCell::DAY_FIRST, DateCell::MONTH_FIRST],
            );
        } elseif ($cell->day === null && $cell->isAbout) {
            $row->remark($field, $text, "“{$text}”: the date is left open, the words are kept.");
        } elseif ($cell->day === null && ! $cell->isNothing) {
            $row->remark($field, $text, "“{$text}” is no date that could be: not known.");
        } elseif ($cell->isAbout) {
            $row->remark(
                $field, $text, "“{$text}”: taken as {$cell->precision->write(new \DateTimeImmutable((string) $cell->day))}, about.",
            );
        }

        return [$cell->day, $cell->precision->value];
    }

    public function price(ImportRow $row, string $text): ?int
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

    public function weight(ImportRow $row, string $text, string $day): void
    {
        $cell = WeightCell::read($text, $this->dayFirst['hatched'] ?? null);
        if ($cell->grams === null) {
            $most = number_format(CareEntry::MOST_GRAMS);
            $cell->isNothing ?: $row->remark(
                'weight', $text, "“{$text}” is no weight from 1 to {$most} g: not known. A number without a unit is in grams.",
            );

            return;
        }
        $day = $day === '' ? $this->weighed : $day;
        $on = $cell->on ?? ($day === '' ? null : DateCell::read($day, $this->dayFirst[Field::Weighed->value] ?? null));
        [$row->grams, $row->weighedOn] = [$cell->grams, $on?->day];
        if ($row->weighedOn === null) {
            $row->remark(
                'weight', $text, "{$cell->grams} g, on a day that is not known: kept in the notes. Answer “Weighed when?” to record it.",
            );
        } elseif ($cell->isAbout || $on?->precision !== Precision::Day || $on->isAbout) {
            $row->remark('weight', $text, "“{$text}”: taken as {$cell->grams} g on {$row->weighedOn}, about.");
        }
    }

    public function status(ImportRow $row, string $text): ?string
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

    public function saidBy(ImportRow $row, string $text): string
    {
        return Source::tryFrom(mb_strtolower($text))->value
            ?? (($row->values['source'] ?? null) === null ? Source::Own->value : Source::Seller->value);
    }
}
