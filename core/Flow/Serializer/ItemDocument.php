<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Technique\Role;

/** An item of a check: what every kind has. */
readonly class ItemDocument
{
    /** First character in the text that it was read from, and number of characters. */
    public int $at;
    public int $length;
    public string $text;
    public string $words;
    public int $startMs;
    public ?int $impactMs;
    public int $endMs;
    /** Share of the weight on the lead foot at the start and at the end. */
    public float $loadFrom;
    public float $load;
    /** Turn of the hips, -1 to 1. */
    public float $turn;
    public int $range;

    /** @param string $kind strike, move, beat or free */
    public function __construct(
        ItemPlace $place,
        public string $kind,
        public string $label,
        public ?Role $role = null,
    ) {
        $this->at = $place->span->at;
        $this->length = $place->span->length;
        $this->text = $place->text;
        $this->words = $place->words;
        $moment = $place->moment;
        $this->startMs = (int) round($moment->start);
        $this->impactMs = null === $moment->impact ? null : (int) round($moment->impact);
        $this->endMs = (int) round($moment->end);
        $this->loadFrom = round($moment->loadFrom, 3);
        $this->load = round($moment->load, 3);
        $this->turn = round($moment->turn, 3);
        $this->range = $moment->range;
    }
}
