<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** The content of a plan to be checked; nothing is stored. */
final readonly class PlanContentRequest
{
    /**
     * @param array<mixed> $content docs/formats/session.md
     * @param string|null $warning to be fixed
     */
    public function __construct(public array $content, public ?string $warning = null)
    {
    }
}
