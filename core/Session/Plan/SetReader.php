<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drills\DrillRegistry;

use function Periplus\Core\Language\t;

/**
 * Reads one set of a round: its drill, the drill's parameters and its combinations.
 *
 * @internal to {@see PlanReader}
 */
final readonly class SetReader
{
    /** Maximum number of sets of a round, and of combinations of a set. */
    public const MAX_SETS = 40;

    public function __construct(private Advice $advice, private CombinationReader $combinations)
    {
    }

    public function read(PlanFields $fields, int $seconds, RoundSettings $settings): ?Set
    {
        $id = $fields->text('drill', t('The drill'), 40, PlanReader::DRILL);
        $drill = DrillRegistry::named($id);
        if (null === $drill) {
            $fields->problem(
                t(
                    'There is no drill "{id}"; there is {all}.',
                    id: mb_strimwidth($id, 0, 40, '…'),
                    all: implode(', ', array_keys(DrillRegistry::all())),
                ),
                'drill',
            );

            return null;
        }
        $definition = $drill->definition();
        $given = $fields->child($fields->raw('parameters') ?? [], 'parameters', $fields->where.', parameters');
        $values = null === $given ? [] : (array) $fields->raw('parameters');
        $parameters = Parameters::read($definition->parameters, $values);
        foreach ($parameters->problems as $name => $sentence) {
            $fields->problem($sentence, 'parameters.'.$name, false);
        }
        $combinations = $this->combinations->read($fields, $settings);
        [$least, $most] = $definition->combinations;
        $count = \count($combinations);
        if ($count < $least || $count > $most) {
            $isEmpty = [] === (array) $fields->raw('combinations');
            // Unreadable combinations were reported already.
            $isSaid = !$isEmpty && $count < $least;
            if ($isSaid && \count((array) $fields->raw('combinations')) >= $least) {
                return null;
            }
            $fields->problem(
                $isEmpty
                    ? t(
                        'This set is empty. "{title}" asks for {asks}: drop one in, or type it.',
                        title: $definition->title,
                        asks: $definition->asks(),
                    )
                    : t(
                        '"{title}" asks for {asks}; {count, plural, one {there is #} other {there are #}}.',
                        title: $definition->title,
                        asks: $definition->asks(),
                        count: $count,
                    ),
                'combinations',
            );

            return null;
        }
        $run = new DrillRun(
            combinations: $combinations,
            parameters: $parameters->values,
            seconds: $seconds,
            options: $settings->options(),
            numbering: $settings->plan->numbering,
            level: $settings->level(),
            stance: $settings->stance,
            advice: $this->advice,
        );
        foreach ($drill->problems($run) as $problem) {
            $fields->problem($problem->message, $problem->field, $problem->stops);
            if ($problem->stops) {
                return null;
            }
        }

        return new Set(
            place: $fields->place,
            where: $fields->where,
            drill: $drill,
            seconds: $seconds,
            combinations: $combinations,
            parameters: $parameters->values,
            note: $fields->text('note', t('A note'), 1000),
        );
    }
}
