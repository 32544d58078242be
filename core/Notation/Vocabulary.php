<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Target;

/**
 * The words coaches use for strikes and moves, and what each stands for. Built once from the catalogue; spoken
 * variants are added here.
 */
final readonly class Vocabulary
{
    public const SIDES = ['lead' => Role::Lead, 'front' => Role::Lead, 'rear' => Role::Rear, 'left' => Side::Left, 'right' => Side::Right];
    public const FEINT = ['fake' => true, 'feint' => true, 'faked' => true, 'feinted' => true];
    public const TARGETS = ['head' => Target::Head, 'chin' => Target::Head, 'high' => Target::Head, 'body' => Target::Body, 'ribs' => Target::Body, 'liver' => Target::Body, 'mid' => Target::Body, 'leg' => Target::Leg, 'legs' => Target::Leg, 'thigh' => Target::Leg, 'calf' => Target::Leg, 'low' => Target::Leg];
    /** Noun to family, beside the families themselves; jab and cross also fix the role, see {@see FIXED}. */
    private const NOUNS = [
        'jab' => 'straight', 'cross' => 'straight', 'straight' => 'straight', 'hook' => 'hook', 'liver shot' => 'hook', 'uppercut' => 'uppercut', 'upper' => 'uppercut',
        'shovel hook' => 'shovel hook', 'shovel' => 'shovel hook', 'overhand' => 'overhand',
        'left hand' => 'straight', 'right hand' => 'straight', 'lead hand' => 'straight', 'rear hand' => 'straight',
        'push kick' => 'push kick', 'front kick' => 'push kick', 'teep' => 'push kick', 'round kick' => 'round kick', 'roundhouse kick' => 'round kick', 'roundhouse' => 'round kick', 'kick' => 'round kick',
        'switch kick' => 'switch kick', 'switch round kick' => 'switch kick', 'side kick' => 'side kick',
        'spinning back kick' => 'spinning back kick', 'spinning kick' => 'spinning back kick', 'back kick' => 'spinning back kick',
        'knee' => 'knee', 'switch knee' => 'switch knee',
        'elbow' => 'elbow', 'horizontal elbow' => 'elbow', 'upward elbow' => 'upward elbow', 'up elbow' => 'upward elbow', 'downward elbow' => 'downward elbow', 'down elbow' => 'downward elbow',
        'spinning back elbow' => 'spinning back elbow', 'spinning elbow' => 'spinning back elbow', 'back elbow' => 'spinning back elbow',
    ];
    /** Nouns that name their side. */
    public const HANDS = ['liver shot' => Side::Left, 'left hand' => Side::Left, 'right hand' => Side::Right, 'lead hand' => Role::Lead, 'rear hand' => Role::Rear];
    /** Nouns that name their target, by its word. */
    public const AIMED = ['liver shot' => 'liver'];
    public const EFFORTS = ['hard' => Effort::Hard, 'light' => Effort::Light];
    /** Nouns that may have their side after them: "overhand right". */
    public const SIDE_AFTER = ['straight' => true, 'overhand' => true];
    public const FIXED = ['jab' => Role::Lead, 'cross' => Role::Rear];
    /** Words between two strikes that change nothing. */
    public const FILLERS = ['then' => true, 'and' => true, 'to' => true, 'the' => true, 'a' => true];
    /** How often what follows is thrown: "double jab". */
    public const REPEATS = ['double' => 2, 'triple' => 3];
    /** Numbers as they are called out. */
    public const NUMBERS = ['one' => '1', 'two' => '2', 'three' => '3', 'four' => '4', 'five' => '5', 'six' => '6', 'seven' => '7', 'eight' => '8', 'nine' => '9', 'ten' => '10'];
    public const BEATS = ['beat' => true, 'pause' => true];
    private const BASES = ['pivot' => ['lead' => 'pivot-out', 'rear' => 'pivot-in']];
    private const ALIASES = [
        'weave' => 'roll', 'bob and weave' => 'roll', 'leg check' => 'check', 'shin check' => 'check', 'angle' => 'step-out', 'angle out' => 'step-out', 'step off' => 'step-out',
        'step forward' => 'step-in', 'move in' => 'step-in', 'step backward' => 'step-back', 'lean back' => 'pull', 'pull back' => 'pull', 'duck under' => 'duck',
        'switch feet' => 'switch', 'switch stance' => 'switch', 'shift back' => 'shift-back', 'leave' => 'exit', 'move out' => 'exit', 'level change' => 'level', 'change level' => 'level',
        'shell' => 'cover', 'high guard' => 'cover', 'shove' => 'push',
    ];
    private const LONGEST = 3;

    /** @var array<string, string> noun to family */
    public array $nouns;
    /** @var array<string, array{lead: string, rear: string}> moves that go to a side, by their bare word */
    public array $bases;
    /** @var array<string, string> phrase to move id, or to a key of */
    private array $moves;
    /** @var array<string, list<string>> what may be suggested for a word that is not known, by the word it is near to */
    private array $suggestions;

    public function __construct(Catalogue $catalogue)
    {
        $families = $catalogue->families();
        $this->nouns = self::NOUNS + array_combine($families, $families);
        $bases = self::BASES;
        $moves = self::ALIASES;
        foreach ($catalogue->moves as $id => $move) {
            $moves[$move->words()] = $id;
            if (str_ends_with($id, '-lead') && null !== $move->toward) {
                $bases[substr($id, 0, -5)] = ['lead' => $id, 'rear' => substr($id, 0, -5).'-rear'];
            }
        }
        foreach (array_keys($bases) as $base) {
            $moves[$base] = $base;
        }
        $this->bases = $bases;
        $this->moves = $moves;
        $suggestions = array_map(static fn (array $base): array => array_values($base), $bases);
        $words = [...array_keys($catalogue->moves), ...array_keys($this->nouns), ...array_column($catalogue->strikes, 'name'), 'fake', 'lead', 'rear', 'left', 'right', 'body', 'head', 'beat'];
        foreach ($words as $word) {
            $suggestions[$word] = [$word];
        }
        $this->suggestions = $suggestions;
    }

    /**
     * The longest noun that begins there.
     *
     * @param list<string> $words
     *
     * @return array{string, int}|null the noun and how many words it takes
     */
    public function noun(array $words, int $from): ?array
    {
        return $this->longest($this->nouns, $words, $from);
    }

    /**
     * The longest move that begins there, without its side.
     *
     * @param list<string> $words
     *
     * @return array{string, int}|null a move id or a key of $bases, and how many words it takes
     */
    public function move(array $words, int $from): ?array
    {
        $found = $this->longest($this->moves, $words, $from);

        return null === $found ? null : [$this->moves[$found[0]], $found[1]];
    }

    /** @return list<string> at most three known words, nearest first */
    public function nearest(string $word): array
    {
        $limit = max(1, intdiv(mb_strlen($word), 3));
        $ranked = [];
        foreach ($this->suggestions as $known => $texts) {
            $distance = str_starts_with($known, $word) ? 0 : levenshtein(substr($word, 0, 40), $known);
            if ($distance <= $limit) {
                foreach ($texts as $text) {
                    $ranked[$text] = min($distance, $ranked[$text] ?? $distance);
                }
            }
        }
        asort($ranked);

        return \array_slice(array_keys($ranked), 0, 3);
    }

    /**
     * @param array<string, string> $phrases
     * @param list<string> $words
     *
     * @return array{string, int}|null
     */
    private function longest(array $phrases, array $words, int $from): ?array
    {
        for ($count = self::LONGEST; $count > 0; --$count) {
            if (!isset($words[$from + $count - 1])) {
                continue;
            }
            $phrase = implode(' ', \array_slice($words, $from, $count));
            if (isset($phrases[$phrase])) {
                return [$phrase, $count];
            }
        }

        return null;
    }
}
