<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

/** One line of the audit log as it is shown. */
final readonly class AuditRow implements \JsonSerializable
{
    /** @param string|null $who null for changes without a sign-in */
    public function __construct(
        public int $id,
        public \DateTimeImmutable $at,
        public ?string $who,
        public string $what,
        public string $says,
        public ?string $subject,
    ) {
    }

    /** @return array<mixed> */
    public function jsonSerialize(): array
    {
        return [...get_object_vars($this), 'at' => $this->at->format(\DATE_ATOM)];
    }
}
