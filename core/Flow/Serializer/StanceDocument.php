<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Contact;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Notation\Words;
use Periplus\Core\Technique\Stance;

/** A chain in one stance: what lands where on the opponent. */
final readonly class StanceDocument
{
    public Stance $stance;
    /** @var list<string> by side, of each item */
    public array $words;
    /** @var list<list<string>> in words, of each item */
    public array $contacts;
    /** @var list<Stance> before each item */
    public array $runningStances;
    public Stance $endStance;
    public GuardDocument $guard;

    public function __construct(ChainInStance $chain, Opponent $opponent, public string $text)
    {
        $this->stance = $chain->stance;
        $this->words = Words::bySide()->items($chain);
        $this->contacts = array_map(
            static fn (int $index): array => array_map(
                static fn (Contact $contact): string => $contact->words(),
                $opponent->contacts($chain, $index),
            ),
            array_keys($chain->chain->items),
        );
        $this->runningStances = $chain->stances;
        $this->endStance = $chain->end;
        $this->guard = new GuardDocument(
            $opponent->isOpenTo($chain->stance),
            $opponent->safeSide(),
            $opponent->guard($chain->stance),
        );
    }
}
