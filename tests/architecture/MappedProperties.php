<?php

declare(strict_types=1);

namespace Periplus\Tests\Architecture;

use Doctrine\ORM\Mapping\MappingAttribute;
use PHPStan\Reflection\ExtendedPropertyReflection;
use PHPStan\Rules\Properties\ReadWritePropertiesExtension;

/** Tells PHPStan that Doctrine reads and writes the properties of entities. */
final class MappedProperties implements ReadWritePropertiesExtension
{
    public function isAlwaysRead(ExtendedPropertyReflection $property, string $propertyName): bool
    {
        return self::isMapped($property, $propertyName);
    }

    public function isAlwaysWritten(ExtendedPropertyReflection $property, string $propertyName): bool
    {
        return self::isMapped($property, $propertyName);
    }

    public function isInitialized(ExtendedPropertyReflection $property, string $propertyName): bool
    {
        return false;
    }

    private static function isMapped(ExtendedPropertyReflection $property, string $name): bool
    {
        $class = $property->getDeclaringClass()->getNativeReflection();

        return $class->hasProperty($name) && [] !== $class->getProperty($name)->getAttributes(
            MappingAttribute::class,
            \ReflectionAttribute::IS_INSTANCEOF,
        );
    }
}
