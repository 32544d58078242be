<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Http\Id;
use Symfony\Component\Validator\Constraints as Assert;

/** A logbook entry in a request: the remarks on a session that ran, or a whole entry by hand. */
final readonly class EntryRequest
{
    /** Maximum number of combinations in an entry by hand. */
    public const MAX_COMBINATIONS = 40;

    /**
     * @param string|null $id chosen by the client, so that a repeated request stores one entry; only for a new entry
     * @param int|null $plan the planned session that took place; without combinations everything in it was drilled
     * @param string $day such as 2026-11-26
     * @param array<int|string, int> $levels athletes by level
     * @param list<array{
     *     notation: string,
     *     stance: string,
     *     link: int,
     *     fault?: string|null,
     * }> $fallen links that fell apart, by the chain in parity numbering and the place of the earlier item, with the
     *            fault that was seen
     * @param list<array{
     *     combination: int,
     *     minutes: float|int,
     *     stance?: string,
     * }>|null $combinations what was drilled; null keeps what is recorded, as for a session that ran
     */
    public function __construct(
        #[Assert\Regex('/^\d{4}-\d\d-\d\d$/D', message: 'A day is written as 2026-11-26.')]
        public string $day,
        #[Id]
        public ?string $id = null,
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name = '',
        public ?int $course = null,
        public ?int $coach = null,
        #[Assert\Range(min: 0, max: 500, notInRangeMessage: '{{ min }} to {{ max }} athletes.')]
        public ?int $orthodox = null,
        #[Assert\Range(min: 0, max: 500, notInRangeMessage: '{{ min }} to {{ max }} athletes.')]
        public ?int $southpaw = null,
        #[Assert\Count(max: 3, maxMessage: 'There are three levels.')]
        #[Assert\All([
            new Assert\NotNull(message: 'This is missing.'),
            new Assert\Type('int', message: 'A number of athletes is a whole number.'),
            new Assert\Range(min: 0, max: 500, notInRangeMessage: '{{ min }} to {{ max }} athletes.'),
        ])]
        public array $levels = [],
        #[Assert\Range(min: 0, max: 10, notInRangeMessage: 'Effort is {{ min }} to {{ max }}.')]
        public ?int $effort = null,
        #[Assert\Length(max: 2000, maxMessage: 'A note has at most {{ limit }} characters.')] public string $note = '',
        #[Assert\Count(max: 200, maxMessage: 'At most {{ limit }} links.')]
        #[Assert\All([
            new Assert\Collection(
                fields: [
                    'notation' => [
                        new Assert\NotNull(message: 'This is missing.'),
                        new Assert\Type('string', message: 'A chain is text.'),
                        new Assert\Length(max: 4000, maxMessage: 'A chain has at most {{ limit }} characters.'),
                    ],
                    'stance' => [
                        new Assert\NotNull(message: 'This is missing.'),
                        new Assert\Choice(
                            choices: ['orthodox', 'southpaw'],
                            message: 'A stance is orthodox or southpaw.',
                        ),
                    ],
                    'link' => [
                        new Assert\NotNull(message: 'This is missing.'),
                        new Assert\Type('int', message: 'Give each link by its index.'),
                        new Assert\Range(min: 0, max: 63, notInRangeMessage: 'There is no such link.'),
                    ],
                    'fault' => new Assert\Optional([
                        new Assert\Type('string', message: 'A fault is text.'),
                        new Assert\Length(
                            max: FallenLink::MAX_FAULT,
                            maxMessage: 'A fault has at most {{ limit }} characters.',
                        ),
                    ]),
                ],
                missingFieldsMessage: 'Name chain, stance and link of each.',
                extraFieldsMessage: 'This field is not known.',
            ),
        ])]
        public array $fallen = [],
        #[Assert\Count(max: self::MAX_COMBINATIONS, maxMessage: 'At most {{ limit }} combinations.')]
        #[Assert\All([
            new Assert\Collection(
                fields: [
                    'combination' => [
                        new Assert\NotNull(message: 'This is missing.'),
                        new Assert\Type('int', message: 'Give each combination by its id.'),
                    ],
                    'minutes' => [
                        new Assert\NotNull(message: 'This is missing.'),
                        new Assert\Type(['int', 'float'], message: 'Minutes are a number.'),
                        new Assert\Range(
                            min: 0.5,
                            max: 120,
                            notInRangeMessage: 'A combination is drilled {{ min }} to {{ max }} minutes.',
                        ),
                    ],
                    'stance' => new Assert\Optional([
                        new Assert\Choice(
                            choices: ['own', 'other', 'both'],
                            message: 'It was drilled in the own stance, in the other, or in both.',
                        ),
                    ]),
                ],
                missingFieldsMessage: 'Name combination and minutes of each.',
                extraFieldsMessage: 'This field is not known.',
            ),
        ])]
        public ?array $combinations = null,
        public ?int $plan = null,
    ) {
    }
}
