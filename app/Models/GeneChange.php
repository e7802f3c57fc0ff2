<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * What a keeper adds to the gene facts.
 *
 * @property int $id
 * @property int $user_id
 * @property string $kind gene, alias, nickname (of a combination), eye (how the keeper reads a cue) or counts (a friend's readings);
 *     cue is read no more
 * @property string $gene key of the gene, or of the cue
 * @property array<string, mixed> $data
 */
class GeneChange extends Model implements Removable
{
    use KeepsHistory;
    use SoftDeletes;

    protected $fillable = ['kind', 'gene', 'data', 'form_token'];

    protected $attributes = ['deleted_at' => null];

    protected $casts = ['data' => 'array'];

    public function collectionId(): int
    {
        return $this->user_id;
    }

    public function home(): string
    {
        return match ($this->kind) {
            'gene' => route('genes.index'),
            'nickname' => route('genes.own').'#names',
            'eye', 'counts' => route('looks.confusions'),
            default => route('genes.show', $this->gene),
        };
    }

    public function sentence(): string
    {
        return match ($this->kind) {
            'alias' => "the name {$this->data['name']}",
            'nickname' => "{$this->data['name']} for {$this->data['means']}",
            'cue' => 'the changed weight of a cue',
            'eye' => 'how you read a cue',
            'counts' => "counts of {$this->data['from']}",
            default => "the gene {$this->data['name']}",
        };
    }
}
