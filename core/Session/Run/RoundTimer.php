<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Session\Drills\WeaponChoices;

use function Periplus\Core\Language\t;

/** Creates a plan for a coach who only needs the clock: free rounds, or rounds that each show a combination. */
final readonly class RoundTimer
{
    /** How long the first combination is demonstrated before its round, in s; those after it are in the rests. */
    private const FIRST_SHOWN = 20;

    /**
     * @param int $rounds at least; every combination has one
     * @param int $seconds of work in each round
     * @param int $rest s between rounds
     * @param list<TimerCombination> $combinations one after the other, and again from the first
     * @param bool $isDemonstrated whether each combination is demonstrated before its round, for an athlete at home
     *
     * @return array<string, mixed> a written plan
     */
    public static function plan(
        int $rounds,
        int $seconds,
        int $rest,
        array $combinations = [],
        bool $isDemonstrated = false,
    ): array {
        $round = ['seconds' => $seconds, 'rest' => $rest, 'lastTen' => true];
        $first = $isDemonstrated && [] !== $combinations
            ? [['seconds' => self::FIRST_SHOWN, 'rest' => 0, 'sets' => [$combinations[0]->set('demonstration')]]]
            : [];
        // Of what comes next.
        $inRest = $isDemonstrated ? ['inRest' => ['drill' => 'demonstration', 'combinations' => []]] : [];

        return [
            'name' => self::name($combinations),
            'numbering' => 'parity',
            'blocks' => [
                [
                    'kind' => 'rounds',
                    'name' => t('Rounds'),
                    'rounds' => [] === $combinations
                        ? [[...$round, 'times' => $rounds, 'sets' => [self::free()]]]
                        : [
                            ...$first,
                            ...array_map(
                                static fn (int $index): array => [
                                    ...$round,
                                    'sets' => [$combinations[$index % \count($combinations)]->set()],
                                    ...$inRest,
                                ],
                                range(0, max($rounds, \count($combinations)) - 1),
                            ),
                        ],
                ],
            ],
        ];
    }

    /** @param list<TimerCombination> $combinations */
    public static function name(array $combinations): string
    {
        return match (\count($combinations)) {
            0 => t('Round timer'),
            1 => $combinations[0]->name,
            default => t(
                '{name} and {count, plural, one {# other} other {# others}}',
                name: $combinations[0]->name,
                count: \count($combinations) - 1,
            ),
        };
    }

    /** @return array<string, mixed> */
    private static function free(): array
    {
        return [
            'drill' => 'free',
            'combinations' => [],
            'parameters' => ['weapons' => array_keys(WeaponChoices::ALL)],
        ];
    }
}
