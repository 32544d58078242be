<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Timing\Moment;
use Periplus\Core\Notation\Span;

/** Where an item is in the text and when it happens. */
final readonly class ItemPlace
{
    public function __construct(
        public Span $span,
        public Moment $moment,
        public string $text,
        public string $words,
    ) {
    }
}
