<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

use Periplus\Core\Technique\Data;

/**
 * Masses and centres of the body's segments, from which the height of the centre of mass and its shift in front of the
 * hips follow for any body height. Lengths are shares of the body height.
 *
 * Source: de Leva 1996, see core/data/segments.json; the mean of its two samples.
 */
final readonly class SegmentTable
{
    /** @param array<string, BodySegment> $segments by id, from the head down */
    public function __construct(public array $segments)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $table */
        static $table = null;

        return $table ??= self::mean(array_values(self::samples()));
    }

    /** @return array<string, self> the samples as they were published, by id */
    public static function samples(): array
    {
        /**
         * @var array{
         *     samples: list<array{
         *         id: string,
         *         stature: int,
         *         segments: list<array{id: string, mass: float, centre: float, length: float, paired: bool}>,
         *     }>,
         * } $data
         */
        $data = Data::read('segments');
        $samples = [];
        foreach ($data['samples'] as $sample) {
            $segments = [];
            foreach ($sample['segments'] as $row) {
                $segments[$row['id']] = new BodySegment(
                    $row['id'],
                    $row['mass'] / 100,
                    $row['centre'] / 100,
                    $row['length'] / $sample['stature'],
                    $row['paired'],
                );
            }
            $samples[$sample['id']] = new self($segments);
        }

        return $samples;
    }

    /** Returns the mass of the whole body as a share; 1 except for the table's rounding. */
    public function total(): float
    {
        return array_sum(
            array_map(
                static fn (BodySegment $segment): float => $segment->mass * ($segment->paired ? 2 : 1),
                $this->segments,
            ),
        );
    }

    /**
     * Returns the height of the centre of mass when standing upright with the arms at the sides, as a share of the
     * body height.
     */
    public function centreHeight(): float
    {
        $s = $this->segments;
        $neck = 1.0 - $s['head']->length;
        $hip = $neck - $s['trunk']->length;
        $knee = $hip - $s['thigh']->length;
        $ankle = $knee - $s['shank']->length;
        $elbow = $neck - $s['upper-arm']->length;
        $wrist = $elbow - $s['forearm']->length;
        $moment = $s['head']->mass * (1.0 - $s['head']->arm())
            + $s['trunk']->mass * ($neck - $s['trunk']->arm())
            + 2 * $s['upper-arm']->mass * ($neck - $s['upper-arm']->arm())
            + 2 * $s['forearm']->mass * ($elbow - $s['forearm']->arm())
            + 2 * $s['hand']->mass * ($wrist - $s['hand']->arm())
            + 2 * $s['thigh']->mass * ($hip - $s['thigh']->arm())
            + 2 * $s['shank']->mass * ($knee - $s['shank']->arm())
            // The sole is flat on the floor, so the foot's centre is half as high as the ankle.
            + 2 * $s['foot']->mass * ($ankle / 2);

        return $moment / $this->total();
    }

    /**
     * Returns how far the centre of mass moves in front of the trunk when one arm is straight out, as a share of the
     * body height.
     */
    public function armOut(): float
    {
        $s = $this->segments;
        $wrist = $s['upper-arm']->length + $s['forearm']->length;

        return ($s['upper-arm']->mass * $s['upper-arm']->arm()
            + $s['forearm']->mass * ($s['upper-arm']->length + $s['forearm']->arm())
            + $s['hand']->mass * ($wrist + $s['hand']->arm())) / $this->total();
    }

    /** Returns the same shift for one leg straight out. */
    public function legOut(): float
    {
        $s = $this->segments;
        $ankle = $s['thigh']->length + $s['shank']->length;

        return ($s['thigh']->mass * $s['thigh']->arm()
            + $s['shank']->mass * ($s['thigh']->length + $s['shank']->arm())
            + $s['foot']->mass * $ankle) / $this->total();
    }

    /** Returns the same shift for one knee raised with the shank hanging. */
    public function kneeUp(): float
    {
        $s = $this->segments;

        return ($s['thigh']->mass * $s['thigh']->arm() + ($s['shank']->mass + $s['foot']->mass) * $s['thigh']->length)
            / $this->total();
    }

    public function footLength(): float
    {
        return $this->segments['foot']->length;
    }

    /** @param list<self> $tables */
    private static function mean(array $tables): self
    {
        $segments = [];
        foreach ($tables[0]->segments ?? [] as $id => $first) {
            $same = array_map(static fn (self $table): BodySegment => $table->segments[$id], $tables);
            $mean = static fn (string $column): float => array_sum(array_column($same, $column)) / \count($same);
            $segments[$id] = new BodySegment($id, $mean('mass'), $mean('centre'), $mean('length'), $first->paired);
        }

        return new self($segments);
    }
}
