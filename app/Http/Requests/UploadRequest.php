<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Limits;

class UploadRequest extends RecordRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:204800', 'extensions:csv,txt,xlsx,json,zip']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.', 'file.max' => 'The file is larger than 200 MB.',
            'file.extensions' => 'Choose a list (.csv or .xlsx) or an archive (.zip or .json).',
            'file' => 'The file could not be uploaded: this server takes at most '.Limits::words(Limits::upload(200)).'.',
        ];
    }
}
