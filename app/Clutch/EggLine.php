<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\ClutchCount;
use App\Models\ClutchEvent;
use App\Models\Egg;
use App\Models\Enums\EggState;
use App\Models\Enums\EventKind;

/**
 * The eggs of a clutch side by side, each as it stands, out of which its hatchlings look. What was logged as a number, without saying
 * which egg, is taken off the eggs that are still open.
 *
 * @phpstan-type Shell array{state: EggState, number: int|null, animal: Animal|null}
 */
final readonly class EggLine
{
    /** @var list<Shell> */
    public array $shells;

    /** @param Clutch $clutch with its eggs, counts and hatchlings */
    public function __construct(Clutch $clutch)
    {
        $shells = array_map(fn (Egg $egg): array => [
            'state' => $egg->setRelation('events', $clutch->events->where('egg_id', $egg->id)->values())->state(),
            'number' => $egg->number, 'animal' => null,
        ], array_values($clutch->eggs->all()));
        $slugs = count(array_filter($shells, fn (array $one): bool => $one['state'] === EggState::Slug));
        $good = max((int) $clutch->eggs_good, (int) $clutch->hatched, count($clutch->hatchlings)) - (count($shells) - $slugs);
        for ($i = 0; $i < $good; $i++) {
            $shells[] = ['state' => EggState::Good, 'number' => null, 'animal' => null];
        }
        for ($i = $slugs; $i < (int) $clutch->eggs_infertile; $i++) {
            $shells[] = ['state' => EggState::Slug, 'number' => null, 'animal' => null];
        }
        foreach (self::ends($clutch) as [$state, $count]) {
            $shells = self::take($shells, $state, $count);
        }
        $this->shells = self::withHatchlings($shells, array_values($clutch->hatchlings->all()));
    }

    /** @return list<array{EggState, int}> how many eggs ended so, in all */
    private static function ends(Clutch $clutch): array
    {
        $dead = (int) $clutch->counts->where('dead', true)->sum(fn (ClutchCount $count): int => $count->count);

        return [
            [EggState::Out, max((int) $clutch->hatched, count($clutch->hatchlings))],
            [EggState::Dead, max($dead, self::logged($clutch, EventKind::DeadInEgg))],
            [EggState::GivenUp, self::logged($clutch, EventKind::EggBad)],
            [EggState::Pipped, max(0, self::logged($clutch, EventKind::Pipped) - (int) $clutch->hatched)],
        ];
    }

    private static function logged(Clutch $clutch, EventKind $kind): int
    {
        $events = $clutch->events->filter(fn (ClutchEvent $event): bool => $event->kind === $kind);

        return $events->whereNotNull('egg_id')->unique('egg_id')->count()
            + (int) $events->whereNull('egg_id')->sum(fn (ClutchEvent $event): int => $event->count ?? 1);
    }

    /**
     * @param  list<Shell>  $shells
     * @return list<Shell> with so many of a state, as far as open eggs are left
     */
    private static function take(array $shells, EggState $state, int $count): array
    {
        $count -= count(array_filter($shells, fn (array $one): bool => $one['state'] === $state));
        foreach ($shells as $i => $shell) {
            if ($count > 0 && $shell['state']->isOpen() && $shell['state'] !== $state) {
                $shells[$i]['state'] = $state;
                $count--;
            }
        }

        return $shells;
    }

    /**
     * @param  list<Shell>  $shells
     * @param  list<Animal>  $hatchlings
     * @return list<Shell>
     */
    private static function withHatchlings(array $shells, array $hatchlings): array
    {
        foreach ($shells as $i => $shell) {
            if ($shell['state'] === EggState::Out && $hatchlings !== []) {
                $shells[$i]['animal'] = array_shift($hatchlings);
            }
        }

        return $shells;
    }

    /** "5 out, 1 good, 1 slug". */
    public function words(): string
    {
        $words = [];
        foreach (EggState::cases() as $state) {
            $count = count(array_filter($this->shells, fn (array $one): bool => $one['state'] === $state));
            $count === 0 ?: $words[] = "{$count} ".($state === EggState::Slug && $count > 1 ? 'slugs' : $state->words());
        }

        return implode(', ', $words);
    }
}
