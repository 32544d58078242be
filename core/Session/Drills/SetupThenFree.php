<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\FreeFrame;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\SessionValues;

use function Periplus\Core\Language\t;

/** A fixed start, then free work. */
final readonly class SetupThenFree implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'setup-free',
            title: t('Setup, then free'),
            about: t('A fixed start, then the athlete continues freely; so many strikes, with a fixed ending.'),
            combinations: [1, 1],
            parameters: FreeFrame::parameters((int) SessionValues::builtIn()->value('burst')),
            examples: [
                new DrillExample(['1 2'], [], 60, [[0, 'show', '1 2, then free']], 1),
                new DrillExample(
                    ['push pivot-out'],
                    ['free' => 2, 'ending' => 'exit'],
                    60,
                    [[0, 'show', 'push pivot-out, then free, end with exit']],
                    1,
                ),
            ],
            order: 120,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $frame = FreeFrame::of($run->parameters);
        yield from $frame->problems($run);
        if (null === $frame->repetition($run->chain())) {
            yield new DrillProblem(
                t('The beginning and the ending do not go together with free strikes between them.'),
                'parameters.ending',
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $frame = FreeFrame::of($run->parameters)->inWords($run, false);

        return $run->show(
            0,
            CueKind::Show,
            $run->chain(),
            after: t('then free').('' === $frame ? '' : ', '.$frame),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        return [$this->announcement($run)];
    }

    public function portions(DrillRun $run): iterable
    {
        return [
            Portion::repeated(
                FreeFrame::of($run->parameters)->repetition($run->chain()) ?? $run->chain(),
                $run->ms(),
                $run->stance,
            ),
        ];
    }
}
