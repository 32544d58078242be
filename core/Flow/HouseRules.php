<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

use Periplus\Core\Technique\Limb;

/** The gym's severities, thresholds and choice of school. Three sets ship in core/data/house-rules.json. */
final readonly class HouseRules
{
    /**
     * @param list<Limb> $allows
     * @param bool $frontFootHook the school in which a lead hook ends over the front foot
     * @param array<string, Severity> $severities by finding id
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $allows,
        public bool $frontFootHook,
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

        return $sets ??= self::read(__DIR__.'/../data/house-rules.json');
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::builtIn());
    }

    /** A finding that the set does not name is a hint. */
    public function severity(string $findingId): Severity
    {
        return $this->severities[$findingId] ?? Severity::Hint;
    }

    /** @return array<string, self> */
    private static function read(string $file): array
    {
        /** @var array{sets: list<array{id: string, name: string, allows: list<string>, leadHook: string, severities: array<string, string>, thresholds: array{staticHead: int, oneHeight: int, sameSide: int, drives: int, rangeJump: int, tempoLoss: float}}>} $data */
        $data = json_decode((string) file_get_contents($file), true, flags: \JSON_THROW_ON_ERROR);
        $sets = [];
        foreach ($data['sets'] as $row) {
            $sets[$row['id']] = new self(
                $row['id'],
                $row['name'],
                array_map(Limb::from(...), $row['allows']),
                'front-foot' === $row['leadHook'],
                array_map(Severity::from(...), $row['severities']),
                new Thresholds(...$row['thresholds']),
            );
        }

        return $sets;
    }
}
