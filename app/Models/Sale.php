<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * An animal that is offered, reserved or sold; on which day, is its status. Amounts are minor units of the house's currency.
 *
 * @property int $id
 * @property int $animal_id
 * @property int|null $asking
 * @property int|null $deposit
 * @property int|null $price what was agreed
 * @property string|null $buyer
 * @property Carbon|null $sent_on
 * @property string|null $note
 * @property int $version
 * @property Animal $animal
 */
class Sale extends Model implements CollectionRecord
{
    use KeepsHistory;
    use OfAnimal;

    protected $fillable = ['asking', 'deposit', 'price', 'buyer', 'sent_on', 'note'];

    protected $attributes = ['asking' => null, 'deposit' => null, 'price' => null, 'buyer' => null, 'sent_on' => null, 'note' => null,
        'version' => 1];

    protected $casts = ['asking' => 'integer', 'deposit' => 'integer', 'price' => 'integer', 'sent_on' => 'date:Y-m-d',
        'version' => 'integer'];
}
