<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\AlikeSet;
use App\Models\Clutch;
use Destino\DestinoError;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** Two or more hatchlings are the same for something: all of them have it, or none. */
class AlikeRequest extends RecordRequest
{
    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->clutch();
    }

    protected function records(): HasMany
    {
        return $this->clutch()->alikeSets();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'target' => ['required', 'string', 'max:400'], 'animals' => ['required', 'array', 'min:2', 'max:60'],
            'animals.*' => [
                'integer', 'distinct', Rule::exists('animals', 'id')->where('clutch_id', $this->clutch()->id)->whereNull('deleted_at'),
            ],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['target' => 'Say for what they are alike.', 'animals' => 'Choose two hatchlings or more.'];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            try {
                $this->opened()->shelf->targets()->read((string) $this->input('target'));
            } catch (DestinoError $error) {
                $validator->errors()->add('target', $error->getMessage());
            }
        });
    }

    /** @return list<int> */
    private function animals(): array
    {
        $animals = array_map(intval(...), array_values((array) $this->input('animals')));
        sort($animals);

        return $animals;
    }

    /** The same hatchlings for the same thing are tied once. */
    public function tie(): AlikeSet
    {
        $target = $this->opened()->shelf->targets()->read((string) $this->validated('target'))->text;

        return DB::transaction(function () use ($target): AlikeSet {
            $same = $this->records()->where('target', $target)->get()->first(
                fn (Model $set): bool => $set instanceof AlikeSet && collect($set->animals)->sort()->values()->all() === $this->animals(),
            );
            /** @var AlikeSet */
            return $same ?? $this->once($this->records(), ['target' => $target, 'animals' => $this->animals()]);
        });
    }

    private function clutch(): Clutch
    {
        /** @var Clutch */
        return $this->route('clutch');
    }
}
