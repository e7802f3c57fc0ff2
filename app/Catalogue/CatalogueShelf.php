<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\House\House;
use App\Models\GeneChange;
use Destino\Appearance\LookFacts;
use Destino\Documents\CatalogueFiles;
use Destino\Documents\GeneFacts;
use Destino\Genome\Catalogue;
use Destino\Genome\CatalogueBuilder;
use Destino\Genome\Sex;
use Destino\Identification\Cue;
use Destino\Identification\CueBook;
use Destino\Identification\Reading\OwnEye;
use Destino\Notation\GenotypeReader;
use Destino\Notation\NameIndex;
use Destino\Notation\TargetReader;
use Illuminate\Contracts\Cache\Repository;

/**
 * Reads the gene facts from their files and keeps the catalogues built from them, one per choice of schools. A keeper's
 * shelf adds the keeper's own genes and names, and takes the schools and lines of the house rules where nothing else is
 * chosen.
 */
class CatalogueShelf implements GeneFacts
{
    private ?string $fingerprint = null;

    /** @var array<string, mixed>|null */
    private ?array $document = null;

    /** @var array<string, mixed>|null */
    private ?array $shipped = null;

    /** The shelf that this one was made from, which has read the same files or will. */
    private ?self $base = null;

    /** @var array<string, Catalogue> */
    private array $catalogues = [];

    /** @var array<string, NameIndex> */
    private array $names = [];

    /**
     * @param array<string, string> $schools of the house rules
     * @param array<string, string> $lines the line that a shared word means, of the house rules
     * @param list<GeneChange> $changes
     * @param string $version of the code and the facts that answers are made by
     * @param bool $isSlashEither whether a slash between names that are mixed up means "one of these", of the house rules
     */
    public function __construct(
        private readonly string $folder,
        private readonly array $schools = [],
        public readonly array $lines = [],
        private readonly array $changes = [],
        private readonly ?Repository $cache = null,
        public readonly bool $isSlashEither = false,
        public readonly string $version = '',
    ) {}

    /** @param list<GeneChange> $changes */
    public function forHouse(House $house, array $changes): self
    {
        return $this->with($house->schools(), $house->lines(), $changes, $house->simple('slash') === 'either');
    }

    /** @param array<string, string> $schools chosen before those of the house */
    public function withSchools(array $schools): self
    {
        return $this->with($schools + $this->schools, $this->lines, $this->changes, $this->isSlashEither);
    }

    /**
     * @param array<string, string> $schools
     * @param array<string, string> $lines
     * @param list<GeneChange> $changes
     */
    private function with(array $schools, array $lines, array $changes, bool $isSlashEither): self
    {
        $shelf = new self($this->folder, $schools, $lines, $changes, $this->cache, $isSlashEither, $this->version);
        $shelf->base = $this;

        return $shelf;
    }

    /**
     * The whole catalogue as one document, as catalogue/schema.json describes it.
     *
     * @return array<string, mixed>
     */
    public function document(): array
    {
        return $this->document ??= Extension::of($this->changes)->extend($this->shipped());
    }

    /** @return array<string, mixed> the gene facts without what a keeper added */
    public function shipped(): array
    {
        if ($this->base !== null) {
            return $this->base->shipped();
        }
        return $this->shipped ??= (new CatalogueFiles($this->folder))->document();
    }

    /** @param array<string, string> $schools choice by claim; the rest as the catalogue's default */
    public function catalogue(array $schools = []): Catalogue
    {
        $schools += $this->schools;

        return $this->catalogues[self::key($schools)] ??= $this->built($schools)[0];
    }

    /** @param array<string, string> $schools */
    public function names(array $schools = []): NameIndex
    {
        $schools += $this->schools;

        return $this->names[self::key($schools)] ??= $this->built($schools)[1];
    }

    /**
     * Builds a catalogue with its names, or takes what was built of the same facts before.
     *
     * @param array<string, string> $schools
     * @return array{Catalogue, NameIndex}
     */
    private function built(array $schools): array
    {
        $key = self::key($schools);
        $kept = 'catalogue:'.$this->fingerprint().":{$key}";
        $built = $this->cache?->get($kept);
        if (! is_array($built)) {
            $catalogue = CatalogueBuilder::build($this->document(), $schools);
            $built = [$catalogue, new NameIndex($catalogue)];
            $this->cache?->put($kept, $built, 7 * 86400);
        }
        [$this->catalogues[$key], $this->names[$key]] = $built;

        return $built;
    }

    /** @return array<string, string> the schools of the house rules */
    public function schools(): array
    {
        return $this->schools;
    }

    /** @param array<string, string> $schools */
    public function reader(array $schools = []): GenotypeReader
    {
        return new GenotypeReader($this->catalogue($schools), $this->names($schools), $this->lines, $this->isSlashEither);
    }

    /** @param array<string, string> $schools */
    public function targets(array $schools = []): TargetReader
    {
        return new TargetReader($this->catalogue($schools), $this->names($schools), $this->lines);
    }

    /**
     * Reads what a pairing, a list or a clutch is asked for, where "or" and "at least two of" can be answered.
     *
     * @param array<string, string> $schools
     */
    public function targetsWithChoices(array $schools = []): TargetReader
    {
        return $this->targets($schools)->withChoices();
    }

    /** The keeper's own names for combinations. */
    public function ownNames(): OwnNames
    {
        if ($this->ownNames === null) {
            $meanings = [];
            foreach ($this->changes as $change) {
                $belief = $change->kind === 'nickname' ? $this->reader()->read((string) $change->data['means'], Sex::Female)->belief : null;
                $belief === null ?: $meanings[(string) $change->data['name']] = $belief;
            }
            $this->ownNames = OwnNames::of($meanings, $this->catalogue());
        }

        return $this->ownNames;
    }

    private ?OwnNames $ownNames = null;

    /** @var array<string, Cue>|null */
    private ?array $cues = null;

    /**
     * What to look at on a hatchling, with what it shows by genotype.
     *
     * @return array<string, Cue> by key
     */
    public function cues(): array
    {
        if ($this->cues === null) {
            $kept = 'cues:'.$this->fingerprint();
            $cues = $this->cache?->get($kept);
            if (! is_array($cues)) {
                $cues = $this->asSeen((new CueBook($this->catalogue(), $this->targets()))->read($this->document()['cues']));
                $this->cache?->put($kept, $cues, 7 * 86400);
            }
            $this->cues = $cues;
        }

        return $this->cues;
    }

    /**
     * Cues as the keeper's own eye reads them, where that was chosen.
     *
     * @param array<string, Cue> $cues by key
     * @return array<string, Cue>
     */
    private function asSeen(array $cues): array
    {
        foreach ($this->changes as $change) {
            if ($change->kind === 'eye' && isset($cues[$change->gene])) {
                $eye = new OwnEye((float) ($change->data['shift'] ?? 0), max(.1, (float) ($change->data['spread'] ?? 1)));
                $cues[$change->gene] = $cues[$change->gene]->readBy($eye);
            }
        }

        return $cues;
    }

    private ?LookFacts $looks = null;

    public function looks(): LookFacts
    {
        if ($this->looks === null) {
            $kept = 'looks:'.$this->fingerprint();
            $looks = $this->cache?->get($kept);
            if (! $looks instanceof LookFacts) {
                $looks = LookFacts::of($this->document());
                $this->cache?->put($kept, $looks, 7 * 86400);
            }
            $this->looks = $looks;
        }

        return $this->looks;
    }

    /** What every answer of this shelf depends on: equal for equal facts, schools and lines. */
    public function fingerprint(): string
    {
        return $this->fingerprint ??= hash(
            'xxh128',
            serialize([
                $this->version, $this->schools, $this->lines, $this->isSlashEither,
                array_map(fn (GeneChange $change): array => [$change->kind, $change->gene, $change->data], $this->changes),
                (new CatalogueFiles($this->folder))->times(),
            ]),
        );
    }

    /** @param array<string, string> $schools */
    private static function key(array $schools): string
    {
        ksort($schools);

        return http_build_query($schools);
    }
}
