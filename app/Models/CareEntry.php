<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\CareKind;
use App\Models\Enums\FeedOutcome;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * Something noted in the care of an animal.
 *
 * @property int $id
 * @property int $animal_id
 * @property CareKind $kind
 * @property Carbon $on
 * @property int|null $grams
 * @property FeedOutcome|null $outcome
 * @property string|null $prey
 * @property string|null $words
 * @property Animal $animal
 */
class CareEntry extends Model implements Removable
{
    use KeepsHistory;
    use OfAnimal;
    use SoftDeletes;

    protected $fillable = ['kind', 'on', 'grams', 'outcome', 'prey', 'words', 'form_token'];

    protected $attributes = ['grams' => null, 'outcome' => null, 'prey' => null, 'words' => null, 'deleted_at' => null];

    protected $casts = ['kind' => CareKind::class, 'on' => 'date:Y-m-d', 'grams' => 'integer', 'outcome' => FeedOutcome::class];

    /** "1,420 g", "rat pup refused", "shed", with the words behind it. */
    public function sentence(): string
    {
        $what = match ($this->kind) {
            CareKind::Weight => number_format((int) $this->grams).' g',
            CareKind::Feed => trim(($this->prey ?? 'fed').', '.($this->outcome->value ?? 'offered')),
            CareKind::Shed => 'shed',
            CareKind::Note => '',
        };

        return trim($what.($this->words === null ? '' : ($what === '' ? '' : ': ').$this->words));
    }

    public function home(): string
    {
        return route('animals.show', $this->animal_id).'#care';
    }
}
