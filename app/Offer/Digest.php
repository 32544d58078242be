<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** Tells contents apart by a short word. */
final readonly class Digest
{
    /** @param mixed $content as it serialises to JSON */
    public static function of(mixed $content): string
    {
        return hash('xxh128', self::json($content));
    }

    public static function json(mixed $content): string
    {
        return json_encode(
            $content,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
