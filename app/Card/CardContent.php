<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Technique\Stance;

/** The content of a card and the numbering it is read in. */
final readonly class CardContent
{
    /** @param non-empty-list<CardCombination> $combinations */
    public function __construct(
        public Stance $stance,
        public string $numbering,
        public Group $group,
        public array $combinations,
    ) {
    }

    /**
     * @param array{
     *     stance: string,
     *     numbering: string,
     *     group: string,
     *     combinations: non-empty-list<array{
     *         id: int,
     *         name: string,
     *         notation: string,
     *         stance: string,
     *         rules: string,
     *     }>,
     * } $stored the value as JSON has it
     */
    public static function of(array $stored): self
    {
        return new self(
            Stance::from($stored['stance']),
            $stored['numbering'],
            Group::from($stored['group']),
            array_map(
                static fn (array $row): CardCombination => new CardCombination(...[
                    ...$row,
                    'stance' => Stance::from($row['stance']),
                ]),
                $stored['combinations'],
            ),
        );
    }
}
