<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Catalogue;

/**
 * The readers of one line, each made when it is first needed: most lines need few of them.
 *
 * @internal to {@see ChainParser}
 */
final class Readers
{
    public readonly EffortSpread $spread;
    private readonly StrikeResolver $strikeResolver;
    private ?MoveResolver $moveResolver = null;
    private ?MoveReader $move = null;
    private ?StrikeReader $strike = null;
    private ?JoinedReader $joined = null;
    private ?MarkReader $mark = null;
    private ?ChoiceReader $choice = null;
    private ?AfterwardsReader $afterwards = null;
    private ?WithMoveReader $withMove = null;
    private ?TargetRowReader $target = null;
    private ?ImpliedReader $implied = null;
    private ?EffortRowReader $effortRow = null;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Vocabulary $vocabulary,
        private readonly StrikePhraseParser $strikes,
        private readonly MovePhraseParser $moves,
        private readonly Numbering $numbering,
        private readonly TokenStream $tokens,
        private readonly Diagnostics $diagnostics,
        private readonly ChainDraft $draft,
    ) {
        $this->spread = new EffortSpread($diagnostics);
        $this->strikeResolver = new StrikeResolver($catalogue, $vocabulary, $numbering, $diagnostics);
    }

    public function strike(): StrikeReader
    {
        return $this->strike ??= new StrikeReader(
            catalogue: $this->catalogue,
            vocabulary: $this->vocabulary,
            tokens: $this->tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
            strikes: $this->strikes,
            resolver: $this->strikeResolver,
            moves: $this->moves,
            readers: $this,
        );
    }

    public function move(): MoveReader
    {
        return $this->move ??= new MoveReader(
            $this->tokens,
            $this->diagnostics,
            $this->draft,
            $this->moves,
            $this->moveResolver(),
        );
    }

    public function joined(): JoinedReader
    {
        return $this->joined ??= new JoinedReader(
            catalogue: $this->catalogue,
            vocabulary: $this->vocabulary,
            numbering: $this->numbering,
            tokens: $this->tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
            strikes: $this->strikes,
            moves: $this->moves,
            strikeReader: $this->strike(),
        );
    }

    public function mark(): MarkReader
    {
        return $this->mark ??= new MarkReader($this->tokens, $this->diagnostics, $this->draft, $this->choice());
    }

    public function choice(): ChoiceReader
    {
        return $this->choice ??= new ChoiceReader(
            $this->vocabulary,
            $this->tokens,
            $this->diagnostics,
            $this->strikes,
            $this->strikeResolver,
        );
    }

    public function afterwards(): AfterwardsReader
    {
        return $this->afterwards ??= new AfterwardsReader(
            tokens: $this->tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
            strikes: $this->strikes,
            moves: $this->moves,
            resolver: $this->strikeResolver,
            strikeReader: $this->strike(),
        );
    }

    public function withMove(): WithMoveReader
    {
        return $this->withMove ??= new WithMoveReader(
            catalogue: $this->catalogue,
            tokens: $this->tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
            moves: $this->moves,
            resolver: $this->moveResolver(),
            moveReader: $this->move(),
            strikes: $this->strikes,
            strikeReader: $this->strike(),
        );
    }

    public function target(): TargetRowReader
    {
        return $this->target ??= new TargetRowReader(
            $this->catalogue,
            $this->tokens,
            $this->diagnostics,
            $this->draft,
        );
    }

    public function implied(): ImpliedReader
    {
        return $this->implied ??= new ImpliedReader(
            catalogue: $this->catalogue,
            tokens: $this->tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
            strikes: $this->strikes,
            moves: $this->moves,
            strikeReader: $this->strike(),
        );
    }

    public function effortRow(): EffortRowReader
    {
        return $this->effortRow ??= new EffortRowReader(
            $this->tokens,
            $this->diagnostics,
            $this->draft,
            $this->strikes,
            $this->silentResolver(),
            $this->spread,
        );
    }

    /** Returns one that says nothing of how it reads a strike. */
    public function silentResolver(): StrikeResolver
    {
        return new StrikeResolver($this->catalogue, $this->vocabulary, $this->numbering, new Diagnostics());
    }

    /** Adds what a clause has set up. */
    public function endClause(): void
    {
        $this->implied?->endClause();
    }

    /** Ends what holds up to the end of the line, and applies what was said of all of it. */
    public function finish(): void
    {
        $this->endClause();
        $this->spread->end();
        $this->afterwards?->finish();
        // These know each other in a circle, which would hold the memory of the line until it is collected.
        $this->strike = $this->joined = $this->afterwards = $this->withMove = $this->implied = null;
    }

    private function moveResolver(): MoveResolver
    {
        return $this->moveResolver ??= new MoveResolver(
            catalogue: $this->catalogue,
            vocabulary: $this->vocabulary,
            strikes: $this->strikes,
            moves: $this->moves,
            numbering: $this->numbering,
            tokens: $this->tokens,
            diagnostics: $this->diagnostics,
        );
    }
}
