<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Arrows point one way: Probability ← Genome ← Notation ← Pairing, and the application on top. PHPStan runs this. */
final class Layers
{
    public function testTheCoreKnowsNoFrameworkAndNoInterface(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Destino'))
            ->excluding(Selector::inNamespace('Destino\Documents'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Destino'), Selector::inNamespace('Brick\Math'), Selector::isStandardClass())
            ->because('the core is computation: no framework, no input or output, no clock, no hidden randomness');
    }

    public function testDocumentsAreHeldAgainstTheirSchemas(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Destino\Documents'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Destino'), Selector::inNamespace('Brick\Math'), Selector::inNamespace('Opis\JsonSchema'),
                Selector::isStandardClass(),
            )
            ->because('readers and writers of documents know the core and the schemas, and nothing of the application');
    }

    public function testNothingInTheCoreKnowsItsDocuments(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Destino'))
            ->excluding(Selector::inNamespace('Destino\Documents'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Destino\Documents'))
            ->because('a document is a way in and out, and no part of a rule');
    }

    public function testOnlyProbabilityKnowsTheArithmeticPackage(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Destino\Genome'), Selector::inNamespace('Destino\Notation'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Brick\Math'))
            ->because('numbers are wrapped once');
    }

    public function testProbabilityStandsAlone(): Rule
    {
        return $this->below('Destino\Probability', 'Destino\Genome', 'Destino\Notation', 'Destino\Pairing', 'Destino\Inference');
    }

    public function testRelatednessNeedsNumbersOnly(): Rule
    {
        return $this->below('Destino\Husbandry', 'Destino\Genome', 'Destino\Notation', 'Destino\Pairing', 'Destino\Inference');
    }

    public function testGenomeStandsOnProbability(): Rule
    {
        return $this->below('Destino\Genome', 'Destino\Notation', 'Destino\Pairing', 'Destino\Inference');
    }

    public function testPlanningStandsOnWhatIsBelow(): Rule
    {
        return $this->below('Destino\Pairing', 'Destino\Inference', 'Destino\Planning');
    }

    public function testNotationStandsOnGenome(): Rule
    {
        return $this->below('Destino\Notation', 'Destino\Pairing', 'Destino\Inference');
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
