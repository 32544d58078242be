<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Recording\PlayedRecording;
use Periplus\App\Recording\Recording;
use Periplus\App\Recording\Recordings;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Item;
use Periplus\Core\Drawing\LineDrawer;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Moment;
use Periplus\Core\FromAbove\ViewDrawer;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Advice\ReminderChoice;
use Periplus\Core\Technique\Stance;

/** Serializes a card for the athlete: in their stance and the numbering of the card, with reminders. */
final readonly class CardSerializer
{
    public function __construct(
        private GymNumberings $numberings,
        private GymHouseRules $rules,
        private Reader $reader,
        private Check $check,
        private Recordings $recordings,
    ) {
    }

    public function serialize(Card $card, string $gym): CardDocument
    {
        $content = $card->content();
        $numbering = $this->numberings->all()[$content->numbering]->numbering ?? Numbering::named('parity');
        $writer = new Writer($numbering);
        $reminders = new ReminderChoice(Advice::builtIn());
        $combinations = [];
        foreach ($content->combinations as $row) {
            $chain = $this->reader->readStored($row->notation, $row->stance)?->chain;
            if (null === $chain) {
                continue;
            }
            $inStance = new ChainInStance($chain, $content->stance);
            $options = new CheckOptions($this->rules->named($row->rules), group: $content->group);
            $result = $this->check->run($inStance, $options);
            $combinations[] = new CardChain(
                id: $row->id,
                name: $row->name,
                numbers: $writer->write($inStance),
                words: Words::bySide()->items($inStance),
                line: (new LineDrawer($writer))->draw($inStance, $result->timing, $result->sway, LineSize::Card),
                fromAbove: ViewDrawer::draw($inStance, $result->timing, $result->sway, $options->athlete)
                    ->inStance($content->stance),
                lengthMs: (int) ceil($result->timing->length()),
                items: array_map(
                    static fn (Item $item, Moment $moment): CardItem => new CardItem($item, $moment),
                    $chain->items,
                    $result->timing->moments,
                ),
                reminders: array_column($reminders->for($result), 'text'),
                recordings: array_map(
                    static fn (Recording $one): PlayedRecording => $one->played(),
                    $this->recordingsOf($chain),
                ),
            );
        }

        return new CardDocument($card->name(), $gym, $content->stance, $numbering->name, $combinations);
    }

    /** @return list<Recording> all that can be played on a card */
    public function recordings(Card $card): array
    {
        $recordings = [];
        foreach ($card->content()->combinations as $row) {
            $chain = $this->reader->readStored($row->notation, $row->stance)?->chain;
            array_push($recordings, ...(null === $chain ? [] : $this->recordingsOf($chain)));
        }

        return $recordings;
    }

    /** @return list<Recording> */
    private function recordingsOf(Chain $chain): array
    {
        return $this->recordings->ofChain(Fingerprint::of($chain)->plain, $chain->techniques());
    }
}
