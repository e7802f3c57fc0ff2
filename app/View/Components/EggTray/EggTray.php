<?php

declare(strict_types=1);

namespace App\View\Components\EggTray;

use App\Clutch\EggTray as Box;
use App\Drawing\EggSigns;
use App\Drawing\Scale;
use App\Models\Egg;
use App\Models\Enums\EggState;
use App\Models\Enums\EventKind;
use App\View\Components\Part\Part;
use Illuminate\Support\Collection;

/** The box from above; every egg is a link to itself, and can be dragged where a script runs. */
class EggTray extends Part
{
    private const WIDE = 150;

    private const DEEP = 100;

    private const TROUBLES = [
        'dented' => 'M-2.2 -1a2.2 2.2 0 0 0 4.4 0', 'mould' => 'M-1.6 0h.01M1.4 -1h.01M.4 1.6h.01M-.6 -1.6h.01',
        'sweating' => 'M0 -2.4q2.4 3 0 4.2q-2.4 -1.2 0 -4.2',
    ];

    public readonly int $wide;

    public readonly int $deep;

    private readonly Scale $across;

    private readonly Scale $down;

    public function __construct(public readonly Box $tray, public readonly bool $movable = false)
    {
        [$this->wide, $this->deep] = [self::WIDE, self::DEEP];
        $this->across = Scale::of(0, 100, 0, self::WIDE);
        $this->down = Scale::of(0, 100, 0, self::DEEP);
    }

    /** The grain of the medium: strokes that look strewn and are always the same. */
    public function grain(): string
    {
        $path = '';
        for ($i = 0; $i < 70; $i++) { // the plastic numbers spread points evenly (a two-dimensional golden section)
            $path .= 'M'.(5 + (int) (fmod($i * 0.754877666, 1) * 140)).' '.(6 + (int) (fmod($i * 0.569840291, 1) * 88)).'h'.(1 + $i % 3);
        }

        return $path;
    }

    /** @return list<string> points of the eggs that stick together, one text for each clump */
    public function clumps(): array
    {
        return array_values($this->tray->eggs->whereNotNull('clump')->groupBy('clump')
            ->filter(fn (Collection $clump): bool => $clump->count() > 1)
            ->map(fn (Collection $clump): string =>
                $clump->map(fn (Egg $egg): string => implode(',', $this->at($egg)))->implode(' '))->all());
    }

    /** @return array{float, float} */
    public function at(Egg $egg): array
    {
        return [$this->across->at($egg->across), $this->down->at($egg->down)];
    }

    public function isInHand(Egg $egg): bool
    {
        return $this->tray->inHand?->id === $egg->id;
    }

    /** @return array{float, float} half its width and length: a slug is small */
    public function size(Egg $egg): array
    {
        return $egg->state() === EggState::Slug ? [7, 8.5] : [9.5, 12];
    }

    public function sign(Egg $egg): ?string
    {
        return EggSigns::of($egg->state()->value);
    }

    public function trouble(EventKind $kind): string
    {
        return self::TROUBLES[$kind->value];
    }
}
