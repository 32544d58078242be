<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Reads the signs of the notation that stand for something: ! ~ > < _ behind a strike, and * for free strikes.
 *
 * @internal to {@see ChainParser}
 */
final readonly class MarkReader
{
    public function __construct(
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
        private ChoiceReader $choice,
    ) {
    }

    /** Reads ! ~ > < or _ after a strike, and ! or ~ after free strikes. */
    public function mark(): void
    {
        $token = $this->tokens->take();
        $item = $this->draft->last();
        $effort = Effort::tryFrom($token->text);
        $name = match ($token->text) {
            '!' => t('A ! marks a hard strike'),
            '~' => t('A ~ marks a light strike'),
            '>' => t('A > marks a kick that lands forward'),
            '_' => t('A _ marks a kick that lands half way'),
            default => t('A < marks a kick that lands behind'),
        };
        if ($item instanceof FreeStrikes && null !== $effort) {
            $this->draft->replaceLast($item->with($effort), $token->span);

            return;
        }
        if (
            '>' === $token->text
            && $item instanceof StrikeItem
            && !Landing::Forward->isOpenTo($item->strike)
            && null !== $this->tokens->peek()
        ) {
            // Without blanks, "jab>cross" is an arrow from one strike to the next.
            return;
        }
        if (!($item instanceof StrikeItem) || $this->draft->lastSpan()?->at > $token->span->at) {
            $this->diagnostics->problem(
                $token->span,
                t('{sign} and directly follows it.', sign: $name),
                t('a strike before it'),
                ['2'.$token->text],
            );

            return;
        }
        try {
            $changed =
                null === $effort
                    ? $item->with(landing: Landing::from($token->text))
                    : $item->with(effort: $effort);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem(
                $token->span,
                $invalid->getMessage(),
                '<' === $token->text
                    ? t('a kick or knee of the lead leg before it')
                    : t('a kick or knee of the rear leg before it'),
                [('<' === $token->text ? '13' : '14').$token->text],
            );

            return;
        }
        $this->draft->replaceLast($changed, $token->span);
    }

    /** Reads free strikes: "*", "*3" or "*(1,2)3". */
    public function free(): void
    {
        $before = $this->tokens->at($this->tokens->position() - 1);
        $star = $this->tokens->take();
        if (null !== $before && $before->span->at + $before->span->length === $star->span->at) {
            $this->diagnostics->note($star->span, t('A * stands for free strikes; x repeats the strike before it.'), [
                ' *',
                ' x',
            ]);
        }
        $last = $star;
        $choice = [];
        if ($this->tokens->isSign('(') && $this->tokens->peek()?->span->at === $star->span->at + 1) {
            $choice = $this->choice->inBrackets($this->draft);
            if (null === $choice) {
                return;
            }
            $last = $this->tokens->at($this->tokens->position() - 1) ?? $star;
        }
        $count = $this->tokens->peek();
        if (TokenKind::Number !== $count?->kind || $count->span->at !== $last->span->at + $last->span->length) {
            $this->addFree('1', $star->span->until($last->span), $choice);

            return;
        }
        $this->tokens->take();
        $this->addFree($count->text, $star->span->until($count->span), $choice);
    }

    /** @param list<StrikeItem> $choice the strikes to choose from; empty for all */
    private function addFree(string $count, Span $span, array $choice): void
    {
        if (1 !== preg_match('/^(\d{1,3})([hbl]?)$/i', $count, $parts)) {
            $this->diagnostics->problem(
                $span,
                t('"{excerpt}" is not a count of free strikes.', excerpt: Diagnostics::excerpt($count)),
                t('a count, such as *3'),
                ['*3'],
            );

            return;
        }
        try {
            $this->draft->add(
                new FreeStrikes(
                    (int) $parts[1],
                    '' === $parts[2] ? null : Target::from(strtolower($parts[2])),
                    choice: $choice,
                ),
                $span,
            );
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), t('a count, such as *3'), ['*3']);
        }
    }
}
