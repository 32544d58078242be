<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

/**
 * A number of a numbering: a family of strikes thrown from a role or a hand, with a target when the number implies one.
 */
final readonly class NumberedStrike
{
    /**
     * @param Target|null $target the one meant when none is written; the strike's own default when null
     * @param string|null $name what the gym calls it, when that is not the strike's own name
     */
    public function __construct(
        public string $code,
        public string $family,
        public Role|Side $position,
        public ?Target $target,
        public ?string $name = null,
    ) {
    }

    public function role(Stance $running): Role
    {
        return $this->position instanceof Side ? $running->roleOf($this->position) : $this->position;
    }
}
