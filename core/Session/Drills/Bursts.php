<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;

use function Periplus\Core\Language\t;

/** All out for a moment, then easy. */
final readonly class Bursts implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            'bursts',
            t('Bursts'),
            t('All out and easy in turn; or sets of straight strikes and a breath; or all out in the last seconds.'),
            [0, 1],
            [
                Parameter::choice('kind', t('Kind'), 'on-off', [
                    'on-off' => t('on and off in turn'),
                    'straights' => t('sets of straight strikes and a breath'),
                    'last' => t('all out at the end'),
                ]),
                Parameter::whole('on', 'On', 20, 5, 120, 'seconds'),
                Parameter::whole('off', t('Off'), 10, 0, 120, 'seconds'),
                Parameter::whole('count', t('Strikes a set'), 10, 2, 50, 'strikes'),
            ],
            [
                new DrillExample(
                    [],
                    [],
                    60,
                    [[0, 'on', 'on'], [20000, 'off', 'off'], [30000, 'on', 'on'], [50000, 'off', 'off']],
                    4,
                ),
                new DrillExample(
                    ['1 2'],
                    ['kind' => 'last', 'on' => 10],
                    120,
                    [[0, 'show', '1 2'], [110000, 'on', t('all out')]],
                    2,
                ),
            ],
            70,
        );
    }

    public function problems(DrillRun $run): array
    {
        return [];
    }

    public function cues(DrillRun $run): array
    {
        $cues = [] === $run->combinations ? [] : [$run->show(0, CueKind::Show, $run->chain())];
        $p = $run->parameters;
        if ('last' === $p->text('kind')) {
            return [...$cues, $run->cue(max(0, $run->ms() - 1000 * $p->whole('on')), CueKind::On, t('all out'))];
        }
        if ('straights' === $p->text('kind')) {
            return [
                ...$cues,
                $run->cue(0, CueKind::Count, t('{whole} straight strikes, a breath, again', whole: $p->whole('count'))),
            ];
        }
        foreach (self::stretches($run) as [$from, $ms, $isOn]) {
            $cues[] = $run->cue($from, $isOn ? CueKind::On : CueKind::Off, $isOn ? 'on' : 'off');
        }

        return $cues;
    }

    public function portions(DrillRun $run): array
    {
        $p = $run->parameters;
        $ms = $run->ms();
        if ('on-off' === $p->text('kind')) {
            $ms = array_sum(
                array_map(static fn (array $stretch): int => $stretch[2] ? $stretch[1] : 0, self::stretches($run)),
            );
        }
        if ([] !== $run->combinations) {
            return [Portion::repeated($run->chain(), $ms, $run->stance)];
        }
        if ('straights' === $p->text('kind')) {
            // The breather is as long as the gap between repetitions.
            $set =
                $p->whole('count')
                    * $run->options->rules->calibration->catalogue()->body->freeStrike
                    * $run->options->tempo
                + $run->gap();

            return [Portion::free($ms, $run->stance, $ms / $set * $p->whole('count'))];
        }

        return [Portion::free($ms, $run->stance)];
    }

    /** @return list<array{int, int, bool}> from and for how long, in ms, and whether it is on */
    private static function stretches(DrillRun $run): array
    {
        $stretches = [];
        $isOn = true;
        for ($from = 0; $from < $run->ms(); $isOn = !$isOn) {
            $ms = min(1000 * $run->parameters->whole($isOn ? 'on' : 'off'), $run->ms() - $from);
            if ($ms > 0) {
                $stretches[] = [$from, $ms, $isOn];
            }
            $from += $ms;
        }

        return $stretches;
    }
}
