<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** The combinations that were chosen for one level. */
final readonly class Chosen
{
    /**
     * @param list<Choice> $choices in their order
     * @param list<string> $unmet what could not be met, one sentence each
     */
    public function __construct(public array $choices, public array $unmet)
    {
    }
}
