<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** A generated session: the written plan, the reason for each part, and the requirements that were not met. */
final readonly class Composition
{
    /**
     * @param array<array-key, mixed> $plan
     * @param list<Explanation> $reasons
     * @param list<string> $unmet wishes, one sentence each
     */
    public function __construct(public array $plan, public array $reasons, public array $unmet)
    {
    }
}
