<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\JsonType;

/**
 * Base of column types that store a value object as JSON.
 *
 * @template T of object
 */
abstract class JsonValueType extends JsonType
{
    /**
     * @param array<mixed> $stored what {@see stored} returned
     *
     * @return T
     */
    abstract protected function value(array $stored): object;

    /**
     * @param T $value
     *
     * @return array<mixed>|object
     */
    abstract protected function stored(object $value): array|object;

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

        /** @var T $value */
        return json_encode(
            $this->stored($value),
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
