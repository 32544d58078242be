<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Store\JsonValueType;
use Periplus\Core\Session\Run\RunState;

/** @extends JsonValueType<RunState> */
final class RunStateType extends JsonValueType
{
    public const NAME = 'run_state';

    protected function value(array $stored): RunState
    {
        /**
         * @var array{
         *     zeroMs: int,
         *     passage: string,
         *     pausedMs: int|null,
         *     endedMs: int|null,
         *     speed: int,
         *     holdMs: int|null,
         * } $stored
         */
        return RunState::of($stored);
    }
}
