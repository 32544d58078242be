<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\JsonType;

/** Stores JSON that is decoded only when needed, because most readers of the row do not need it. */
final class JsonTextType extends JsonType
{
    public const NAME = 'json_text';

    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): mixed
    {
        return $value;
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        return \is_string($value) ? $value : null;
    }
}
