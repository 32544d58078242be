<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** A session in one press: the written plan, why each part is as it is, and what could not be met. */
final readonly class Composition
{
    /**
     * @param array<array-key, mixed> $plan
     * @param list<array{place: string, message: string}> $reasons one sentence each
     * @param list<string> $unmet wishes, one sentence each
     */
    public function __construct(public array $plan, public array $reasons, public array $unmet)
    {
    }
}
