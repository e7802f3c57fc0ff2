<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What can be asked of an animal: of its sex, and of the form at each locus. */
interface Requirement
{
    /** @param Sex|null $sex null where it is not known: accepted wherever some sex is */
    public function acceptsSex(?Sex $sex): bool;

    /** @param bool $isHidden whether what shows there is out of sight */
    public function accepts(Form $form, bool $isHidden = false): bool;
}
