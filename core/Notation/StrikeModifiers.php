<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;

/**
 * The words before the noun of a strike, collected one by one.
 *
 * @internal to {@see StrikePhraseParser}
 */
final class StrikeModifiers
{
    public Role|Side|null $side = null;
    public ?Role $role = null;
    public ?Role $thigh = null;
    public ?string $targetWord = null;
    public ?string $secondTarget = null;
    public Effort $effort = Effort::Plain;
    public bool $feint = false;
    public bool $switch = false;
    public bool $plural = false;
    public ?bool $sameHand = null;
    public bool $effortLeads = false;
    /** @var list<Span> words about the manner, which a chain does not record */
    public array $passedOver = [];

    public function __construct(public readonly ?int $times)
    {
    }

    /** Left and right are more precise than lead and rear, so the two have to agree. */
    public function setSide(Role|Side $side): void
    {
        if ($this->side instanceof Role && $side instanceof Side) {
            $this->role = $this->side;
        } elseif ($this->side instanceof Side && $side instanceof Role) {
            $this->role = $side;

            return;
        }
        $this->side = $side;
    }
}
