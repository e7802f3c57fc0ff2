<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Exchange\PastedList;
use Closure;

/** A message of several animals, pasted in place of a file. */
class PasteRequest extends RecordRequest
{
    protected $errorBag = 'paste';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['text' => ['required', 'string', 'max:60000', function (string $attribute, mixed $value, Closure $fail): void {
            $rows = count(PastedList::rows((string) $value));
            if ($rows === 0) {
                $fail('Paste one animal a line, for example: 1.0 Pastel het Clown, 2024, 850 g.');
            } elseif ($rows > PastedList::MOST_LINES) {
                $fail('At most '.PastedList::MOST_LINES.' lines can be read at once; these are '.number_format($rows).'.');
            }
        }]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required' => 'Paste one animal a line, for example: 1.0 Pastel het Clown, 2024, 850 g.',
            'text.max' => 'The text has more than 60,000 characters.',
        ];
    }
}
