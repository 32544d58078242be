<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** Words of one kind that carry nothing, such as verbs of throwing. */
final readonly class GlueGroup
{
    /** @param list<string> $words */
    public function __construct(public string $group, public array $words)
    {
    }
}
