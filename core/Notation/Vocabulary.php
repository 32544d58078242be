<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/**
 * The words that coaches use for strikes and moves, and their meanings: the names in the catalogue, what
 * core/data/words.json adds to them, and the words that go with them.
 */
final readonly class Vocabulary
{
    public const SIDES = [
        'lead' => Role::Lead,
        'front' => Role::Lead,
        'rear' => Role::Rear,
        'left' => Side::Left,
        'right' => Side::Right,
    ];
    /** Capital letters that mean a side: "L hook". Small letters after a number are targets. */
    public const INITIALS = ['L' => 'left', 'R' => 'right'];
    /** "Back" is a side only before one of these, because there are back kicks and back fists. */
    public const LIMBS = ['leg' => false, 'foot' => false, 'hand' => true, 'arm' => true];
    public const FEINT = ['fake' => true, 'feint' => true, 'faked' => true, 'feinted' => true, 'show' => true];
    public const TARGETS = [
        'head' => Target::Head,
        'chin' => Target::Head,
        'high' => Target::Head,
        'face' => Target::Head,
        'jaw' => Target::Head,
        'temple' => Target::Head,
        'upstairs' => Target::Head,
        'nose' => Target::Head,
        'eye' => Target::Head,
        'eyes' => Target::Head,
        'ear' => Target::Head,
        'forehead' => Target::Head,
        'body' => Target::Body,
        'ribs' => Target::Body,
        'rib' => Target::Body,
        'ribcage' => Target::Body,
        'gut' => Target::Body,
        'midsection' => Target::Body,
        'kidney' => Target::Body,
        'sternum' => Target::Body,
        'liver' => Target::Body,
        'spleen' => Target::Body,
        'mid' => Target::Body,
        'middle' => Target::Body,
        'chest' => Target::Body,
        'stomach' => Target::Body,
        'belly' => Target::Body,
        'downstairs' => Target::Body,
        'leg' => Target::Leg,
        'legs' => Target::Leg,
        'thigh' => Target::Leg,
        'calf' => Target::Leg,
        'shin' => Target::Leg,
        'quad' => Target::Leg,
        'hamstring' => Target::Leg,
        'thighs' => Target::Leg,
        'low' => Target::Leg,
    ];
    /** Words that place a move beside a strike. */
    public const BESIDE_A_STRIKE = ['while' => true, 'together' => true, 'out' => true, 'in' => true];
    /** Words that are heights only beside each other. */
    public const HEIGHTS = ['up' => Target::Head, 'down' => Target::Body];
    /** Targets on one side of the opponent, and the hand or leg that reaches them. */
    public const ORGANS = ['liver' => Side::Left, 'spleen' => Side::Right];
    /** A lead hook that pivots away as it lands. */
    public const CHECK_HOOK = 'check hook';
    public const EFFORTS = [
        'hard' => Effort::Hard,
        'power' => Effort::Hard,
        'big' => Effort::Hard,
        'heavy' => Effort::Hard,
        'light' => Effort::Light,
        'quick' => Effort::Light,
        'soft' => Effort::Light,
        'fast' => Effort::Light,
        'touch' => Effort::Light,
        'flick' => Effort::Light,
    ];
    /** Words about the manner of a strike that a chain does not record: "long hook". */
    public const MANNERS = ['long' => true, 'short' => true, 'tight' => true, 'sharp' => true, 'stiff' => true];
    /** Words after "straight" that make it an adverb of the strike before it: "hook straight to the body". */
    public const LEADS_ON = ['into' => true, 'to' => true, 'at' => true, 'onto' => true];
    public const SAME_HAND = ['same' => true, 'other' => false, 'opposite' => false];
    /**
     * Words for the inside or outside of the thigh, and the leg that reaches it: the lead leg inside, the rear leg
     * outside.
     */
    public const THIGHS = ['inside' => Role::Lead, 'outside' => Role::Rear];
    /** Words between two strikes that change nothing, and that the grammar needs to tell phrases apart. */
    public const FILLERS = [
        'then' => true,
        'and' => true,
        'to' => true,
        'the' => true,
        'a' => true,
        'an' => true,
        'into' => true,
        'your' => true,
        'off' => true,
        'of' => true,
        'from' => true,
    ];
    public const ARTICLES = ['the' => true, 'a' => true, 'an' => true, 'your' => true];
    /** How often the next strike is thrown: "double jab". */
    public const REPEATS = ['double' => 2, 'triple' => 3];
    /** How often the previous strike is thrown: "jab twice". */
    public const REPEATS_AFTER = ['twice' => 2, 'thrice' => 3];
    /** Words that leave the strikes to the athlete. */
    public const CHOICE = ['any' => true, 'free' => true];
    /** Nouns for free strikes, after "any" or a count: "any three punches". */
    public const FREE = [
        'strike' => true,
        'strikes' => true,
        'punch' => true,
        'punches' => true,
        'shot' => true,
        'shots' => true,
    ];
    /** Numbers as they are called out; "twenty" and "two" are combined by the lexer. */
    public const NUMBERS = [
        'one' => '1',
        'two' => '2',
        'three' => '3',
        'four' => '4',
        'five' => '5',
        'six' => '6',
        'seven' => '7',
        'eight' => '8',
        'nine' => '9',
        'ten' => '10',
        'eleven' => '11',
        'twelve' => '12',
        'thirteen' => '13',
        'fourteen' => '14',
        'fifteen' => '15',
        'sixteen' => '16',
        'seventeen' => '17',
        'eighteen' => '18',
        'nineteen' => '19',
        'twenty' => '20',
        'thirty' => '30',
        'forty' => '40',
        'fifty' => '50',
        'sixty' => '60',
        'seventy' => '70',
        'eighty' => '80',
        'ninety' => '90',
    ];
    /** An answer to what the opponent has done; without a strike after it, the likeliest one. */
    public const COUNTER = 'counter';
    /** Words for the opponent before what he does. */
    public const OPPONENT = ['he' => true, 'she' => true, 'they' => true];
    public const BEATS = ['beat' => true, 'pause' => true, 'wait' => true, 'reset' => true, 'rest' => true];
    /** Next to a straight of an opponent in the same stance: outside of it is to the rear. */
    public const SLIPS = ['outside' => Role::Rear, 'inside' => Role::Lead];
    /** Words between a defence and the opponent's strike: "roll under the hook". */
    public const UNDER = ['under' => true, 'underneath' => true, 'inside' => true, 'outside' => true];
    private const BASES = [
        'pivot' => ['lead' => 'pivot-out', 'rear' => 'pivot-in'],
        'step off' => ['lead' => 'step-out', 'rear' => 'step-rear'],
    ];
    /**
     * One phrase for several moves.
     *
     * @var array<string, non-empty-list<string>>
     */
    public const SEQUENCES = ['in and out' => ['step-in', 'step-back']];

    /** @var array<string, string> noun to family; the families are nouns, too */
    public array $nouns;
    /** @var array<string, Role> nouns that one limb alone throws */
    public array $fixed;
    /** @var array<string, Role|Side> nouns that name their side */
    public array $hands;
    /** @var array<string, string> nouns that name their target, with the word for it */
    public array $aimed;
    /** @var array<string, true> nouns before which "straight" is no strike of its own */
    public array $straightOnes;
    /** @var array<string, true> families that a leg throws */
    private array $ofLeg;
    /** @var array<string, array{lead: string, rear: string}> moves that go to a side, by their bare word */
    public array $bases;
    /** @var array<string, string> a plural to its noun */
    private array $plurals;
    /** @var array<string, string> phrase to move id, or to a key of */
    private array $moves;
    /** @var array<string, string> the plural of a bare word to the move: "slips" */
    private array $movePlurals;
    /** @var array<string, int> how many words the longest phrase has that begins with that word */
    private array $longest;
    /** @var array<string, true> families that one role alone throws */
    private array $oneSided;
    /** @var array<string, mixed> moves by id */
    private array $ids;
    /** @var array<string, true> moves that go to one side, by id */
    private array $toASide;
    /** @var list<string> names of strikes */
    private array $strikeNames;

    public function __construct(Catalogue $catalogue)
    {
        $families = $catalogue->families();
        $this->oneSided = array_fill_keys(
            array_filter(
                $families,
                static fn (string $family): bool => null === $catalogue->inFamily($family, Role::Lead)
                    || null === $catalogue->inFamily($family, Role::Rear),
            ),
            true,
        );
        $this->ids = $catalogue->moves;
        $this->toASide = array_fill_keys(
            array_keys(array_filter($catalogue->moves, static fn (Move $move): bool => null !== $move->toward)),
            true,
        );
        $this->ofLeg = array_fill_keys(
            array_column(
                array_filter($catalogue->strikes, static fn (Strike $strike): bool => !$strike->limb->isArm()),
                'family',
            ),
            true,
        );
        $words = WordData::read();
        $this->nouns = $words->families + array_combine($families, $families);
        $this->fixed = $words->roles;
        $this->hands = $words->sides;
        $this->aimed = $words->targets;
        $this->straightOnes = $words->straight;
        $plurals = [];
        foreach (array_keys($this->nouns) as $noun) {
            $plurals[self::plural($noun)] = $noun;
        }
        $this->plurals = $plurals;
        $bases = self::BASES;
        $moves = $words->moves;
        foreach ($catalogue->moves as $id => $move) {
            $moves[$move->words()] ??= $id;
            if (str_ends_with($id, '-lead') && null !== $move->toward) {
                $bases[substr($id, 0, -5)] = ['lead' => $id, 'rear' => substr($id, 0, -5).'-rear'];
            }
        }
        foreach (array_keys($bases) as $base) {
            $moves[$base] = $base;
        }
        $this->bases = $bases;
        $this->moves = $moves;
        $movePlurals = [];
        foreach ($moves as $phrase => $move) {
            if (!str_contains($phrase, ' ') && !str_contains($phrase, '-') && 'out' !== $phrase) {
                $movePlurals[self::plural($phrase)] = $move;
            }
        }
        $this->movePlurals = array_diff_key($movePlurals, $moves, $plurals);
        $longest = [];
        $phrases = [
            ...array_keys($this->nouns),
            ...array_keys($plurals),
            ...array_keys($moves),
            ...array_keys($movePlurals),
            ...array_keys(self::SEQUENCES),
        ];
        foreach ($phrases as $phrase) {
            $space = strpos($phrase, ' ');
            $first = false === $space ? $phrase : substr($phrase, 0, $space);
            $count = false === $space ? 1 : 1 + substr_count($phrase, ' ');
            if ($count > ($longest[$first] ?? 0)) {
                $longest[$first] = $count;
            }
        }
        $this->longest = $longest;
        $this->strikeNames = array_column($catalogue->strikes, 'name');
    }

    /**
     * Returns the longest noun that starts there.
     *
     * @param list<string> $words
     */
    public function noun(array $words, int $from): ?FoundNoun
    {
        for ($count = $this->reach($words, $from); $count > 0; --$count) {
            $phrase = $this->phrase($words, $from, $count);
            if (isset($this->nouns[$phrase])) {
                return new FoundNoun($phrase, $count, false);
            }
            if (isset($this->plurals[$phrase])) {
                return new FoundNoun($this->plurals[$phrase], $count, true);
            }
        }

        return null;
    }

    /**
     * Returns the longest move that starts there, without its side.
     *
     * @param list<string> $words
     */
    public function move(array $words, int $from): ?FoundMove
    {
        for ($count = $this->reach($words, $from); $count > 0; --$count) {
            $phrase = $this->phrase($words, $from, $count);
            $move = isset(self::SEQUENCES[$phrase]) ? $phrase : $this->moves[$phrase] ?? null;
            if (null !== $move) {
                return new FoundMove($move, $count);
            }
            if (isset($this->movePlurals[$phrase])) {
                return new FoundMove($this->movePlurals[$phrase], $count, true);
            }
        }

        return null;
    }

    private static function plural(string $word): string
    {
        return match (true) {
            str_ends_with($word, 'rry') => substr($word, 0, -1).'ies',
            str_ends_with($word, 's'), str_ends_with($word, 'sh'), str_ends_with($word, 'ch') => $word.'es',
            default => $word.'s',
        };
    }

    /** Tells whether a word ends a noun in the plural. */
    public function isPlural(string $word): bool
    {
        return isset($this->plurals[$word]);
    }

    /** Tells whether only one role throws that strike. */
    public function isOneSided(string $noun): bool
    {
        return isset($this->oneSided[$this->nouns[$noun] ?? $noun]);
    }

    public function isMove(string $id): bool
    {
        return isset($this->ids[$id]);
    }

    /** Tells whether a move of that id goes to one side only. */
    public function goesToASide(string $move): bool
    {
        return isset($this->toASide[$move]);
    }

    /** Tells whether a word or phrase says which strike or move, which side, where, how hard or how often. */
    public function carries(string $phrase): bool
    {
        $words = explode(' ', strtolower($phrase));

        return \count($words) === ($this->noun($words, 0)->count ?? 0)
            || \count($words) === ($this->move($words, 0)->count ?? 0)
            || isset(self::SIDES[$phrase])
            || isset(self::TARGETS[$phrase])
            || isset(self::EFFORTS[$phrase])
            || isset(self::NUMBERS[$phrase])
            || isset(self::REPEATS[$phrase])
            || isset(self::REPEATS_AFTER[$phrase])
            || isset(self::FEINT[$phrase])
            || isset(self::CHOICE[$phrase])
            || isset(self::HEIGHTS[$phrase])
            || isset(self::BEATS[$phrase])
            || 1 === preg_match('/^\d/', $phrase);
    }

    /** Tells whether a word joins the parts of a line, and is needed where it stands. */
    public function joins(string $word): bool
    {
        return isset(self::FILLERS[$word])
            || isset(self::BESIDE_A_STRIKE[$word])
            || isset(self::OPPONENT[$word])
            || isset(self::UNDER[$word])
            || isset(self::LIMBS[$word])
            || \in_array($word, ['with', 'or', 'on', 'at', 'all', 'both', 'again', self::COUNTER], true);
    }

    /** Tells whether the noun is a strike of the leg. */
    public function isOfLeg(string $noun): bool
    {
        return isset($this->ofLeg[$this->nouns[$noun] ?? $noun]);
    }

    /** @return list<string> at most three known words, nearest first */
    public function nearest(string $word): array
    {
        $suggestions = $this->suggestions();
        if (isset($suggestions[$word])) {
            // A known word in the wrong place; suggesting a similar one would mislead.
            return [];
        }
        $limit = max(1, intdiv(mb_strlen($word), 3));
        $ranked = [];
        foreach ($suggestions as $known => $texts) {
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

    /** @return array<string, list<string>> what may be suggested for an unknown word, by the word that it is near to */
    private function suggestions(): array
    {
        $words = [
            ...array_keys($this->ids),
            ...array_keys($this->nouns),
            ...$this->strikeNames,
            'fake',
            'lead',
            'rear',
            'left',
            'right',
            'body',
            'head',
            'beat',
        ];
        $suggestions = array_map(static fn (array $base): array => array_values($base), $this->bases);
        foreach ($words as $word) {
            $suggestions[$word] = [$word];
        }

        return $suggestions;
    }

    /**
     * Returns the maximum number of words of a phrase that starts there.
     *
     * @param list<string> $words
     */
    private function reach(array $words, int $from): int
    {
        return min($this->longest[$words[$from] ?? ''] ?? 0, \count($words) - $from);
    }

    /** @param list<string> $words */
    private function phrase(array $words, int $from, int $count): string
    {
        return 1 === $count ? $words[$from] : implode(' ', \array_slice($words, $from, $count));
    }
}
