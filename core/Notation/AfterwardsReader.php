<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\StrikeItem;

use function Periplus\Core\Language\t;

/**
 * Reads what is said after strikes, by itself, and changes them: "hard", "all light", "both to the body", "landing in
 * front", "the leg stays up". What holds for all holds for the whole line, wherever it stands.
 *
 * @internal to {@see ChainParser}
 */
final class AfterwardsReader
{
    private Effort $ofAll = Effort::Plain;
    private ?string $targetOfAll = null;
    private Effort $ofLast = Effort::Plain;

    public function __construct(
        private readonly TokenStream $tokens,
        private readonly Diagnostics $diagnostics,
        private readonly ChainDraft $draft,
        private readonly StrikePhraseParser $strikes,
        private readonly MovePhraseParser $moves,
        private readonly StrikeResolver $resolver,
        private readonly StrikeReader $strikeReader,
    ) {
    }

    /** @return bool whether there was something of the kind */
    public function read(): bool
    {
        $word = $this->tokens->word();

        return match (true) {
            isset(Vocabulary::EFFORTS[$word]) => $this->effort(Vocabulary::EFFORTS[$word]),
            'all' === $word, 'both' === $word => $this->several('all' === $word),
            'landing' === $word => $this->landing(),
            'leg-up' === $word => $this->legUp(),
            'at-end' === $word => $this->atEnd(),
            default => false,
        };
    }

    /** Applies what was said of the whole line and of its last strike. */
    public function finish(): void
    {
        $holdsForAll = Effort::Plain !== $this->ofAll || null !== $this->targetOfAll;
        foreach ($holdsForAll ? $this->draft->strikes() : [] as $index) {
            $this->change($index, $this->ofAll, $this->targetOfAll);
        }
        $last = $this->lastStrike();
        if (Effort::Plain !== $this->ofLast && null !== $last) {
            $this->change($last, $this->ofLast, null);
        }
    }

    /** Reads "jab, cross, hard" and "power at the end"; before a move it is passed over. */
    private function effort(Effort $effort): bool
    {
        $index = $this->tokens->position();
        if ('all' === $this->tokens->word(1)) {
            $this->ofAll = $effort;

            return $this->holds($index + 2, t('This is read for every strike.'));
        }
        if ('at-end' === $this->tokens->word(1)) {
            $this->ofLast = $effort;

            return $this->holds($index + 2, t('This is read for the last strike.'));
        }
        if (null !== $this->moves->parse($this->tokens, $index + 1)) {
            $this->diagnostics->passOver($this->tokens->take()->span);

            return true;
        }
        $last = $this->lastStrike();
        if (null === $last || !$this->endsHere($index + 1)) {
            return false;
        }
        $this->change($last, $effort, null);

        return $this->holds($index + 1, t('This is read for the strike before it.'));
    }

    /** Takes all up to that token, and says of which strikes it is read. */
    private function holds(int $next, string $message): bool
    {
        $this->diagnostics->note($this->tokens->span($this->tokens->position(), $next), $message);
        $this->tokens->moveTo($next);

        return true;
    }

    private function atEnd(): bool
    {
        $this->diagnostics->passOver($this->tokens->take()->span);

        return true;
    }

    /** Reads "all light", "both to the body" and "both hard". */
    private function several(bool $isAll): bool
    {
        $index = $this->tokens->position();
        $next = $index + 1;
        $next += \in_array($this->tokens->words[$next] ?? '', ['to', 'at'], true) ? 1 : 0;
        $next += isset(Vocabulary::ARTICLES[$this->tokens->words[$next] ?? '']) ? 1 : 0;
        $word = $this->tokens->words[$next] ?? '';
        $effort = Vocabulary::EFFORTS[$word] ?? Effort::Plain;
        $target = isset(Vocabulary::TARGETS[$word]) ? $word : null;
        if (Effort::Plain === $effort && null === $target) {
            return false;
        }
        if ($isAll) {
            [$this->ofAll, $this->targetOfAll] = [
                Effort::Plain === $effort ? $this->ofAll : $effort,
                $target ?? $this->targetOfAll,
            ];
        } else {
            $strikes = \array_slice($this->draft->strikes(), -2);
            if (\count($strikes) < 2 || null !== $this->strikes->parse($this->tokens, $next)) {
                return false;
            }
            foreach ($strikes as $place) {
                $this->change($place, $effort, $target);
            }
        }

        return $this->holds(
            $next + 1,
            $isAll ? t('This is read for every strike.') : t('This is read for the two strikes before it.'),
        );
    }

    private function landing(): bool
    {
        $index = $this->tokens->position();
        $landing = StrikePhraseParser::landing($this->tokens, $index);
        $place = $this->lastStrike();
        if (Landing::Back === $landing || null === $place) {
            return false;
        }
        $this->tokens->moveTo($index + 2);
        $item = $this->draft->items[$place];
        $landed =
            $item instanceof StrikeItem
                ? $this->resolver->landing($item, $landing, $this->tokens->span($index, $index + 2))
                : null;
        if (null !== $landed) {
            $this->draft->change($place, $landed);
            $this->diagnostics->note(
                $this->tokens->span($index, $index + 2),
                t('This is read for the strike before it.'),
            );
        }

        return true;
    }

    private function legUp(): bool
    {
        $index = $this->tokens->position();
        $place = $this->lastStrike();
        $this->tokens->moveTo($index + 1);
        $item = null === $place ? null : $this->draft->items[$place];
        $isUp =
            null !== $place && $item instanceof StrikeItem && $this->draft->change($place, $item->with(legUp: true));
        $next = $this->tokens->position();
        $next += TokenKind::Stop === $this->tokens->peek()?->kind ? 1 : 0;
        if ($isUp) {
            $this->diagnostics->note(
                $this->tokens->span($index, $index + 1),
                t('This is read for the strike before it.'),
            );
        }
        $phrase = $isUp ? null : $this->strikes->parse($this->tokens, $next);
        if (null !== $phrase) {
            // "Low kick, leg stays up, high kick".
            $this->strikeReader->add($phrase->with(legUp: true), false, false);

            return true;
        }
        if (!$isUp) {
            $this->diagnostics->problem(
                $this->tokens->span($index, $index + 1),
                t('A leg stays up only from one kick or knee to the next of the same leg.'),
                t('two kicks of one leg before it'),
                ['14l ^14h'],
            );
        }

        return true;
    }

    private function change(int $place, Effort $effort, ?string $targetWord): void
    {
        $item = $this->draft->items[$place];
        if (!$item instanceof StrikeItem) {
            return;
        }
        $target = null === $targetWord ? $item->target : Vocabulary::TARGETS[$targetWord];
        try {
            $this->draft->change(
                $place,
                $item->by($item->strike, $target)->with(effort: Effort::Plain === $effort ? $item->effort : $effort),
            );
        } catch (InvalidChain $invalid) {
            $span = $this->draft->spans[$place];
            $this->diagnostics->note($span, $invalid->getMessage());
        }
    }

    private function lastStrike(): ?int
    {
        $strikes = $this->draft->strikes();

        return $strikes[\count($strikes) - 1] ?? null;
    }

    private function endsHere(int $index): bool
    {
        $token = $this->tokens->at($index);

        return null === $token
            || TokenKind::Stop === $token->kind
            || \in_array($token->text, [']', ')'], true)
            || isset(Vocabulary::FILLERS[$this->tokens->words[$index]]);
    }
}
