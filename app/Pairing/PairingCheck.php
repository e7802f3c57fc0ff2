<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Catalogue\CatalogueShelf;
use App\Collection\Opened;
use App\Family\Relatedness;
use App\House\House;
use App\Models\Animal;
use Destino\Genome\Severity;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Advisor;
use Destino\Pairing\Advice\Verdict;
use Destino\Pairing\Cross;
use Destino\Pairing\PairingError;

/** What the house rules say of a pairing of two animals of the collection. */
class PairingCheck
{
    /** @param  list<Advice>  $advice */
    public static function verdict(array $advice, ?Relatedness $relatedness, House $house, CatalogueShelf $shelf): Verdict
    {
        if ($relatedness !== null && $relatedness->isAboveLimit()) {
            $advice[] = new Advice('close-relatives', Severity::Watch, $relatedness->sentence(), null, [], Advice::RELATED);
        }

        return Verdict::of($advice, $house->stances($shelf->catalogue()));
    }

    /** Why the house rules warn of two animals that are here, or refuse them; empty where they do neither. */
    public static function warnings(int $sire, int $dam, Opened $opened): string
    {
        [$male, $female] = [$opened->family()->animal($sire), $opened->family()->animal($dam)];

        return $male === null || $female === null
            ? ''
            : implode(' ', array_map(static fn (Advice $one): string => $one->text, self::of($male, $female, $opened)->because));
    }

    public static function of(Animal $sire, Animal $dam, Opened $opened): Verdict
    {
        try {
            $beliefs = $opened->beliefs();
            $advice = Advisor::advise(Cross::of($opened->shelf->catalogue(), $beliefs->belief($sire->id), $beliefs->belief($dam->id)));
        } catch (PairingError $error) { // more is open about the two than can be worked out: said, and not taken for harmless
            $advice = [new Advice('too-open', Severity::Watch, $error->getMessage(), null, [])];
        }

        return self::verdict(
            $advice, Relatedness::of($opened->family(), $sire, $dam, $opened->house->relatednessLimit()), $opened->house,
            $opened->shelf,
        );
    }
}
