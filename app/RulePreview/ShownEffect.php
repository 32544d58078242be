<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Flow\Calibration\ChangedChain;
use Periplus\Core\Flow\Calibration\Effect;

/** How verdicts change when a number of the model is moved. */
final readonly class ShownEffect
{
    /** Maximum number of labelled chains that are named. */
    private const MAX_NAMED = 8;

    public float $to;
    /** Number of labelled chains whose verdict changes. */
    public int $labelled;
    /** @var list<ChangedChain> the first of them */
    public array $chains;
    public int $agree;
    public int $agreed;
    public int $gym;

    public function __construct(Effect $effect)
    {
        $this->to = $effect->to;
        $this->labelled = \count($effect->changed);
        $this->chains = \array_slice($effect->changed, 0, self::MAX_NAMED);
        $this->agree = $effect->agree;
        $this->agreed = $effect->agreed;
        $this->gym = $effect->gym;
    }
}
