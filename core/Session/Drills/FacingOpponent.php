<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drills;

use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** What drills against an opponent have in common: with what one may counter, and how the opponent stands. */
final class FacingOpponent
{
    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            Parameter::choices('counters', t('Counters with'), ['hand'], WeaponChoices::ALL),
            Parameter::choice('opponent', t('Opponent'), 'same', [
                'same' => t('in the same stance'),
                'opposite' => t('in the opposite stance'),
            ]),
        ];
    }

    /** @return list<Limb> that may counter */
    public static function limbs(DrillRun $run): array
    {
        return WeaponChoices::limbs($run->parameters->choices('counters'));
    }

    /** Returns the stance of the opponent of an orthodox athlete. */
    public static function stance(DrillRun $run): Stance
    {
        return 'same' === $run->parameters->text('opponent') ? Stance::Orthodox : Stance::Southpaw;
    }

    /** Returns a key for everything but the chains on which answers depend. */
    public static function key(DrillRun $run): string
    {
        return implode(' ', [
            spl_object_id($run->options->rules),
            $run->options->tempo,
            $run->options->medium->value,
            $run->parameters->text('opponent'),
            ...$run->parameters->choices('counters'),
        ]);
    }
}
