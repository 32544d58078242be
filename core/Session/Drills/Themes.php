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

use function Periplus\Core\Language\t;

/** Free work on one theme at a time. */
final readonly class Themes implements Drill
{
    /** Maximum number of combinations shown with a theme. */
    private const MAX_SHOWN = 3;

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            'themes',
            t('Themes'),
            t('A theme a minute, free within it, with a few combinations that fit.'),
            [0, 24],
            [
                Parameter::choices('themes', t('Themes'), ['jab', 'rear-hand', 'slipping'], MinuteTheme::titles()),
                Parameter::whole('seconds', t('Each (0: shared equally)'), 0, 0, 300, 'seconds'),
            ],
            [
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
            110,
        );
    }

    public function problems(DrillRun $run): array
    {
        return [];
    }

    public function cues(DrillRun $run): array
    {
        $cues = [];
        foreach (self::stretches($run) as [$from, , $theme]) {
            $fitting = self::fitting($run, $theme);
            $text =
                $theme->title().([] === $fitting ? '' : ': '.implode(' · ', array_map($run->write(...), $fitting)));
            $cues[] =
                [] === $fitting
                    ? $run->cue($from, CueKind::Theme, $text)
                    : $run->show($from, CueKind::Theme, $fitting[0], $text, short: $theme->title());
        }

        return $cues;
    }

    public function portions(DrillRun $run): array
    {
        $portions = [];
        foreach (self::stretches($run) as [, $ms, $theme]) {
            $fitting = self::fitting($run, $theme);
            // The combinations that are shown count as thrown.
            array_push(
                $portions,
                ...[] === $fitting
                    ? [Portion::free($ms, $run->stance)]
                    : array_map(
                        static fn (Chain $chain): Portion => Portion::repeated(
                            $chain,
                            $ms / \count($fitting),
                            $run->stance,
                        ),
                        $fitting,
                    ),
            );
        }

        return $portions;
    }

    /** @return list<Chain> */
    private static function fitting(DrillRun $run, MinuteTheme $theme): array
    {
        return \array_slice(array_values(array_filter($run->chains(), $theme->holds(...))), 0, self::MAX_SHOWN);
    }

    /** @return list<array{int, int, MinuteTheme}> from and for how long, in ms, and what about */
    private static function stretches(DrillRun $run): array
    {
        $themes = array_map(MinuteTheme::from(...), $run->parameters->choices('themes'));
        $seconds = $run->parameters->whole('seconds');
        $ms = 0 === $seconds ? intdiv($run->ms(), \count($themes)) : 1000 * $seconds;
        $stretches = [];
        for ($index = 0; $index * $ms < $run->ms(); ++$index) {
            $stretches[] = [$index * $ms, min($ms, $run->ms() - $index * $ms), $themes[$index % \count($themes)]];
        }

        return $stretches;
    }
}
