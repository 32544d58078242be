<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Session\Drills\WeaponChoices;

use function Periplus\Core\Language\t;

/** Creates a plan of empty rounds and rests, for a coach who only needs the clock. */
final readonly class RoundTimer
{
    /**
     * @param int $seconds of work in each round
     * @param int $rest s between rounds
     *
     * @return array<string, mixed> a written plan
     */
    public static function plan(int $rounds, int $seconds, int $rest): array
    {
        return [
            'name' => t('Round timer'),
            'blocks' => [
                [
                    'kind' => 'rounds',
                    'name' => t('Rounds'),
                    'rounds' => [
                        [
                            'seconds' => $seconds,
                            'rest' => $rest,
                            'times' => $rounds,
                            'lastTen' => true,
                            'sets' => [
                                [
                                    'drill' => 'free',
                                    'combinations' => [],
                                    'parameters' => ['weapons' => array_keys(WeaponChoices::ALL)],
                                ],
                            ],
                        ],
                    ],
                ],
            ],
        ];
    }
}
