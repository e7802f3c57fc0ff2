<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Statement;
use Illuminate\Database\Eloquent\Collection;

/**
 * The hatchlings of a clutch one after another, as they come out of the box: sex, weight, look.
 *
 * @phpstan-import-type LikelyLook from LikelyLooks
 */
final readonly class FirstDay
{
    /** A look that is told in a tap, between others, is most likely right and not sure; cues make it surer. */
    public const CERTAINTY = 95;

    /** By which the statement of such a tap is known. */
    public const NOTE = 'first look';

    /** @var Collection<int, Animal> */
    public Collection $hatchlings;

    /** @var list<LikelyLook> */
    public array $looks;

    public function __construct(public Clutch $clutch, private Opened $opened)
    {
        $clutch->load('hatchlings.statements', 'hatchlings.latestWeight', 'hatchlings.latestStatus');
        $this->hatchlings = $clutch->hatchlings->filter(fn (Animal $animal): bool => $animal->status()->isHere())->values();
        $this->looks = (new LikelyLooks($clutch, $opened))->all();
    }

    /** The look that was tapped; empty where none was. */
    public function look(Animal $animal): string
    {
        return (string) $animal->statements->last(fn (Statement $one): bool => $one->note === self::NOTE)?->text;
    }

    /** What is known of one, for the line that stays when it is closed. */
    public function words(Animal $animal): string
    {
        return implode(' · ', array_filter([
            $animal->sex?->value, $animal->latestWeight === null ? null : $this->opened->house->weight((int) $animal->latestWeight->grams),
            $this->look($animal),
        ]));
    }

    /** The first of which something is still open; the first of all where nothing is. */
    public function begin(): ?Animal
    {
        return $this->hatchlings->first(
            fn (Animal $animal): bool => $animal->sex === null || $animal->latestWeight === null || $this->look($animal) === '',
        ) ?? $this->hatchlings->first();
    }
}
