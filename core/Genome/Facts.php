<?php

declare(strict_types=1);

namespace Destino\Genome;

/** Reads typed values out of a decoded catalogue document, and says where something is missing. */
final readonly class Facts
{
    /** @param array<array-key, mixed> $values */
    private function __construct(private array $values, private string $path) {}

    public static function of(mixed $value, string $path = 'catalogue'): self
    {
        return is_array($value) ? new self($value, $path) : throw CatalogueFault::missing($path, 'an object or a list');
    }

    public function string(string $key): string
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) ? $value : throw CatalogueFault::missing("{$this->path}.{$key}", 'a text');
    }

    public function textOr(string $key, string $otherwise): string
    {
        return array_key_exists($key, $this->values) ? $this->string($key) : $otherwise;
    }

    public function optionalString(string $key): ?string
    {
        return array_key_exists($key, $this->values) ? $this->string($key) : null;
    }

    public function int(string $key): int
    {
        $value = $this->values[$key] ?? null;

        return is_int($value) ? $value : throw CatalogueFault::missing("{$this->path}.{$key}", 'a whole number');
    }

    public function flag(string $key): bool
    {
        return ($this->values[$key] ?? false) === true;
    }

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->values);
    }

    public function child(string $key): self
    {
        return self::of($this->values[$key] ?? null, "{$this->path}.{$key}");
    }

    /** @return list<self> */
    public function children(string $key): array
    {
        $list = $this->child($key);
        $children = [];
        foreach ($list->values as $i => $value) {
            $children[] = self::of($value, "{$list->path}[{$i}]");
        }

        return $children;
    }

    /** @return list<string> */
    public function strings(string $key): array
    {
        $strings = [];
        foreach ($this->child($key)->values as $i => $value) {
            $strings[] = is_string($value) ? $value : throw CatalogueFault::missing("{$this->path}.{$key}[{$i}]", 'a text');
        }

        return $strings;
    }

    /** @return array{string, string} */
    public function pair(string $key): array
    {
        $strings = $this->strings($key);

        return count($strings) === 2 ? [$strings[0], $strings[1]] : throw CatalogueFault::missing("{$this->path}.{$key}", 'two texts');
    }

    /** @return array{float, float} */
    public function twoNumbers(string $key): array
    {
        $values = array_values($this->child($key)->values);
        [$first, $second] = [$values[0] ?? null, $values[1] ?? null];

        return is_numeric($first) && is_numeric($second)
            ? [(float) $first, (float) $second]
            : throw CatalogueFault::missing("{$this->path}.{$key}", 'two numbers');
    }

    public function number(string $key): float
    {
        $value = $this->values[$key] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw CatalogueFault::missing("{$this->path}.{$key}", 'a number');
    }

    /** @return array<string, float> by key; nothing where it is left out */
    public function numbers(string $key): array
    {
        $numbers = [];
        foreach ($this->has($key) ? array_keys($this->child($key)->values) : [] as $name) {
            $numbers[(string) $name] = $this->child($key)->number((string) $name);
        }

        return $numbers;
    }

    /** @return array<string, list<array{float, float}>> pairs of numbers by key; nothing where it is left out */
    public function curves(string $key): array
    {
        $curves = [];
        foreach ($this->has($key) ? array_keys($this->child($key)->values) : [] as $name) {
            $points = $this->child($key)->child((string) $name);
            foreach (array_keys($points->values) as $i) {
                $curves[(string) $name][] = $points->twoNumbers((string) $i);
            }
        }

        return $curves;
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        $values = [];
        foreach ($this->values as $key => $value) {
            $values[(string) $key] = $value;
        }

        return $values;
    }

    public function path(): string
    {
        return $this->path;
    }
}
