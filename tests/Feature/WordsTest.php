<?php

namespace Tests\Feature;

use App\Catalogue\CatalogueShelf;
use App\Guide\Chapter;
use App\Guide\Worked;
use Destino\Probability\Rational;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\File;
use Tests\TestCase;

/** The words that pages use (docs/words.md), and the guide. */
class WordsTest extends TestCase
{
    use RefreshDatabase;

    /** Words of which another was chosen, as they would stand in a page. */
    private const NOT = [
        '/>\s*take out\s*</i', '/\bTaken out:/', '/\bLeave it\b/', '/\bshipped\b(?!\()/', '/\blitter\b/i', '/\bN\/A\b/',
        '/\bunknown\b(?![\'"\]])/',
        '/\bmother\b|\bfather\b/i', '/\breckon/i', '/\banew\b/i', '/\bwhom\b/i', '/\ball the same\b/i', '/\bat the most\b/i', '/\binfertile\b(?![\'"_])/i',
        '/\block seen\b/i', '/\beggs felt\b/i', '/\bTold apart\b/', '/>\s*(?:Work it out|Note it|Book it|Keep it|Record it|Build it|Set it)\s*</', '/ an egg \(/', '/\bbab(y|ies)\b/i', '/\bsettings\b|\bpreferences\b/i', '/\bDelete\b/',
    ];

    public function test_pages_say_what_was_chosen(): void
    {
        $walked = 0;
        foreach (File::allFiles(resource_path('views')) as $file) {
            $text = (string) preg_replace(
                ['/\{\{--.*?--\}\}/s', '/<h2>Take out<\/h2>/', '/\{\{.*?\}\}/s', '/@php\(.*?\)\n/'], '', $file->getContents(),
            );
            foreach (self::NOT as $pattern) {
                $this->assertSame(0, preg_match($pattern, $text, $found), "{$file->getRelativePathname()}: ".($found[0] ?? ''));
            }
            $walked++;
        }
        $this->assertGreaterThan(60, $walked);
    }

    public function test_every_page_has_its_chapter_and_every_chapter_its_page(): void
    {
        $chapters = [];
        foreach (['/animals', '/pair', '/today', '/incubators', '/genes', '/prove', '/projects', '/young', '/house'] as $path) {
            preg_match('~href="[^"]*/guide#([a-z-]+)"~', (string) $this->get($path)->assertOk()->getContent(), $found);
            $chapters[] = $found[1] ?? $this->fail("{$path} leads to no chapter");
        }
        $this->assertSame([], array_diff(array_column(Chapter::cases(), 'value'), $chapters));
        $guide = $this->get('/guide')->assertOk();
        foreach (Chapter::cases() as $chapter) {
            $guide->assertSee("id=\"{$chapter->value}\"", false)->assertSee($chapter->title());
        }
    }

    public function test_the_worked_numbers_of_the_guide_are_true(): void
    {
        // by hand: 2/3 · 1/4; 2/3 · (1 − (3/4)⁶); 2/3 · 1/16 against 1/3
        $worked = new Worked(app(CatalogueShelf::class));
        $this->assertSame('1/6', $worked->egg('Pastel 66% het Clown', 'Enchi het Clown', 'Clown')->toString());
        $this->assertSame('3367/6144', $worked->clutch('Pastel 66% het Clown', 'Enchi het Clown', 'Clown', 6)->toString());
        $this->assertSame(
            ['1/9', '1/33'],
            [$worked->stillCarries(Rational::of(2, 3), 4)->toString(), $worked->stillCarries(Rational::of(2, 3), 6)->toString()],
        );
        $this->get('/guide')->assertSeeInOrder(['1/6 per egg', '55', 'after 64 days', '11', '3']);
    }

    public function test_each_chapter_of_the_guide_has_its_picture(): void
    {
        $page = $this->get('/guide')->assertOk();
        foreach (Chapter::cases() as $chapter) {
            $page->assertSee("pictures/{$chapter->picture()}.webp")->assertSee($chapter->shows());
            $this->assertFileExists(public_path("pictures/{$chapter->picture()}.webp"));
            $this->assertFileExists(base_path("docs/screenshots/{$chapter->picture()}.png"), 'from which it is made');
        }
    }
}
