<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Symfony\Component\Validator\Constraints as Assert;

/** A plan to be stored. It is stored even when it has problems. */
final readonly class PlanRequest
{
    /** @param array<mixed> $content docs/formats/session.md */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the session a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        public array $content,
        public ?int $course = null,
        #[Assert\Length(max: 16, maxMessage: 'A start is written as 2026-11-26T18:30.')]
        public ?string $startsAt = null,
        public bool $isTemplate = false,
    ) {
    }
}
