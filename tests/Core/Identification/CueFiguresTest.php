<?php

declare(strict_types=1);

namespace Tests\Core\Identification;

use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Sureness;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use Destino\Identification\Cue;
use Destino\Identification\CueChances;
use Destino\Identification\Reading\Amounts;
use Destino\Identification\Reading\EyeFit;
use Destino\Identification\Reading\LookReading;
use Destino\Identification\Reading\OwnEye;
use Destino\Identification\Reading\StateChances;
use Destino\Identification\Reading\Windows;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** What cues say, against figures that were worked out by hand or apart from this code. */
final class CueFiguresTest extends TestCase
{
    private static ?CueChances $chances = null;

    private static function chances(): CueChances
    {
        return self::$chances ??= new CueChances(Shelf::catalogue(), Shelf::facts()->looks());
    }

    private static function cue(string $key): Cue
    {
        return Shelf::facts()->cues()[$key];
    }

    private static function reading(string $key): LookReading
    {
        return self::cue($key)->reading ?? self::fail("{$key} is not read from the look.");
    }

    /** @return array<string, Form> by locus */
    public static function forms(string $genes): array
    {
        $forms = [];
        foreach (Shelf::belief($genes)->factors as $factor) {
            foreach ((new Expressions(Shelf::catalogue()))->ofState(array_values($factor->states->entries())[0][0]) as $one) {
                $forms += $one->forms;
            }
        }

        return $forms;
    }

    /** @return array<string, float> by state */
    private static function shown(string $cue, string $genes, int $days, ?OwnEye $eye = null): array
    {
        $own = self::cue($cue);

        return array_combine($own->states, self::chances()->floats($eye === null ? $own : $own->readBy($eye), self::forms($genes), $days));
    }

    public function testSpotsAboveTheNostrils(): void
    {
        // Normal, before its windows: F((.56 - 0)/.24) = .9116, F(1.30/.24) - .9116 = .0840, the rest .0044.
        $reading = self::reading('snout-spots');
        $raw = StateChances::of($reading, self::chances()->seen($reading, [], 1000), 1000);
        self::assertEqualsWithDelta([.9116, .0840, .0044], $raw, 6e-5);
        self::assertEqualsWithDelta([.0495, .0495, .03], self::chances()->windows($reading, 1000)->least, 1e-9);
        self::assertEqualsWithDelta([.99, .99, .6], self::chances()->windows($reading, 1000)->most, 1e-9);
        self::assertEqualsWithDelta(['none' => .8882, 'faint' => .0818, 'clear' => .03], self::shown('snout-spots', 'Normal', 1000), 6e-5);
        self::assertEqualsWithDelta(['none' => .1378, 'faint' => .6395, 'clear' => .2227], self::shown('snout-spots', 'Spotnose', 1000), 6e-5);
    }

    public function testWhatStandsInPlaceOfBlack(): void
    {
        $young = self::shown('dark-tone', 'Toffee', 3);
        self::assertEqualsWithDelta([.6106, .0777], [$young['white or none'], $young['lavender']], 6e-5);
        $grown = self::shown('dark-tone', 'Toffee', 1000);
        self::assertEqualsWithDelta([.0033, .8212], [$grown['white or none'], $grown['lavender']], 6e-5);
        $both = self::shown('dark-tone', 'Albino/Toffee', 1000);
        self::assertEqualsWithDelta([.0709, .7536], [$both['white or none'], $both['lavender']], 6e-5);
    }

    public function testTwentyNormalsOfWhichEightAreReadAsFaint(): void
    {
        $reading = self::reading('snout-spots');
        $normal = self::chances()->seen($reading, [], 1000);
        $readings = array_map(
            static fn (int $i): array => ['look' => $normal, 'days' => 1000, 'state' => $i < 12 ? 0 : 1, 'weight' => 1.0], range(0, 19),
        );
        $windows = static fn (int $days): Windows => self::chances()->windows($reading, $days);
        $eye = EyeFit::of($reading, $readings, $windows);
        self::assertEqualsWithDelta([-.4, 1.25], [$eye->shift, $eye->spread], 1e-9);
        self::assertEqualsWithDelta([.8142, .1558, .03], array_values(self::shown('snout-spots', 'Normal', 1000, $eye)), 6e-5);
        self::assertEqualsWithDelta([.1435, .5203, .3363], array_values(self::shown('snout-spots', 'Spotnose', 1000, $eye)), 6e-5);
        self::assertEquals(new OwnEye, EyeFit::of($reading, [], $windows), 'nothing read, nothing changed');
    }

    public function testOfTheWildTypeEveryCueSaysWhatIsListed(): void
    {
        $listed = 0;
        foreach (self::figures()['wild_type'] as $key => $states) {
            foreach ($states ?? [] as $state => $chance) {
                self::assertEqualsWithDelta($chance, self::shown($key, 'Normal', LookFacts::ADULT)[$state], 6e-5, "{$key}: {$state}");
                $listed++;
            }
        }
        self::assertGreaterThan(150, $listed);
    }

    /** Genotypes of which the old list of chances said something else, each decided by hand. */
    public function testWhatWasDecidedStands(): void
    {
        $days = ['hatchling' => 3, 'yearling' => 365, 'adult' => 1000];
        foreach (self::figures()['decisions'] as $one) {
            preg_match('/^(.+) ([\d.]+)$/', $one['new'], $said);
            $shown = self::shown($one['cue'], $one['genes'], $days[$one['age']]);
            self::assertEqualsWithDelta((float) $said[2], $shown[$said[1]], .08, "{$one['cue']} of {$one['genes']}");
            $one['kept'] === 'open' ?: self::assertGreaterThanOrEqual(max($shown) / 3, $shown[$said[1]], "{$one['cue']} of {$one['genes']}");
        }
        self::assertCount(55, self::figures()['decisions']);
    }

    public function testThePictureOfAStateIsReadAsThatState(): void
    {
        $read = 0;
        foreach (Shelf::facts()->document['cues'] as $entry) {
            $reading = Shelf::facts()->cues()[$entry['key']]->reading;
            foreach ($reading === null ? [] : $entry['states'] as $i => $state) {
                $amounts = $state['picture']['amounts'] ?? [];
                if (isset($amounts['before'])) {
                    continue;
                }
                $look = new Look($amounts, [], Sureness::Known, [], LookFacts::ADULT, 0);
                $chances = StateChances::of($reading, new Amounts([], $look), LookFacts::ADULT);
                self::assertGreaterThan($state['name'] === 'few marks' ? .3 : .4, $chances[$i], "{$entry['key']}: {$state['name']}");
                self::assertGreaterThanOrEqual(.99 * max($chances), $chances[$i], "{$entry['key']}: {$state['name']}");
                $read++;
            }
        }
        self::assertGreaterThan(130, $read);
    }

    /** @return array{wild_type: array<string, array<string, float>|null>, decisions: list<array<string, string>>} */
    private static function figures(): array
    {
        return json_decode((string) file_get_contents(dirname(__DIR__, 2).'/data/cue-figures.json'), true, flags: JSON_THROW_ON_ERROR);
    }
}
