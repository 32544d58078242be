<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A number of a numbering as it was written, with the letters directly behind it: "3b". */
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
