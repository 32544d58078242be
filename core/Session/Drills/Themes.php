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
use Periplus\Core\Session\Drill\MinuteTheme;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Stretch;
use Periplus\Core\Session\Drill\WorkTheme;

use function Periplus\Core\Language\t;

/** Free work on one theme at a time. */
final readonly class Themes implements Drill
{
    /** Maximum number of combinations shown with a theme. */
    private const MAX_SHOWN = 3;

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'themes',
            title: t('Themes'),
            about: t(
                'A theme a minute, free within it, with a few combinations that fit. A theme can be one of the gym’s '
                    .'library.',
            ),
            combinations: [0, 24],
            parameters: [
                Parameter::themes('themes', t('Themes'), ['jab', 'rear-hand', 'slipping'], MinuteTheme::titles()),
                Parameter::whole('seconds', t('Each (0: shared equally)'), 0, 0, 300, 'seconds'),
            ],
            examples: [
                new DrillExample(
                    ['1 1 2', '1 2 slip-lead 3'],
                    [],
                    180,
                    [
                        [0, 'theme', 'jab: 1 1 2'],
                        [60000, 'theme', 'rear hand'],
                        [120000, 'theme', 'slipping: 1 2 slip-lead 3'],
                    ],
                    3,
                ),
                new DrillExample(
                    ['1 2 slip-lead 3'],
                    ['themes' => ['slipping', 'angles'], 'seconds' => 45],
                    90,
                    [[0, 'theme', 'slipping: 1 2 slip-lead 3'], [45000, 'theme', 'angles']],
                    2,
                ),
            ],
            order: 110,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $themes = $this->themes($run);
        foreach ($run->combinations as $index => $combination) {
            $fits = array_filter($themes, static fn (WorkTheme $theme): bool => $theme->holds($combination));
            if ([] === $fits) {
                yield new DrillProblem(
                    t(
                        '{chain} fits none of these themes, so it is never shown.',
                        chain: $run->write($combination->inStance->chain),
                    ),
                    "combinations[$index]",
                    false,
                );
            }
        }
        foreach ($themes as $index => $theme) {
            if ($theme->isOwn() && !$run->knowsTheme($theme->title)) {
                yield new DrillProblem(
                    t(
                        'Nothing in the library has the theme "{theme}", so no combination is shown with it.',
                        theme: $theme->title,
                    ),
                    "parameters.themes[$index]",
                    false,
                );
            }
        }
        $seconds = $run->parameters->whole('seconds');
        if ($seconds * (\count($themes) - 1) >= $run->seconds && $seconds > 0) {
            yield new DrillProblem(
                t(
                    '{count} themes of {seconds} s do not fit into {work} s: the last ones never come.',
                    count: \count($themes),
                    seconds: $seconds,
                    work: $run->seconds,
                ),
                'parameters.seconds',
                false,
                DrillFix::parameter(t('Share the time equally'), 'seconds', 0),
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        return $run->cue(
            0,
            CueKind::Theme,
            t('themes: {themes}', themes: implode(', ', array_map(
                static fn (WorkTheme $theme): string => $theme->title,
                $this->themes($run),
            ))),
        );
    }

    public function cues(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            $fitting = $this->fitting($run, $one->of);
            $title = $one->of->title;
            yield [] === $fitting
                ? $run->cue($one->fromMs, CueKind::Theme, $title)
                : $run->show(
                    $one->fromMs,
                    CueKind::Theme,
                    $fitting[0],
                    $title.': '.implode(' · ', array_map($run->write(...), $fitting)),
                    short: $title,
                    beside: array_map(
                        static fn (Chain $chain): Beside => new Beside('', $chain),
                        \array_slice($fitting, 1),
                    ),
                );
        }
    }

    public function portions(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            $fitting = $this->fitting($run, $one->of);
            if ([] === $fitting) {
                yield Portion::free($one->ms, $run->stance);
            }
            // The combinations that are shown count as thrown.
            foreach ($fitting as $chain) {
                yield Portion::repeated($chain, $one->ms / \count($fitting), $run->stance);
            }
        }
    }

    /** @return list<Chain> */
    private function fitting(DrillRun $run, WorkTheme $theme): array
    {
        $fitting = array_filter($run->combinations, $theme->holds(...));

        return array_map(
            static fn (PlannedCombination $one): Chain => $one->inStance->chain,
            \array_slice(array_values($fitting), 0, self::MAX_SHOWN),
        );
    }

    /** @return non-empty-list<WorkTheme> */
    private function themes(DrillRun $run): array
    {
        $themes = array_map(WorkTheme::named(...), $run->parameters->choices('themes'));

        return [] === $themes ? throw new \LogicException('The parameter has at least one theme.') : $themes;
    }

    /** @return iterable<Stretch<WorkTheme>> */
    private function stretches(DrillRun $run): iterable
    {
        $themes = $this->themes($run);
        $seconds = $run->parameters->whole('seconds');

        return $run->stretches(0 === $seconds ? intdiv($run->ms(), \count($themes)) : 1000 * $seconds, $themes);
    }
}
