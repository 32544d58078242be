<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/** Stores a calendar day such as 2026-11-26, without time zone. */
final class DayType extends Type
{
    public const NAME = 'day';

    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return $platform->getDateTypeDeclarationSQL($column);
    }
}
