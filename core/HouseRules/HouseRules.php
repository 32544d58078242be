<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use Periplus\Core\Technique\Calibration;
use Periplus\Core\Technique\Limb;

/**
 * A gym's severities, thresholds, schools and numbers of the model. Severities and thresholds are keyed by rule id.
 *
 * @phpstan-type SetRow array{
 *     id: string,
 *     name: string,
 *     allows: list<string>,
 *     schools: array{
 *         leadHook: string,
 *         handSide: string,
 *         handTiming: string,
 *         ending: string,
 *         hardStrikes: string,
 *         jabStep?: string,
 *     },
 *     severities: array<string, string>,
 *     thresholds: array<string, int|float>,
 *     calibration?: array<string, int|float>,
 * }
 */
final readonly class HouseRules implements \JsonSerializable
{
    /**
     * @param list<Limb> $allows what the sport lets land
     * @param array<string, Severity> $severities
     * @param array<string, int|float> $thresholds
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $allows,
        public Schools $schools,
        private array $severities,
        private array $thresholds,
        public Calibration $calibration = new Calibration(),
    ) {
    }

    /**
     * @param SetRow $row
     *
     * @throws \ValueError when a word in it means nothing
     * @throws \DomainException when a number of the model is out of its bounds
     */
    public static function of(array $row): self
    {
        return new self(
            id: $row['id'],
            name: $row['name'],
            allows: array_map(Limb::from(...), $row['allows']),
            schools: Schools::of($row['schools']),
            severities: array_map(Severity::from(...), $row['severities']),
            thresholds: $row['thresholds'],
            calibration: new Calibration($row['calibration'] ?? []),
        );
    }

    /** @return SetRow */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'allows' => array_map(static fn (Limb $limb): string => $limb->value, $this->allows),
            'schools' => $this->schools->toArray(),
            'severities' => array_map(static fn (Severity $severity): string => $severity->value, $this->severities),
            'thresholds' => $this->thresholds,
            'calibration' => $this->calibration->own,
        ];
    }

    /** Returns the same rules with other schools. */
    public function inSchools(Schools $schools): self
    {
        return new self(
            id: $this->id,
            name: $this->name,
            allows: $this->allows,
            schools: $schools,
            severities: $this->severities,
            thresholds: $this->thresholds,
            calibration: $this->calibration,
        );
    }

    /**
     * Returns the same rules with the gym's own numbers of the model.
     *
     * @param array<string, int|float> $own
     *
     * @throws \DomainException when one is out of its bounds
     */
    public function calibrated(array $own): self
    {
        return new self(
            id: $this->id,
            name: $this->name,
            allows: $this->allows,
            schools: $this->schools,
            severities: $this->severities,
            thresholds: $this->thresholds,
            calibration: new Calibration($own),
        );
    }

    /** A rule that is not listed is a hint. */
    public function severity(string $rule): Severity
    {
        return $this->severities[$rule] ?? Severity::Hint;
    }

    /** Returns the threshold from which a rule applies; null when none is set. */
    public function threshold(string $rule): int|float|null
    {
        return $this->thresholds[$rule] ?? null;
    }
}
