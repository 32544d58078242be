<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Drill\DrillDefinition;
use Periplus\Core\Session\Drill\Parameter;

/** A drill as the planner shows it. */
final readonly class ShownDrill
{
    public string $id;
    public string $title;
    public string $about;
    /** Minimum and maximum number of combinations. */
    public int $least;
    public int $most;
    /** @var list<ShownParameter> */
    public array $parameters;
    /** Whether it can be done in the rest after a round. */
    public bool $inRest;
    public bool $isWork;
    public bool $withPartner;

    public function __construct(DrillDefinition $drill)
    {
        $this->id = $drill->id;
        $this->title = $drill->title;
        $this->about = $drill->about;
        [$this->least, $this->most] = $drill->combinations;
        $this->parameters = array_map(
            static fn (Parameter $parameter): ShownParameter => new ShownParameter($parameter),
            $drill->parameters,
        );
        $this->inRest = $drill->inRest;
        $this->isWork = $drill->isWork;
        $this->withPartner = $drill->withPartner;
    }
}
