<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Doctrine\ORM\Mapping as ORM;
use Periplus\Core\Flow\Timing\Verdict;

/** The result for one combination. Stored in bulk by {@see PreviewResults}. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'rule_preview_result')]
class RulePreviewResult
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(name: 'rule_preview_id', onDelete: 'CASCADE')]
        private RulePreview $preview,
        #[ORM\Id, ORM\Column(name: 'combination_id')]
        private int $combination,
        #[ORM\Column]
        private int $combinationVersion,
        #[ORM\Column(length: 10, enumType: Verdict::class)]
        private Verdict $verdictBefore,
        #[ORM\Column(length: 10, enumType: Verdict::class)]
        private Verdict $verdict,
        #[ORM\Column]
        private int $lengthMs,
        #[ORM\Column(type: 'smallint', options: ['default' => 1])]
        private int $level,
        #[ORM\Column(type: 'smallint', options: ['default' => 0])]
        private int $findingsAdded,
        #[ORM\Column(type: 'smallint', options: ['default' => 0])]
        private int $findingsRemoved,
    ) {
    }
}
