<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

use Periplus\Core\Technique\Data;

use function Periplus\Core\Language\t;

/** The reminders, exercises and faults of a gym; the built-in ones until the gym edits them. */
final readonly class Advice
{
    /**
     * @param list<Reminder> $reminders
     * @param array<string, Exercise> $exercises by id
     * @param list<Fault> $faults
     */
    public function __construct(public array $reminders, public array $exercises, public array $faults)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $builtIn */
        static $builtIn = null;
        if (null === $builtIn) {
            /** @var array{reminders: list<array{id: string, for: string, text: string}>} $reminders */
            $reminders = Data::read('reminders');
            /**
             * @var array{
             *     exercises: list<array{
             *         id: string,
             *         name: string,
             *         for: list<string>,
             *         does: string,
             *         seconds: int,
             *         count?: int,
             *         easier: string,
             *         caution: string,
             *     }>,
             * } $exercises
             */
            $exercises = Data::read('exercises');
            /** @var array{faults: list<array{id: string, for: string, text: string, mend: string}>} $faults */
            $faults = Data::read('faults');
            $builtIn = self::of($reminders['reminders'], $exercises['exercises'], $faults['faults']);
        }

        return $builtIn;
    }

    /**
     * @param list<array{id: string, for: string, text: string}> $reminders
     * @param list<array{
     *     id: string,
     *     name: string,
     *     for: list<string>,
     *     does: string,
     *     seconds: int,
     *     count?: int|null,
     *     easier: string,
     *     caution: string,
     * }> $exercises
     * @param list<array{id: string, for: string, text: string, mend: string}> $faults
     */
    public static function of(array $reminders, array $exercises, array $faults): self
    {
        $byId = [];
        foreach ($exercises as $row) {
            $byId[$row['id']] = Exercise::of($row);
        }

        return new self(
            array_map(
                static fn (array $row): Reminder => new Reminder($row['id'], $row['for'], $row['text']),
                $reminders,
            ),
            $byId,
            array_map(
                static fn (array $row): Fault => new Fault($row['id'], $row['for'], $row['text'], $row['mend']),
                $faults,
            ),
        );
    }

    /** @return list<Exercise> */
    public function exercisesFor(string $part): array
    {
        return array_values(
            array_filter(
                $this->exercises,
                static fn (Exercise $exercise): bool => \in_array($part, $exercise->for, true),
            ),
        );
    }

    /**
     * Returns a block of exercises as a plan writes it: exercises that add up to the given time, those that suit the
     * first chain before others.
     *
     * @param string $part warm-up, conditioning or cool-down
     * @param list<string> $first ids of exercises that come before the others
     *
     * @return array{kind: string, name: string, rounds: list<array<string, mixed>>, changeover: int}
     */
    public function part(string $part, int $seconds, array $first = []): array
    {
        $exercises = $this->exercisesFor($part);
        usort(
            $exercises,
            static fn (Exercise $one, Exercise $other): int => (\in_array($one->id, $first, true) ? 0 : 1)
                <=> (\in_array($other->id, $first, true) ? 0 : 1),
        );
        $sets = [];
        $left = $seconds;
        foreach ($exercises as $exercise) {
            $time = min($exercise->seconds, $left);
            if ($time >= 15) {
                $sets[] = [
                    'drill' => 'exercise',
                    'seconds' => $time,
                    'parameters' => ['exercise' => $exercise->id],
                    'note' => '' === $exercise->caution ? '' : ucfirst($exercise->caution).'.',
                ];
                $left -= $time;
            }
        }
        if ([] !== $sets && $left > 0) {
            $sets[\count($sets) - 1]['seconds'] += $left;
        }

        return [
            'kind' => $part,
            'name' => ['warm-up' => 'Warm-up', 'conditioning' => t('Conditioning'), 'cool-down' => 'Cool-down'][$part]
                ?? ucfirst($part),
            'rounds' => [] === $sets
                    ? []
                    : [
                        [
                            'seconds' => array_sum(array_column($sets, 'seconds')),
                            'rest' => 0,
                            'lastTen' => false,
                            'sets' => $sets,
                        ],
                    ],
            'changeover' => 'cool-down' === $part ? 0 : 60,
        ];
    }
}
