<?php

namespace Tests\Browser\Support;

use App\Models\User;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** Makes the demo a collection in which pages do not wait: a hundred females more, and a family of two generations. */
class LargeSeeder extends Seeder
{
    public function run(): void
    {
        DB::transaction(function (): void {
            $keeper = User::query()->whereNull('owner_id')->orderBy('id')->firstOrFail();
            for ($i = 1; $i <= 100; $i++) {
                $keeper->animals()->create(['name' => "Oar {$i}", 'sex' => 'female']);
            }
            $sire = $keeper->animals()->create(['name' => 'Old Keel', 'sex' => 'male']);
            $sire->statements()->create(['text' => 'Pastel', 'source' => 'own']);
            $dam = $keeper->animals()->where('name', 'Oar 1')->sole();
            $keeper->animals()->create(['name' => 'Young Keel', 'sex' => 'female', 'sire_id' => $sire->id, 'dam_id' => $dam->id]);
        });
    }
}
