<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Session\Wall\HeardScript;
use Periplus\Core\Session\Wall\Says;
use Periplus\Core\Session\Wall\VoiceStyle;
use Periplus\Tests\Core\Session\Plans;
use PHPUnit\Framework\TestCase;

/**
 * What a room hears in three sessions, written out by hand. Common practice, no source: a combination is announced some
 * ten seconds before it begins, in numbers and in names, and said again when it begins; a bell rings out for a second
 * and a half before the voice.
 */
final class HeardTest extends TestCase
{
    /** A warm-up of 66 s, a changeover of 30 s, two rounds of a minute with 30 s between them: 246 s. */
    public function testANamedRoundAndCallsOfTimes(): void
    {
        $plan = [
            'timeCalls' => ['half', 'ten', 'count-in'],
            'blocks' => [
                [
                    'kind' => 'warm-up',
                    'name' => 'Warm-up',
                    'changeover' => 30,
                    'rounds' => [
                        ['lastTen' => false, 'sets' => [self::exercise('skipping', 60), self::exercise('squats', 6)]],
                    ],
                ],
                [
                    'name' => 'Rounds',
                    'note' => 'Wrap hands, gloves on',
                    'rounds' => [
                        ['seconds' => 60, 'rest' => 30, 'sets' => [['combinations' => ['1 2']]]],
                        ['name' => 'Body', 'seconds' => 60, 'sets' => [['combinations' => ['1 2b slip-lead 3']]]],
                    ],
                ],
            ],
        ];

        self::assertHeard(
            <<<'HEARD'
                -0:10.0  voice  next: Skipping
                +0:00.0  bell
                +0:01.5  voice  Skipping
                +0:30.0  voice  half time
                +0:50.0  voice  ten seconds
                +0:52.0  voice  next: Squats
                +1:00.0  voice  change, Squats
                +1:06.0  end bell
                +1:07.5  voice  Next: Rounds. Wrap hands, gloves on
                +1:26.0  voice  next: one two. jab, cross
                +1:33.0  voice  three
                +1:34.0  voice  two
                +1:35.0  voice  one
                +1:36.0  bell
                +1:37.5  voice  one two
                +2:06.0  voice  half time
                +2:26.0  clap
                +2:26.0  voice  ten seconds
                +2:36.0  end bell
                +2:56.0  voice  next: Body: one two body, slip lead, three. jab, cross to the body, slip lead, lead hook
                +3:03.0  voice  three
                +3:04.0  voice  two
                +3:05.0  voice  one
                +3:06.0  bell
                +3:07.5  voice  one two body, slip lead, three
                +3:36.0  voice  half time
                +3:56.0  clap
                +3:56.0  voice  ten seconds
                +4:06.0  end bell
                HEARD,
            $plan,
            Says::Both,
        );
    }

    /**
     * A menu, an exchange and a script of calls, in numbers alone. A jab takes 0.2 s and is followed by 4 s of silence,
     * jab and cross take 0.49 s: calls at 160, 164.2 and 168.69 s.
     */
    public function testAMenuAnExchangeAndAScript(): void
    {
        $plan = Plans::of([
            [
                'seconds' => 60,
                'rest' => 20,
                'sets' => [
                    [
                        'drill' => 'menu',
                        'combinations' => ['2 3', '3b 3'],
                        'parameters' => ['opening' => '1', 'ending' => 'exit', 'entries' => 2],
                    ],
                ],
            ],
            [
                'seconds' => 60,
                'rest' => 20,
                'sets' => [
                    [
                        'drill' => 'exchange',
                        'combinations' => ['slip-lead 3b', 'block-rear 6 3 2'],
                        'parameters' => ['first' => 'they', 'incoming' => ['2', '3']],
                    ],
                ],
            ],
            [
                'seconds' => 12,
                'sets' => [
                    [
                        'drill' => 'calls',
                        'combinations' => ['1', '1 2'],
                        'parameters' => ['order' => 'script', 'least' => 4, 'most' => 4],
                    ],
                ],
            ],
        ]);

        self::assertHeard(
            <<<'HEARD'
                -0:10.0  voice  next: one, one of these, then exit: choose two three, or three body three
                +0:00.0  bell
                +0:01.5  voice  one, one of these, then exit, entry one of two
                +0:30.0  voice  entry two of two
                +0:50.0  clap
                +1:00.0  end bell
                +1:10.0  voice  next: they two, you slip lead, three body, they three, you block rear six three two
                +1:20.0  bell
                +1:21.5  voice  they two, you slip lead, three body, they three, block rear, six three two
                +2:10.0  clap
                +2:20.0  end bell
                +2:30.0  voice  next: calls
                +2:40.0  bell
                +2:40.0  voice  one
                +2:44.2  voice  one two
                +2:48.6  voice  one
                +2:52.0  end bell
                HEARD,
            $plan,
            Says::Numbers,
        );
    }

    /** Two levels on one clock, in names: the new ones work 30 s and rest 15 s, twice in the cycle of 90 s. */
    public function testTwoLevelsOnOneClock(): void
    {
        $plan = Plans::of(
            [
                [
                    'seconds' => 60,
                    'rest' => 30,
                    'sets' => [],
                    'tracks' => [
                        ['track' => 0, 'pattern' => [30, 15], 'sets' => [['combinations' => ['1 2']]]],
                        ['track' => 1, 'sets' => [['combinations' => ['1 2 3']]]],
                    ],
                ],
            ],
            ['tracks' => [['name' => 'New', 'level' => 1], ['name' => 'Old', 'level' => 3]]],
        );

        self::assertHeard(
            <<<'HEARD'
                -0:10.0  voice  New: next: jab, cross. Old: next: jab, cross, lead hook
                +0:00.0  bell
                +0:01.5  voice  New: jab, cross. Old: jab, cross, lead hook
                +0:20.0  clap
                +0:30.0  end bell
                +0:35.0  voice  New: next: jab, cross
                +0:45.0  bell
                +0:46.5  voice  New: jab, cross
                +0:50.0  clap
                +1:00.0  end bell
                +1:05.0  clap
                +1:15.0  end bell
                +1:30.0  end bell
                HEARD,
            $plan,
            Says::Names,
        );
    }

    /** @param array<array-key, mixed> $plan */
    private static function assertHeard(string $script, array $plan, Says $says): void
    {
        self::assertSame($script, HeardScript::write(Plans::programme($plan), new VoiceStyle($says)));
    }

    /** @return array<string, mixed> */
    private static function exercise(string $id, int $seconds): array
    {
        return ['drill' => 'exercise', 'seconds' => $seconds, 'parameters' => ['exercise' => $id]];
    }
}
