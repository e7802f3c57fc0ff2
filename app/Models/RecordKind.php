<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Enums\Right;
use BackedEnum;
use Illuminate\Database\Eloquent\Model;

/**
 * A kind of record of a collection, described once: what an archive, a history, a removal, the policies and the schema of the
 * documents need to know of it.
 */
final readonly class RecordKind
{
    /**
     * @param string $name under which its history is kept and its addresses are made
     * @param class-string<Model&CollectionRecord> $class
     * @param string $words in a history: "statement", "photograph"
     * @param array<string, string|list<string|null>> $fields what is archived: field => JSON type ("string", with "?" where
     *     it may be null), or the values that it can have
     * @param array<string, string> $references fields that hold the number of another record => its kind
     * @param array<string, string> $lists fields that hold numbers of other records, in lists or lists of lists => their kind
     * @param array<string, string> $children relations to records that belong to it => their kind
     * @param Right|null $removal the right to take one out; null where that is not done one by one
     * @param string $section where the records stand in an archive; '' where they stand with the record that they belong to
     * @param string $relation of the keeper to them, where it differs from the section
     * @param bool $isNumbered whether other records, or a history, can name one
     */
    public function __construct(
        public string $name,
        public string $class,
        public string $words,
        public array $fields,
        public array $references = [],
        public array $lists = [],
        public array $children = [],
        public ?Right $removal = null,
        public string $section = '',
        private string $relation = '',
        public bool $isNumbered = true,
    ) {}

    /** The keeper's relation to all of them. */
    public function relation(): string
    {
        return $this->relation === '' ? $this->section : $this->relation;
    }

    /** The name in a document of a field that holds a number: "sire" for "sire_id". */
    public static function plain(string $reference): string
    {
        return (string) preg_replace('/_id$/', '', $reference);
    }

    /**
     * @param class-string<BackedEnum> $enum
     * @return list<string>
     */
    public static function values(string $enum): array
    {
        return array_map(fn (BackedEnum $case): string => (string) $case->value, $enum::cases());
    }
}
