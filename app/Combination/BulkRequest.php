<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Symfony\Component\Validator\Constraints as Assert;

/** Several combinations with the versions that the coach saw, and the change for all of them. */
final readonly class BulkRequest
{
    public const MAX_COMBINATIONS = 200;

    /** @param array<mixed> $combinations pairs of id and version */
    public function __construct(
        #[Assert\Count(
            min: 1,
            max: self::MAX_COMBINATIONS,
            minMessage: 'Choose at least one combination.',
            maxMessage: 'At most {{ limit }} combinations at a time.',
        )]
        #[Assert\All([
            new Assert\Collection([
                'id' => [
                    new Assert\NotNull(message: 'This is missing.'),
                    new Assert\Type('int'),
                    new Assert\Positive(),
                ],
                'version' => [
                    new Assert\NotNull(message: 'This is missing.'),
                    new Assert\Type('int'),
                    new Assert\Positive(),
                ],
            ]),
        ])]
        public array $combinations,
        #[Assert\Choice(
            choices: ['archive', 'restore', 'tag', 'untag'],
            message: 'The action is archive, restore, tag or untag.',
        )]
        public string $action,
        #[Assert\Length(max: 40, maxMessage: 'A theme has at most {{ limit }} characters.')] public string $theme = '',
    ) {
    }

    /** @return list<array{id: int, version: int}> none twice */
    public function all(): array
    {
        $all = [];
        /** @var array{id: int, version: int} $one */
        foreach ($this->combinations as $one) {
            $all[$one['id']] = $one;
        }

        return array_values($all);
    }
}
