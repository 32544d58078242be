<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Session\Sequence\Sequencer;
use Symfony\Component\Validator\Constraints as Assert;

/** Chains to be ordered. */
final readonly class SequenceRequest
{
    /** @param list<array{chain: string, stance?: string}> $combinations */
    public function __construct(
        #[Assert\Count(
            max: Sequencer::MAX_COMBINATIONS,
            maxMessage: 'At most {{ limit }} combinations can be ordered at a time.',
        )]
        #[Assert\All([
            new Assert\Collection(
                fields: [
                    'chain' => new Assert\Sequentially([
                        new Assert\NotNull(message: 'This is missing.'),
                        new Assert\Type('string'),
                        new Assert\Length(max: 1000),
                    ]),
                    'stance' => new Assert\Optional(new Assert\Choice(choices: ['orthodox', 'southpaw'])),
                ],
                extraFieldsMessage: 'A combination has a chain and a stance.',
            ),
        ])]
        public array $combinations,
        public string $numbering = 'parity',
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        )]
        public string $rules = 'all-limbs',
    ) {
    }
}
