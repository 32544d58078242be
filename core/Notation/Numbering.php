<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

/**
 * A numbering: which number means which strike, bound to the role or to the hand.
 *
 * @phpstan-type NumberRow array{
 *     number: string,
 *     family: string,
 *     position: string,
 *     target: string|null,
 *     name: string|null,
 * }
 * @phpstan-type Content array{name: string, about: string, boundTo: string, numbers: list<NumberRow>}
 */
final readonly class Numbering
{
    /**
     * @var array<string, array<string, list<NumberedStrike>>> by family and position; numbers that mean a target come
     *                                                         first
     */
    private array $byPosition;

    /** @param array<array-key, NumberedStrike> $entries by code; PHP keeps a code of digits as an int key */
    public function __construct(
        public string $id,
        public string $name,
        public string $about,
        public bool $boundToHand,
        public array $entries,
    ) {
        $byPosition = [];
        foreach ($entries as $entry) {
            $list = $byPosition[$entry->family][$entry->position->value] ?? [];
            null === $entry->target ? $list[] = $entry : array_unshift($list, $entry);
            $byPosition[$entry->family][$entry->position->value] = $list;
        }
        $this->byPosition = $byPosition;
    }

    public static function named(string $id): self
    {
        return self::builtIn()[$id]
            ?? throw new \OutOfBoundsException(
                \sprintf('There is no numbering "%s"; there is %s.', $id, implode(', ', array_keys(self::builtIn()))),
            );
    }

    /** @return array<string, self> the four that ship with Periplus, by id */
    public static function builtIn(): array
    {
        /** @var array<string, self>|null $numberings */
        static $numberings = null;

        return $numberings ??= self::read();
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::builtIn());
    }

    public function entry(string $code): ?NumberedStrike
    {
        return $this->entries[strtoupper($code)] ?? null;
    }

    /**
     * Returns the number for this strike at this target: an exact one, one for any target, or one for another target
     * with a letter. Null when there is none.
     */
    public function numberOf(string $family, Role $role, Target $target, Stance $running): ?NumberedStrike
    {
        $position = $this->boundToHand ? $running->sideOf($role)->value : $role->value;
        $entries = $this->byPosition[$family][$position] ?? [];
        foreach ($entries as $entry) {
            if (null === $entry->target || $entry->target === $target) {
                return $entry;
            }
        }

        return $entries[0] ?? null;
    }

    /**
     * Creates a numbering from stored or sent data; {@see NumberingReview} checks whether it makes sense.
     *
     * @param Content $content
     */
    public static function of(string $id, array $content): self
    {
        $byHand = 'hand' === $content['boundTo'];
        $entries = [];
        foreach ($content['numbers'] as $row) {
            $code = strtoupper($row['number']);
            $entries[$code] ??= new NumberedStrike(
                $code,
                $row['family'],
                $byHand ? Side::from($row['position']) : Role::from($row['position']),
                null === $row['target'] ? null : Target::fromWord($row['target']),
                $row['name'],
            );
        }

        return new self($id, $content['name'], $content['about'], $byHand, $entries);
    }

    /** @return Content */
    public function content(): array
    {
        return [
            'name' => $this->name,
            'about' => $this->about,
            'boundTo' => $this->boundToHand ? 'hand' : 'role',
            'numbers' => array_values(array_map(static fn (NumberedStrike $entry): array => [
                'number' => $entry->code,
                'family' => $entry->family,
                'position' => $entry->position->value,
                'target' => $entry->target?->word(),
                'name' => $entry->name,
            ], $this->entries)),
        ];
    }

    /** @return array<string, self> */
    private static function read(): array
    {
        /**
         * @var array{
         *     numberings: list<array{
         *         id: string,
         *         name: string,
         *         about: string,
         *         boundTo: string,
         *         entries: list<array{0: string, 1: string, 2: string, 3?: string}>,
         *     }>,
         * } $data
         */
        $data = Data::read('numberings');
        $numberings = [];
        foreach ($data['numberings'] as $row) {
            $entries = [];
            foreach ($row['entries'] as $entry) {
                $entries[$entry[0]] = new NumberedStrike(
                    $entry[0],
                    $entry[1],
                    'hand' === $row['boundTo'] ? Side::from($entry[2]) : Role::from($entry[2]),
                    isset($entry[3]) ? Target::from($entry[3]) : null,
                );
            }
            $numberings[$row['id']] = new self(
                $row['id'],
                $row['name'],
                $row['about'],
                'hand' === $row['boundTo'],
                $entries,
            );
        }

        return $numberings;
    }
}
