<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Symfony\Component\Validator\Constraints as Assert;

/** All exercises of the gym. */
final readonly class ExercisesRequest
{
    /** @param list<ExerciseRow>|null $exercises null for those that ship */
    public function __construct(
        #[Assert\Valid] #[Assert\Count(
            min: 1,
            max: 200,
            minMessage: 'Keep at least one exercise.',
            maxMessage: 'At most {{ limit }} exercises.',
        )]
        #[Assert\Unique(normalizer: [ExerciseRow::class, 'idOf'], message: 'Two exercises have the same id.')]
        public ?array $exercises,
    ) {
    }

    /** @return list<array<string, mixed>>|null */
    public function rows(): ?array
    {
        return null === $this->exercises
            ? null
            : array_map(
                static fn (ExerciseRow $row): array => [
                    'id' => $row->id,
                    'name' => trim($row->name),
                    'for' => $row->for,
                    'does' => trim($row->does),
                    'seconds' => $row->seconds,
                    'count' => $row->count,
                    'easier' => trim($row->easier),
                    'caution' => trim($row->caution),
                ],
                $this->exercises,
            );
    }
}
