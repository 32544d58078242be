<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Reads the signs of the notation that stand for something: ! ~ > behind a strike, and * for free strikes.
 *
 * @internal to {@see ChainParser}
 */
final readonly class MarkReader
{
    public function __construct(
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
    ) {
    }

    /** Reads ! ~ or > after a strike. */
    public function mark(): void
    {
        $token = $this->tokens->take();
        $item = $this->draft->last();
        $name = match ($token->text) {
            '!' => t('A ! marks a hard strike'),
            '~' => t('A ~ marks a light strike'),
            default => t('A > marks a kick that lands forward'),
        };
        if (
            '>' === $token->text
            && $item instanceof StrikeItem
            && !StrikeItem::canLandForward($item->strike)
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
            $changed = match ($token->text) {
                '!' => $item->with(effort: Effort::Hard),
                '~' => $item->with(effort: Effort::Light),
                default => $item->with(landsForward: true),
            };
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem(
                $token->span,
                $invalid->getMessage(),
                t('a kick or knee of the rear leg before it'),
                ['14>'],
            );

            return;
        }
        $this->draft->replaceLast($changed, $token->span);
    }

    /** Reads free strikes: "*" or "*3". */
    public function free(): void
    {
        $star = $this->tokens->take();
        $count = $this->tokens->peek();
        if (null === $count || TokenKind::Number !== $count->kind || $count->span->at !== $star->span->at + 1) {
            $this->draft->add(new FreeStrikes(1), $star->span);

            return;
        }
        $this->tokens->take();
        $this->addFree($count->text, $star->span->until($count->span));
    }

    public function addFree(string $count, Span $span): void
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
                new FreeStrikes((int) $parts[1], '' === $parts[2] ? null : Target::from(strtolower($parts[2]))),
                $span,
            );
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), t('a count, such as *3'), ['*3']);
        }
    }
}
