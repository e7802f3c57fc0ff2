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
 * @property string|null $worker mark of whoever works at it; nobody else may write to it
 * @property array<string, mixed> $choices columns, dates, repeated; the rows that are taken, once they are known
 * @property list<int> $animals those that were made, in the order of the rows
 * @property array<string, mixed>|null $receipt
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property User $keeper
 */
class Import extends Model implements CollectionRecord
{
    /** Seconds without a sign after which nobody is taken to work at it; whoever does after all is stopped by its mark. */
    private const SILENT = 20;

    protected $fillable = ['upload', 'name', 'state', 'progress', 'choices', 'animals', 'receipt', 'worker'];

    protected $attributes = ['state' => 'waiting', 'progress' => 0, 'choices' => '[]', 'animals' => '[]', 'receipt' => null,
        'worker' => null];

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

    /** Whether it waits for its turn or somebody works at it. */
    public function isOpen(): bool
    {
        return $this->state === 'waiting' || $this->isWorkedAt();
    }

    public function isWorkedAt(): bool
    {
        return $this->state === 'working' && ! $this->isSilent();
    }

    /** Nobody has given a sign for a while: it can be taken up again. */
    public function isSilent(): bool
    {
        return $this->updated_at === null || $this->updated_at->lt(now()->subSeconds(self::SILENT));
    }

    /** Rows of the list that it takes; null as long as nobody has begun. */
    public function rows(): ?int
    {
        return isset($this->choices['lines']) ? count($this->choices['lines']) : null;
    }

    public function isWhole(): bool
    {
        return $this->rows() !== null && count($this->animals) >= $this->rows();
    }
}
