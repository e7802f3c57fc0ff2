<?php

namespace Tests\Browser\Support;

use App\Models\Animal;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** Gives the animals of the demo the longest names and numbers that there can be, with and without spaces. */
class LongNamesSeeder extends Seeder
{
    public function run(): void
    {
        DB::transaction(function (): void {
            foreach (Animal::query()->orderBy('id')->get() as $animal) {
                $words = "{$animal->name} of the Landing at the Upper End of the Long Street beyond the Harbour Wall and";
                DB::table('animals')->where('id', $animal->id)->update([
                    'name' => mb_substr($animal->id % 3 === 0 ? str_pad("{$animal->name}XYZ", 80, 'Wabcdefg') : $words, 0, 80),
                    'number' => str_pad("N{$animal->id}-", 40, '0123456789'),
                ]);
            }
        });
    }
}
