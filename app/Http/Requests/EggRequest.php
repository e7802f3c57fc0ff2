<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Egg;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** Where an egg lies and what is known of it; what is not sent stays as it is. */
class EggRequest extends RecordRequest
{
    /** Places are whole percents of the box. */
    private const PLACE = ['sometimes', 'required', 'integer', 'between:4,96'];

    public const GRAMS = ['integer', 'between:5,250'];

    public const GRAMS_MESSAGE = 'An egg weighs 5 to 250 g, as a whole number.';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->egg();
    }

    private function egg(): Egg
    {
        /** @var Egg */
        return $this->route('egg');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'across' => self::PLACE, 'down' => self::PLACE, 'slug' => ['sometimes', 'boolean'], 'marked' => ['sometimes', 'boolean'],
            'apart' => ['sometimes', 'boolean'], 'clump' => ['sometimes', 'nullable', 'integer', 'between:1,20'],
            'grams' => ['sometimes', 'nullable', ...self::GRAMS], 'note' => ['sometimes', 'nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'across' => 'The place is a whole percent of the width, from 4 to 96.',
            'down' => 'The place is a whole percent of the length, from 4 to 96.',
            'clump' => 'Give the clump a whole number from 1 to 20, the same for eggs that stick together.',
            'grams' => self::GRAMS_MESSAGE, 'note.max' => 'The note has more than 200 characters.',
        ];
    }

    public function change(): Egg
    {
        return DB::transaction(function (): Egg {
            $this->egg()->update($this->validated());

            return $this->egg();
        });
    }
}
