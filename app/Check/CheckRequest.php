<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Balance\Athlete;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A text and the options of its check. The reader handles any text up to the maximum request size. */
final readonly class CheckRequest
{
    public function __construct(
        public string $text,
        public Stance $stance = Stance::Orthodox,
        public Stance $opponent = Stance::Orthodox,
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        )]
        /** As the chain asks for when null. */
        public ?string $rules = null,
        public string $numbering = 'parity',
        #[Assert\Range(
            min: CheckOptions::FASTEST,
            max: CheckOptions::SLOWEST,
            notInRangeMessage: 'The tempo is {{ min }} to {{ max }}.',
        )]
        public float $tempo = 1.0,
        public Medium $medium = Medium::Shadow,
        public Group $group = Group::Open,
        #[Assert\Choice(callback: [Athlete::class, 'ids'], message: 'The athlete is small, middle or tall.')]
        public string $athlete = Athlete::DEFAULT,
        #[Assert\Range(min: 120, max: 220, notInRangeMessage: 'The body height is {{ min }} to {{ max }} cm.')]
        public ?float $heightCm = null,
        #[Assert\Range(min: 25, max: 100, notInRangeMessage: 'The stance length is {{ min }} to {{ max }} cm.')]
        public ?float $stanceCm = null,
        /** The numbering of the answer; null for that of the text. */
        public ?string $readIn = null,
        /** @var list<string> the sizes in which the picture is wanted */
        #[Assert\Count(max: 4)]
        #[Assert\All([
            new Assert\Choice(callback: [self::class, 'sizes'], message: 'A size is row, card, full, sheet or wall.'),
        ])]
        public array $draw = [],
        /** @var list<string> what is asked for beside the check */
        #[Assert\Count(max: 5)]
        #[Assert\All([
            new Assert\Choice(
                callback: [self::class, 'parts'],
                message: 'A part is fromAbove, next, edits, similar or mends.',
            ),
        ])]
        public array $with = [],
        /** Position of the cursor in characters: the item there is continued or edited; null for the last item. */
        #[Assert\PositiveOrZero(message: 'A place in the text is counted from 0.')]
        public ?int $caret = null,
        /** The combination that is being edited; it is not listed as similar to itself. */
        public ?int $except = null,
    ) {
    }

    /** @return list<string> */
    public static function sizes(): array
    {
        return array_column(LineSize::cases(), 'value');
    }

    /** @return list<string> */
    public static function parts(): array
    {
        return array_column(Part::cases(), 'value');
    }

    public function chainText(GymNumberings $numberings): ChainText
    {
        return new ChainText(
            $this->text,
            $this->stance,
            $numberings->named($this->numbering),
            null === $this->readIn ? null : $numberings->named($this->readIn),
        );
    }

    /** @param HouseRules $rules the gym's set that the request names */
    public function options(HouseRules $rules): CheckOptions
    {
        return new CheckOptions(
            $rules,
            $this->tempo,
            $this->medium,
            $this->group,
            Athlete::sized($this->athlete, $this->heightCm, $this->stanceCm),
            $this->opponent,
        );
    }

    /** @return list<LineSize> */
    public function draw(): array
    {
        return array_map(LineSize::from(...), array_values(array_unique($this->draw)));
    }
}
