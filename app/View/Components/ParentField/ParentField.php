<?php

declare(strict_types=1);

namespace App\View\Components\ParentField;

use App\Collection\Beliefs;
use App\Collection\Candidates;
use App\Models\Animal;
use App\Pairing\Inquiry;
use App\View\Components\Part\Part;

/** One parent of a pairing: from the collection, or typed in the notation. */
class ParentField extends Part
{
    public readonly ?Animal $chosen;

    public readonly ?string $error;

    public function __construct(
        public readonly string $role,
        public readonly string $sex,
        public readonly Inquiry $inquiry,
        public readonly Candidates $candidates,
        public readonly Beliefs $beliefs,
    ) {
        $this->chosen = $role === 'sire' ? $inquiry->sireAnimal : $inquiry->damAnimal;
        $this->error = $inquiry->errors[$role] ?? null;
    }

    public function isLong(): bool
    {
        return $this->candidates->isLong($this->sex);
    }

    /** @return list<Animal> that can be chosen before anything is typed */
    public function offered(): array
    {
        return $this->isLong() ? array_values(array_filter([$this->chosen])) : array_values($this->candidates->of($this->sex)->all());
    }

    public function typed(): string
    {
        return $this->role === 'sire' ? $this->inquiry->sire : $this->inquiry->dam;
    }
}
