<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The application in layers: records ← house ← gene facts ← collection ← pages ← Http. PHPStan runs this. */
final class AppLayers
{
    public function testRecordsStandAlone(): Rule
    {
        return $this->below(
            'App\Models', 'App\House', 'App\Catalogue', 'App\Collection', 'App\Prove', 'App\Projects', 'App\Exchange', 'App\Http',
        );
    }

    public function testTheHouseStandsOnRecords(): Rule
    {
        return $this->below('App\House', 'App\Catalogue', 'App\Collection', 'App\Prove', 'App\Projects', 'App\Exchange', 'App\Http');
    }

    public function testGeneFactsStandOnTheHouse(): Rule
    {
        return $this->below('App\Catalogue', 'App\Collection', 'App\Prove', 'App\Projects', 'App\Exchange');
    }

    public function testTheCollectionStandsBelowThePages(): Rule
    {
        return $this->below('App\Collection', 'App\Animals', 'App\Pairing', 'App\Prove', 'App\Projects', 'App\Exchange', 'App\Http');
    }

    /**
     * @param non-empty-string $lower
     * @param non-empty-string ...$upper
     */
    private function below(string $lower, string ...$upper): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace($lower))
            ->shouldNotDependOn()
            ->classes(...array_map(static fn (string $namespace) => Selector::inNamespace($namespace), $upper))
            ->because('arrows point one way');
    }
}
