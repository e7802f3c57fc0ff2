<?php

namespace Tests\Feature;

use App\View\Components\Part\Part;
use App\View\Components\Tabs\Tabs;
use App\View\Publisher;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\View;
use Illuminate\Support\Str;
use ReflectionClass;
use RuntimeException;
use Tests\TestCase;

/** A part of pages is one folder; its style and module come to the browser from there. */
class PartsTest extends TestCase
{
    private string $root = '';

    protected function tearDown(): void
    {
        if ($this->root !== '') {
            File::deleteDirectory($this->root);
        }
        parent::tearDown();
    }

    public function test_a_folder_holds_the_options_and_the_view_of_its_part_and_nothing_that_is_no_ones(): void
    {
        $folders = File::directories(app_path('View/Components'));
        $this->assertGreaterThan(30, count($folders));
        $this->assertSame([], File::files(app_path('View/Components')));
        foreach ($folders as $folder) {
            $name = basename($folder);
            $class = new ReflectionClass("App\\View\\Components\\{$name}\\{$name}");
            $this->assertTrue($class->isSubclassOf(Part::class) || $name === 'Part', $name);
            $files = array_map(fn ($file): string => $file->getFilename(), File::files($folder));
            $this->assertSame([], array_diff($files, ["{$name}.php", 'view.blade.php', 'style.css', 'module.js']), $name);
            $this->assertTrue(View::exists("parts::{$name}.view") || $class->isSubclassOf(Tabs::class) || $name === 'Part', $name);
        }
    }

    public function test_every_module_that_a_template_names_is_there_and_every_module_is_named(): void
    {
        $named = [];
        foreach ([...File::allFiles(resource_path('views')), ...File::allFiles(app_path('View/Components'))] as $file) {
            if (Str::endsWith($file->getFilename(), '.blade.php')) {
                preg_match_all('/data-module="([^"]+)"/', $file->getContents(), $found);
                array_push($named, ...array_merge(...array_map(fn (string $names): array => explode(' ', $names), $found[1])));
            }
        }
        $there = array_map(fn ($file): string => $file->getFilenameWithoutExtension(), File::files(public_path('js/modules')));
        $this->assertEqualsCanonicalizing($there, array_values(array_unique($named)));
    }

    public function test_what_the_browser_gets_is_what_is_written(): void
    {
        $this->assertSame([], (new Publisher(base_path()))->publish(), 'all of it was brought over before the tests');
        $long = -1;
        $styles = (string) file_get_contents(public_path('css/destino.css'));
        foreach ([...File::files(resource_path('css')), ...File::allFiles(app_path('View/Components'))] as $file) {
            if ($file->getExtension() === 'css') {
                $this->assertStringContainsString($file->getContents(), $styles, $file->getRelativePathname());
                $long += 1 + strlen($file->getContents());
            }
        }
        $this->assertSame($long, strlen($styles), 'each once, with a line between them');
    }

    public function test_a_part_stands_between_the_elements_and_the_stations(): void
    {
        $root = $this->written(['resources/css/elements.css' => 'a {}', 'resources/css/pair.css' => '.pair {}']);
        $this->assertSame(['css/destino.css'], (new Publisher($root))->publish());
        $this->written([
            'app/View/Components/EggBox/style.css' => '.egg-box {}', 'app/View/Components/EggBox/module.js' => '// eggs',
            'resources/js/destino.js' => '// first', 'resources/js/modules/once.js' => '// once',
        ]);
        $this->assertEqualsCanonicalizing(
            ['css/destino.css', 'js/destino.js', 'js/modules/once.js', 'js/modules/egg-box.js'], (new Publisher($root))->publish(),
        );
        $this->assertSame("a {}\n.egg-box {}\n.pair {}", file_get_contents("{$root}/public/css/destino.css"));
        $this->assertSame('// eggs', file_get_contents("{$root}/public/js/modules/egg-box.js"));
        $this->assertSame([], (new Publisher($root))->publish(), 'nothing is written twice');
    }

    public function test_what_is_no_longer_written_is_taken_away(): void
    {
        $root = $this->written(['resources/js/modules/once.js' => '1', 'resources/js/modules/twice.js' => '2']);
        (new Publisher($root))->publish();
        unlink("{$root}/resources/js/modules/twice.js");
        $this->assertSame(['js/modules/twice.js'], (new Publisher($root))->publish());
        $this->assertFileDoesNotExist("{$root}/public/js/modules/twice.js");
        $this->assertFileExists("{$root}/public/js/modules/once.js");
    }

    public function test_a_style_without_a_place_and_two_modules_of_one_name_are_said(): void
    {
        $root = $this->written(['resources/css/elements.css' => 'a {}', 'resources/css/stray.css' => 'b {}']);
        $this->assertSame('These styles have no place in the order of all: stray.', $this->refusal($root));
        unlink("{$root}/resources/css/stray.css");
        $this->written(['resources/js/modules/egg-box.js' => '1', 'app/View/Components/EggBox/module.js' => '2']);
        $this->assertStringContainsString('Two modules would be js/modules/egg-box.js', $this->refusal($root));
        $this->assertFileDoesNotExist("{$root}/public/css/destino.css", 'nothing is half brought over');
    }

    private function refusal(string $root): string
    {
        try {
            (new Publisher($root))->publish();
        } catch (RuntimeException $refused) {
            return $refused->getMessage();
        }

        return '';
    }

    /** @param array<string, string> $files texts by path, in a folder of this test */
    private function written(array $files): string
    {
        $this->root = $this->root ?: sys_get_temp_dir().'/destino-parts-'.bin2hex(random_bytes(6));
        foreach ($files as $path => $text) {
            File::ensureDirectoryExists(dirname("{$this->root}/{$path}"));
            file_put_contents("{$this->root}/{$path}", $text);
        }

        return $this->root;
    }
}
