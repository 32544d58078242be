<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Technique\Data;

/** The colours of core/data/palette.json, which screens and paper share. */
final readonly class Palette
{
    /** @return string such as #1c2431 */
    public static function colour(string $name): string
    {
        /** @var array<string, string>|null $colours */
        static $colours = null;
        if (null === $colours) {
            /** @var array{colours: array<string, string>} $data */
            $data = Data::read('palette');
            $colours = $data['colours'];
        }

        return $colours[$name] ?? throw new \OutOfBoundsException(\sprintf('There is no colour "%s".', $name));
    }
}
