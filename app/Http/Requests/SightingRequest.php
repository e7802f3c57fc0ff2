<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Once;
use App\Models\RemovedSince;
use App\Models\Sighting;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** A tap on the bench: what a cue shows on a hatchling. */
class SightingRequest extends RecordRequest
{
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
        $cues = $this->opened()->shelf->cues();
        $cue = is_string($this->input('cue')) ? $cues[$this->input('cue')] ?? null : null;

        return [
            'animal' => [
                'required', 'integer', Rule::exists('animals', 'id')->where('clutch_id', $this->clutch()->id)->whereNull('deleted_at'),
            ],
            'cue' => ['required', 'string', Rule::in(array_keys($cues))], 'state' => ['required', 'string', Rule::in($cue->states ?? [])],
            'on' => ['nullable', ...self::DAY], 'who' => ['nullable', 'string', 'max:80'], 'form_token' => ['nullable', 'uuid'],
            'was' => ['nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'animal' => 'Choose a hatchling of this clutch.', 'cue' => 'Choose a cue.', 'state' => 'Choose what the cue shows.',
            'who.max' => 'Shorten the name to 80 characters or fewer.',
        ] + self::DAY_MESSAGES;
    }

    /**
     * A tap says what the page showed before it, so that one that arrives twice does the same as one: the state that was shown
     * already is taken back, any other takes its place.
     *
     * @return Sighting|null null where it was taken back
     *
     * @throws RemovedSince
     */
    public function write(): ?Sighting
    {
        $animal = Animal::query()->findOrFail((int) $this->validated('animal'));
        $who = $this->validated('who') ?: null;

        return DB::transaction(function () use ($animal, $who): ?Sighting {
            $made = Once::made($animal->sightings(), $this->validated('form_token'));
            if ($made instanceof Sighting) {
                return $made;
            }
            $animal->sightings()->where('cue', $this->validated('cue'))->where('who', $who)->get()->each(fn (Sighting $one) =>
                $one->delete());
            /** @var Sighting|null */
            return $this->validated('was') === $this->validated('state') ? null : $this->once($animal->sightings(), [
                'cue' => $this->validated('cue'), 'state' => $this->validated('state'), 'who' => $who,
                'on' => $this->validated('on') ?? Carbon::today()->format('Y-m-d'),
            ]);
        });
    }

    private function clutch(): Clutch
    {
        return $this->route('clutch');
    }
}
