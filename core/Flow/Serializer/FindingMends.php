<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

/** The mends of a finding. */
final readonly class FindingMends
{
    /** @param list<MendDocument> $mends the best first */
    public function __construct(public string $id, public ?int $at, public array $mends)
    {
    }
}
