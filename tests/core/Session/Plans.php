<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use PHPUnit\Framework\Assert;

/** Plans for tests. */
final class Plans
{
    /**
     * @param list<array<string, mixed>> $rounds
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    public static function of(array $rounds, array $with = []): array
    {
        return ['name' => 'Test', 'blocks' => [['kind' => 'rounds', 'rounds' => $rounds]], ...$with];
    }

    /**
     * One set alone.
     *
     * @param list<mixed> $combinations
     * @param array<string, mixed> $parameters
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    public static function set(
        string $drill,
        array $combinations,
        int $seconds = 60,
        array $parameters = [],
        array $with = [],
    ): array {
        return self::of(
            [
                [
                    'seconds' => $seconds,
                    'sets' => [['drill' => $drill, 'combinations' => $combinations, 'parameters' => $parameters]],
                ],
            ],
            $with,
        );
    }

    /** @param array<array-key, mixed> $written */
    public static function read(array $written): SessionPlan
    {
        $reading = (new PlanReader())->read($written);
        Assert::assertSame(
            [],
            array_filter($reading->problems, static fn ($problem): bool => $problem->stops),
            print_r($reading->problems, true),
        );

        return $reading->plan;
    }

    /** @param array<array-key, mixed> $written */
    public static function programme(array $written): Programme
    {
        return ProgrammeBuilder::build(self::read($written));
    }

    /**
     * @param array<array-key, mixed> $written
     *
     * @return list<string> the sentences, with their places
     */
    public static function problems(array $written): array
    {
        return array_map(
            static fn ($problem): string => $problem->place.': '.$problem->message,
            (new PlanReader())->read($written)->problems,
        );
    }

    /** @return list<array{int, string, string}> */
    public static function cues(Programme $programme): array
    {
        return array_map(static fn (Cue $cue): array => [$cue->atMs, $cue->kind->value, $cue->text], $programme->cues);
    }
}
