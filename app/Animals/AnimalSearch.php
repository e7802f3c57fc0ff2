<?php

declare(strict_types=1);

namespace App\Animals;

use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Statuses;
use App\House\House;
use App\Models\Animal;
use App\Models\Enums\Status;
use App\Models\User;
use Destino\Genome\Sex;
use Destino\Notation\NotationError;
use Destino\Notation\Target;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/**
 * What a keeper looks for in the collection: words in the record, and genes in the notation of targets, to which the
 * words "ready" and the names of a status may be added: "carries Clown, female, ready".
 */
class AnimalSearch
{
    public const VIEWS = ['cards' => 'Cards', 'list' => 'List', 'rack' => 'Racks'];

    /** What lists show of a record. */
    private const COLUMNS = [
        'id', 'user_id', 'name', 'number', 'sex', 'hatched_on', 'hatched_precision', 'rack_id', 'rack_row', 'rack_column', 'genes_open',
        'sire_id', 'dam_id',
        'clutch_id',
    ];

    public readonly string $words;

    public readonly string $genes;

    public readonly string $view;

    public readonly string $rack;

    /** Sold and dead animals too. */
    public readonly bool $gone;

    /** What is wrong with the genes as typed. */
    public readonly ?string $error;

    private readonly ?Target $target;

    public readonly bool $ready;

    public readonly ?Status $status;

    public readonly ?Sex $sex;

    /** Only those whose genes are still to be read. */
    public readonly bool $open;

    public function __construct(Request $request, private readonly CatalogueShelf $shelf, private readonly House $house)
    {
        $text = fn (string $field): string => is_string($request->query($field)) ? trim((string) $request->query($field)) : '';
        $this->words = mb_substr($text('find'), 0, 200);
        $this->genes = $text('genes');
        $this->view = isset(self::VIEWS[$text('view')]) ? $text('view') : 'cards';
        $this->rack = ctype_digit($text('rack')) ? $text('rack') : '';
        [$genes, $ready, $status, $other] = self::asideFromGenes($this->genes);
        $this->ready = $ready || $request->boolean('ready');
        $this->status = $status ?? Status::tryFrom($text('status'));
        $this->sex = Sex::tryFrom($text('sex'));
        $this->open = $request->boolean('open');
        $this->gone = $request->boolean('gone') || ($this->status !== null && ! $this->status->isHere());
        $target = $error = null;
        try {
            $target = trim($genes, " ,\t") === '' ? null : $shelf->targetsWithChoices()->read($genes);
        } catch (NotationError $fault) {
            $error = $fault->getMessage();
        }
        $this->target = $target;
        $this->error = $error ?? ($other === null ? null
            : "{$status?->value} and {$other->value}: an animal is one of them. Ask for one at a time.");
    }

    public function isNarrowed(): bool
    {
        return $this->words.$this->genes.$this->rack !== '' || $this->ready || $this->status !== null || $this->sex !== null || $this->open;
    }

    /** @return array<string, string> the query that opens this search again */
    public function query(): array
    {
        return array_filter([
            'genes' => $this->genes, 'find' => $this->words, 'view' => $this->view === 'cards' ? '' : $this->view,
            'rack' => $this->rack, 'status' => $this->status->value ?? '', 'sex' => $this->sex->value ?? '',
            'ready' => $this->ready ? '1' : '', 'gone' => $this->gone ? '1' : '', 'open' => $this->open ? '1' : '',
        ]);
    }

    /** @return list<AnimalCard> by name; with genes asked for, the surest first */
    public function in(User $keeper, Beliefs $beliefs): array
    {
        if ($this->error !== null) {
            return [];
        }
        $like = '%'.addcslashes($this->words, '\\%_').'%';
        $statuses = Statuses::of($keeper);
        /** @var list<Animal> $animals */
        $animals = $keeper->animals()
            ->when($this->rack !== '', fn (Builder $query) => $query->where('rack_id', (int) $this->rack))
            ->when($this->open, fn (Builder $query) => $query->whereNotNull('genes_open'))
            ->when($this->sex !== null, fn (Builder $query) => $query->where('sex', $this->sex->value ?? ''))
            ->when(
                $this->words !== '',
                fn (Builder $query) => $query->where(
                    fn (Builder $any) =>
                        $any->whereLike('name', $like)
                            ->orWhereLike('number', $like)
                            ->orWhereLike('notes', $like)
                            ->orWhereLike('source', $like)
                            ->orWhereHas('statements', fn (Builder $statement) => $statement->whereLike('text', $like)),
                ),
            )
            ->orderBy('name')->orderBy('id')->get(self::COLUMNS)->all();
        $cards = [];
        foreach ($animals as $animal) {
            $status = $statuses->status($animal->id);
            if ($this->status !== null ? $status === $this->status : ($this->gone || $status->isHere())) {
                $cards[] = new AnimalCard($animal, $beliefs, $this->shelf->catalogue(), $this->target, $status);
            }
        }
        $cards = $this->target === null ? $cards : self::surestFirst($cards);
        if ($this->ready) {
            AnimalCard::weigh($cards);
            $cards = array_values(array_filter($cards, fn (AnimalCard $card): bool => $card->readiness($this->house)->isReady === true));
        }

        return $cards;
    }

    /**
     * @param  list<AnimalCard>  $cards
     * @return list<AnimalCard> those that may fit
     */
    private static function surestFirst(array $cards): array
    {
        $fitting = [];
        foreach ($cards as $i => $card) {
            $chance = $card->chance();
            if ($chance !== null && ! $chance->isZero()) {
                $fitting[] = [$chance, $i, $card];
            }
        }
        usort($fitting, fn (array $a, array $b): int => $b[0]->compareTo($a[0]) ?: $a[1] <=> $b[1]);

        return array_column($fitting, 2);
    }

    /**
     * Takes "ready" and the names of a status out of the text; blanks stand in their place, so that positions stay true.
     *
     * @return array{string, bool, Status|null, Status|null} the genes, whether it must be ready, the status, and another one that was named too
     */
    public static function asideFromGenes(string $text): array
    {
        $ready = false;
        $named = [];
        $words = implode(
            '|', array_map(fn (Status $one): string => str_replace([' ', '-'], '[ -]', preg_quote($one->value)), Status::cases()),
        );
        $genes = (string) preg_replace_callback("/(?<=^|,)\\s*(ready|{$words})\\s*(?=,|$)/iu",
            function (array $match) use (&$ready, &$named): string {
            $word = mb_strtolower(trim($match[1]));
            $status = Status::tryFrom(str_replace('holdback', 'hold-back', $word))
                ?? Status::tryFrom(str_replace(' ', '-', $word))
                ?? Status::tryFrom(str_replace('-', ' ', $word));
            $status === null ?: $named[$status->value] = $status;
            $ready = $ready || $word === 'ready';

            return str_repeat(' ', mb_strlen($match[0]));
        }, $text);

        [$status, $other] = [...array_values($named), null, null];

        return [$genes, $ready, $status, $other];
    }
}
