<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

/** A week of a syllabus, with what the course has reached of it. */
final readonly class TaughtWeek
{
    /** Whether each of its combinations was drilled and held the last time. */
    public bool $isReached;

    /**
     * @param string|null $monday such as 2026-12-07; null while the syllabus has no start
     * @param list<TaughtCombination> $combinations
     */
    public function __construct(
        public string $theme,
        public string $note,
        public ?string $monday,
        public array $combinations,
    ) {
        $this->isReached = [] !== $combinations && [] === array_filter(
            $combinations,
            static fn (TaughtCombination $one): bool => 0 === $one->now->times || true !== $one->held,
        );
    }
}
