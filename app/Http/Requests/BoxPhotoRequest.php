<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Clutch\BoxPhotos;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Once;
use App\Models\Photo;
use App\Photos\Darkroom;
use App\Photos\PhotoPart;
use App\Photos\UnusablePhoto;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/** One photograph of several hatchlings: where the head of each is makes it a photograph of that hatchling. */
class BoxPhotoRequest extends RecordRequest
{
    private const CAPTION = 'from a photograph of the box';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->clutch();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'of' => ['nullable', 'integer'],
            'photo' => [
                'required_without:of', 'nullable', 'file', 'max:'.Darkroom::MOST_KILOBYTES, 'mimetypes:image/jpeg,image/png,image/webp',
            ],
            'on' => ['required_without:of', 'nullable', ...self::DAY],
            'heads' => ['required', 'array', 'max:60'],
            'heads.*.across' => ['nullable', 'numeric', 'between:0,100'],
            'heads.*.down' => ['nullable', 'numeric', 'between:0,100'],
            'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'photo.required_without' => 'Choose a photograph.', 'on.required_without' => self::DAY_MESSAGES['on'],
            'heads' => 'Tap the head of each hatchling.', 'heads.*' => 'Places are in per cent, from 0 to 100.',
        ] + (new PhotoRequest)->messages() + self::DAY_MESSAGES;
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if ($this->heads() === []) {
                $validator->errors()->add('heads', 'Tap the head of each hatchling.');
            }
            foreach ((array) $this->input('heads') as $id => $head) {
                if (isset($head['across']) !== isset($head['down'])) {
                    $validator->errors()->add("heads.{$id}.across", 'A place is told by both: across and down.');
                }
                if (! $this->clutch()->hatchlings->contains('id', $id)) {
                    $validator->errors()->add('heads', 'A hatchling of another clutch is not in this box.');
                }
            }
            if ($this->filled('of') && $this->given() === null) {
                $validator->errors()->add('photo', 'This photograph is no longer there. Choose it again.');
            }
        });
    }

    /**
     * Makes a photograph of every hatchling whose head was told.
     *
     * @return int how many
     *
     * @throws ValidationException when the picture cannot be used
     */
    public function cut(Darkroom $darkroom): int
    {
        $heads = $this->heads();
        $token = $this->validated('form_token');
        $first = $this->clutch()->hatchlings->find((int) array_key_first($heads));
        if ($first instanceof Animal && Once::made($first->photos(), $token) instanceof Photo) {
            return count($heads); // a double click: they are here already
        }
        $given = $this->given();
        $picture = $given === null ? $this->developed($darkroom) : [
            'file' => $given->file, 'width' => $given->width, 'height' => $given->height, 'on' => $given->on->format('Y-m-d'),
            'caption' => (string) $given->caption,
        ];
        $places = $heads + ($given === null ? [] : BoxPhotos::heads($this->clutch(), $given->file));
        DB::transaction(function () use ($heads, $places, $picture): void {
            foreach ($heads as $id => $head) {
                /** @var Animal $animal */
                $animal = $this->clutch()->hatchlings->find($id);
                $part = PhotoPart::around(
                    $head, array_values(array_diff_key($places, [$id => true])), $picture['width'], $picture['height'],
                );
                $animal->photos()->where('file', $picture['file'])->get()->each->delete(); // its place was changed
                $this->once($animal->photos(), ['across' => $part->across, 'down' => $part->down, 'side' => $part->side] + $picture);
            }
        });

        return count($heads);
    }

    /** @return array{file: string, width: int, height: int, on: string, caption: string} */
    private function developed(Darkroom $darkroom): array
    {
        try {
            $picture = $darkroom->develop((string) $this->file('photo')?->getRealPath());
        } catch (UnusablePhoto $error) {
            throw ValidationException::withMessages(['photo' => $error->getMessage()]);
        }

        return $picture + ['on' => $this->validated('on'), 'caption' => self::CAPTION];
    }

    /** @return array<int, array{int, int}> by hatchling: across and down, in thousandths */
    private function heads(): array
    {
        $heads = [];
        foreach ((array) $this->input('heads') as $id => $head) {
            if (is_numeric($head['across'] ?? null) && is_numeric($head['down'] ?? null)) {
                $heads[(int) $id] = [(int) round(10 * (float) $head['across']), (int) round(10 * (float) $head['down'])];
            }
        }

        return $heads;
    }

    /** A photograph of the box that is here already. */
    private function given(): ?Photo
    {
        return $this->filled('of') ? (new BoxPhotos($this->clutch()))->named($this->integer('of')) : null;
    }

    private function clutch(): Clutch
    {
        /** @var Clutch */
        return $this->route('clutch');
    }
}
