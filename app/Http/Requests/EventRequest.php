<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Clutch\EggTray;
use App\Models\CareEntry;
use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Enums\CareKind;
use App\Models\Enums\EventKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** Something that happened to a pair or a clutch: one tap, with the day and a number where they differ from today and one. */
class EventRequest extends RecordRequest
{
    private const MOST_EGGS = 40;

    /** Weight of a clutch. */
    private const CLUTCH_GRAMS = '10,4000';

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
        return $this->clutch()->events();
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => [
                'required', Rule::in(array_values(array_diff(array_column(EventKind::cases(), 'value'), [EventKind::Counted->value]))),
            ],
            'on' => ['nullable', ...self::DAY], 'count' => ['nullable', 'integer', 'between:0,'.self::MOST_EGGS],
            'infertile' => ['nullable', 'integer', 'between:0,'.self::MOST_EGGS], 'note' => ['nullable', 'string', 'max:200'],
            'grams' => ['nullable', 'integer', 'between:'.self::CLUTCH_GRAMS],
            'dam_grams' => ['nullable', 'integer', 'between:1,'.CareEntry::MOST_GRAMS],
            'form_token' => ['nullable', 'uuid'],
            'egg' => ['nullable', 'integer', Rule::exists('eggs', 'id')->where('clutch_id', $this->clutch()->id)->whereNull('deleted_at')],
            'who' => ['nullable', 'string', 'max:80'], 'saw' => ['nullable', 'string', 'max:400'], 'sure' => ['nullable', 'boolean'],
        ];
    }

    private function clutch(): Clutch
    {
        /** @var Clutch */
        return $this->route('clutch');
    }

    /** An egg that is opened before the house would: told first, and written once the keeper says so. */
    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($this->input('kind') !== EventKind::Opened->value || $validator->errors()->isNotEmpty() || $this->boolean('sure')) {
                return;
            }
            $on = Carbon::parse($this->input('on') ?? Carbon::today());
            $objection = EggTray::objection($this->clutch(), $this->opened()->house, $on);
            if ($objection !== null) {
                $validator->errors()->add('sure', "{$objection} To log it anyway, tick “Save anyway” and tap again.");
            }
        });
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind' => 'Choose what happened.', 'count' => 'Enter a number of eggs from 0 to '.self::MOST_EGGS.'.',
            'infertile' => 'Enter a number of eggs from 0 to '.self::MOST_EGGS.'.',
            'grams' => 'Enter the weight of the clutch in whole grams, from 10 to 4,000.',
            'dam_grams' => 'Enter the weight of the dam in whole grams, from 1 to '.number_format(CareEntry::MOST_GRAMS).'.',
            'note.max' => 'The note has more than 200 characters.', 'egg' => 'That egg is not in this clutch.',
            'who.max' => 'Shorten the name to 80 characters or fewer.', 'saw.max' => 'The first guess has more than 400 characters.',
        ] + self::DAY_MESSAGES;
    }

    public function addTo(Clutch $clutch): ClutchEvent
    {
        $kind = EventKind::from($this->validated('kind'));
        $egg = $this->validated('egg');
        $isOpened = $kind === EventKind::Opened;
        $values = [
            'egg_id' => $egg === null ? null : (int) $egg, 'who' => $isOpened ? $this->validated('who') : null,
            'saw' => $isOpened ? $this->validated('saw') : null,
            'kind' => $kind, 'on' => $this->validated('on') ?? Carbon::today()->format('Y-m-d'), 'note' => $this->validated('note'),
            'count' => $kind->counts() && $egg !== null ? 1 : (
                $kind->counts()
                    ? $this->validated('count') ?? ($kind === EventKind::Laid || $kind === EventKind::Follicles ? null : 1)
                    : null
            ),
            'infertile' => $kind === EventKind::Laid ? $this->validated('infertile') : null,
            'grams' => $kind === EventKind::Laid ? $this->validated('grams') : null,
        ];

        return DB::transaction(function () use ($clutch, $values): ClutchEvent {
            /** @var ClutchEvent $event */
            $event = $this->once($clutch->events(), $values);
            if ($event->wasRecentlyCreated) {
                $this->weighDam($clutch, $event);
            }

            return $event;
        });
    }

    /** What the dam weighed after laying is a weight of hers like any other. */
    private function weighDam(Clutch $clutch, ClutchEvent $event): void
    {
        $grams = $event->kind === EventKind::Laid ? $this->validated('dam_grams') : null;
        if ($grams !== null && ! $clutch->dam->trashed()) {
            $clutch->dam->care()->create([
                'kind' => CareKind::Weight, 'on' => $event->on?->format('Y-m-d'), 'grams' => (int) $grams, 'words' => 'after laying',
            ]);
        }
    }
}
