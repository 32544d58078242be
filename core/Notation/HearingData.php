<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Data;

/**
 * What core/data/hearing.json says: words that carry nothing, and other words for those that the grammar reads.
 *
 * @internal to {@see Glue} and {@see SpokenForms}
 */
final class HearingData
{
    /** @var array<string, true> words and phrases that carry nothing */
    public array $glue = [];
    /** @var list<GlueGroup> the same, by kind */
    public array $groups = [];
    /** @var array<string, string> phrase to the words in its place; empty where it is passed over */
    public array $means = [];
    /** @var array<string, string> phrase to the drill that does what it says */
    public array $drills = [];

    public static function read(): self
    {
        /** @var self|null $read */
        static $read = null;

        return $read ??= self::fresh();
    }

    private static function fresh(): self
    {
        /** @var array{
         *     glue: list<array{group: string, words: list<string>}>,
         *     drills: list<array{drill: string, words: list<string>}>,
         *     means: array<string, string>,
         * } $data */
        $data = Data::read('hearing');
        $read = new self();
        foreach ($data['glue'] as $group) {
            $read->glue += array_fill_keys($group['words'], true);
            $read->groups[] = new GlueGroup($group['group'], $group['words']);
        }
        foreach ($data['drills'] as $drill) {
            $read->drills += array_fill_keys($drill['words'], $drill['drill']);
        }
        $read->means = $data['means'];

        return $read;
    }
}
