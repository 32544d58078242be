<?php

declare(strict_types=1);

namespace Periplus\Core\Language;

/** Knows the language of the current request; English unless another one is chosen. */
final class Languages
{
    private static ?Language $current = null;

    public static function current(): Language
    {
        return self::$current ??= new English();
    }

    /** Chooses the language of all texts from now on; null for English. */
    public static function choose(?Language $language): void
    {
        self::$current = $language;
    }
}
