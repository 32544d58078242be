<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Session\Warning\WarningDefinition;

/** A warning about sessions, with its reason. */
final readonly class ShownWarning
{
    public string $id;
    public string $title;
    public string $reason;
    public string $fix;
    public WarningThreshold $threshold;

    public function __construct(WarningDefinition $warning)
    {
        $this->id = $warning->id;
        $this->title = $warning->title;
        $this->reason = $warning->reason;
        $this->fix = $warning->fix;
        $this->threshold = new WarningThreshold($warning->threshold);
    }
}
