<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Session\Drill\Beside;
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

use function Periplus\Core\Language\t;

/** A way in, one of several chains at choice, and a way out. */
final readonly class Menu implements Drill
{
    private const MAX_ENTRIES = 60;

    public function definition(): DrillDefinition
    {
        return new DrillDefinition(
            id: 'menu',
            title: t('Menu'),
            about: t('A way in, one of these at the athlete’s choice, and a way out; the entries may be counted.'),
            combinations: [2, 8],
            parameters: [
                Parameter::chain('opening', t('Way in')),
                Parameter::chain('ending', t('Way out')),
                Parameter::whole('entries', t('Entries (0: own pace)'), 0, 0, self::MAX_ENTRIES, 'entries'),
            ],
            examples: [
                new DrillExample(
                    ['2 3', '3b 3'],
                    ['opening' => '1', 'ending' => 'exit', 'entries' => 3],
                    60,
                    [
                        [0, 'show', '1, then 2 3 or 3b 3, then exit'],
                        [0, 'entry', 'entry 1 of 3'],
                        [20000, 'entry', 'entry 2 of 3'],
                        [40000, 'entry', 'entry 3 of 3'],
                    ],
                    4,
                ),
                new DrillExample(['1 2', '1 6'], [], 60, [[0, 'show', '1 2 or 1 6']], 1),
            ],
            order: 118,
        );
    }

    public function problems(DrillRun $run): iterable
    {
        foreach ($run->chains() as $index => $chain) {
            $whole = $this->whole($run, $chain);
            if (null === $whole) {
                yield new DrillProblem(
                    t('{chain} does not go between the way in and the way out.', chain: $run->write($chain)),
                    "combinations[$index]",
                );
            } else {
                yield from array_filter([$run->breaking($whole, "combinations[$index]")]);
            }
        }
        $entries = $run->parameters->whole('entries');
        $longest = max(1, ...array_map(
            fn (Chain $chain): int => $run->length($this->whole($run, $chain) ?? $chain),
            $run->chains(),
        ));
        if ($entries * $longest > $run->ms()) {
            $fit = max(1, intdiv($run->ms(), $longest));
            yield new DrillProblem(
                t(
                    '{entries} entries of {seconds} s do not fit into {work} s; {fit} do.',
                    entries: $entries,
                    seconds: \sprintf('%.1f', $longest / 1000),
                    work: $run->seconds,
                    fit: $fit,
                ),
                'parameters.entries',
                false,
                DrillFix::parameter(t('{fit} entries', fit: $fit), 'entries', $fit),
            );
        }
    }

    public function announcement(DrillRun $run): DrillCue
    {
        $opening = $run->parameters->chain('opening');
        $ending = $run->parameters->chain('ending');
        $written = array_map($run->write(...), $run->chains());
        $last = array_pop($written);
        $text = implode(t(', then '), array_filter([
            null === $opening ? '' : $run->write($opening),
            t('{chains} or {last}', chains: implode(', ', $written), last: (string) $last),
            null === $ending ? '' : $run->write($ending),
        ], static fn (string $part): bool => '' !== $part));
        $beside = array_map(static fn (Chain $chain): Beside => new Beside('', $chain), $run->chains());
        $after = null === $ending
            ? t('then one of these')
            : t('one of these, then {ending}', ending: $run->write($ending));

        return null === $opening
            ? new DrillCue(
                atMs: 0,
                kind: CueKind::Show,
                text: $text,
                stance: $run->stance,
                short: null === $ending
                    ? t('one of these')
                    : t('one of these, then {ending}', ending: $run->write($ending)),
                beside: $beside,
            )
            : $run->show(0, CueKind::Show, $opening, $text, after: $after, beside: $beside);
    }

    public function cues(DrillRun $run): iterable
    {
        yield $this->announcement($run);
        $entries = $run->parameters->whole('entries');
        for ($entry = 0; $entry < $entries; ++$entry) {
            yield $run->cue(
                intdiv($entry * $run->ms(), $entries),
                CueKind::Entry,
                t('entry {entry} of {entries}', entry: $entry + 1, entries: $entries),
            );
        }
    }

    public function portions(DrillRun $run): iterable
    {
        $entries = $run->parameters->whole('entries');
        $count = \count($run->combinations);
        foreach ($run->chains() as $chain) {
            $whole = $this->whole($run, $chain) ?? $chain;
            // Each is chosen as often as the others.
            yield 0 === $entries
                ? Portion::repeated($whole, $run->ms() / $count, $run->stance)
                : Portion::counted($whole, $entries / $count, $run->ms() / $count, $run->stance);
        }
    }

    /** Returns one of the chains with the way in and the way out; null when they do not go together. */
    private function whole(DrillRun $run, Chain $chain): ?Chain
    {
        try {
            return Chain::of([
                ...($run->parameters->chain('opening')->items ?? []),
                ...$chain->items,
                ...($run->parameters->chain('ending')->items ?? []),
            ]);
        } catch (InvalidChain) {
            return null;
        }
    }
}
