<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** An e-mail address as accounts are known by: everywhere written the same way, and then compared exactly. */
final readonly class EmailAddress
{
    public static function of(string $typed): string
    {
        return mb_strtolower(trim($typed));
    }
}
