<?php

declare(strict_types=1);

namespace Tests\Core\Genome;

use Destino\Genome\CatalogueBuilder;
use Destino\Genome\CatalogueFault;
use Destino\Genome\UnknownSchool;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Pairing\Advice\Advisor;
use Destino\Pairing\Genotypes;
use Destino\Pairing\Looks;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class SchoolsTest extends TestCase
{
    /**
     * A pairing whose answer a school decides: claim, school, sire, dam, outcomes by genotype.
     *
     * @return iterable<string, array{string, string, string, string, array<string, string>}>
     */
    public static function decidedPairings(): iterable
    {
        $cases = [
            ['spider-blackhead-allelism', 'allelic', 'Spider Blackhead', 'Normal', ['Spider' => '1/2', 'Blackhead' => '1/2']],
            [
                'spider-blackhead-allelism', 'separate', 'Spider Blackhead', 'Normal',
                ['Spider Blackhead' => '1/4', 'Spider' => '1/4', 'Blackhead' => '1/4', 'Normal' => '1/4'],
            ],
            ['gorilla-red-axanthic-allelism', 'allelic', 'Gorilla HRA', 'Normal', ['Het Red Axanthic' => '1/2', 'Gorilla' => '1/2']],
            [
                'gorilla-red-axanthic-allelism', 'separate', 'Gorilla HRA', 'Normal',
                ['Het Red Axanthic Gorilla' => '1/4', 'Het Red Axanthic' => '1/4', 'Gorilla' => '1/4', 'Normal' => '1/4'],
            ],
            ['enchi-cinnamon-allelism', 'allelic', 'Enchi Cinnamon', 'Normal', ['Enchi' => '1/2', 'Cinnamon' => '1/2']],
            [
                'enchi-cinnamon-allelism', 'separate', 'Enchi Cinnamon', 'Normal',
                ['Enchi Cinnamon' => '1/4', 'Enchi' => '1/4', 'Cinnamon' => '1/4', 'Normal' => '1/4'],
            ],
            ['woma-hidden-gene-woma-relation', 'allelic', 'Woma HGW', 'Normal', ['Hidden Gene Woma' => '1/2', 'Woma' => '1/2']],
            [
                'woma-hidden-gene-woma-relation', 'separate', 'Woma HGW', 'Normal',
                ['Hidden Gene Woma Woma' => '1/4', 'Hidden Gene Woma' => '1/4', 'Woma' => '1/4', 'Normal' => '1/4'],
            ],
            [
                'wobble-genes-one-locus', 'spider-champagne', 'Spider', 'Champagne',
                ['Champagne/Spider †' => '1/4', 'Champagne' => '1/4', 'Spider' => '1/4', 'Normal' => '1/4'],
            ],
            [
                'wobble-genes-one-locus', 'spider-hidden-gene-woma', 'Spider', 'HGW',
                ['Hidden Gene Woma/Spider †' => '1/4', 'Hidden Gene Woma' => '1/4', 'Spider' => '1/4', 'Normal' => '1/4'],
            ],
            [
                'wobble-genes-one-locus', 'champagne-hidden-gene-woma', 'Champagne', 'HGW',
                ['Champagne/Hidden Gene Woma †' => '1/4', 'Champagne' => '1/4', 'Hidden Gene Woma' => '1/4', 'Normal' => '1/4'],
            ],
            [
                'wobble-genes-one-locus', 'three', 'Spider', 'HGW',
                ['Hidden Gene Woma/Spider †' => '1/4', 'Hidden Gene Woma' => '1/4', 'Spider' => '1/4', 'Normal' => '1/4'],
            ],
            [
                'wobble-genes-one-locus', 'all-five', 'Woma', 'Spotnose',
                ['Spotnose/Woma †' => '1/4', 'Spotnose' => '1/4', 'Woma' => '1/4', 'Normal' => '1/4'],
            ],
            [
                'wobble-genes-one-locus', 'separate', 'Spider', 'Champagne',
                ['Champagne Spider' => '1/4', 'Champagne' => '1/4', 'Spider' => '1/4', 'Normal' => '1/4'],
            ],
            ['spider-two-copies', 'lethal', 'Spider', 'Spider', ['Spider' => '1/2', 'Super Spider †' => '1/4', 'Normal' => '1/4']],
            ['spider-two-copies', 'viable', 'Spider', 'Spider', ['Spider' => '1/2', 'Super Spider' => '1/4', 'Normal' => '1/4']],
            ['woma-two-copies', 'not-viable', 'Woma', 'Woma', ['Woma' => '1/2', 'Super Woma †' => '1/4', 'Normal' => '1/4']],
            ['woma-two-copies', 'reduced', 'Woma', 'Woma', ['Woma' => '1/2', 'Super Woma' => '1/4', 'Normal' => '1/4']],
            ['woma-two-copies', 'viable', 'Woma', 'Woma', ['Woma' => '1/2', 'Super Woma' => '1/4', 'Normal' => '1/4']],
            ['hidden-gene-woma-two-copies', 'lethal', 'HGW', 'HGW', ['Hidden Gene Woma' => '1/2', 'Pearl †' => '1/4', 'Normal' => '1/4']],
            ['hidden-gene-woma-two-copies', 'reduced', 'HGW', 'HGW', ['Hidden Gene Woma' => '1/2', 'Pearl' => '1/4', 'Normal' => '1/4']],
            ['hypo-lines-compatible', 'separate', 'Hypo 1', 'Hypo 2', ['het Hypo (line 1) het Hypo (line 2)' => '1']],
            ['hypo-lines-compatible', 'same', 'Hypo 1', 'Hypo 2', ['Hypo (line 1)/Hypo (line 2)' => '1']],
            ['axanthic-lines-compatible', 'separate', 'Axanthic 1', 'Axanthic 2', ['het Axanthic (line 1) het Axanthic (line 2)' => '1']],
            ['axanthic-lines-compatible', 'lines-1-2', 'Axanthic 1', 'Axanthic 2', ['Axanthic (line 1)/Axanthic (line 2)' => '1']],
            ['axanthic-lines-compatible', 'lines-1-3', 'Axanthic 1', 'Axanthic 3', ['Axanthic (line 1)/Axanthic (line 3)' => '1']],
            ['axanthic-lines-compatible', 'lines-2-3', 'Axanthic 2', 'Axanthic 3', ['Axanthic (line 2)/Axanthic (line 3)' => '1']],
            ['gravel-asphalt-same-allele', 'same', 'Gravel', 'Asphalt', ['Gravel' => '1/2', 'Super Gravel' => '1/4', 'Normal' => '1/4']],
            [
                'gravel-asphalt-same-allele', 'distinct', 'Gravel', 'Asphalt',
                ['Gravel/Asphalt' => '1/4', 'Gravel' => '1/4', 'Asphalt' => '1/4', 'Normal' => '1/4'],
            ],
            ['mystic-phantom-same-allele', 'same', 'Phantom', 'Mystic', ['Mystic' => '1/2', 'Super Mystic' => '1/4', 'Normal' => '1/4']],
            [
                'mystic-phantom-same-allele', 'distinct', 'Phantom', 'Mystic',
                ['Phantom/Mystic' => '1/4', 'Phantom' => '1/4', 'Mystic' => '1/4', 'Normal' => '1/4'],
            ],
            ['lesser-butter-same-allele', 'same', 'Super Butter', 'Normal', ['Lesser' => '1']],
            ['lesser-butter-same-allele', 'distinct', 'Super Butter', 'Normal', ['Butter' => '1']],
            [
                'banana-coral-glow-same-allele', 'same', 'Normal', 'Super Coral Glow',
                ['Banana (female maker), male' => '1/2', 'Banana, female' => '1/2'],
            ],
            [
                'banana-coral-glow-same-allele', 'distinct', 'Normal', 'Super Coral Glow',
                ['Coral Glow (female maker), male' => '1/2', 'Coral Glow, female' => '1/2'],
            ],
            ['fire-sulfur-same-allele', 'same', 'Super Sulfur', 'Vanilla', ['Fire/Vanilla' => '1/2', 'Fire' => '1/2']],
            ['fire-sulfur-same-allele', 'distinct', 'Super Sulfur', 'Vanilla', ['Vanilla/Sulfur' => '1/2', 'Sulfur' => '1/2']],
            ['candy-toffee-same-allele', 'same', 'Candy', 'Toffee', ['Candy' => '1']],
            ['candy-toffee-same-allele', 'distinct', 'Candy', 'Toffee', ['Candy/Toffee' => '1']],
            [
                'orange-belly-yellow-belly-same-allele', 'same', 'Orange Belly', 'Yellow Belly',
                ['Yellow Belly' => '1/2', 'Ivory' => '1/4', 'Normal' => '1/4'],
            ],
            ['orange-belly-yellow-belly-same-allele', 'distinct', 'Super Orange Belly', 'Normal', ['Orange Belly' => '1']],
            [
                'banana-sex-fraction', 'low', 'Banana (female maker)', 'Normal',
                [
                    'Banana, female' => '97/200', 'Normal, male' => '97/200', 'Banana (male maker), male' => '3/200',
                    'Normal, female' => '3/200',
                ],
            ],
            [
                'banana-sex-fraction', 'middle', 'Banana (male maker)', 'Normal',
                [
                    'Banana (male maker), male' => '93/200', 'Normal, female' => '93/200', 'Banana, female' => '7/200',
                    'Normal, male' => '7/200',
                ],
            ],
            [
                'banana-sex-fraction', 'high', 'Banana (male maker)', 'Normal',
                ['Banana (male maker), male' => '9/20', 'Normal, female' => '9/20', 'Banana, female' => '1/20', 'Normal, male' => '1/20'],
            ],
            [
                'banana-sex-fraction', '0.5', 'Banana (male maker)', 'Normal',
                ['Banana (male maker), male' => '1/4', 'Banana, female' => '1/4', 'Normal, male' => '1/4', 'Normal, female' => '1/4'],
            ],
        ];
        foreach ($cases as $case) {
            yield "{$case[0]}: {$case[1]}" => $case;
        }
    }

    /** @param array<string, string> $outcomes */
    #[DataProvider('decidedPairings')]
    public function testASchoolDecides(string $claim, string $school, string $sire, string $dam, array $outcomes): void
    {
        $cross = Shelf::cross($sire, $dam, [$claim => $school]);
        self::assertSame($school, $cross->catalogue->schools[$claim]);
        self::assertSame($outcomes, Shelf::table(Genotypes::of($cross)));
    }

    public function testEverySchoolBuildsACatalogueWhosePrintReadsBack(): void
    {
        $changed = $round = 0;
        foreach (Shelf::catalogue()->claims as $claim) {
            foreach ($claim->schools as $school) {
                $catalogue = Shelf::catalogue([$claim->key => $school->key]);
                $printer = new Printer($catalogue);
                foreach (array_keys($catalogue->loci) as $i => $locus) {
                    $forms = $catalogue->formsAt($locus);
                    // All that the school changes; of what it leaves alone a fifth, another with each school.
                    $isChanged = ! isset(Shelf::catalogue()->loci[$locus]) || Shelf::catalogue()->formsAt($locus) != $forms;
                    $changed += $isChanged ? 1 : 0;
                    foreach ($isChanged || $i % 5 === $round % 5 ? $forms : [] as $form) {
                        $text = $form->text === '' ? 'Normal' : $form->text;
                        self::assertSame(
                            $text, $printer->belief(Shelf::belief($text, schools: [$claim->key => $school->key])),
                            "{$claim->key}={$school->key}",
                        );
                    }
                }
                $round++;
            }
        }
        self::assertGreaterThan(20, $changed);
        self::assertGreaterThan(25, $round);
    }

    public function testTwoCopiesOfCalicoThatMayLookDifferent(): void
    {
        self::assertSame(
            ['Calico (33% two copies)' => '3/4', 'Normal' => '1/4'], Shelf::table(Looks::of(Shelf::cross('Calico', 'Calico'))),
        );
        self::assertCount(3, Shelf::table(Looks::of(Shelf::cross('Calico', 'Calico', ['calico-two-copies' => 'unknown']))));
    }

    public function testASchoolCanMakeAWarningMilder(): void
    {
        $grade = static fn (array $schools): string => array_values(
            array_filter(
                Advisor::advise(Shelf::cross('Normal', 'Desert', $schools)),
                static fn ($advice): bool => $advice->code === 'parent-condition',
            ),
        )[0]->severity->value;
        self::assertSame('serious', $grade([]));
        self::assertSame('watch', $grade(['desert-female-breeding' => 'rarely-succeeds']));
    }

    public function testAMergedNameStaysReadableAndAnswersByTheKeptOne(): void
    {
        $schools = ['mystic-phantom-same-allele' => 'same'];
        self::assertSame(
            'Mojave/Mystic',
            (new Printer(Shelf::catalogue($schools)))->belief(Shelf::belief('Purple Passion', schools: $schools)),
        );
        $this->expectException(NotationError::class);
        Shelf::belief('Phantom Mystic', schools: $schools);
    }

    public function testAnUnknownChoiceNamesWhatCanBeChosen(): void
    {
        try {
            Shelf::catalogue(['spider-two-copies' => 'perhaps']);
            self::fail('“perhaps” is no school');
        } catch (UnknownSchool $error) {
            self::assertSame(['lethal', 'viable'], $error->suggestions);
        }
        $this->expectException(UnknownSchool::class);
        Shelf::catalogue(['spider-two-copys' => 'lethal']);
    }

    public function testAFractionAboveOneHalfIsRefused(): void
    {
        $this->expectException(UnknownSchool::class);
        Shelf::catalogue(['banana-sex-fraction' => '0.7']);
    }

    public function testAFaultInTheFilesNamesItsPlace(): void
    {
        $document = Shelf::facts()->document;
        $document['compounds'][] = ['alleles' => ['mojave', 'nonesuch'], 'looks' => 'x', 'viability' => 'viable', 'evidence' => 'reported'];
        $this->expectException(CatalogueFault::class);
        $this->expectExceptionMessage('names the allele “nonesuch” in catalogue.compounds');
        CatalogueBuilder::build($document);
    }
}
