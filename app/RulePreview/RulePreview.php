<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\HouseRules\HouseRulesType;
use Periplus\App\Work\Proceeds;
use Periplus\Core\HouseRules\HouseRules;

/** A recheck of the library under changed house rules, and its progress. */
#[ORM\Entity]
#[ORM\Table(name: 'rule_preview')]
class RulePreview
{
    use Proceeds;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** The house rules that are changed. */
    #[ORM\Column(name: 'rules', length: 20)]
    private string $set;

    #[ORM\Column(length: 10, enumType: RulePreviewState::class)]
    private RulePreviewState $state = RulePreviewState::Running;

    #[ORM\Column]
    private int $done = 0;

    #[ORM\Column]
    private int $lastCombination = 0;

    /**
     * @param int $rulesVersion that the change was made from
     * @param int $total combinations under these rules
     */
    public function __construct(
        #[ORM\Column(name: 'content', type: HouseRulesType::NAME)]
        private HouseRules $rules,
        #[ORM\Column]
        private int $rulesVersion,
        #[ORM\Column]
        private int $total,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $starter,
        #[ORM\Column]
        private \DateTimeImmutable $startedAt,
    ) {
        $this->set = $rules->id;
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This preview is not stored yet.');
    }

    public function rules(): HouseRules
    {
        return $this->rules;
    }

    public function rulesVersion(): int
    {
        return $this->rulesVersion;
    }

    public function state(): RulePreviewState
    {
        return $this->state;
    }

    public function total(): int
    {
        return $this->total;
    }

    public function done(): int
    {
        return $this->done;
    }

    public function lastCombination(): int
    {
        return $this->lastCombination;
    }

    /** Records the progress after a batch. */
    public function advanceTo(int $done, int $lastCombination): void
    {
        $this->done += $done;
        $this->total = max($this->total, $this->done);
        $this->lastCombination = $lastCombination;
    }

    /** Marks it as complete, with the current number of combinations. */
    public function complete(int $total): void
    {
        $this->done = $this->total = $total;
        $this->state = RulePreviewState::Ready;
    }

    /** Keeps it as what an update of the check changed. */
    public function updated(): void
    {
        $this->state = RulePreviewState::Updated;
    }

    public function saved(): void
    {
        $this->state = RulePreviewState::Saved;
    }
}
