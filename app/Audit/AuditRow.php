<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Periplus\App\Store\Instant;

/** A change in the audit log as it is shown. */
final readonly class AuditRow
{
    public Instant $at;

    /** @param string|null $who null for changes without a sign-in */
    public function __construct(
        public int $id,
        \DateTimeImmutable $at,
        public ?string $who,
        public string $what,
        public string $says,
        public ?string $subject,
    ) {
        $this->at = new Instant($at);
    }
}
