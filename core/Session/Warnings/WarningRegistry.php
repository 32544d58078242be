<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Session\Warning\Warning;
use Periplus\Core\Session\Warning\WarningDefinition;
use Periplus\Core\Technique\Instances;

/** All warnings of this folder, in the order in which a coach would mention them. */
final readonly class WarningRegistry
{
    /** @return array<string, Warning> by id */
    public static function all(): array
    {
        /** @var array<string, Warning>|null $warnings */
        static $warnings = null;
        if (null === $warnings) {
            $found = Instances::inFolder(__DIR__, __NAMESPACE__, Warning::class);
            usort(
                $found,
                static fn (Warning $one, Warning $other): int => $one->definition()->order
                    <=> $other->definition()->order,
            );
            $warnings = [];
            foreach ($found as $warning) {
                $warnings[$warning->definition()->id] = $warning;
            }
        }

        return $warnings;
    }

    /** @return list<WarningDefinition> */
    public static function definitions(): array
    {
        return array_map(
            static fn (Warning $warning): WarningDefinition => $warning->definition(),
            array_values(self::all()),
        );
    }
}
