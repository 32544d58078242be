<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Technique\Stance;

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
                new DrillExample(
                    ['1 2 switch'],
                    [],
                    60,
                    [[0, 'show', '1 2 switch, then from the other stance']],
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
        return [$this->announcement($run)];
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $after = implode(', ', array_filter([
            'vary' === $run->parameters->text('targets') ? t('vary the targets') : '',
            $this->turns($run->chain()) ? t('then from the other stance') : '',
        ], static fn (string $part): bool => '' !== $part));

        return $run->show(0, CueKind::Show, $run->chain(), after: '' === $after ? null : $after);
    }

    public function portions(DrillRun $run): iterable
    {
        return [Portion::repeated($run->chain(), $run->ms(), $run->stance)];
    }

    /** Tells whether the chain ends in the other stance, in which the next repetition begins. */
    private function turns(Chain $chain): bool
    {
        return Stance::Orthodox !== (new ChainInStance($chain, Stance::Orthodox))->end;
    }
}
