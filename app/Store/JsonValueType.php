<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\JsonType;

/**
 * Base of column types that store a value object as JSON, as it serialises.
 *
 * @template T of object
 */
abstract class JsonValueType extends JsonType
{
    /**
     * @param array<mixed> $stored the value as JSON has it
     *
     * @return T
     */
    abstract protected function value(array $stored): object;

    /** @return T|null */
    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): ?object
    {
        $stored = \is_string($value) ? json_decode($value, true, flags: \JSON_THROW_ON_ERROR) : null;

        return \is_array($stored) ? $this->value($stored) : null;
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        if (null === $value) {
            return null;
        }

        return json_encode(
            $value,
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
