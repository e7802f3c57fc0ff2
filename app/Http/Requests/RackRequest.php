<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Rack;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\Validator;

class RackRequest extends RecordRequest
{
    protected function subject(): ?Model
    {
        return $this->route('rack');
    }

    /** What is wrong with a rack stands at that rack. */
    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $rack = $this->route('rack');
        $this->errorBag = $rack instanceof Rack ? "rack-{$rack->id}" : 'default';
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'], 'rows' => ['required', 'integer', 'between:1,30'],
            'columns' => ['required', 'integer', 'between:1,12'], 'form_token' => ['nullable', 'uuid'],
                'version' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name' => 'Give the rack a name of at most 60 characters.', 'rows' => 'A rack has 1 to 30 rows.',
            'columns' => 'A rack has 1 to 12 columns.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $rack = $this->route('rack');
            if ($rack instanceof Rack && $validator->errors()->isEmpty()) {
                $outside = $rack->animals()->where(
                    fn ($any) => $any->where('rack_row', '>', (int) $this->input('rows'))->orWhere(
                        'rack_column', '>', (int) $this->input('columns'),
                    ),
                )->pluck('name');
                if ($outside->isNotEmpty()) {
                    $validator->errors()->add('rows', 'These stand in tubs that would go: '.$outside->implode(', ').'. Move them first.');
                }
            }
        });
    }

    public function addTo(User $keeper): Rack
    {
        /** @var Rack */
        return $this->once($keeper->racks(), $this->safe()->except('form_token', 'version') + ['position' => $keeper->racks()->count()]);
    }

    public function change(Rack $rack): Rack
    {
        return $this->changed($rack, $this->safe()->except('form_token', 'version'), 'rack');
    }
}
