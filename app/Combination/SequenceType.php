<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\DBAL\ParameterType;
use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/** Stores a sequence as bytes, which are compared byte by byte. */
final class SequenceType extends Type
{
    public const NAME = 'sequence';

    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return $platform->getBinaryTypeDeclarationSQL($column);
    }

    public function getBindingType(): ParameterType
    {
        return ParameterType::BINARY;
    }
}
