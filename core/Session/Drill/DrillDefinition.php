<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use function Periplus\Core\Language\t;

/** The metadata of a drill, used by the planner, the screens and the documentation. */
final readonly class DrillDefinition
{
    /**
     * @param string $id stable, in lower case with hyphens
     * @param string $title one to four words
     * @param string $about what athletes do, in one sentence
     * @param array{int, int} $combinations fewest and most that it asks for
     * @param list<Parameter> $parameters
     * @param array{DrillExample, DrillExample} $examples
     * @param int $order in which a coach would look for it
     * @param bool $inRest whether it can be done in the rest after a round
     * @param bool $isWork whether athletes work; otherwise the time counts as rest
     * @param bool $withPartner whether it asks for two who face each other
     * @param array{
     *     string,
     *     string,
     * }|null $waitsWhen the parameter and its value with which the clock waits at the end for the coach
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $about,
        public array $combinations,
        public array $parameters,
        public array $examples,
        public int $order,
        public bool $inRest = false,
        public bool $isWork = true,
        public bool $withPartner = false,
        public ?array $waitsWhen = null,
    ) {
    }

    /** Tells whether the clock waits for the coach at the end. */
    public function waits(Parameters $parameters): bool
    {
        return null !== $this->waitsWhen && $parameters->text($this->waitsWhen[0]) === $this->waitsWhen[1];
    }

    /** Returns in words how many combinations it needs. */
    public function asks(): string
    {
        [$least, $most] = $this->combinations;

        return match (true) {
            0 === $most => t('no combination'),
            $least === $most => 1 === $most ? t('one combination') : t('{most} combinations', most: $most),
            0 === $least => 1 === $most ? t('at most one combination') : t('at most {most} combinations', most: $most),
            default => t('{least} to {most} combinations', least: $least, most: $most),
        };
    }
}
