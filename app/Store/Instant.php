<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** A moment as the API writes it, such as 2026-11-26T18:30:00+00:00. */
final readonly class Instant implements \JsonSerializable
{
    public function __construct(public \DateTimeImmutable $time)
    {
    }

    public static function ofNullable(?\DateTimeImmutable $time): ?self
    {
        return null === $time ? null : new self($time);
    }

    public function jsonSerialize(): string
    {
        return $this->time->format(\DATE_ATOM);
    }
}
