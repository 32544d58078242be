<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
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
            about: t('A fixed start, then the athlete continues freely.'),
            combinations: [1, 1],
            parameters: [
                Parameter::whole(
                    'free',
                    t('Free strikes after it'),
                    (int) SessionValues::builtIn()->value('burst'),
                    1,
                    FreeStrikes::MAX_COUNT,
                    'strikes',
                ),
            ],
            examples: [
                new DrillExample(['1 2'], [], 60, [[0, 'show', '1 2, then free']], 1),
                new DrillExample(
                    ['push pivot-out'],
                    ['free' => 2],
                    60,
                    [[0, 'show', 'push pivot-out, then free']],
                    1,
                ),
            ],
            order: 120,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function cues(DrillRun $run): iterable
    {
        return [
            $run->show(
                0,
                CueKind::Show,
                $run->chain(),
                t('{chain}, then free', chain: $run->write($run->chain())),
                after: t('then free'),
            ),
        ];
    }

    public function portions(DrillRun $run): iterable
    {
        $items = $run->chain()->items;
        $chain =
            \count($items) < Chain::MAX_ITEMS
                ? Chain::of([...$items, new FreeStrikes($run->parameters->whole('free'))])
                : $run->chain();

        return [Portion::repeated($chain, $run->ms(), $run->stance)];
    }
}
