<?php

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Shelf;
use Tests\TestCase;

class StationsTest extends TestCase
{
    use RefreshDatabase;

    public function test_every_gene_and_every_complex_has_its_page(): void
    {
        foreach (Shelf::catalogue()->alleles as $allele) {
            $this->get("/genes/{$allele->key}")->assertOk()->assertSee($allele->name)->assertSee($allele->twoCopyName);
        }
        $this->get('/complexes/bel')->assertOk()->assertSee('Mystic Potion');
        $this->get('/complexes/pastel')->assertNotFound();
        $this->get('/genes/nonesuch')->assertNotFound()->assertSee('Page not found.');
    }

    public function test_a_gene_page_tells_health_and_dispute(): void
    {
        $this->get('/genes/spider')
            ->assertSee('Wobble')
            ->assertSee('reptile veterinarian')
            ->assertSee('Do two-copy spiders survive?')
            ->assertSee('does not live');
        $this->get('/genes/desert')->assertSee('Laying trouble in females')->assertSee('Can desert females breed safely?');
        $this->get('/genes/yellow-belly')->assertSee('Ivory')->assertSee('Highway')->assertSee('Gravel, Asphalt');
    }

    public function test_the_library_filters(): void
    {
        $this->get('/genes?kind=recessive&effect=white')->assertSee('1 of 137 genes')->assertSee('Piebald');
        $this->get('/genes?complex=albino')->assertSee('3 of 137 genes');
        $this->get('/genes?find=zzz')->assertSee('No gene fits all of that.');
        $this->get('/genes?kind=odd')->assertOk()->assertSee('137 of 137 genes');
        $this->get('/genes?complex[]=x')->assertStatus(400)->assertSee('“complex” takes one value.');
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function luckQuestions(): iterable
    {
        yield 'nothing asked' => ['', 200, 'Bad luck, or a wrong belief?'];
        yield 'very unlucky' => ['chance=1/6&eggs=40&hits=0', 200, 'About 1 in 1,470 such runs of eggs brings as few hits or fewer.'];
        yield 'lucky' => ['chance=12.5%25&eggs=20&hits=7', 200, 'as many hits or more'];
        yield 'as expected' => ['chance=1/4&eggs=8&hits=2', 200, 'Exactly what was to be expected.'];
        yield 'it cannot happen' => ['chance=0&eggs=8&hits=2', 200, 'that cannot happen at all'];
        yield 'a chance above one' => ['chance=7/6&eggs=8&hits=2', 422, 'A chance lies between 0 and 1'];
        yield 'words' => ['chance=often&eggs=8&hits=2', 422, '“often” is not a number.'];
        yield 'more hits than eggs' => ['chance=1/4&eggs=2&hits=8', 422, '8 hits cannot come from 2 eggs.'];
        yield 'half filled in' => ['chance=1/4', 422, 'Enter a number of eggs from 1 to 1000.'];
        yield 'a chance with a zero below' => ['chance=1/0&eggs=8&hits=2', 422, 'cannot have 0 below the line'];
    }

    #[DataProvider('luckQuestions')]
    public function test_luck(string $query, int $status, string $words): void
    {
        $this->get("/luck?{$query}")->assertStatus($status)->assertSee($words);
    }
}
