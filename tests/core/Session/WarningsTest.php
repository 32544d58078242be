<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Serializer\SessionSerializer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * When a warning holds and when it does not: each case differs from its neighbour in the one thing that the warning is
 * about. That bags and partners bruise shins, that bags roll wrists, and that breath needs rest is common practice, no
 * source.
 */
final class WarningsTest extends TestCase
{
    /** @param array<string, mixed> $plan */
    #[DataProvider('cases')]
    public function testAWarningHoldsForItsReasonOnly(string $id, bool $holds, array $plan): void
    {
        $document = (new SessionSerializer(new PlanReader()))->serialize($plan);
        $warnings = array_column($document->warnings, 'message', 'id');

        $holds ? self::assertArrayHasKey($id, $warnings) : self::assertArrayNotHasKey($id, $warnings);
    }

    /** @return iterable<string, array{string, bool, array<string, mixed>}> */
    public static function cases(): iterable
    {
        foreach ([
            'four of five from the lead hand' => [true, self::chain('1 1 1 1 2')],
            'three of five from the lead hand' => [false, self::chain('1 1 1 2 2')],
            'feints are not thrown' => [false, self::chain('1 (1) (1) (1) 2')],
            'both stances in turn' => [
                false,
                Plans::of(array_map(
                    static fn (string $stance): array => [
                        'seconds' => 180,
                        'rest' => 60,
                        'times' => 3,
                        'stance' => $stance,
                        'sets' => [['combinations' => ['1 1 1 1 2']]],
                    ],
                    ['own', 'other'],
                )),
            ],
        ] as $name => [$holds, $plan]) {
            yield $name => ['one-sided-session', $holds, $plan];
        }
        foreach (['bag' => true, 'partner' => true, 'pads' => false, 'shadow' => false] as $medium => $holds) {
            yield 'round kicks on '.$medium => ['shin-load', $holds, self::chain('14b', ['medium' => $medium])];
        }
        yield 'round kicks in one round' => ['shin-load', false, self::chain('14b', ['medium' => 'bag'], 1)];
        yield 'push kicks use no shin' => ['shin-load', false, self::chain('12b', ['medium' => 'bag'])];
        yield 'hands use no shin' => ['shin-load', false, self::chain('1 2', ['medium' => 'bag'])];

        yield 'uppercuts on a bag' => ['uppercuts-on-bag', true, self::chain('5 6', ['medium' => 'bag'])];
        yield 'uppercuts on pads' => ['uppercuts-on-bag', false, self::chain('5 6', ['medium' => 'pads'])];
        yield 'straights on a bag' => ['uppercuts-on-bag', false, self::chain('1 2', ['medium' => 'bag'])];

        yield 'the head of a partner' => ['partner-head', true, self::chain('1 2', ['medium' => 'partner'])];
        yield 'the body of a partner' => ['partner-head', false, self::chain('1b 2b', ['medium' => 'partner'])];
        yield 'the head on pads' => ['partner-head', false, self::chain('1 2', ['medium' => 'pads'])];

        foreach ([[3, 0, true], [3, 60, false], [2, 0, false]] as [$times, $rest, $holds]) {
            yield "$times rounds with $rest s of rest" => [
                'little-rest',
                $holds,
                Plans::of([
                    [
                        'seconds' => 180,
                        'rest' => $rest,
                        'times' => $times,
                        'sets' => [['combinations' => ['1 2']]],
                    ],
                ]),
            ];
        }

        foreach (['no-warm-up' => 'warm-up', 'no-cool-down' => 'cool-down'] as $id => $kind) {
            // Seven rounds and six rests are 27 minutes, five and four are 19.
            yield $id.' in a long session' => [$id, true, self::chain('1 2', [], 7)];
            yield $id.' in a short session' => [$id, false, self::chain('1 2', [], 5)];
            $plan = self::chain('1 2', [], 7);
            $part = ['kind' => $kind, 'rounds' => [['seconds' => 300, 'sets' => [['drill' => 'exercise']]]]];
            /** @var list<mixed> $blocks */
            $blocks = $plan['blocks'];
            yield $id.' with one' => [$id, false, [...$plan, 'blocks' => [$part, ...$blocks]]];
        }
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed> rounds of three minutes with one minute of rest
     */
    private static function chain(string $chain, array $with = [], int $times = 6): array
    {
        $set = ['combinations' => [$chain]];

        return Plans::of([['seconds' => 180, 'rest' => 60, 'times' => $times, 'sets' => [$set]]], $with);
    }
}
