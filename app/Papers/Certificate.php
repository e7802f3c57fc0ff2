<?php

declare(strict_types=1);

namespace App\Papers;

use App\Animals\AnimalPage;
use App\Collection\Opened;
use App\Health\Malformed;
use App\Models\Animal;
use App\Models\Observation;
use App\Models\Statement;
use Illuminate\Support\Carbon;

/** The paper that goes with an animal: what it is believed to carry, and what that rests on. */
class Certificate
{
    private const LEFT = 18.0;

    private const WIDTH = 174.0;

    public static function of(AnimalPage $page, Opened $opened): string
    {
        $sheet = new Sheet($page->animal->name);
        $sheet->SetAutoPageBreak(true, 18);
        $sheet->AddPage();
        $label = Label::in($opened, $page->card);
        $sheet->code($label->address, 160, 18, 32);
        $sheet->fit($label->name, self::LEFT, 18, 136, 20, 22, true);
        $sheet->fit(implode(' · ', array_filter([$label->number, $label->facts])), self::LEFT, 40, 136, 10, 11);
        $sheet->setY(58);
        self::part($sheet, 'Carries, as far as the records tell', [$label->genes], 13);
        self::part($sheet, 'What this rests on', self::grounds($page));
        self::part($sheet, 'Parents', array_filter([self::parent($page, 'Sire'), self::parent($page, 'Dam')]) ?: ['Not recorded.']);
        $weight = $page->animal->latestWeight;
        self::part($sheet, 'Weight', [$weight === null ? 'None recorded.' : "{$weight->grams} g on {$weight->on->format('j F Y')}"]);
        $seen = array_map(
            static fn (Observation $one): string => "{$one->on->format('j F Y')}: {$one->sentence()}.", Malformed::latest($page->animal),
        );
        $seen === [] ?: self::part($sheet, 'Seen malformed or ailing: not for breeding until a reptile veterinarian says otherwise', $seen);
        self::part($sheet, 'Written', [
            Carbon::today()->format('j F Y').', from the records of that day. Where a chance stands, nobody knows yet; what is not '
                .'named was not recorded, which does not mean that it is not there.',
            "The code opens {$label->address}.",
        ]);

        return $sheet->bytes();
    }

    /** @return list<string> */
    private static function grounds(AnimalPage $page): array
    {
        $stated = array_map(fn (Statement $statement): string => "{$statement->text}: {$statement->byWhom()}", $page->statements);

        return $stated === [] ? ['Nothing was stated of the animal itself: it follows from the parents and relatives.'] : $stated;
    }

    private static function parent(AnimalPage $page, string $role): ?string
    {
        $id = $role === 'Sire' ? $page->animal->sire_id : $page->animal->dam_id;
        $name = $role === 'Sire' ? $page->animal->sire_name : $page->animal->dam_name;
        $parent = $id === null ? null : Animal::query()->find($id);

        return match (true) {
            $parent !== null => "{$role}: {$parent->name}".(
                $parent->number === null ? '' : " ({$parent->number})"
            ).', '.$page->cardOf($parent)->genotype(),
            $name !== null => "{$role}: {$name}, of another collection",
            default => null,
        };
    }

    /** @param array<string> $lines */
    private static function part(Sheet $sheet, string $title, array $lines, float $points = 10): void
    {
        $sheet->SetDrawColor(190, 200, 195);
        $sheet->Line(self::LEFT, $sheet->GetY(), self::LEFT + self::WIDTH, $sheet->GetY());
        $sheet->Ln(2.5);
        $sheet->font(8, true);
        $sheet->SetTextColor(70, 90, 82);
        $sheet->MultiCell(self::WIDTH, 0, $title, 0, 'L', false, 1, self::LEFT);
        $sheet->Ln(1.5);
        $sheet->SetTextColor(0, 0, 0);
        $sheet->font($points);
        foreach ($lines as $line) {
            $sheet->MultiCell(self::WIDTH, 0, $line, 0, 'L', false, 1, self::LEFT);
        }
        $sheet->Ln(6);
    }
}
