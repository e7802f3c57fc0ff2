<?php

declare(strict_types=1);

namespace App\Exchange;

/** What a column of a list of animals can be. */
enum Field: string
{
    case Name = 'name';
    case Number = 'number';
    case Sex = 'sex';
    case Hatched = 'hatched';
    case Genes = 'genes';
    case SaidBy = 'said by';
    case Source = 'source';
    case Acquired = 'acquired';
    case Price = 'price';
    case Sire = 'sire';
    case Dam = 'dam';
    case Status = 'status';
    case Weight = 'weight';
    case Weighed = 'weighed';
    case Rack = 'rack';
    case Row = 'row';
    case Column = 'column';
    case Notes = 'notes';

    /** @return list<string> headings that mean it, in lower case */
    public function headings(): array
    {
        return match ($this) {
            self::Name => ['name', 'animal', 'snake', 'animal name', 'snake name', 'called'],
            self::Number => ['number', 'no', 'no.', 'nr', 'nr.', 'id', 'animal id', 'code', 'tag'],
            self::Sex => ['sex', 'gender', 'm/f', 'sex (m/f)'],
            self::Hatched => [
                'hatched', 'hatch date', 'hatch', 'hatchdate', 'date hatched', 'birth date', 'birthdate', 'age', 'hatched on', 'born',
                'birthday', 'dob', 'date of birth', 'year', 'hatch year',
            ],
            self::Genes => [
                'genes', 'genotype', 'genetics', 'morph', 'morphs', 'carries', 'what it carries', 'traits', 'gene', 'morph/genes',
                'morph / genes', 'genetic', 'mutation',
                'mutations',
            ],
            self::SaidBy => ['said by', 'genes by', 'stated by'],
            self::Source => ['source', 'from', 'bought from', 'seller', 'origin'],
            self::Acquired => ['acquired', 'bought', 'bought on', 'purchase date', 'purchased', 'arrived', 'in collection since'],
            self::Price => ['price', 'cost', 'paid', 'price paid', 'purchase price'],
            self::Sire => ['sire', 'father', 'dad', 'sire name', 'father name', 'sire id', 'male parent'],
            self::Dam => ['dam', 'mother', 'mum', 'mom', 'dam name', 'mother name', 'dam id', 'female parent'],
            self::Status => ['status', 'state'],
            self::Weight => [
                'weight', 'grams', 'weight g', 'weight (g)', 'weight in grams', 'current weight', 'last weight', 'weight grams', 'wt', 'g',
            ],
            self::Weighed => ['weighed', 'weighed on', 'weight date', 'date weighed', 'date of weight'],
            self::Rack => ['rack', 'place', 'location'],
            self::Row => ['row', 'shelf', 'level'],
            self::Column => ['column', 'tub', 'position'],
            self::Notes => ['notes', 'note', 'remarks', 'comment', 'comments', 'info', 'other'],
        };
    }

    /** @param  list<string>  $headings
     * @return array<int, self|null> the likely meaning of each column; each meaning is given once
     */
    public static function match(array $headings): array
    {
        $matched = [];
        $taken = [];
        foreach ($headings as $i => $heading) {
            $plain = trim(mb_strtolower(str_replace(['_', '-'], ' ', $heading)));
            $matched[$i] = null;
            foreach (self::cases() as $field) {
                if (! in_array($field, $taken, true) && in_array($plain, $field->headings(), true)) {
                    $matched[$i] = $field;
                    $taken[] = $field;
                    break;
                }
            }
        }

        return $matched;
    }
}
