<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillFix;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\FreeFrame;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\Portion;

use function Periplus\Core\Language\t;

/** Free work, from anything or from a few chains, in a frame. */
final readonly class Free implements Drill
{
    /** Maximum number of chains shown to choose from. */
    private const MAX_SHOWN = 6;

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'free',
            title: t('Free'),
            about: t(
                'The athlete throws what they like: anything, only the chains of the list, or what the session has '
                    .'drilled so far; so many strikes, so many of them jabs, with a fixed ending.',
            ),
            combinations: [0, 8],
            parameters: [
                Parameter::choice('from', t('Chosen from'), 'anything', [
                    'anything' => t('anything'),
                    'list' => t('the list'),
                    'session' => t('what was drilled before'),
                ]),
                Parameter::choices('weapons', t('Weapons'), ['hand'], WeaponChoices::ALL),
                ...FreeFrame::parameters(0),
            ],
            examples: [
                new DrillExample([], [], 120, [[0, 'show', 'free: hand']], 1),
                new DrillExample(
                    ['1', 'push'],
                    ['from' => 'list', 'least' => 2, 'free' => 5, 'jabs' => 50, 'ending' => '14l'],
                    60,
                    [[0, 'show', 'free among 1 and push, 2 to 5 strikes, at least half jabs, end with 14l']],
                    1,
                ),
            ],
            order: 125,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $from = $run->parameters->text('from');
        if ('anything' !== $from && [] === $this->choices($run)) {
            yield new DrillProblem(
                'list' === $from
                    ? t('There is nothing to choose from yet. Drop combinations in, or type them.')
                    : t('Nothing was drilled before this, so there is nothing to choose from.'),
                'parameters.from',
                true,
                DrillFix::parameter(t('Free from anything'), 'from', 'anything'),
            );
        }
        if ('list' !== $from && [] !== $run->combinations) {
            yield new DrillProblem(
                t('The combinations of this set are not shown, because anything may be thrown.'),
                'combinations',
                false,
                DrillFix::parameter(t('Free among the list'), 'from', 'list'),
            );
        }
        yield from FreeFrame::of($run->parameters)->problems($run);
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $choices = $this->choices($run);
        $weapons = $run->parameters->choices('weapons');
        $free = match ($run->parameters->text('from')) {
            'list' => t('free among {chains}', chains: $this->listed($run, $choices)),
            'session' => t('free from what was drilled'),
            default => \count($weapons) === \count(WeaponChoices::ALL)
                ? t('free')
                : t('free: {weapons}', weapons: implode(', ', $weapons)),
        };
        $frame = FreeFrame::of($run->parameters)->inWords($run);
        $text = $free.('' === $frame ? '' : ', '.$frame);

        return new DrillCue(
            atMs: 0,
            kind: CueKind::Show,
            text: $text,
            stance: $run->stance,
            short: 'list' === $run->parameters->text('from') ? t('free').('' === $frame ? '' : ', '.$frame) : $text,
            beside: array_map(
                static fn (Chain $chain): Beside => new Beside('', $chain),
                \array_slice($choices, 0, self::MAX_SHOWN),
            ),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        return [$this->announcement($run)];
    }

    public function portions(DrillRun $run): iterable
    {
        $choices = $this->choices($run);
        $frame = FreeFrame::of($run->parameters);
        if ([] !== $choices) {
            // Each is thrown as long as the others.
            foreach ($choices as $chain) {
                yield Portion::repeated($chain, $run->ms() / \count($choices), $run->stance);
            }

            return;
        }
        $repetition = null === $frame->ending && 0 === $frame->jabs ? null : $frame->repetition(null);
        yield null === $repetition
            ? Portion::free(
                $run->ms(),
                $run->stance,
                weapons: WeaponChoices::limbs($run->parameters->choices('weapons')),
            )
            : Portion::repeated($repetition, $run->ms(), $run->stance);
    }

    /** @return list<Chain> */
    private function choices(DrillRun $run): array
    {
        return array_map(
            static fn (PlannedCombination $one): Chain => $one->inStance->chain,
            match ($run->parameters->text('from')) {
                'list' => $run->combinations,
                'session' => $run->drilled,
                default => [],
            },
        );
    }

    /** @param list<Chain> $choices */
    private function listed(DrillRun $run, array $choices): string
    {
        $written = array_map($run->write(...), $choices);
        $last = array_pop($written);

        return [] === $written
            ? (string) $last
            : t('{chains} and {last}', chains: implode(', ', $written), last: (string) $last);
    }
}
