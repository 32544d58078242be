<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\MinuteTheme;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Stretch;

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
            about: t('A theme a minute, free within it, with a few combinations that fit.'),
            combinations: [0, 24],
            parameters: [
                Parameter::choices('themes', t('Themes'), ['jab', 'rear-hand', 'slipping'], MinuteTheme::titles()),
                Parameter::whole('seconds', t('Each (0: shared equally)'), 0, 0, 300, 'seconds'),
            ],
            examples: [
                new DrillExample(
                    ['1 1 2', '1 2'],
                    [],
                    180,
                    [[0, 'theme', 'jab: 1 1 2'], [60000, 'theme', 'rear hand'], [120000, 'theme', 'slipping']],
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
        return [];
    }

    public function cues(DrillRun $run): iterable
    {
        foreach ($this->stretches($run) as $one) {
            $fitting = $this->fitting($run, $one->of);
            $title = $one->of->title();
            yield [] === $fitting
                ? $run->cue($one->fromMs, CueKind::Theme, $title)
                : $run->show(
                    $one->fromMs,
                    CueKind::Theme,
                    $fitting[0],
                    $title.': '.implode(' · ', array_map($run->write(...), $fitting)),
                    short: $title,
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
    private function fitting(DrillRun $run, MinuteTheme $theme): array
    {
        return \array_slice(array_values(array_filter($run->chains(), $theme->holds(...))), 0, self::MAX_SHOWN);
    }

    /** @return iterable<Stretch<MinuteTheme>> */
    private function stretches(DrillRun $run): iterable
    {
        $themes = array_map(MinuteTheme::from(...), $run->parameters->choices('themes'));
        $seconds = $run->parameters->whole('seconds');

        return $run->stretches(0 === $seconds ? intdiv($run->ms(), \count($themes)) : 1000 * $seconds, $themes);
    }
}
