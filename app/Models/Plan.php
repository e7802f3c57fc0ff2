<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One answer to a project, kept with what it was made from, so that a later one can be held against it.
 *
 * @property int $id
 * @property int $project_id
 * @property string $state waiting, running, done, cancelled or failed; following while it is made in the place of one that is shown
 * @property int $progress in percent
 * @property int $seed
 * @property string $input
 * @property array<string, mixed>|null $given what it was made from, as destino-project/1; null where that was not kept
 * @property string|null $version of the code and the gene facts that made it
 * @property array<string, mixed>|null $result as destino-plan/1, with more
 * @property Carbon|null $created_at
 * @property Project $project
 */
class Plan extends Model implements CollectionRecord
{
    use OfCollection;

    /** Made because the collection changed; nobody sees it before it is done. */
    public const FOLLOWING = 'following';

    protected $fillable = ['state', 'progress', 'seed', 'input', 'given', 'version', 'result'];

    protected $attributes = ['progress' => 0, 'given' => null, 'version' => null, 'result' => null];

    protected $casts = ['progress' => 'integer', 'seed' => 'integer', 'given' => 'array', 'result' => 'array'];

    protected function parent(): ?Model
    {
        return $this->project()->first();
    }

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class)->withTrashed();
    }

    /** What it came to, typed; "result" is how that is kept. */
    public function made(): PlanResult
    {
        return PlanResult::of($this->result);
    }

    public function isFollowing(): bool
    {
        return $this->state === self::FOLLOWING;
    }

    public function isOpen(): bool
    {
        return in_array($this->state, ['waiting', 'running'], true);
    }
}
