<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A number as the coach typed it, with the letters directly after it: "3b" is 3 and b. */
final readonly class WrittenNumber
{
    public string $code;
    public string $letters;

    public function __construct(string $text)
    {
        $digits = strcspn($text, '0123456789');
        $digits += strspn($text, '0123456789', $digits);
        $this->code = substr($text, 0, $digits);
        $this->letters = substr($text, $digits);
    }
}
