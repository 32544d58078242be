<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Technique\Instances;

/** All drills of this folder, in the order in which a coach would look for them. */
final readonly class DrillRegistry
{
    /** @return array<string, Drill> by id */
    public static function all(): array
    {
        /** @var array<string, Drill>|null $drills */
        static $drills = null;
        if (null === $drills) {
            $found = Instances::inFolder(__DIR__, __NAMESPACE__, Drill::class);
            usort(
                $found,
                static fn (Drill $one, Drill $other): int => $one->definition()->order <=> $other->definition()->order,
            );
            $drills = [];
            foreach ($found as $drill) {
                $drills[$drill->definition()->id] = $drill;
            }
        }

        return $drills;
    }

    public static function named(string $id): ?Drill
    {
        return self::all()[$id] ?? null;
    }

    /** @return list<DrillDefinition> */
    public static function definitions(): array
    {
        return array_map(static fn (Drill $drill): DrillDefinition => $drill->definition(), array_values(self::all()));
    }
}
