<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\OddTrait;
use App\Models\TraitEntry;
use Illuminate\Validation\Rule;

/** Animals of the notebook of an unknown trait: a parent, or so many young alike. */
class TraitEntryRequest extends RecordRequest
{
    protected function subject(): OddTrait
    {
        return $this->route('trait');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $parent = fn (string $sex): array => [
            'nullable', 'integer',
            Rule::exists('trait_entries', 'id')->where('trait_id', $this->subject()->id)
                ->where('sex', $sex)
                ->where('count', 1)
                ->whereNull('deleted_at'),
        ];

        return [
            'name' => ['required', 'string', 'max:80'],
            'sex' => ['required', Rule::in(['male', 'female'])],
            'look' => ['required', Rule::in(array_keys(TraitEntry::LOOKS))],
            'sire_id' => [...$parent('male'), 'required_with:dam_id'],
            'dam_id' => [...$parent('female'), 'required_with:sire_id'],
            'count' => ['required', 'integer', 'between:1,60'],
            'on' => ['required', ...self::DAY],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    public function withValidator(\Illuminate\Validation\Validator $validator): void
    {
        $validator->after(function (\Illuminate\Validation\Validator $validator): void {
            if ($validator->errors()->isEmpty() && (int) $this->input('count') > 1 && $this->input('sire_id') === null) {
                $validator->errors()->add('count', 'Several alike need their parents: add the parents first.');
            }
        });
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::DAY_MESSAGES + [
            'name' => 'Give a name, or say “young of 2026”.', 'sex' => 'Choose the sex.', 'look' => 'Choose how it looks.',
            'sire_id' => 'Choose a male of this notebook, and a dam as well.',
            'dam_id' => 'Choose a female of this notebook, and a sire as well.',
            'count' => 'Give how many look so, from 1 to 60.',
        ];
    }

    public function addTo(OddTrait $trait): TraitEntry
    {
        /** @var TraitEntry */
        return $this->once($trait->entries(), $this->safe()->except('form_token'));
    }
}
