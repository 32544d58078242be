<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Technique\Limb;

/** The weapons to choose from in free work. */
final class WeaponChoices
{
    public const ALL = ['hand' => 'hand', 'elbow' => 'elbow', 'leg' => 'leg', 'knee' => 'knee'];

    /**
     * @param list<string> $chosen
     *
     * @return list<Limb>
     */
    public static function limbs(array $chosen): array
    {
        return array_map(Limb::from(...), $chosen);
    }
}
