<?php

declare(strict_types=1);

namespace Tests\Support;

use Destino\Documents\CatalogueFiles;
use Destino\Documents\ShippedFacts;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Notation\GenotypeReader;
use Destino\Pairing\Cross;
use Destino\Pairing\Outcome;
use Destino\Pairing\OutcomeSpace;
use Destino\Pairing\TargetOdds;

/** The shipped catalogue and short ways to ask it, for tests without the framework. */
final class Shelf
{
    /** @var array<string, ShippedFacts> by choice of schools */
    private static array $facts = [];

    /** @param array<string, string> $schools */
    public static function catalogue(array $schools = []): Catalogue
    {
        return self::facts($schools)->catalogue();
    }

    /** @param array<string, string> $schools */
    public static function facts(array $schools = []): ShippedFacts
    {
        if ($schools === [] && isset(self::$facts[''])) {
            return self::$facts[''];
        }
        ksort($schools);
        $document = (self::$facts[''] ??= new ShippedFacts((new CatalogueFiles(dirname(__DIR__, 2).'/catalogue'))->document()))->document;

        return self::$facts[http_build_query($schools)] ??= new ShippedFacts($document, $schools);
    }

    /** @param array<string, string> $schools */
    public static function reader(array $schools = []): GenotypeReader
    {
        return self::facts($schools)->reader();
    }

    /** @param array<string, string> $schools */
    public static function belief(string $text, Sex $sex = Sex::Female, array $schools = []): Belief
    {
        return self::reader($schools)->read($text, $sex)->beliefOrFail();
    }

    /** @param array<string, string> $schools */
    public static function cross(string $sire, string $dam, array $schools = []): Cross
    {
        return Cross::of(self::catalogue($schools), self::belief($sire, Sex::Male, $schools), self::belief($dam, Sex::Female, $schools));
    }

    /** @param array<string, string> $schools */
    public static function odds(string $sire, string $dam, string $target, array $schools = [], bool $hatched = false): TargetOdds
    {
        $wanted = self::facts($schools)->targets()->read($target);

        return TargetOdds::of(self::cross($sire, $dam, $schools), $wanted, $hatched);
    }

    /** @return array<string, string> probability by label (and sex, where it is told), in the order listed */
    public static function table(OutcomeSpace $space): array
    {
        $table = [];
        foreach ($space->walk() as $outcome) {
            $table[self::label($outcome)] = $outcome->probability->toString();
        }

        return $table;
    }

    private static function label(Outcome $outcome): string
    {
        return $outcome->label.($outcome->sex === null ? '' : ', '.$outcome->sex->value).($outcome->isLethal ? ' †' : '');
    }
}
