<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** What holds for free strikes: how many, how many of them jabs, and the chain that ends them. */
final readonly class FreeFrame
{
    /**
     * @param int $least strikes; 0 for as many as the athlete likes
     * @param int $most strikes; 0 for as many as the athlete likes
     * @param int $jabs how many of a hundred strikes are jabs at least
     */
    private function __construct(
        public int $least,
        public int $most,
        public int $jabs,
        public ?Chain $ending,
    ) {
    }

    /** @return list<Parameter> that a drill with free strikes has */
    public static function parameters(int $usual): array
    {
        return [
            Parameter::whole('least', t('At least (0: any)'), 0, 0, FreeStrikes::MAX_COUNT, 'strikes'),
            Parameter::whole('free', t('At most (0: any)'), $usual, 0, FreeStrikes::MAX_COUNT, 'strikes'),
            Parameter::whole('jabs', t('Jabs among them, at least'), 0, 0, 100, '%'),
            Parameter::chain('ending', t('Ends with')),
        ];
    }

    public static function of(Parameters $parameters): self
    {
        return new self(
            $parameters->whole('least'),
            $parameters->whole('free'),
            $parameters->whole('jabs'),
            $parameters->chain('ending'),
        );
    }

    /** @return iterable<DrillProblem> */
    public function problems(DrillRun $run): iterable
    {
        if ($this->most > 0 && $this->least > $this->most) {
            yield new DrillProblem(
                t('At least {least} strikes are more than at most {most}.', least: $this->least, most: $this->most),
                'parameters.least',
                true,
                DrillFix::parameter(t('At most {least}', least: $this->least), 'free', $this->least),
            );
        }
        if (null !== $this->ending) {
            yield from array_filter([$run->breaking($this->ending, 'parameters.ending')]);
        }
    }

    /**
     * Returns it in words, such as "2 to 5 strikes, at least half jabs, end with 3 exit".
     *
     * @param bool $isCounted whether a single number is said, too
     */
    public function inWords(DrillRun $run, bool $isCounted = true): string
    {
        return implode(', ', array_filter([
            match (true) {
                $this->least > 0 && $this->most > $this->least => t(
                    '{least} to {most} strikes',
                    least: $this->least,
                    most: $this->most,
                ),
                $this->least > 0 => t('{count} strikes', count: $this->least),
                $this->most > 0 && $isCounted => t('at most {count} strikes', count: $this->most),
                default => '',
            },
            match (true) {
                0 === $this->jabs => '',
                50 === $this->jabs => t('at least half jabs'),
                100 === $this->jabs => t('jabs only'),
                default => t('at least {jabs} % jabs', jabs: $this->jabs),
            },
            null === $this->ending ? '' : t('end with {chain}', chain: $run->write($this->ending)),
        ], static fn (string $part): bool => '' !== $part));
    }

    /**
     * Returns one repetition: a beginning, the free strikes with as many jabs as there are at least, and the ending.
     *
     * @return Chain|null null when the parts do not go together
     */
    public function repetition(?Chain $opening): ?Chain
    {
        $most = 0 === $this->most
            ? max($this->least, (int) SessionValues::builtIn()->value('burst'))
            : $this->most;
        $count = max(1, intdiv(($this->least > 0 ? $this->least : $most) + $most, 2));
        $jabs = (int) ceil($count * $this->jabs / 100);
        $jab = Catalogue::builtIn()->strike('jab');
        try {
            return Chain::of([
                ...($opening->items ?? []),
                ...array_fill(0, $jabs, new StrikeItem($jab, $jab->defaultTarget())),
                ...($jabs < $count ? [new FreeStrikes($count - $jabs)] : []),
                ...($this->ending->items ?? []),
            ]);
        } catch (InvalidChain) {
            return null;
        }
    }
}
