<?php

declare(strict_types=1);

namespace App\Models;

use Destino\Inference\Evidence\Source;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * What somebody says an animal carries.
 *
 * @property int $id
 * @property int $animal_id
 * @property string $text in the notation, as typed
 * @property Source $source
 * @property string|null $who
 * @property Carbon|null $on
 * @property int $certainty in percent
 * @property bool $names_all whether a gene left out is seen not to show
 * @property string|null $note
 * @property Animal $animal
 * @property int $version
 */
class Statement extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    protected $fillable = ['text', 'source', 'who', 'on', 'certainty', 'names_all', 'note', 'form_token'];

    protected $attributes = [
        'certainty' => 100, 'names_all' => true, 'source' => 'own', 'who' => null, 'on' => null, 'note' => null,
        'deleted_at' => null, 'version' => 1,
    ];

    protected $casts = ['source' => Source::class, 'on' => 'date:Y-m-d', 'certainty' => 'integer', 'version' => 'integer',
        'names_all' => 'boolean'];

    protected static function booted(): void
    {
        // what is said of it now stands for what could not be read
        static::created(fn (self $statement) => Animal::query()->whereKey($statement->animal_id)->toBase()->update(['genes_open' => null]));
    }

    /** "the seller, Old Painter, on 3 May 2023". */
    public function byWhom(): string
    {
        $who = match ($this->source) {
            Source::Seller => 'the seller',
            Source::Own => 'own identification',
            Source::Laboratory => 'a laboratory',
            Source::Parents => 'what the parents were said to be',
            Source::Offspring => 'what the offspring showed',
        };

        return $who.($this->who === null ? '' : ", {$this->who}").($this->on === null ? '' : ", {$this->on->format('j M Y')}")
            .($this->certainty < 100 ? ", {$this->certainty} % sure" : '');
    }

    public function home(): string
    {
        return route('animals.show', $this->animal_id).'#knowledge';
    }

    public function sentence(): string
    {
        return "“{$this->text}” by {$this->byWhom()}";
    }
}
