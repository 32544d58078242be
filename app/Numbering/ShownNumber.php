<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Notation\NumberedStrike;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Stance;

/** A number of a numbering as it is shown. */
final readonly class ShownNumber
{
    public string $number;
    public string $family;
    /** Lead or rear; left or right where numbers are bound to the hand. */
    public string $position;
    public ?string $target;
    public ?string $name;
    /** @var array<string, string> by stance */
    public array $roles;
    public ?Limb $limb;

    public function __construct(NumberedStrike $entry, Catalogue $catalogue)
    {
        $orthodox = $entry->role(Stance::Orthodox);
        $southpaw = $entry->role(Stance::Southpaw);
        $this->number = $entry->code;
        $this->family = $entry->family;
        $this->position = $entry->position->value;
        $this->target = $entry->target?->word();
        $this->name = $entry->name;
        $this->roles = ['orthodox' => $orthodox->value, 'southpaw' => $southpaw->value];
        $this->limb = (
            $catalogue->inFamily($entry->family, $orthodox) ?? $catalogue->inFamily($entry->family, $southpaw)
        )?->limb;
    }
}
