<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Thrown when the sent data is invalid. */
final class Invalid extends Refused
{
    /** @param array<string, mixed> $more */
    public function __construct(string $message, array $more = [], string $type = 'invalid')
    {
        parent::__construct($message, $type, $more);
    }

    /** @param string|null $short a shorter message for the field, where the whole one is too long */
    public static function field(string $field, string $message, ?string $short = null): self
    {
        return new self($message, ['violations' => [['field' => $field, 'message' => $short ?? $message]]]);
    }
}
