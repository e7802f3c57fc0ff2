<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Limits;
use App\Models\Animal;
use App\Models\Once;
use App\Models\Photo;
use App\Photos\Darkroom;
use App\Photos\UnusablePhoto;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

class PhotoRequest extends RecordRequest
{
    protected $errorBag = 'photo';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->route('animal');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'photo' => ['required', 'file', 'max:'.Darkroom::MOST_KILOBYTES, 'mimetypes:image/jpeg,image/png,image/webp'],
            'on' => ['required', ...self::DAY],
            'caption' => ['nullable', 'string', 'max:200'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'photo.required' => 'Choose a photograph.',
            'photo.max' => 'The photograph is larger than '.(Darkroom::MOST_KILOBYTES / 1024).' MB.',
            'photo.uploaded' => 'The photograph could not be uploaded: this server takes '
                .Limits::words(Limits::upload(Darkroom::MOST_KILOBYTES / 1024)).' at the most.',
            'photo' => 'The file is no JPEG, PNG or WebP picture.',
            'caption.max' => 'The caption has more than 200 characters.',
        ] + self::DAY_MESSAGES;
    }

    /** @throws ValidationException when the picture cannot be used */
    public function addTo(Animal $animal, Darkroom $darkroom): Photo
    {
        $there = Once::made($animal->photos(), $this->validated('form_token'));
        if ($there instanceof Photo) {
            return $there; // a double click: the picture is here already
        }
        try {
            $picture = $darkroom->develop((string) $this->file('photo')?->getRealPath());
        } catch (UnusablePhoto $error) {
            throw ValidationException::withMessages(['photo' => $error->getMessage()])->errorBag('photo');
        }

        /** @var Photo */
        return DB::transaction(
            fn (): Model => $this->once(
                $animal->photos(), ['on' => $this->validated('on'), 'caption' => $this->validated('caption')] + $picture,
            ),
        );
    }
}
