<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Egg;
use App\Models\Enums\EventKind;
use App\Models\Once;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** All eggs that are open, candled at once: veins in each but those that are named. */
class CandlingRequest extends RecordRequest
{
    protected $errorBag = 'candling';

    protected function ability(): string
    {
        return 'log';
    }

    protected function subject(): Model
    {
        return $this->clutch();
    }

    private function clutch(): Clutch
    {
        /** @var Clutch */
        return $this->route('clutch');
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'on' => ['nullable', ...self::DAY], 'form_token' => ['required', 'uuid'], 'none' => ['nullable', 'array', 'max:60'],
            'none.*' => ['integer', Rule::exists('eggs', 'id')->where('clutch_id', $this->clutch()->id)->whereNull('deleted_at')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['none.*' => 'That egg is not in this clutch.'] + self::DAY_MESSAGES;
    }

    /**
     * @return list<ClutchEvent> what was logged; empty where the same form has logged it before
     *
     * @throws ValidationException where no egg is left to candle
     */
    public function addTo(Clutch $clutch): array
    {
        return DB::transaction(function () use ($clutch): array {
            if (Once::made($clutch->events(), $this->validated('form_token')) !== null) {
                return [];
            }
            $eggs = $clutch->eggs()->with('events')->get()->filter(fn (Egg $egg): bool => $egg->state()->isOpen())->values();
            if ($eggs->isEmpty()) {
                throw ValidationException::withMessages(['none' => 'No egg of this clutch is left to candle.'])->errorBag($this->errorBag);
            }
            $none = array_map(intval(...), $this->validated('none') ?? []);

            return array_values($eggs->map(fn (Egg $egg, int $i): ClutchEvent => $clutch->events()->create([
                'kind' => in_array($egg->id, $none, true) ? EventKind::NoVeins : EventKind::Veins, 'egg_id' => $egg->id,
                'on' => $this->validated('on') ?? Carbon::today()->format('Y-m-d'),
                'form_token' => $i === 0 ? $this->validated('form_token') : null, // the first carries the token of the form
            ]))->all());
        });
    }
}
