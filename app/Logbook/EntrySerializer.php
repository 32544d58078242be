<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Advice\GymAdvice;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Advice\Fault;
use Periplus\Core\Session\Advice\FaultChoice;
use Periplus\Core\Technique\Stance;

/** Serializes an entry with the lines of its combinations, so that a coach can tap the link that fell apart. */
final readonly class EntrySerializer
{
    public function __construct(
        private LineRenderer $lines,
        private Reader $reader,
        private Check $check,
        private GymHouseRules $rules,
        private GymAdvice $advice,
    ) {
    }

    public function serialize(LogEntry $entry, Numbering $numbering): OpenEntry
    {
        // Under the rules for all limbs everything can be drawn.
        $rules = $entry->course()?->content()->rules ?? 'all-limbs';
        $rows = $fallen = [];
        foreach ($entry->drilled() as $row) {
            if (null !== $row->notation) {
                $rows[$row->chainKey()][] = $row;
            }
        }
        foreach ($entry->fallen() as $link) {
            $fallen[$link->chainKey()][] = new ShownFallenLink($link);
        }

        return new OpenEntry($entry->row(), array_map(
            fn (array $ofChain, string $key): DrilledCombination => new DrilledCombination(
                $ofChain,
                $this->lines->ofChain(
                    (string) $ofChain[0]->notation,
                    $ofChain[0]->stance,
                    $rules,
                    $numbering,
                    LineSize::Card,
                ),
                $fallen[$key] ?? [],
                $this->faults((string) $ofChain[0]->notation, $ofChain[0]->stance, $rules),
            ),
            $rows,
            array_keys($rows),
        ));
    }

    /** @return list<list<Fault>> what to look for at each link of a chain */
    private function faults(string $notation, Stance $stance, string $rules): array
    {
        $chain = $this->reader->readStored($notation, $stance);
        if (null === $chain) {
            return [];
        }
        $choice = new FaultChoice($this->advice->advice());
        $result = $this->check->run($chain, new CheckOptions($this->rules->named($rules)));

        return array_map(
            static fn (Link $link): array => $choice->atLink($result, $link->from()),
            $result->timing->links,
        );
    }
}
