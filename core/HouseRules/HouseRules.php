<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Limb;

/**
 * The gym's severities, thresholds and choice of school. Three sets ship in core/data/house-rules.json; a gym keeps its
 * own in the same shape.
 *
 * @phpstan-type SetRow array{id: string, name: string, allows: list<string>, schools: array{leadHook: string, handSide: string, handTiming: string, ending: string, hardStrikes: string}, severities: array<string, string>, thresholds: array{staticHead: int, oneHeight: int, sameSide: int, drives: int, rangeJump: int, tempoLoss: float}}
 */
final readonly class HouseRules
{
    /**
     * @param list<Limb> $allows
     * @param array<string, Severity> $severities by finding id
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $allows,
        public Schools $schools,
        private array $severities,
        public Thresholds $thresholds,
    ) {
    }

    public static function named(string $id): self
    {
        return self::builtIn()[$id] ?? throw new \OutOfBoundsException(\sprintf('There are no house rules "%s"; there is %s.', $id, implode(', ', array_keys(self::builtIn()))));
    }

    /** @return array<string, self> by id */
    public static function builtIn(): array
    {
        /** @var array<string, self>|null $sets */
        static $sets = null;
        if (null === $sets) {
            /** @var array{sets: list<SetRow>} $data */
            $data = Data::read('house-rules');
            $sets = array_map(self::of(...), array_column($data['sets'], null, 'id'));
        }

        return $sets;
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::builtIn());
    }

    /** @return array<string, array{least: int|float, most: int|float, unit: string, meaning: string}> what each threshold may be, by name */
    public static function limits(): array
    {
        /** @var array{fields: array<string, array{least?: int|float, most?: int|float, unit: string, meaning: string}>} $data */
        $data = Data::read('house-rules');
        $limits = [];
        foreach ($data['fields'] as $name => $field) {
            if (isset($field['least'], $field['most'])) {
                $limits[substr($name, \strlen('thresholds.'))] = ['least' => $field['least'], 'most' => $field['most'], 'unit' => $field['unit'], 'meaning' => $field['meaning']];
            }
        }

        return $limits;
    }

    /**
     * @param SetRow $row
     *
     * @throws \ValueError when a word in it means nothing
     */
    public static function of(array $row): self
    {
        return new self(
            $row['id'],
            $row['name'],
            array_map(Limb::from(...), $row['allows']),
            Schools::of($row['schools']),
            array_map(Severity::from(...), $row['severities']),
            Thresholds::of($row['thresholds']),
        );
    }

    /** @return SetRow */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'allows' => array_map(static fn (Limb $limb): string => $limb->value, $this->allows),
            'schools' => $this->schools->toArray(),
            'severities' => array_map(static fn (Severity $severity): string => $severity->value, $this->severities),
            'thresholds' => $this->thresholds->toArray(),
        ];
    }

    /** The same house with other schools. */
    public function inSchools(Schools $schools): self
    {
        return new self($this->id, $this->name, $this->allows, $schools, $this->severities, $this->thresholds);
    }

    /** A finding that the set does not name is a hint. */
    public function severity(string $findingId): Severity
    {
        return $this->severities[$findingId] ?? Severity::Hint;
    }
}
