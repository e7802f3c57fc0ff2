<?php

namespace App\House;

use App\Catalogue\CatalogueShelf;
use App\Collection\Beliefs;
use App\Family\Family;
use App\Family\Relatedness;
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

    public static function of(Animal $sire, Animal $dam, Family $family, Beliefs $beliefs, House $house, CatalogueShelf $shelf): Verdict
    {
        try {
            $advice = Advisor::advise(Cross::of($shelf->catalogue(), $beliefs->belief($sire->id), $beliefs->belief($dam->id)));
        } catch (PairingError $error) { // more is open about the two than can be worked out: said, and not taken for harmless
            $advice = [new Advice('too-open', Severity::Watch, $error->getMessage(), null, [])];
        }

        return self::verdict($advice, Relatedness::of($family, $sire, $dam, $house->relatednessLimit()), $house, $shelf);
    }
}
