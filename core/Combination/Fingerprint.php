<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/**
 * A stable identity of a chain: 32 hexadecimal digits of SHA-256 over its role-based sequence. The same chain has the
 * same fingerprint in every numbering, stance and spelling.
 */
final readonly class Fingerprint
{
    private const DIGITS = 32;

    /** @param string $plain effort marks left out @param string $withEffort effort marks kept */
    private function __construct(public string $plain, public string $withEffort)
    {
    }

    public static function of(Chain $chain): self
    {
        $hash = static fn (bool $withEffort): string => substr(hash('sha256', implode(' ', array_map(
            static fn (Item $item): string => $item->key($withEffort),
            $chain->items,
        ))), 0, self::DIGITS);

        return new self($hash(false), $hash(true));
    }
}
