<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Combination\SaveRequest;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A combination as another gym offers it. */
final readonly class OfferedCombination implements OfferedThing
{
    /**
     * @param string $chain in parity numbering
     * @param list<string> $themes
     * @param int|null $level null where it follows the check
     * @param string $text the chain in the numbering of the gym that offers it
     * @param Verdict $verdict under the house rules of that gym
     */
    public function __construct(
        #[Assert\Regex('/^\d{1,9}$/D', message: 'A combination is known by its number.')]
        public string $item,
        #[Assert\NotBlank(message: 'Give it a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Length(max: Reader::MAX_LENGTH, maxMessage: 'A chain has at most {{ limit }} characters.')]
        public string $chain,
        public Stance $stance,
        public string $rules,
        #[Assert\Count(max: SaveRequest::MAX_THEMES, maxMessage: 'At most {{ limit }} themes.')]
        public array $themes = [],
        public ?int $level = null,
        #[Assert\Length(max: 2000, maxMessage: 'A note has at most {{ limit }} characters.')]
        public string $note = '',
        #[Assert\Length(max: 4000, maxMessage: 'A chain has at most {{ limit }} characters.')]
        public string $text = '',
        public Verdict $verdict = Verdict::Flows,
    ) {
    }

    public function kind(): OfferKind
    {
        return OfferKind::Combination;
    }

    public function item(): string
    {
        return $this->item;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** Does not change with the numbering or the house rules of the gym that offers it. */
    public function digest(): string
    {
        return Digest::of([
            $this->name,
            $this->chain,
            $this->stance,
            $this->rules,
            $this->themes,
            $this->level,
            $this->note,
        ]);
    }

    /** Returns what a coach would send to save it. */
    public function request(): SaveRequest
    {
        return new SaveRequest(
            name: $this->name,
            text: $this->chain,
            stance: $this->stance,
            rules: $this->rules,
            themes: $this->themes,
            level: $this->level,
            note: $this->note,
        );
    }
}
