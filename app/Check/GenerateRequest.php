<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Periplus\Core\Flow\Generate\GenerationCriteria;
use Periplus\Core\Flow\Generate\Theme;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** Criteria for generated chains, and the stance and numbering of the answer. */
final readonly class GenerateRequest
{
    /** @param list<string> $weapons */
    public function __construct(
        #[Assert\Range(
            min: GenerationCriteria::MIN_STRIKES,
            max: GenerationCriteria::MAX_STRIKES,
            notInRangeMessage: 'A generated chain has {{ min }} to {{ max }} strikes.',
        )]
        public int $length = 4,
        #[Assert\Count(min: 1, max: 4, minMessage: 'Choose at least one weapon.')]
        #[Assert\All([
            new Assert\NotNull(message: 'A weapon is hand, elbow, leg or knee.'),
            new Assert\Choice(
                choices: ['hand', 'elbow', 'leg', 'knee'],
                message: 'A weapon is hand, elbow, leg or knee.',
            ),
        ])]
        public array $weapons = ['hand'],
        #[Assert\Range(min: 1, max: 3, notInRangeMessage: 'The level is 1, 2 or 3.')] public ?int $level = null,
        public ?Theme $theme = null,
        public bool $switches = false,
        #[Assert\Choice(
            choices: ['hint', 'should', 'must'],
            message: 'The lightest finding to avoid is hint, should or must.',
        ),]
        public string $clean = 'should',
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        ),]
        public string $rules = 'boxing',
        #[Assert\Range(
            min: CheckOptions::FASTEST,
            max: CheckOptions::SLOWEST,
            notInRangeMessage: 'The tempo is {{ min }} to {{ max }}.',
        ),]
        public float $tempo = 1.0,
        #[Assert\Range(min: 0, max: 2_147_483_647, notInRangeMessage: 'A seed is {{ min }} to {{ max }}.'),]
        public int $seed = 1,
        #[Assert\Range(
            min: 1,
            max: GenerationCriteria::MAX_CHAINS,
            notInRangeMessage: '{{ min }} to {{ max }} chains can be generated at a time.',
        ),]
        public int $count = 8,
        #[Assert\Range(
            min: 0,
            max: GenerationCriteria::MOST_SURPRISE,
            notInRangeMessage: 'The surprise is {{ min }} to {{ max }}.',
        ),]
        public int $surprise = 0,
        /** Beginners get level 1 unless another is requested. */
        public Group $group = Group::Open,
        public Stance $stance = Stance::Orthodox,
        public string $numbering = 'parity',
    ) {
    }

    /** @param HouseRules $rules the gym's set that the request names */
    public function criteria(HouseRules $rules): GenerationCriteria
    {
        $weapons = array_map(Limb::from(...), array_values(array_unique($this->weapons)));

        return new GenerationCriteria(
            options: new CheckOptions($rules, $this->tempo, group: $this->group),
            length: $this->length,
            weapons: [] === $weapons ? [Limb::Hand] : $weapons,
            level: $this->level ?? (Group::Beginners === $this->group ? 1 : null),
            theme: $this->theme,
            switches: $this->switches,
            clean: Severity::from($this->clean),
            seed: $this->seed,
            count: $this->count,
            surprise: $this->surprise,
        );
    }
}
