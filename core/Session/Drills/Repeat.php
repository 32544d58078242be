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

/** One combination, repeated. */
final readonly class Repeat implements Drill
{
    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'repeat',
            title: t('Repeat'),
            about: t('One combination all round.'),
            combinations: [1, 1],
            parameters: [
                Parameter::choice('targets', t('Targets'), 'as-written', [
                    'as-written' => t('as written'),
                    'vary' => t('the athlete varies them'),
                ]),
            ],
            examples: [
                new DrillExample(['1 2 3'], [], 180, [[0, 'show', '1 2 3']], 1),
                new DrillExample(
                    ['1 2 3b'],
                    ['targets' => 'vary'],
                    60,
                    [[0, 'show', '1 2 3b, vary the targets']],
                    1,
                ),
            ],
            order: 10,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        return [];
    }

    public function cues(DrillRun $run): iterable
    {
        $after = 'vary' === $run->parameters->text('targets') ? t('vary the targets') : null;

        return [
            $run->show(
                0,
                CueKind::Show,
                $run->chain(),
                $run->write($run->chain()).(null === $after ? '' : ', '.$after),
                after: $after,
            ),
        ];
    }

    public function portions(DrillRun $run): iterable
    {
        return [Portion::repeated($run->chain(), $run->ms(), $run->stance)];
    }
}
