<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillFix;
use Periplus\Core\Session\Drill\DrillProblem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\ReturnFire\Beat;
use Periplus\Core\Session\ReturnFire\Defence;
use Periplus\Core\Session\ReturnFire\Exchange;

use function Periplus\Core\Language\t;

/** They throw, the athlete answers, and on it goes. */
final readonly class ExchangeDrill implements Drill
{
    private const MAX_BEATS = 4;

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'exchange',
            title: t('Exchange'),
            about: t(
                'They throw, the athlete defends and counters, one to four times in a row. What they throw and what '
                    .'is answered is chosen; what is left open is computed.',
            ),
            combinations: [1, 1 + self::MAX_BEATS],
            parameters: [
                Parameter::choice('first', t('Begins'), 'you', [
                    'you' => t('the athlete, with the first combination'),
                    'they' => t('the opponent; every combination is an answer'),
                ]),
                Parameter::chains('incoming', t('They throw')),
                Parameter::whole('beats', t('Answers in a row'), 2, 1, self::MAX_BEATS, 'answers'),
                ...FacingOpponent::parameters(),
            ],
            examples: [
                new DrillExample(
                    ['slip-lead 3b', 'block-rear 6 3 2'],
                    ['first' => 'they', 'incoming' => ['2', '3']],
                    60,
                    [
                        [0, 'show', 'they 2, you slip-lead 3b'],
                        [0, 'answer', 'they 3'],
                        [0, 'counter', 'block-rear 6 3 2'],
                    ],
                    3,
                ),
                new DrillExample(
                    ['1 2'],
                    ['beats' => 1],
                    60,
                    [
                        [0, 'show', '1 2'],
                        [0, 'answer', 'they 2'],
                        [0, 'counter', 'slip-lead 1'],
                    ],
                    3,
                ),
            ],
            order: 132,
            withPartner: true,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        $exchange = $this->exchange($run);
        $beats = $run->parameters->whole('beats');
        if (\count($exchange->beats) < $beats) {
            yield new DrillProblem(
                t(
                    'After {count, plural, one {# answer} other {# answers}} there is nothing to answer: what is '
                        .'thrown has to land. Choose what they throw, or an answer that ends with a strike.',
                    count: \count($exchange->beats),
                ),
                'parameters.incoming',
                [] === $exchange->beats,
            );
        }
        $answers = \count($run->combinations) - ($this->theyBegin($run) ? 0 : 1);
        if ($answers > $beats) {
            yield new DrillProblem(
                t(
                    '{answers} answers are planned and {beats, plural, one {# is} other {# are}} given.',
                    answers: $answers,
                    beats: $beats,
                ),
                'parameters.beats',
                false,
                DrillFix::parameter(t('{answers} answers', answers: $answers), 'beats', min(self::MAX_BEATS, $answers)),
            );
        }
        foreach ($exchange->beats as $number => $beat) {
            if (!$beat->isTaken) {
                yield new DrillProblem(
                    t(
                        '{answer} does not begin with what takes {incoming}: {ways}.',
                        answer: $run->write($beat->answer),
                        incoming: $run->write($beat->incoming),
                        ways: implode(t(' or '), array_map(
                            static fn (Defence $one): string => $run->write(Chain::of($one->moves)),
                            $beat->defences,
                        )),
                    ),
                    'combinations['.($number + ($this->theyBegin($run) ? 0 : 1)).']',
                    false,
                );
            }
            yield from array_filter([$run->breaking($beat->answer, 'combinations')]);
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $exchange = $this->exchange($run);
        $parts = array_map(
            static fn (Beat $beat): string => t(
                'they {incoming}, you {answer}',
                incoming: $run->write($beat->incoming),
                answer: $run->write($beat->answer),
            ),
            $exchange->beats,
        );
        if (null !== $exchange->opening) {
            return $run->show(0, CueKind::Show, $exchange->opening, after: implode(', ', $parts));
        }
        $first = $exchange->beats[0] ?? null;

        return null === $first
            ? $run->cue(0, CueKind::Show, t('exchange'))
            : $run->show(
                0,
                CueKind::Show,
                $first->answer,
                before: $this->theirs($run, $first),
                after: 1 === \count($parts) ? null : implode(', ', \array_slice($parts, 1)),
            );
    }

    public function cues(DrillRun $run): iterable
    {
        $exchange = $this->exchange($run);
        $first = $exchange->beats[0] ?? null;
        $beats = $exchange->beats;
        if (null !== $exchange->opening) {
            yield $run->show(0, CueKind::Show, $exchange->opening);
        } elseif (null !== $first) {
            yield $run->show(0, CueKind::Show, $first->answer, before: $this->theirs($run, $first));
            array_shift($beats);
        }
        foreach ($beats as $beat) {
            yield $run->cue(0, CueKind::Answer, t('they {incoming}', incoming: $run->write($beat->incoming)));
            yield $run->show(0, CueKind::Counter, $beat->answer);
        }
    }

    public function portions(DrillRun $run): iterable
    {
        return [Portion::repeated($this->exchange($run)->own() ?? $run->chain(), $run->ms(), $run->stance)];
    }

    private function theirs(DrillRun $run, Beat $beat): string
    {
        return t('they {incoming}, you', incoming: $run->write($beat->incoming));
    }

    private function theyBegin(DrillRun $run): bool
    {
        return 'they' === $run->parameters->text('first');
    }

    private function exchange(DrillRun $run): Exchange
    {
        // Cached, because every round, its announcement and the load of each stance ask for the same beats.
        static $lasting = null;
        /** @var \WeakMap<Chain, array<string, Exchange>> $known by the first combination and everything else */
        $known = $lasting ??= new \WeakMap();
        $p = $run->parameters;
        $chains = $run->chains();
        $key = implode(' ', [
            FacingOpponent::key($run),
            $p->text('first'),
            $p->whole('beats'),
            ...array_map(
                static fn (?Chain $chain): string => ';'.(null === $chain ? '' : $run->write($chain)),
                [...\array_slice($chains, 1), ...$p->chains('incoming')],
            ),
        ]);
        $exchanges = $known[$chains[0]] ?? [];
        $exchanges[$key] ??= Exchange::build(
            $this->theyBegin($run) ? null : $chains[0],
            $p->chains('incoming'),
            $this->theyBegin($run) ? $chains : \array_slice($chains, 1),
            $p->whole('beats'),
            $run->options,
            FacingOpponent::stance($run),
            FacingOpponent::limbs($run),
        );
        $known[$chains[0]] = $exchanges;

        return $exchanges[$key];
    }
}
