<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;

use function Periplus\Core\Language\t;

/** What generated chains have to be like. */
final readonly class GenerationCriteria
{
    public const MIN_STRIKES = 2;
    public const MAX_STRIKES = 10;
    public const MAX_CHAINS = 24;
    /** Surprise with which anything may be drawn that flows, what is rare as well. */
    public const MOST_SURPRISE = 100;
    private const SURPRISE_STEP = 25;

    /**
     * @param int $length how many strikes
     * @param non-empty-list<Limb> $weapons what strikes; each of them at least once, as far as the length allows
     * @param int|null $level 1 to 3; any when null
     * @param bool $switches whether the stance may change
     * @param Severity $clean no finding of that severity or a heavier one: hint, should or must
     * @param int $count how many chains
     * @param int $surprise 0 for links that coaches call alone, up to MOST_SURPRISE for all that flows
     */
    public function __construct(
        public CheckOptions $options,
        public int $length = 4,
        public array $weapons = [Limb::Hand],
        public ?int $level = null,
        public ?Theme $theme = null,
        public bool $switches = false,
        public Severity $clean = Severity::Should,
        public int $seed = 1,
        public int $count = 8,
        public int $surprise = 0,
    ) {
        if ($length < self::MIN_STRIKES || $length > self::MAX_STRIKES) {
            throw new \DomainException(
                t(
                    'A generated chain has {minStrikes} to {maxStrikes} strikes, not {length}.',
                    minStrikes: self::MIN_STRIKES,
                    maxStrikes: self::MAX_STRIKES,
                    length: $length,
                ),
            );
        }
        if ($count < 1 || $count > self::MAX_CHAINS) {
            throw new \DomainException(
                t(
                    '1 to {maxChains} chains can be generated at a time, not {count}.',
                    maxChains: self::MAX_CHAINS,
                    count: $count,
                ),
            );
        }
        if ($surprise < 0 || $surprise > self::MOST_SURPRISE) {
            throw new \DomainException(t('The surprise is 0 to {most}.', most: self::MOST_SURPRISE));
        }
        if (!\in_array($clean, [Severity::Hint, Severity::Should, Severity::Must], true)) {
            throw new \DomainException(t('The lightest finding to avoid is hint, should or must.'));
        }
    }

    /**
     * Returns the same criteria with one of them given up.
     *
     * @return list<RelaxedCriteria>
     */
    public function relaxed(): array
    {
        $relaxed = [];
        if (null !== $this->theme) {
            $relaxed[] = $this->without('theme', null, t('without the theme'), $this->with(theme: null));
        }
        if (null !== $this->level) {
            $relaxed[] = $this->without('level', null, t('at any level'), $this->with(level: null));
        }
        if ($this->each()) {
            $relaxed[] = $this->without(
                'weapons',
                array_column(Limb::cases(), 'value'),
                t('with any weapon'),
                $this->with(weapons: Limb::cases()),
            );
        }
        foreach ([$this->length + 1, $this->length - 1] as $length) {
            if ($length >= self::MIN_STRIKES && $length <= self::MAX_STRIKES) {
                $relaxed[] = $this->withLength($length);
            }
        }
        $lighter = Severity::Hint === $this->clean ? Severity::Should : Severity::Must;
        if ($lighter !== $this->clean) {
            $relaxed[] = $this->without(
                'clean',
                $lighter->value,
                Severity::Should === $lighter ? t('with tips') : t('with tips and fixes'),
                $this->with(clean: $lighter),
            );
        }
        if ($this->surprise < self::MOST_SURPRISE) {
            $surprise = min(self::MOST_SURPRISE, $this->surprise + self::SURPRISE_STEP);
            $relaxed[] = $this->without(
                'surprise',
                $surprise,
                t('with less usual links'),
                $this->with(surprise: $surprise),
            );
        }
        if (!$this->switches) {
            $relaxed[] = $this->without('switches', true, t('with changes of stance'), $this->with(switches: true));
        }

        return $relaxed;
    }

    /**
     * Returns the same criteria with fewer strikes, the longest first.
     *
     * @return list<RelaxedCriteria>
     */
    public function shorter(): array
    {
        return $this->length > self::MIN_STRIKES
            ? array_map($this->withLength(...), range($this->length - 1, self::MIN_STRIKES))
            : [];
    }

    /** Tells whether each weapon has to be there. */
    public function each(): bool
    {
        return \count($this->weapons) < \count(Limb::cases());
    }

    private function withLength(int $length): RelaxedCriteria
    {
        return new RelaxedCriteria(
            $this->with(length: $length),
            new Relaxation(
                'length '.$length,
                t('with {length} strikes', length: $length),
                ['length' => $length],
            ),
        );
    }

    /** @param string|bool|int|list<string>|null $value of the criterion in a request that gives it up */
    private function without(
        string $criterion,
        string|bool|int|array|null $value,
        string $words,
        self $left,
    ): RelaxedCriteria {
        return new RelaxedCriteria($left, new Relaxation($criterion, $words, [$criterion => $value]));
    }

    /** @param list<Limb>|null $weapons */
    private function with(
        Theme|false|null $theme = false,
        int|false|null $level = false,
        ?array $weapons = null,
        ?int $length = null,
        ?Severity $clean = null,
        ?bool $switches = null,
        ?int $surprise = null,
    ): self {
        return new self(
            options: $this->options,
            length: $length ?? $this->length,
            weapons: null === $weapons || [] === $weapons ? $this->weapons : $weapons,
            level: false === $level ? $this->level : $level,
            theme: false === $theme ? $this->theme : $theme,
            switches: $switches ?? $this->switches,
            clean: $clean ?? $this->clean,
            seed: $this->seed,
            count: $this->count,
            surprise: $surprise ?? $this->surprise,
        );
    }
}
