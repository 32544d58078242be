<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\Technique\Limb;

/** A set of house rules as screens read it. */
readonly class ShownHouseRules
{
    public string $id;
    public string $name;
    /** @var list<Limb> what the sport lets land */
    public array $allows;
    public Schools $schools;
    /** @var \ArrayObject<string, string> by rule */
    public \ArrayObject $severities;
    /** @var \ArrayObject<string, int|float> by rule */
    public \ArrayObject $thresholds;
    /** @var \ArrayObject<string, float> the gym's own numbers of the model, by key */
    public \ArrayObject $calibration;

    public function __construct(HouseRules $rules)
    {
        $row = $rules->jsonSerialize();
        $this->id = $rules->id;
        $this->name = $rules->name;
        $this->allows = $rules->allows;
        $this->schools = $rules->schools;
        $this->severities = new \ArrayObject($row['severities']);
        $this->thresholds = new \ArrayObject($row['thresholds']);
        $this->calibration = new \ArrayObject($rules->calibration->own);
    }
}
