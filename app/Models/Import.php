<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A list that was brought in: what became of it, and how to take it back.
 *
 * @property int $id
 * @property int $user_id
 * @property string $upload of the file, while it is there
 * @property string $name of the file
 * @property string $state waiting, working, done, failed or taken back
 * @property int $progress in percent
 * @property array<string, mixed> $choices columns, dates, repeated
 * @property list<int> $animals those that were made, in the order of the rows
 * @property array<string, mixed>|null $receipt
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property User $keeper
 */
class Import extends Model implements CollectionRecord
{
    /** Seconds without a sign. */
    private const LONGEST = 1200;

    protected $fillable = ['upload', 'name', 'state', 'progress', 'choices', 'animals', 'receipt'];

    protected $attributes = ['state' => 'waiting', 'progress' => 0, 'choices' => '[]', 'animals' => '[]', 'receipt' => null];

    protected $casts = ['progress' => 'integer', 'choices' => 'array', 'animals' => 'array', 'receipt' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function keeper(): BelongsTo
    {
        return $this->belongsTo(User::class, 'user_id');
    }

    public function collectionId(): int
    {
        return $this->user_id;
    }

    public function isOpen(): bool
    {
        return in_array($this->state, ['waiting', 'working'], true) && ! $this->isBrokenOff();
    }

    /** Nothing was written for longer than a worker may take: whoever worked at it is gone. */
    public function isBrokenOff(): bool
    {
        return $this->state === 'working' && $this->updated_at !== null && $this->updated_at->lt(now()->subSeconds(self::LONGEST));
    }
}
