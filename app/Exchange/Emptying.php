<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\Kinds;
use App\Models\RecordKind;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Takes everything out of a collection for good, so that an archive can be read into it. A backup is made before it. */
final class Emptying
{
    /** @return int animals that are gone, those that were removed before among them */
    public static function of(User $keeper): int
    {
        return DB::transaction(function () use ($keeper): int {
            $animals = $keeper->animals()->withTrashed()->count();
            foreach (array_reverse(Kinds::sections()) as $kind) {
                DB::table(self::table($kind))->where('user_id', $keeper->id)->delete(); // what belongs to a record goes with it
            }
            DB::table('imports')->where('user_id', $keeper->id)->delete();
            DB::table('house_rules')->where('user_id', $keeper->id)->delete();

            return $animals;
        });
    }

    private static function table(RecordKind $kind): string
    {
        return (new $kind->class)->getTable();
    }
}
