<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Technique\Side;

use function Periplus\Core\Language\t;

/** Strikes of one side of the body only. */
final readonly class OneSide implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            'one-side',
            t('One side'),
            t('The left side only, or the right side only; or first one, then the other.'),
            [0, 0],
            [
                Parameter::choice('side', t('Side'), 'both', [
                    'left' => 'left',
                    'right' => 'right',
                    'both' => t('left, then right'),
                ]),
                Parameter::choices('weapons', t('Weapons'), ['hand'], WeaponChoices::ALL),
            ],
            [
                new DrillExample([], ['side' => 'left'], 60, [[0, 'side', 'left side only: hand']], 1),
                new DrillExample(
                    [],
                    ['weapons' => ['hand', 'leg']],
                    120,
                    [[0, 'side', 'left side only: hand, leg'], [60000, 'side', 'right side only: hand, leg']],
                    2,
                ),
            ],
            80,
        );
    }

    public function problems(DrillRun $run): array
    {
        return [];
    }

    public function cues(DrillRun $run): array
    {
        return array_map(
            static fn (array $stretch): DrillCue => $run->cue(
                $stretch[0],
                CueKind::Side,
                t(
                    '{side} side only: {weapons}',
                    side: $stretch[2]->value,
                    weapons: implode(', ', $run->parameters->choices('weapons')),
                ),
                t('{side} side only', side: $stretch[2]->value),
            ),
            self::stretches($run),
        );
    }

    public function portions(DrillRun $run): array
    {
        return array_map(
            static fn (array $stretch): Portion => Portion::free(
                $stretch[1],
                $run->stance,
                side: $stretch[2],
                weapons: WeaponChoices::limbs($run->parameters->choices('weapons')),
            ),
            self::stretches($run),
        );
    }

    /** @return list<array{int, int, Side}> from and for how long, in ms, and which */
    private static function stretches(DrillRun $run): array
    {
        $side = Side::tryFrom($run->parameters->text('side'));
        $half = intdiv($run->ms(), 2);

        return null !== $side
            ? [[0, $run->ms(), $side]]
            : [[0, $half, Side::Left], [$half, $run->ms() - $half, Side::Right]];
    }
}
