<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Models\Clutch;
use App\Models\ClutchCount;
use Closure;
use Destino\Notation\NotationError;
use Illuminate\Database\Eloquent\Model;

/** Young that were seen and are not kept as animals. */
class CountRequest extends RecordRequest
{
    protected $errorBag = 'count';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('clutch');
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        return [
            'saw' => ['required', 'string', 'max:400', function (string $attribute, mixed $value, Closure $fail) use ($shelf): void {
                try {
                    $shelf->targets()->read((string) $value);
                } catch (NotationError $error) {
                    $fail($error->getMessage());
                }
            }],
            'count' => ['required', 'integer', 'between:1,40'],
            'dead' => ['boolean'],
            'note' => ['nullable', 'string', 'max:200'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'saw.required' => 'Say what they looked like, for example “not Genetic Stripe” or “Pastel, not Clown”.',
            'count' => 'Say how many, from 1 to 40.',
            'note.max' => 'The note has more than 200 characters.',
        ];
    }

    public function addTo(Clutch $clutch): ClutchCount
    {
        /** @var ClutchCount */
        return $this->once($clutch->counts(), ['dead' => $this->boolean('dead')] + $this->safe()->except('form_token'));
    }
}
