<?php

declare(strict_types=1);

namespace App\View;

use App\Exchange\Field;
use App\Guide\Chapter;
use App\House\Choices;
use App\House\Stances;
use App\Models\Enums\BookingKind;
use App\Models\Enums\CareKind;
use App\Models\Enums\Course;
use App\Models\Enums\EventKind;
use App\Models\Enums\FeedOutcome;
use App\Models\Enums\Grade;
use App\Models\Enums\Role;
use App\Models\Enums\SexFound;
use App\Models\Enums\Status;
use App\Models\TraitEntry;
use App\Projects\AssumptionWords;
use BackedEnum;
use Destino\Appearance\Wish;
use Destino\Genome\Catalogue;
use Destino\Genome\Effect;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;
use Destino\Pairing\Advice\Stance;
use Destino\Planning\Given\PlanAssumptions;

/** What there is to choose from, for the forms and filters of all pages, who know it as $lists. */
class Lists
{
    /** @return list<Status> */
    public function statuses(): array
    {
        return Status::cases();
    }

    /** @return array<string, string> */
    public function statusOptions(): array
    {
        return self::options(Status::cases());
    }

    /** @return array<string, string> */
    public function grades(): array
    {
        return self::options(Grade::cases());
    }

    /** @return array<string, string> */
    public function courses(): array
    {
        return self::options(Course::cases());
    }

    /** @return array<string, string> columns that a list of animals may have */
    public function importFields(): array
    {
        return self::options(Field::cases());
    }

    /** @return array<string, string> how a sex was found */
    public function sexFound(): array
    {
        return array_combine(
            array_column(SexFound::cases(), 'value'), array_map(fn (SexFound $found): string => $found->sentence(), SexFound::cases()),
        );
    }

    /** @return array<string, string> what a gene mostly does */
    public function effectOptions(): array
    {
        return self::options(Effect::cases());
    }

    /** @return list<Effect> */
    public function effects(): array
    {
        return Effect::cases();
    }

    /** @return list<Inheritance> */
    public function inheritances(): array
    {
        return Inheritance::cases();
    }

    /** @return list<FeedOutcome> */
    public function feedOutcomes(): array
    {
        return FeedOutcome::cases();
    }

    /** @return list<FeedOutcome> */
    public function roundOutcomes(): array
    {
        return FeedOutcome::ofRounds();
    }

    /** @return list<CareKind> */
    public function careKinds(): array
    {
        return CareKind::cases();
    }

    /** @return list<BookingKind> */
    public function bookingKinds(): array
    {
        return BookingKind::cases();
    }

    /** @return list<Sex> */
    public function sexes(): array
    {
        return Sex::cases();
    }

    /** @return list<Stance> */
    public function stances(): array
    {
        return Stance::cases();
    }

    /** @return list<EventKind> what can be logged of an egg, opening it aside */
    public function eggEvents(): array
    {
        return array_values(array_filter(EventKind::ofEggs(), fn (EventKind $kind): bool => $kind !== EventKind::Opened));
    }

    /** @return list<EventKind> */
    public function clutchEvents(): array
    {
        return EventKind::ofClutches();
    }

    /** @return list<Role> that an owner may give */
    public function roles(): array
    {
        return [Role::Helper, Role::Viewer];
    }

    /** @return array<string, string> */
    public function roleOptions(): array
    {
        $options = [];
        foreach ($this->roles() as $role) {
            $options[$role->value] = "{$role->value}: {$role->sentence()}";
        }

        return $options;
    }

    /** @return array<string, string> looks of a notebook's animal, those beside a known gene only where there is one */
    public function traitLooks(bool $hasGene): array
    {
        return $hasGene ? TraitEntry::LOOKS : array_slice(TraitEntry::LOOKS, 0, 3);
    }

    /** @return list<Chapter> */
    public function chapters(): array
    {
        return Chapter::cases();
    }

    /** @return array<string, Wish> */
    public function wishes(): array
    {
        return Wish::all();
    }

    /** @return array<string, array<string, mixed>> */
    public function houseNumbers(): array
    {
        return Choices::numbers();
    }

    /** @return array<string, array<string, mixed>> */
    public function houseChoices(): array
    {
        return Choices::simple();
    }

    /** @return array<string, array<string, mixed>> */
    public function houseStances(Catalogue $catalogue): array
    {
        return Stances::all($catalogue);
    }

    /** @return list<array{name: string, label: string, unit: string, default: int|float}> what a plan takes for granted */
    public function assumptions(): array
    {
        $defaults = (new PlanAssumptions)->toArray();

        return array_map(fn (string $name): array => [
            'name' => $name, 'label' => AssumptionWords::label($name), 'unit' => AssumptionWords::unit($name),
                'default' => $defaults[$name],
        ], AssumptionWords::order());
    }

    /**
     * @param list<BackedEnum> $cases
     * @return array<string, string>
     */
    private static function options(array $cases): array
    {
        return array_combine(array_column($cases, 'value'), array_column($cases, 'value'));
    }
}
