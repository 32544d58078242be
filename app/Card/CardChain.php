<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\App\Recording\PlayedRecording;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\FromAbove\FromAbove;

/** A combination of a card, in the athlete's stance. */
final readonly class CardChain
{
    /**
     * @param string $numbers in the numbering of the card
     * @param list<string> $words by side
     * @param FromAbove $fromAbove against both opponents
     * @param list<CardItem> $items
     * @param list<string> $reminders
     * @param list<PlayedRecording> $recordings
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $numbers,
        public array $words,
        public LineDrawing $line,
        public FromAbove $fromAbove,
        public int $lengthMs,
        public array $items,
        public array $reminders,
        public array $recordings,
    ) {
    }
}
