<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catalogue\CatalogueShelf;
use App\Clutch\FirstDay;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\SexFound;
use App\Models\Once;
use App\Models\Statement;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Source;
use Destino\Notation\GenotypeReader;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/**
 * A tap on a hatchling: its sex as popped, or the look that it seems to have. A second tap takes it back; a tap says what the page
 * showed before it, so that one that arrives twice does the same as one.
 */
class FirstDayRequest extends RecordRequest
{
    protected function subject(): Animal
    {
        /** @var Animal */
        return $this->route('animal');
    }

    public function authorize(): Response
    {
        return Gate::inspect($this->has('look') ? 'manage' : 'log', $this->subject());
    }

    /** @return array<string, mixed> */
    public function rules(CatalogueShelf $shelf): array
    {
        return [
            'sex' => ['required_without:look', Rule::enum(Sex::class)],
            'look' => [
                'required_without:sex', 'string', 'max:'.GenotypeReader::MOST_CHARACTERS,
                AnimalRequest::readable($shelf, $this->subject()->sex),
            ],
            'was' => ['nullable', 'string', 'max:'.GenotypeReader::MOST_CHARACTERS],
            'on' => ['nullable', ...self::DAY], 'form_token' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['sex' => 'Choose male or female.', 'look' => 'Choose a look.'] + self::DAY_MESSAGES;
    }

    /**
     * @return string what is known now, in words
     *
     * @throws ValidationException where the sex is that of a parent already
     */
    public function write(): string
    {
        return DB::transaction(fn (): string => $this->validated('sex') === null ? $this->writeLook() : $this->writeSex());
    }

    private function writeSex(): string
    {
        $animal = $this->subject()->newQuery()->lockForUpdate()->findOrFail($this->subject()->id);
        $sex = $this->validated('was') === $this->validated('sex') ? null : Sex::from((string) $this->validated('sex'));
        if ($animal->sex !== $sex) {
            if ($this->isParent($animal)) {
                throw ValidationException::withMessages([
                    'sex' => "{$animal->name} is a parent already. Change the sex on its record.",
                ]);
            }
            $animal->fill(['sex' => $sex, 'sex_found' => $sex === null ? null : SexFound::Popped]);
            $animal->version++;
            $animal->save();
        }

        return $sex === null ? "{$animal->name}: sex not known" : "{$animal->name} is {$sex->value}";
    }

    private function isParent(Animal $animal): bool
    {
        $is = fn (Builder $query): Builder => $query->where('sire_id', $animal->id)->orWhere('dam_id', $animal->id);

        return Animal::query()->where($is)->exists() || Clutch::query()->where('dam_id', $animal->id)
            ->orWhereHas('sires', fn (Builder $sire): Builder => $sire->where('animal_id', $animal->id))->exists();
    }

    private function writeLook(): string
    {
        $animal = $this->subject();
        $look = (string) $this->validated('look');
        if (Once::made($animal->statements(), $this->validated('form_token')) === null) {
            $animal->statements()->where('note', FirstDay::NOTE)->get()->each(fn (Statement $one) => $one->delete());
            $this->validated('was') === $look ?: $this->once($animal->statements(), [
                'text' => $look, 'source' => Source::Own, 'certainty' => FirstDay::CERTAINTY, 'note' => FirstDay::NOTE,
                'on' => $this->validated('on') ?? now()->format('Y-m-d'),
            ]);
        }

        return $this->validated('was') === $look ? "{$animal->name}: look taken back" : "{$animal->name}: {$look}";
    }
}
