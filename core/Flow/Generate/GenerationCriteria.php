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

    /**
     * @param int $length how many strikes
     * @param non-empty-list<Limb> $weapons what strikes; each of them at least once, as far as the length allows
     * @param int|null $level 1 to 3; any when null
     * @param bool $switches whether the stance may change
     * @param Severity $clean no finding of that severity or a heavier one: hint, should or must
     * @param int $count how many chains
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
        if (!\in_array($clean, [Severity::Hint, Severity::Should, Severity::Must], true)) {
            throw new \DomainException(t('The lightest finding to avoid is hint, should or must.'));
        }
    }

    /**
     * The same criteria with one of them given up.
     *
     * @return array<string, array{
     *     string,
     *     self,
     *     array<string, int|string|bool|list<string>|null>,
     * }> by the criterion: what giving it up means, in words, what is left, and what that is in a request
     */
    public function relaxed(): array
    {
        $relaxed = [];
        if (null !== $this->theme) {
            $relaxed['theme'] = [t('without the theme'), $this->with(theme: null), ['theme' => null]];
        }
        if (null !== $this->level) {
            $relaxed['level'] = [t('at any level'), $this->with(level: null), ['level' => null]];
        }
        if (\count($this->weapons) < \count(Limb::cases())) {
            $relaxed['weapons'] = [
                t('with any weapon'),
                $this->with(weapons: Limb::cases()),
                ['weapons' => array_column(Limb::cases(), 'value')],
            ];
        }
        foreach ([$this->length + 1, $this->length - 1] as $length) {
            if ($length >= self::MIN_STRIKES && $length <= self::MAX_STRIKES) {
                $relaxed['length '.$length] = [
                    t('with {length} strikes', length: $length),
                    $this->with(length: $length),
                    ['length' => $length],
                ];
            }
        }
        $lighter = match ($this->clean) {
            Severity::Hint => Severity::Should,
            default => Severity::Must,
        };
        if ($lighter !== $this->clean) {
            $relaxed['clean'] = [
                Severity::Should === $lighter ? t('with tips') : t('with tips and fixes'),
                $this->with(clean: $lighter),
                ['clean' => $lighter->value],
            ];
        }
        if (!$this->switches) {
            $relaxed['switches'] = [t('with changes of stance'), $this->with(switches: true), ['switches' => true]];
        }

        return $relaxed;
    }

    /**
     * The same with fewer strikes, the longest first.
     *
     * @return list<array{string, self, array<string, int|string|bool|list<string>|null>}> as {@see relaxed} has them
     */
    public function shorter(): array
    {
        $shorter = [];
        for ($length = $this->length - 1; $length >= self::MIN_STRIKES; --$length) {
            $shorter[] = [
                t('with {length} strikes', length: $length),
                $this->with(length: $length),
                ['length' => $length],
            ];
        }

        return $shorter;
    }

    /** Whether each weapon has to be there. */
    public function each(): bool
    {
        return \count($this->weapons) < \count(Limb::cases());
    }

    /** @param list<Limb>|null $weapons */
    private function with(
        Theme|false|null $theme = false,
        int|false|null $level = false,
        ?array $weapons = null,
        ?int $length = null,
        ?Severity $clean = null,
        ?bool $switches = null,
    ): self {
        return new self(
            $this->options,
            $length ?? $this->length,
            null === $weapons || [] === $weapons ? $this->weapons : $weapons,
            false === $level ? $this->level : $level,
            false === $theme ? $this->theme : $theme,
            $switches ?? $this->switches,
            $clean ?? $this->clean,
            $this->seed,
            $this->count,
        );
    }
}
