<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

enum TokenKind
{
    /** A number of a numbering, with its letters: 3b, 14h, K4. */
    case Number;
    case Word;
    /** A separator of phrases, such as a comma. Blanks and hyphens leave no token. */
    case Stop;
    /** One of ( ) [ ] + / * ! ~ > < ^ */
    case Sign;
    /** The count of a repeat, directly after its bracket: x3. */
    case Times;
    /** A character without meaning. */
    case Unknown;
}
