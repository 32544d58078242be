<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Store\JsonValueType;
use Periplus\Core\Session\Load\Figures;

/** @extends JsonValueType<Figures> */
final class FiguresType extends JsonValueType
{
    public const NAME = 'figures';

    protected function value(array $stored): Figures
    {
        /** @var array<string, float|int> $stored */
        return Figures::stored($stored);
    }
}
