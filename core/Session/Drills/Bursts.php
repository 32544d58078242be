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

use function Periplus\Core\Language\t;

/** All out for a moment, then easy. */
final readonly class Bursts implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'bursts',
            title: t('Bursts'),
            about: t(
                'All out and easy in turn; or sets of straight strikes and a breath; or all out in the last seconds.',
            ),
            combinations: [0, 1],
            parameters: [
                Parameter::choice('kind', t('Kind'), 'on-off', [
                    'on-off' => t('on and off in turn'),
                    'straights' => t('sets of straight strikes and a breath'),
                    'last' => t('all out at the end'),
                ]),
                Parameter::whole('on', 'On', 20, 5, 120, 'seconds'),
                Parameter::whole('off', t('Off'), 10, 0, 120, 'seconds'),
                Parameter::whole('count', t('Strikes a set'), 10, 2, 50, 'strikes'),
            ],
            examples: [
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
            order: 70,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $p = $run->parameters;
        $how = match ($p->text('kind')) {
            'last' => t('all out in the last {seconds} s', seconds: $p->whole('on')),
            'straights' => t('{count} straights and a breath', count: $p->whole('count')),
            default => t('{on} s on, {off} s off', on: $p->whole('on'), off: $p->whole('off')),
        };

        return [] === $run->combinations
            ? $run->cue(0, CueKind::Show, $how)
            : $run->show(0, CueKind::Show, $run->chain(), after: $how);
    }

    public function cues(DrillRun $run): iterable
    {
        if ([] !== $run->combinations) {
            yield $run->show(0, CueKind::Show, $run->chain());
        }
        $p = $run->parameters;
        if ('last' === $p->text('kind')) {
            yield $run->cue(max(0, $run->ms() - 1000 * $p->whole('on')), CueKind::On, t('all out'));
        } elseif ('straights' === $p->text('kind')) {
            yield $run->cue(
                0,
                CueKind::Count,
                t('{whole} straight strikes, a breath, again', whole: $p->whole('count')),
            );
        } else {
            foreach ($this->stretches($run) as $one) {
                yield $run->cue($one->fromMs, $one->of ? CueKind::On : CueKind::Off, $one->of ? t('on') : t('off'));
            }
        }
    }

    public function portions(DrillRun $run): iterable
    {
        $p = $run->parameters;
        $ms = $run->ms();
        if ('on-off' === $p->text('kind')) {
            $ms = 0;
            foreach ($this->stretches($run) as $one) {
                $ms += $one->of ? $one->ms : 0;
            }
        }
        if ([] !== $run->combinations) {
            return 'on-off' === $p->text('kind')
                // All out nobody stops between repetitions.
                ? [Portion::withoutStop($run->chain(), $ms, $run->length($run->chain()), $run->stance)]
                : [Portion::repeated($run->chain(), $ms, $run->stance)];
        }
        if ('straights' === $p->text('kind')) {
            // The breather is as long as the gap between repetitions.
            $set = $p->whole('count') * $run->freeStrikeMs() + $run->gap();

            return [Portion::free($ms, $run->stance, $ms / $set * $p->whole('count'))];
        }

        return 'on-off' === $p->text('kind')
            ? [Portion::free($ms, $run->stance, $ms / $run->freeStrikeMs())]
            : [Portion::free($ms, $run->stance)];
    }

    /** @return iterable<Stretch<bool>> whether it is on */
    private function stretches(DrillRun $run): iterable
    {
        $isOn = true;
        for ($from = 0; $from < $run->ms(); $isOn = !$isOn) {
            $ms = min(1000 * $run->parameters->whole($isOn ? 'on' : 'off'), $run->ms() - $from);
            if ($ms > 0) {
                yield new Stretch($from, $ms, $isOn);
            }
            $from += $ms;
        }
    }
}
