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
use Periplus\Core\Session\Drill\Stretch;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;

use function Periplus\Core\Language\t;

/** Strikes of one side of the body only. */
final readonly class OneSide implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'one-side',
            title: t('One side'),
            about: t(
                'The left or the right side only, or first one, then the other; or the lead or the power side only.',
            ),
            combinations: [0, 0],
            parameters: [
                Parameter::choice('side', t('Side'), 'both', [
                    'left' => 'left',
                    'right' => 'right',
                    'both' => t('left, then right'),
                    'lead' => t('the lead side'),
                    'rear' => t('the power side'),
                ]),
                Parameter::choices('weapons', t('Weapons'), ['hand'], WeaponChoices::ALL),
            ],
            examples: [
                new DrillExample(
                    [],
                    ['side' => 'lead', 'weapons' => ['leg']],
                    60,
                    [[0, 'side', 'lead side only: leg']],
                    1,
                ),
                new DrillExample(
                    [],
                    ['weapons' => ['hand', 'leg']],
                    120,
                    [[0, 'side', 'left side only: hand, leg'], [60000, 'side', 'right side only: hand, leg']],
                    2,
                ),
            ],
            order: 80,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $sides = [];
        foreach ($this->stretches($run) as $one) {
            $sides[] = t('{side} side only', side: self::name($one->of));
        }

        return $run->cue(
            0,
            CueKind::Side,
            implode(t(', then '), $sides).': '.implode(', ', $run->parameters->choices('weapons')),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            yield $run->cue(
                $one->fromMs,
                CueKind::Side,
                t(
                    '{side} side only: {weapons}',
                    side: self::name($one->of),
                    weapons: implode(', ', $run->parameters->choices('weapons')),
                ),
                t('{side} side only', side: self::name($one->of)),
            );
        }
    }

    public function portions(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            yield Portion::free(
                $one->ms,
                $run->stance,
                side: $one->of,
                weapons: WeaponChoices::limbs($run->parameters->choices('weapons')),
            );
        }
    }

    private static function name(Side|Role $side): string
    {
        return Role::Rear === $side ? 'power' : $side->value;
    }

    /** @return iterable<Stretch<Side|Role>> */
    private function stretches(DrillRun $run): iterable
    {
        $side = Side::tryFrom($run->parameters->text('side')) ?? Role::tryFrom($run->parameters->text('side'));
        $half = intdiv($run->ms(), 2);

        return null !== $side
            ? [new Stretch(0, $run->ms(), $side)]
            : [new Stretch(0, $half, Side::Left), new Stretch($half, $run->ms() - $half, Side::Right)];
    }
}
