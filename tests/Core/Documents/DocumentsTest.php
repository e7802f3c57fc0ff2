<?php

declare(strict_types=1);

namespace Tests\Core\Documents;

use Destino\DestinoError;
use Destino\Documents\CatalogueFiles;
use Destino\Documents\ClutchReader;
use Destino\Documents\DocumentError;
use Destino\Documents\DocumentSchema;
use Destino\Documents\GenesDocument;
use Destino\Documents\IdentificationDocument;
use Destino\Documents\LuckDocument;
use Destino\Documents\PedigreeReader;
use Destino\Documents\PlanDocument;
use Destino\Documents\PosteriorDocument;
use Destino\Documents\PredictionDocument;
use Destino\Documents\ProjectDocument;
use Destino\Documents\ProjectReader;
use Destino\Documents\UnreadableFile;
use Destino\Genome\Sex;
use Destino\Identification\Identification;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\Asking\Question;
use Destino\Planning\Given\Project;
use Destino\Planning\Planner;
use Destino\Probability\Luck;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What is read and written follows its schema, and a fault of shape is named at its place. */
final class DocumentsTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> */
    public static function misshapen(): iterable
    {
        $pedigree = ['format' => PedigreeReader::FORMAT];
        $project = ['format' => ProjectReader::FORMAT, 'target' => 'Clown'];
        yield 'nothing' => ['project', [], ['The document wants “format”.', 'The document wants “target”.']];
        yield 'another format' => ['pedigree', ['format' => 'x', 'animals' => []], ['format must be "destino-pedigree/1".']];
        yield 'a field that nobody knows' => [
            'pedigree', $pedigree + ['animals' => [['id' => 'a', 'colour' => 'brown']]],
            ['animals[0] has a field “colour”, which is not known there. Known are id, sex, sire, dam, stated, saw, sires, clutch, certainty.'],
        ];
        yield 'a list where a text is meant' => [
            'pedigree', $pedigree + ['animals' => [['id' => 'a', 'stated' => ['Clown']]]],
            ['animals[0].stated is a list, where a text or null is wanted.'],
        ];
        yield 'none of those known' => [
            'pedigree', $pedigree + ['animals' => [['id' => 'a', 'sex' => 'maybe']]],
            ['animals[0].sex is not one of those that are known: "male", "female", null.'],
        ];
        yield 'too small, too large, and nothing where more is wanted' => [
            'pedigree',
            $pedigree + [
                'animals' => [['id' => 'a', 'certainty' => 101]],
                'groups' => [['dam' => 'a', 'saw' => 'Clown', 'count' => 0], ['dam' => 'a', 'saw' => 'Clown', 'sires' => [['id' => 'b', 'weight' => 0]]]],
            ],
            [
                'animals[0].certainty is too large: at most 100.', 'groups[0].count is too small: at least 1.',
                'groups[1].sires[0].weight is too small: more than 0.',
            ],
        ];
        yield 'a number that is no whole one' => ['project', $project + ['horizon' => 2.5], ['horizon is a number, where a whole number is wanted.']];
    }

    /**
     * @param array<string, mixed> $document
     * @param list<string> $said
     */
    #[DataProvider('misshapen')]
    public function testAFaultOfShapeIsNamedAtItsPlace(string $schema, array $document, array $said): void
    {
        try {
            (new DocumentSchema($schema))->check($document);
            self::fail('taken as it was');
        } catch (DocumentError $error) {
            self::assertSame($said, $error->faults);
        }
    }

    public function testAProjectIsReadAsItIsWritten(): void
    {
        $project = (new ProjectReader(Shelf::facts()))->read([
            'format' => ProjectReader::FORMAT, 'target' => 'Clown Pastel', 'horizon' => 5,
            'animals' => [['id' => 7, 'sex' => 'male', 'genes' => 'het Clown', 'age' => 30.9, 'weight' => 900]],
            'market' => [['sex' => 'female', 'genes' => 'Pastel Clown', 'from_season' => 3], ['sex' => 'female', 'genes' => 'Clown', 'price' => 250]],
            'rules' => ['budget' => 600, 'tubs' => 12.7, 'inbreeding' => '1/8', 'wanted' => 'pair', 'pinned' => [7]],
        ]);
        [$own, $later, $now] = $project->founders;

        self::assertSame(['7', Sex::Male, 30, 900, null, 1], [$own->id, $own->sex, $own->months, $own->grams, $own->price, $own->from]);
        self::assertSame(['offer market[0]', 0.0, 3], [$later->id, $later->price, $later->from]);
        self::assertSame([250.0, 1], [$now->price, $now->from]);
        self::assertSame([5, 600.0, 12, '1/8'], [$project->horizon, $project->budget, $project->tubs, $project->mostInbreeding?->toString()]);
        self::assertSame(['male' => 1, 'female' => 1, 'any' => 2], $project->wanted);
        self::assertSame(['7'], $project->pinned);
    }

    public function testAProjectIsWrittenSoThatTheSameIsReadAndPlanned(): void
    {
        $reader = new ProjectReader(Shelf::facts());
        $project = $reader->read([
            'format' => ProjectReader::FORMAT, 'target' => 'Clown Pastel', 'horizon' => 4,
            'animals' => [
                ['id' => 'M', 'sex' => 'male', 'genes' => '66% het Clown Pastel', 'age' => 30, 'weight' => 900, 'from_season' => 2],
                ['id' => 'F', 'sex' => 'female', 'genes' => 'Clown', 'dam' => 'F2'],
                ['id' => 'F2', 'sex' => 'female', 'genes' => 'het Clown or Pastel', 'age' => 5],
            ],
            'market' => [['sex' => 'male', 'genes' => 'Clown', 'price' => 250, 'from_season' => 3]],
            'assumptions' => ['females_per_male' => 2],
            'rules' => [
                'budget' => 300, 'tubs' => 4, 'inbreeding' => '1/4', 'wanted' => 'pair', 'forbidden' => [['M', 'F2']], 'pinned' => ['F'],
                'keep' => ['female Clown' => 2], 'stances' => ['wobble' => 'refuse'], 'sound' => [['sire' => 'M', 'dam' => 'F', 'share' => .75]],
            ],
        ]);
        $written = ProjectDocument::of($project);
        (new DocumentSchema('project'))->check($written);
        $again = $reader->read((array) json_decode((string) json_encode($written), true));

        self::assertEquals($project, $again, 'nothing of a project is lost on paper');
        $plans = array_map(
            static fn (Project $one): array => PlanDocument::of((new Planner(Shelf::catalogue(), $one, .05))->plan(40, 3)), [$project, $again],
        );
        self::assertSame($plans[0], $plans[1]);
        self::assertSame(40, $plans[0]['runs']);
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function beliefsThatCannotBe(): iterable
    {
        $state = fn (string $chance, array $haplotypes): array => ['probability' => $chance, 'haplotypes' => $haplotypes];
        $clown = ['clown' => [['+'], ['clown']]];
        yield 'more than all' => [[['groups' => ['clown'], 'states' => [$state('1', $clown), $state('1/2', ['clown' => [['+'], ['+']]])]]], 'add up to 3/2'];
        yield 'no such group' => [[['groups' => ['x'], 'states' => [$state('1', ['x' => [['+'], ['+']]])]]], 'no linkage group “x”'];
        yield 'an allele of another locus' => [[['groups' => ['clown'], 'states' => [$state('1', ['clown' => [['+'], ['pastel']]])]]], '“pastel” is no allele'];
        yield 'a haplotype too long' => [[['groups' => ['clown'], 'states' => [$state('1', ['clown' => [['+', '+'], ['+']]])]]], 'has 1 alleles'];
        yield 'over other groups than it says' => [[['groups' => ['pastel'], 'states' => [$state('1', $clown)]]], 'pastel'];
        yield 'a group twice' => [
            [['groups' => ['clown'], 'states' => [$state('1', $clown)]], ['groups' => ['clown'], 'states' => [$state('1', $clown)]]], 'clown',
        ];
    }

    #[DataProvider('beliefsThatCannotBe')]
    public function testABeliefThatCannotBeIsRefusedAtItsPlace(mixed $belief, string $said): void
    {
        $this->expectException(DestinoError::class);
        $this->expectExceptionMessage($said);
        (new ProjectReader(Shelf::facts()))->read([
            'format' => ProjectReader::FORMAT, 'target' => 'Clown',
            'animals' => [['id' => 'M', 'sex' => 'male', 'genes' => 'het Clown', 'belief' => $belief]],
        ]);
    }

    public function testWhatIsWrittenFollowsItsSchema(): void
    {
        $question = new Question('het Clown Pastel', 'het Clown Mojave', 'Clown', eggs: 6);
        $pedigree = (new PedigreeReader(Shelf::facts()))->read(['format' => PedigreeReader::FORMAT, 'animals' => [
            ['id' => 1, 'sex' => 'male', 'stated' => '50% het Clown'], ['id' => 2, 'sex' => 'female', 'stated' => 'Normal'],
            ['id' => 3, 'sire' => 1, 'dam' => 2, 'saw' => 'Clown'],
        ]]);
        $clutch = new ClutchReader(Shelf::facts(), [
            'format' => 'destino-clutch/1', 'dam' => ['genes' => 'Pastel'], 'sires' => [['id' => 9, 'genes' => 'Normal', 'weight' => '1/3']],
            'hatchlings' => [['id' => 'a', 'saw' => 'Pastel'], ['id' => 'b', 'sex' => 'male', 'saw' => 'Clown']],
        ]);
        $found = new Identification(Shelf::catalogue(), Shelf::facts()->looks(), $clutch->clutch, $clutch->cues);
        $written = [
            'prediction' => PredictionDocument::of(Prediction::of(Shelf::facts()->catalogue(), $question, Shelf::facts()->names()), 20),
            'luck' => LuckDocument::of(new Luck(Rational::of(1, 4), 12, 1)),
            'genes' => GenesDocument::of(Shelf::catalogue(), array_values(Shelf::catalogue()->alleles)),
            'posterior' => PosteriorDocument::of($pedigree, Shelf::catalogue()),
            'identification' => (new IdentificationDocument(Shelf::facts()))->of($found, $clutch, 10),
        ];
        foreach ($written as $schema => $document) {
            (new DocumentSchema($schema))->check($document);
            self::assertSame("destino-{$schema}/1", $document['format']);
        }
        self::assertTrue($written['posterior']['contradiction']);
        self::assertSame(['a' => false, 'b' => true], array_column($written['identification']['hatchlings'], 'impossible', 'id'));
        self::assertNotSame([], $written['identification']['hatchlings'][1]['explanations']);
    }

    public function testTheSameAnimalTwiceUnderANumberAndAText(): void
    {
        $this->expectExceptionMessage('7');
        (new PedigreeReader(Shelf::facts()))->read(['format' => PedigreeReader::FORMAT, 'animals' => [['id' => 7], ['id' => '7']]]);
    }

    public function testAFolderWithoutFactsSaysWhichFileIsMissing(): void
    {
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage('loci.json');
        (new CatalogueFiles(__DIR__))->document();
    }

    public function testAnEmptyObjectIsNoList(): void
    {
        $clutch = '{"format": "destino-clutch/1", "dam": {"genes": "Pastel"}, "sires": [{"genes": "Normal"}], "hatchlings": [{"id": 1, "cues": {}}, {"id": 2, "cues": {}}], "cues": []}';
        foreach ([[$clutch, 'clutch'], ['{"format": "destino-project/1", "target": "Clown", "horizon": 2, "animals": [], "market": [], "assumptions": {}, "rules": {}}', 'project']] as [$text, $schema]) {
            (new DocumentSchema($schema))->check((array) json_decode($text, true));
        }
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('wants “genes”');
        (new DocumentSchema('clutch'))->check((array) json_decode('{"format": "destino-clutch/1", "dam": {}, "sires": [{"genes": "Normal"}]}', true));
    }
}
