<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Opened;
use App\Models\Animal;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Identification\Stage;
use Destino\Pairing\Advice\FormOdds;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;
use Illuminate\Support\Carbon;

/**
 * Look-alikes that nobody tells apart at the age of a young animal, where its parents can give both: whatever it was called when it was
 * entered, that is said beside it.
 */
final class NotTold
{
    /** A form that an animal has with less than this is not in question. */
    private const LEAST = .05;

    /** @return list<string> "Cinnamon or Black Pastel" */
    public static function of(Animal $animal, Opened $opened): array
    {
        $stage = self::stage($animal);
        $parents = [$animal->sire_id, $animal->dam_id];
        if ($stage === Stage::Adult || in_array(null, $parents, true) || $animal->hasOpenGenes()) {
            return [];
        }
        $catalogue = $opened->shelf->catalogue();
        $own = array_filter(
            KnownSoFar::formsOf($opened->beliefs()->belief($animal->id), $catalogue),
            static fn (array $one): bool => $one['decimal'] >= self::LEAST,
        );
        $given = null;
        $told = [];
        foreach ($catalogue->lookAlikes as $set) {
            $isIn = static fn (Form $form): bool => $set->includes($form) && ! $form->isLethal();
            if (! $stage->has($set) || array_filter($own, static fn (array $one): bool => $isIn($one['form'])) === []) {
                continue;
            }
            $given ??= self::given($animal, $opened);
            $alike = array_filter($given, $isIn);
            if (count($alike) > 1) {
                $told[] = implode(' or ', array_map(static fn (Form $form): string => $form->text, $alike));
            }
        }

        return array_values(array_unique($told));
    }

    /** "Cinnamon or Black Pastel: cannot be told apart at this age"; empty where all can. */
    public static function words(Animal $animal, Opened $opened): string
    {
        $told = self::of($animal, $opened);

        return $told === [] ? '' : implode('; ', $told).': cannot be told apart at this age';
    }

    private static function stage(Animal $animal): Stage
    {
        return Stage::at($animal->hatched_on === null ? null : max(0, (int) $animal->hatched_on->diffInDays(Carbon::today())));
    }

    /** @return list<Form> what its parents can give */
    private static function given(Animal $animal, Opened $opened): array
    {
        [$sire, $dam] = [$opened->beliefs()->belief((int) $animal->sire_id), $opened->beliefs()->belief((int) $animal->dam_id)];
        if ($sire->sex !== Sex::Male || $dam->sex !== Sex::Female) {
            return [];
        }

        return array_map(
            static fn (array $entry): Form => $entry[0],
            array_values(array_filter(
                FormOdds::of(Cross::of($opened->shelf->catalogue(), $sire, $dam)),
                static fn (array $entry): bool => $entry[1]->compareTo(Rational::of(1, 100)) > 0,
            )),
        );
    }
}
