<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use function Periplus\Core\Language\t;

/** Thrown when there is no room on the disk of the server. */
final class DiskFull extends Refused
{
    public const TYPE = 'disk-full';

    public function __construct()
    {
        parent::__construct(self::sentence(), self::TYPE);
    }

    public static function sentence(): string
    {
        return t('The disk of the gym\'s server is full, so nothing was saved. Free some space there, then try again.');
    }
}
