<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Programme\Amendment;
use Periplus\Core\Session\Programme\Amendments;
use Periplus\Core\Session\Programme\Place;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Wall\Script;
use Periplus\Core\Session\Wall\Sound;
use Periplus\Core\Session\Wall\Speech;
use Periplus\Core\Session\Wall\WallCue;
use Periplus\Core\Session\Wall\WallDocument;
use Periplus\Core\Session\Wall\WallSerializer;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The document for a screen, and what the voice says. */
final class WallTest extends TestCase
{
    #[TestWith(['1 2 3b', 'one two three body'])]
    #[TestWith(['1 2 slip-lead 2', 'one two, slip lead, two'])]
    #[TestWith(['1 2 step-out 14l', 'one two, step out, fourteen leg'])]
    #[TestWith(['exit', 'exit'])]
    public function testAChainIsCalledInNumbersAndItsMovesInWordsForBothStances(string $chain, string $said): void
    {
        self::assertSame($said, (new Speech(Numbering::named('parity')))->chain(Chains::read($chain)));
    }

    public function testAStrikeWithoutANumberIsCalledInWords(): void
    {
        // A numbering that ends at six has no number for a kick.
        self::assertSame(
            'one two, rear round kick to the leg',
            (new Speech(Numbering::named('six')))->chain(Chains::read('1 2 14l')),
        );
    }

    public function testNumbersOfTheHandAreSaidInWordsThatHoldForBothStances(): void
    {
        self::assertSame(
            'jab, cross, lead hook',
            (new Speech(Numbering::named('hands')))->chain(Chains::read('1 2 3')),
        );
    }

    public function testASegmentSaysWhatItsRoundIsFor(): void
    {
        $purposes = array_column(self::document()->segments, 'purpose', 'drill');

        self::assertSame(Purpose::Speed, $purposes['ladder']);
        self::assertNull($purposes['calls']);
    }

    public function testEveryCueThatIsHeardIsSeen(): void
    {
        foreach (self::document()->cues as $cue) {
            if (null !== $cue->sound) {
                self::assertNotSame('', $cue->text, $cue->key);
            }
        }
        $moments = array_column([...self::document()->opening, ...self::document()->cues], 'atMs');
        foreach (self::document()->said as $said) {
            self::assertNotSame('', $said->text);
            $since = array_filter($moments, static fn (int $atMs): bool => $atMs <= $said->atMs);
            self::assertNotSame([], $since, $said->text);
        }
        self::assertNotSame([], self::document()->said);
    }

    public function testOneVoiceSaysOneThingAtATime(): void
    {
        $said = self::document()->said;
        foreach ($said as $index => $one) {
            $next = $said[$index + 1] ?? null;
            self::assertTrue(
                null === $next || $one->atMs + Script::lastsMs($one->text) <= $next->atMs,
                $one->text.' is still said when this begins: '.($next->text ?? ''),
            );
        }
    }

    public function testAMinuteMoreChangesNoKeyOfWhatWasShownBefore(): void
    {
        $plan = Plans::read(
            Plans::of([['seconds' => 120, 'rest' => 30, 'times' => 2, 'sets' => [['combinations' => ['1 2']]]]]),
        );
        $keys = static function (Amendments $amendments) use ($plan): array {
            $document = WallSerializer::serialize(ProgrammeBuilder::build($plan, amendments: $amendments));

            return array_column(
                array_filter($document->cues, static fn (WallCue $cue): bool => $cue->atMs <= 160_000),
                'key',
            );
        };

        self::assertSame(
            $keys(new Amendments()),
            $keys(new Amendments([Amendment::longer(new Place(0, 0, 1), 10, 60)])),
        );
    }

    public function testEveryCueHasAKeyOfItsOwn(): void
    {
        $keys = array_column(self::document()->cues, 'key');
        self::assertSame(array_unique($keys), $keys);
        foreach ($keys as $key) {
            self::assertMatchesRegularExpression('/^\d+-(all|\d)-[a-z-]+-\d+$/', $key);
        }
    }

    public function testTheSameChainIsDrawnOnceAndNamedByItsPlace(): void
    {
        $document = self::document();
        $places = array_values(array_unique(array_filter(array_column($document->cues, 'chain'), \is_int(...))));
        sort($places);

        self::assertSame(array_keys($document->chains), $places);
        $first = $document->chains[0];
        self::assertSame(['orthodox' => '1 2', 'southpaw' => '1 2'], $first->numbers);
        self::assertSame(
            ['orthodox' => ['left jab', 'right cross'], 'southpaw' => ['right jab', 'left cross']],
            $first->words,
        );
    }

    public function testAChainTakesLongerAtLearningTempo(): void
    {
        foreach (self::document()->chains as $chain) {
            self::assertGreaterThan($chain->line->lengthMs, $chain->learningMs);
        }
    }

    public function testAnAthleteReadsItInAnotherNumbering(): void
    {
        $programme = Plans::programme(Plans::set('repeat', ['1 2 3b']));

        $read = WallSerializer::serialize($programme, numbering: Numbering::named('body-pairs'));
        self::assertSame(
            '1 2 7',
            $read->chains[0]->numbers['orthodox'],
            'the lead hook to the body is seven there',
        );
        // The voice keeps the numbering of the plan.
        $planned = WallSerializer::serialize($programme);
        self::assertEquals($planned->said, $read->said);
    }

    public function testAScreenGetsAShortFormForWhatItShowsInASmallPlace(): void
    {
        $document = WallSerializer::serialize(
            Plans::programme(
                Plans::of([
                    [
                        'seconds' => 60,
                        'rest' => 30,
                        'sets' => [
                            ['drill' => 'themes', 'combinations' => ['1 1 2'], 'parameters' => ['themes' => ['jab']]],
                        ],
                    ],
                    ['seconds' => 60, 'rest' => 30, 'sets' => [['drill' => 'setup-free', 'combinations' => ['1 2']]]],
                    ['seconds' => 60, 'sets' => [['combinations' => ['1 2'], 'parameters' => ['targets' => 'vary']]]],
                ]),
            ),
        );
        $of = static fn (string $kind): array => array_values(
            array_map(
                static fn (WallCue $cue): array => [$cue->text, $cue->short, $cue->after],
                array_filter($document->cues, static fn (WallCue $cue): bool => $kind === $cue->kind->value),
            ),
        );

        self::assertSame([['jab: 1 1 2', 'jab', null]], $of('theme'));
        self::assertSame(
            [
                ['1 2, then free', '1 2, then free', 'then free'],
                ['1 2, vary the targets', '1 2, vary the targets', 'vary the targets'],
            ],
            $of('show'),
        );
        self::assertSame(
            [
                ['Next: 1 2, then free', '1 2, then free', 'then free'],
                ['Next: 1 2, vary the targets', '1 2, vary the targets', 'vary the targets'],
            ],
            $of('next'),
        );
    }

    public function testAChangeOfDrillsIsNoCombinationAndOneWithinAListIs(): void
    {
        $changes = static function (array $sets): array {
            $document = WallSerializer::serialize(Plans::programme(Plans::of([['seconds' => 60, 'sets' => $sets]])));

            return array_column(
                array_filter(
                    $document->cues,
                    static fn (WallCue $cue): bool => CueKind::Change === $cue->kind,
                ),
                'stands',
            );
        };

        self::assertSame([true], $changes([['drill' => 'set-list', 'combinations' => ['1 2', '3 2']]]));
        self::assertSame(
            [false],
            $changes([
                ['seconds' => 30, 'combinations' => ['1 2']],
                ['seconds' => 30, 'drill' => 'thirds', 'combinations' => []],
            ]),
        );
    }

    #[TestWith([CueKind::Bell, Sound::Bell])]
    #[TestWith([CueKind::Rest, Sound::EndBell])]
    #[TestWith([CueKind::LastTen, Sound::Clap])]
    #[TestWith([CueKind::Call, null])]
    public function testWorkBeginsWithABellAndEndsWithTwo(CueKind $kind, ?Sound $sound): void
    {
        self::assertSame($sound, Sound::of($kind));
    }

    private static function document(): WallDocument
    {
        $document = WallSerializer::serialize(
            Plans::programme(
                Plans::of([
                    [
                        'seconds' => 120,
                        'rest' => 30,
                        'times' => 2,
                        'sets' => [
                            ['seconds' => 60, 'combinations' => ['1 2']],
                            ['seconds' => 60, 'drill' => 'calls', 'combinations' => ['1', '1 2', 'slip-lead 3']],
                        ],
                    ],
                    [
                        'seconds' => 90,
                        'rest' => 30,
                        'purpose' => 'speed',
                        'sets' => [['drill' => 'ladder', 'combinations' => ['1 2 3b'], 'parameters' => ['rung' => 10]]],
                    ],
                    ['seconds' => 60, 'sets' => [['drill' => 'themes', 'combinations' => []]]],
                ]),
            ),
        );

        return $document;
    }
}
