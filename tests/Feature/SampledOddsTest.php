<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Collection\Doorway;
use App\Collection\Kept;
use App\Collection\Kin;
use App\Words\OddsWords;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionMethod;
use Tests\TestCase;

/** Odds that had to be sampled are shown with how far they may be off, animal by animal. */
final class SampledOddsTest extends TestCase
{
    use RefreshDatabase;

    /** @return iterable<string, array{float, string}> */
    public static function errors(): iterable
    {
        yield 'exact' => [0.0, ''];
        yield 'as good as exact' => [.0009, ''];
        yield 'half a point' => [.005, 'within one point.'];
        yield 'a few points' => [.031, 'within 4 points.'];
        yield 'too many' => [.14, 'may be off by 14 points: not worth a figure.'];
    }

    #[DataProvider('errors')]
    public function test_how_far_is_said(float $error, string $says): void
    {
        $said = OddsWords::off($error);
        $this->assertSame($says, mb_substr($said, mb_strlen($said) - mb_strlen($says)));
        $this->assertSame($says === '', $said === '');
    }

    public function test_the_page_of_an_animal_says_how_far_its_own_odds_may_be_off(): void
    {
        $sire = $this->made(['name' => 'Skiff', 'sex' => 'male', 'genotype' => 'het Clown']);
        $dam = $this->made(['name' => 'Tender', 'sex' => 'female', 'genotype' => 'het Clown']);
        $young = $this->made(['name' => 'Buoy', 'sire_id' => (string) $sire->id, 'dam_id' => (string) $dam->id, 'genotype' => '66% het Clown']);
        $this->get("/animals/{$young->id}")->assertOk()->assertDontSee('too tangled');
        $kept = app(Kept::class);
        $kin = app(Doorway::class)->open($this->keeper()->fresh())->beliefs()->kin;
        foreach ((new ReflectionMethod(Kin::class, 'index'))->invoke($kin)['parts']["a{$young->id}"] as $hash) {
            $part = $kept->get("kin:part:{$hash}");
            $this->assertSame([], $part['errors']);
            $kept->put("kin:part:{$hash}", ['exact' => false, 'error' => .2, 'errors' => ["a{$young->id}" => .2]] + $part);
        }
        app(Doorway::class)->close();
        $this->get("/animals/{$young->id}")->assertSee('may be off by 20 points: not worth a figure');
        $this->get("/animals/{$sire->id}")->assertDontSee('too tangled');
    }
}
