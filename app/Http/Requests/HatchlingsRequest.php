<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Clutch\NewHatchling;
use App\House\House;
use App\Models\Clutch;
use App\Models\Once;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** All hatchlings of a clutch that have no record yet, at once: each is an animal with its parents, to be identified. */
class HatchlingsRequest extends RecordRequest
{
    /** More never came out of a clutch. */
    private const MOST = 30;

    protected $errorBag = 'hatchlings';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('clutch');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['how_many' => ['required', 'integer', 'between:1,'.self::MOST], 'form_token' => ['required', 'uuid']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['how_many' => 'Enter a number of hatchlings from 1 to '.self::MOST.'.'];
    }

    /** @return int how many were added; 0 where this form has added them already */
    public function addTo(Clutch $clutch, House $house): int
    {
        return DB::transaction(function () use ($clutch, $house): int {
            $keeper = $clutch->dam->keeper()->firstOrFail();
            if (Once::made($keeper->animals(), $this->validated('form_token')) !== null) {
                return 0;
            }
            $new = new NewHatchling($clutch, $keeper, $house);
            $before = $clutch->hatchlings()->count();
            foreach (range(1, (int) $this->validated('how_many')) as $i) { // the first keeps the token of the form
                $keeper->animals()->create($new->values(NewHatchling::name($clutch, $before + $i), null) + [
                    'form_token' => $i === 1 ? $this->validated('form_token') : null,
                ]);
            }

            return (int) $this->validated('how_many');
        });
    }
}
