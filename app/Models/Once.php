<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Facades\DB;

/** What a form makes it makes once, however often it is sent: a form carries a token, and the record keeps it. */
final class Once
{
    /**
     * The record of a form, made now where it is not there yet. Writers take turns (App\Database), so that nobody makes it between
     * the question and the answer.
     *
     * @param  HasMany<covariant Model, covariant Model>  $records
     * @param  string|null  $token  of the form; null where it has none, and every sending makes a record
     * @param  array<string, mixed>  $values
     *
     * @throws RemovedSince where it was made before and removed since
     */
    public static function create(HasMany $records, ?string $token, array $values): Model
    {
        return DB::transaction(fn (): Model => self::made($records, $token) ?? $records->create(['form_token' => $token] + $values));
    }

    /**
     * What the form of a token has made already; null where nothing.
     *
     * @param  HasMany<covariant Model, covariant Model>  $records
     *
     * @throws RemovedSince
     */
    public static function made(HasMany $records, ?string $token): ?Model
    {
        $query = $records->getQuery()->clone()->withoutGlobalScope(SoftDeletingScope::class);
        $made = $token === null ? null : $query->where('form_token', $token)->first();
        if ($made instanceof Removable && $made->getAttribute('deleted_at') !== null) {
            throw new RemovedSince($made);
        }

        return $made;
    }
}
