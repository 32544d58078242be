<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** Normalises the e-mail addresses of accounts, so that they can be compared exactly. */
final readonly class EmailAddress
{
    public static function normalize(string $typed): string
    {
        return mb_strtolower(trim($typed));
    }
}
