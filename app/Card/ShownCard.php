<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\App\Store\Instant;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Technique\Stance;

/** A card as coaches see it. */
final readonly class ShownCard
{
    /** @param list<string> $combinations their names */
    public function __construct(
        public int $id,
        public string $key,
        public string $name,
        public Stance $stance,
        public string $numbering,
        public Group $group,
        public array $combinations,
        public string $creator,
        public Instant $createdAt,
        public ?Instant $revokedAt,
    ) {
    }
}
