<?php

declare(strict_types=1);

namespace App\View;

use Illuminate\Support\Str;
use RuntimeException;

/**
 * Brings styles and scripts from where they are written to where the browser finds them: resources/css and the style.css of every
 * part become one public/css/destino.css; resources/js stands in public/js, with the module.js of a part among its modules, under
 * the name that the part has in templates (EggTray as egg-tray). What is right already is left as it is.
 */
final class Publisher
{
    private const PARTS = 'parts';

    /** A rule may take back what stands before it: elements, parts, stations, paper, measures. */
    private const STYLES = [
        'fonts', 'tokens', 'elements', 'surfaces', 'tables', self::PARTS, 'shared', 'pair', 'animals', 'print', 'racks', 'house',
        'luck', 'projects', 'prove', 'looks', 'clutches', 'today', 'rounds', 'lists', 'season', 'guide', 'measures',
    ];

    public function __construct(private readonly string $root) {}

    /**
     * @return list<string> files of public/ that were written or taken away
     *
     * @throws RuntimeException for a style without a place in the order, two modules of one name, a file that cannot be written
     */
    public function publish(): array
    {
        $files = ['css/destino.css' => $this->styles()] + $this->scripts();
        $changed = [];
        foreach ($files as $path => $text) {
            if (! is_file("{$this->root}/public/{$path}") || file_get_contents("{$this->root}/public/{$path}") !== $text) {
                $this->write($path, $text);
                $changed[] = $path;
            }
        }
        foreach ($this->published() as $path) {
            if (! isset($files[$path])) {
                unlink("{$this->root}/public/{$path}");
                $changed[] = $path;
            }
        }

        return $changed;
    }

    private function styles(): string
    {
        $own = array_map(fn (string $file): string => basename($file, '.css'), $this->all('resources/css/*.css'));
        $lost = array_diff($own, self::STYLES);
        if ($lost !== []) {
            throw new RuntimeException('These styles have no place in the order of all: '.implode(', ', $lost).'.');
        }
        $texts = [];
        foreach (self::STYLES as $name) {
            $files = $name === self::PARTS ? $this->all('app/View/Components/*/style.css') : $this->all("resources/css/{$name}.css");
            foreach ($files as $file) {
                $texts[] = (string) file_get_contents($file);
            }
        }

        return implode("\n", $texts);
    }

    /** @return array<string, string> texts by path in public/ */
    private function scripts(): array
    {
        $scripts = [];
        foreach ([...$this->all('resources/js/*.js'), ...$this->all('resources/js/modules/*.js')] as $file) {
            $scripts['js/'.Str::after($file, '/resources/js/')] = (string) file_get_contents($file);
        }
        foreach ($this->all('app/View/Components/*/module.js') as $file) {
            $path = 'js/modules/'.Str::kebab(basename(dirname($file))).'.js';
            if (isset($scripts[$path])) {
                throw new RuntimeException("Two modules would be {$path}: one of resources/js/modules, and one of a part.");
            }
            $scripts[$path] = (string) file_get_contents($file);
        }

        return $scripts;
    }

    /** @return list<string> paths in public/ */
    private function published(): array
    {
        $files = [...$this->all('public/css/*.css'), ...$this->all('public/js/*.js'), ...$this->all('public/js/modules/*.js')];

        return array_map(fn (string $file): string => Str::after($file, "{$this->root}/public/"), $files);
    }

    /** @return list<string> */
    private function all(string $pattern): array
    {
        return glob("{$this->root}/{$pattern}") ?: [];
    }

    /** Whoever reads meanwhile has the old text or the new one, whole. */
    private function write(string $path, string $text): void
    {
        $target = "{$this->root}/public/{$path}";
        $new = $target.'.'.bin2hex(random_bytes(4));
        is_dir(dirname($target)) || mkdir(dirname($target), 0775, true);
        if (file_put_contents($new, $text) === false || ! rename($new, $target)) {
            throw new RuntimeException("public/{$path} cannot be written.");
        }
    }
}
