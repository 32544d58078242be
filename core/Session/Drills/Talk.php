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

use function Periplus\Core\Language\t;

/** The coach explains. */
final readonly class Talk implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'talk',
            title: t('Talk'),
            about: t('The coach explains; the clock keeps running, or waits for the coach.'),
            combinations: [0, 3],
            parameters: [
                Parameter::choice('clock', t('The clock'), 'runs', [
                    'runs' => 'runs',
                    'waits' => t('waits for the coach'),
                ]),
                Parameter::text('about', t('About'), 200),
            ],
            examples: [
                new DrillExample(
                    [],
                    ['about' => t('Why the hook loads the kick')],
                    120,
                    [[0, 'talk', t('Why the hook loads the kick')]],
                    1,
                ),
                new DrillExample(
                    [],
                    ['clock' => 'waits'],
                    60,
                    [[0, 'talk', t('The coach explains; the clock waits')]],
                    1,
                ),
            ],
            order: 190,
            inRest: true,
            isWork: false,
            waitsWhen: ['clock', 'waits'],
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function cues(DrillRun $run): iterable
    {
        return [$this->announcement($run)];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $waits = 'waits' === $run->parameters->text('clock');
        $about = $run->parameters->text('about');

        return $run->cue(
            0,
            CueKind::Talk,
            ('' === $about ? t('The coach explains') : $about).($waits ? t('; the clock waits') : ''),
        );
    }

    public function portions(DrillRun $run): iterable
    {
        return [];
    }
}
