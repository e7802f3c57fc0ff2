<?php

declare(strict_types=1);

namespace Tests\Core\Genome;

use Destino\Documents\CatalogueCheck;
use Destino\Documents\CatalogueFiles;
use Destino\Genome\Form;
use Destino\Genome\FormKind;
use Destino\Genome\Sex;
use Destino\Notation\NotationError;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class CatalogueTest extends TestCase
{
    public function testTheFilesFollowTheirSchema(): void
    {
        self::assertSame([], (new CatalogueCheck(dirname(__DIR__, 3).'/catalogue'))->faults());
    }

    public function testAFaultOfShapeNamesItsPlace(): void
    {
        $check = new CatalogueCheck(dirname(__DIR__, 3).'/catalogue');
        $document = (new CatalogueFiles(dirname(__DIR__, 3).'/catalogue'))->objects();
        $document->genes[0]->inheritance = 'sometimes';
        self::assertStringStartsWith('/genes/0/inheritance: ', $check->shapeFaults($document)[0]);
    }

    public function testEveryPairOfACoreComplexIsDescribed(): void
    {
        $catalogue = Shelf::catalogue();
        foreach (['bel', 'blackeye', 'yellowbelly', 'cinnamon', 'albino', 'clown', 'banana'] as $locus) {
            $missing = array_filter(
                $catalogue->formsAt($locus),
                static fn (Form $form): bool => $form->looks === 'No description of this pair is known to us.',
            );
            self::assertSame([], array_map(static fn (Form $form): string => $form->text, $missing));
        }
    }

    public function testEveryNameMeansOneThing(): void
    {
        $catalogue = Shelf::catalogue();
        foreach ($catalogue->alleles as $allele) {
            foreach ([$allele->name, ...$allele->aliases] as $name) {
                $belief = Shelf::belief($name, Sex::Female);
                self::assertSame(
                    '1', $belief->chanceOf(new \Destino\Genome\GenotypePattern([$allele->key => 1]), $catalogue)->toString(),
                    $name,
                );
            }
        }
        foreach ($catalogue->nicknames as $nickname) {
            try {
                self::assertEquals(Shelf::belief($nickname->means), Shelf::belief($nickname->name), $nickname->name);
            } catch (NotationError $error) {
                self::assertNotSame([], $error->suggestions, $nickname->name);
            }
        }
    }

    public function testExpressionFollowsThePair(): void
    {
        $catalogue = Shelf::catalogue();
        self::assertSame(
            [FormKind::Het, []], [$catalogue->form('clown', '+', 'clown')->kind, $catalogue->form('clown', '+', 'clown')->shows],
        );
        self::assertSame(['cryptic', 'clown'], $catalogue->form('clown', 'clown', 'cryptic')->shows);
        self::assertSame('Candino', $catalogue->form('albino', 'candy', 'albino')->knownAs);
        self::assertSame(
            $catalogue->form('pinstripe', 'pinstripe', '+')->look, $catalogue->form('pinstripe', 'pinstripe', 'pinstripe')->look,
        );
        self::assertNotSame($catalogue->form('pastel', 'pastel', '+')->look, $catalogue->form('pastel', 'pastel', 'pastel')->look);
    }
}
