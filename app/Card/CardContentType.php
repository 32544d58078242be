<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\App\Store\JsonValueType;

/** @extends JsonValueType<CardContent> */
final class CardContentType extends JsonValueType
{
    public const NAME = 'card_content';

    protected function value(array $stored): CardContent
    {
        /**
         * @var array{
         *     stance: string,
         *     numbering: string,
         *     group: string,
         *     combinations: non-empty-list<array{
         *         id: int,
         *         name: string,
         *         notation: string,
         *         stance: string,
         *         rules: string,
         *     }>,
         * } $stored
         */
        return CardContent::of($stored);
    }
}
