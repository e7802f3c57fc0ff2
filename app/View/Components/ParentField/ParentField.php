<?php

declare(strict_types=1);

namespace App\View\Components\ParentField;

use App\Collection\Beliefs;
use App\Models\Animal;
use App\Pairing\Inquiry;
use App\View\Components\Part\Part;
use Illuminate\Support\Collection;

/** One parent of a pairing: from the collection, or typed in the notation. */
class ParentField extends Part
{
    /** Lists longer than this are searched by typing. */
    private const LONG = 15;

    public readonly ?Animal $chosen;

    public readonly ?string $error;

    /** @var Collection<int, Animal> of the sex */
    public readonly Collection $candidates;

    /** @param Collection<string, Collection<int, Animal>> $animals by sex */
    public function __construct(
        public readonly string $role,
        public readonly string $sex,
        public readonly Inquiry $inquiry,
        Collection $animals,
        public readonly Beliefs $beliefs,
    ) {
        $this->chosen = $role === 'sire' ? $inquiry->sireAnimal : $inquiry->damAnimal;
        $this->error = $inquiry->errors[$role] ?? null;
        $this->candidates = $animals->get($sex, new Collection);
    }

    public function isLong(): bool
    {
        return $this->candidates->count() > self::LONG;
    }

    public function typed(): string
    {
        return $this->role === 'sire' ? $this->inquiry->sire : $this->inquiry->dam;
    }
}
