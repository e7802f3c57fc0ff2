<?php

declare(strict_types=1);

namespace App\Animals;

use App\Models\Animal;
use App\Models\Rack;
use App\Models\User;

/** The tubs as options of a list; those that are taken say by whom. */
class TubOptions
{
    /** @param list<Rack> $racks */
    public static function of(User $keeper, Animal $animal, array $racks): string
    {
        $taken = [];
        foreach (
            $keeper
                ->animals()
                ->toBase()
                ->whereNotNull('rack_row')
                ->whereNull('deleted_at')
                ->get(['name', 'rack_id', 'rack_row', 'rack_column']) as $row
        ) {
            $taken["{$row->rack_id}:{$row->rack_row}:{$row->rack_column}"] = $row->name;
        }
        $own = "{$animal->rack_id}:{$animal->rack_row}:{$animal->rack_column}";
        $options = '';
        foreach ($racks as $rack) {
            $options .= '<optgroup label="'.e($rack->name).'">';
            for ($row = 1; $row <= $rack->rows; $row++) {
                for ($column = 1; $column <= $rack->columns; $column++) {
                    $tub = "{$rack->id}:{$row}:{$column}";
                    $who = isset($taken[$tub]) && $tub !== $own ? ' ('.e($taken[$tub]).')' : '';
                    $options .= "<option value=\"{$tub}\"".($tub === $own ? ' selected' : '').'>'.e($rack->name)
                        .", {$row}·{$column}{$who}</option>";
                }
            }
            $options .= '</optgroup>';
        }

        return $options;
    }

    /** @return array<string, string> tubs in which nobody is, by "rack:row:column" */
    public static function free(User $keeper): array
    {
        $taken = $keeper->animals()->whereNotNull('rack_row')->toBase()->whereNull('deleted_at')->get(['rack_id', 'rack_row', 'rack_column'])
            ->mapWithKeys(fn (object $at): array => ["{$at->rack_id}:{$at->rack_row}:{$at->rack_column}" => true])->all();
        $free = [];
        foreach ($keeper->racks()->get() as $rack) {
            for ($row = 1; $row <= $rack->rows; $row++) {
                for ($column = 1; $column <= $rack->columns; $column++) {
                    $free["{$rack->id}:{$row}:{$column}"] = "{$rack->name}, {$row}·{$column}";
                }
            }
        }

        return array_diff_key($free, $taken);
    }
}
