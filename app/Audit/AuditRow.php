<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Periplus\App\Store\Instant;

/** A change in the audit log as it is shown. */
final readonly class AuditRow
{
    public Instant $at;
    /** Whether the change can be undone from the audit log. */
    public bool $canUndo;

    /**
     * @param string|null $who null for changes without a sign-in
     * @param array<string, mixed>|null $before
     */
    public function __construct(
        public int $id,
        \DateTimeImmutable $at,
        public ?string $who,
        public string $what,
        public string $says,
        public ?string $subject,
        ?array $before,
    ) {
        $this->at = new Instant($at);
        $this->canUndo = null !== $before;
    }
}
