<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Collection\Family;
use App\Exchange\Cells\DateCell;
use App\Models\Animal;
use App\Models\Enums\Precision;
use Closure;
use Destino\Genome\Sex;

/** What the fields of an animal's record may say. */
class AnimalRules
{
    public static function someDay(): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail): void {
            $day = Precision::read((string) $value);
            if ($day === null) {
                $fail(match (true) {
                    DateCell::read((string) $value, null)->isUnclear => "“{$value}” can be read in two ways. Write the month by name.",
                    DateCell::read((string) $value, null)->isAbout => "“{$value}” is not exact. Leave the date empty, and write it in the notes.",
                    default => 'Enter the hatch date, for example 11 Aug 2022, or as much as is known: Aug 2022 or 2022.',
                });
            } elseif ($day[0] > now()->format('Y-m-d')) {
                $fail('The hatch date lies in the future.');
            } elseif ($day[0] < '1980') {
                $fail('The hatch date lies too far back.');
            }
        };
    }

    /** A parent is of the right sex, of the same collection, older, and no descendant. */
    public static function possibleParent(Sex $sex, Family $family, ?Animal $animal, string $hatchedOn): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($sex, $family, $animal, $hatchedOn): void {
            $role = $sex === Sex::Male ? 'sire' : 'dam';
            $parent = $family->animal((int) $value);
            $hatched = Precision::read($hatchedOn);
            if ($parent === null) {
                $fail("The {$role} is not in your collection. Choose another, or write its name.");
            } elseif ($parent->sex !== $sex) {
                $fail(
                    $parent->sex === null
                        ? "The sex of {$parent->name} is not known, and the {$role} must be {$sex->value}."
                        : "{$parent->name} is {$parent->sex->value}, and the {$role} must be {$sex->value}.",
                );
            } elseif ($animal !== null && $family->descends($parent, $animal)) {
                $fail(
                    $parent->id === $animal->id
                        ? 'An animal is not its own parent.'
                        : "{$parent->name} descends from {$animal->name} and cannot be a parent of it.",
                );
            } elseif (
                $hatched !== null
                && $parent->hatched_on !== null
                && $hatched[1] === Precision::Day
                && $parent->hatched_on->format('Y-m-d') >= $hatched[0]
            ) {
                $fail("{$parent->name} hatched on {$parent->hatched_on->format('j F Y')}, which is not before this animal.");
            }
        };
    }
}
