<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Notation\Diagnostics;
use Periplus\Core\Notation\Glue;
use Periplus\Core\Notation\Lexer;
use Periplus\Core\Notation\MovePhraseParser;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\SpokenForms;
use Periplus\Core\Notation\StrikePhrase;
use Periplus\Core\Notation\StrikePhraseParser;
use Periplus\Core\Notation\Token;
use Periplus\Core\Notation\TokenKind;
use Periplus\Core\Notation\TokenStream;
use Periplus\Core\Notation\Vocabulary;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Reads the items of a search with the phrases with which a chain is read. A number means its strike at any target,
 * unless it has a target letter or implies a target; a noun without a side means both sides; "kick", "hand" and the
 * like mean every strike of a limb; brackets mean a feint. Whatever depends on the stance is read in the given one.
 */
final readonly class ItemPatternReader
{
    private const LIMBS = [
        'kick' => Limb::Leg,
        'kicks' => Limb::Leg,
        'hand' => Limb::Hand,
        'hands' => Limb::Hand,
        'punch' => Limb::Hand,
        'punches' => Limb::Hand,
        'knee' => Limb::Knee,
        'knees' => Limb::Knee,
        'elbow' => Limb::Elbow,
        'elbows' => Limb::Elbow,
    ];
    private const ANY = ['strike' => true, 'strikes' => true];
    private const KINDS = [
        'defence' => MoveKind::Defence,
        'footwork' => MoveKind::Footwork,
        'contact' => MoveKind::Contact,
    ];

    private Vocabulary $vocabulary;
    private StrikePhraseParser $strikes;
    private MovePhraseParser $moves;
    private SpokenForms $forms;

    public function __construct(
        private Numbering $numbering,
        private Catalogue $catalogue,
        Glue $glue = new Glue(),
    ) {
        $this->vocabulary = new Vocabulary($catalogue);
        $this->strikes = new StrikePhraseParser($this->vocabulary, self::LIMBS + self::ANY);
        $this->moves = new MovePhraseParser($this->vocabulary, $this->strikes);
        $this->forms = new SpokenForms($this->vocabulary, $glue);
    }

    /**
     * @param list<Piece> $pieces
     * @param Stance $running in which left and right are understood, until something changes it
     *
     * @return list<non-empty-list<ItemPattern>>|ReadingProblem runs that follow each other with anything between; empty
     *                                                          when there is nothing
     */
    public function runs(array $pieces, Stance $running = Stance::Orthodox): array|ReadingProblem
    {
        $tokens = new TokenStream($this->forms->heard(self::tokens($pieces)));
        $runs = [];
        $run = [];
        while (null !== ($token = $tokens->peek())) {
            if ('then' === $tokens->word()) {
                if ([] !== $run) {
                    $runs[] = $run;
                }
                $run = [];
                $tokens->take();
                continue;
            }
            if (TokenKind::Stop === $token->kind || (isset(Vocabulary::FILLERS[$tokens->word()]) && [] !== $run)) {
                $tokens->take();
                continue;
            }
            $patterns =
                $this->bracket($tokens, $running)
                ?? ($this->sign($tokens) ?? ($this->strike($tokens, $running) ?? $this->move($tokens, $running)));
            if (null === $patterns) {
                return new ReadingProblem(
                    $token->span->at,
                    $token->span->length,
                    t(
                        '"{excerpt}" is not a strike or move that can be searched for.',
                        excerpt: Diagnostics::excerpt($token->text),
                    ),
                    t('a number, or words such as lead hook body, kick, slip or exit'),
                    '' === $tokens->word() ? [] : $this->vocabulary->nearest($tokens->word()),
                );
            }
            array_push($run, ...$patterns);
        }

        return [] === $run ? $runs : [...$runs, $run];
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return list<string> words that carry nothing, as they were typed
     */
    public function passedOver(array $pieces): array
    {
        $typed = self::tokens($pieces);
        $words = [];
        foreach ($this->forms->heard($typed)->passedOver as $span) {
            $inside = array_filter(
                $typed,
                static fn (Token $token): bool => $token->span->at >= $span->at
                    && $token->span->at < $span->at + $span->length,
            );
            $words[] = implode(' ', array_column($inside, 'text'));
        }

        return $words;
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return list<Token>
     */
    private static function tokens(array $pieces): array
    {
        return array_merge(
            ...array_map(static fn (Piece $piece): array => Lexer::tokens($piece->text, $piece->at), $pieces),
        );
    }

    /** Returns the pattern of every strike, thrown or feinted, with another limb. */
    public function otherThan(Limb $limb): ItemPattern
    {
        $codes = [];
        foreach ($this->catalogue->strikes as $strike) {
            foreach ($strike->limb === $limb ? [] : $strike->targets as $target) {
                $codes[] = $strike->sign.$target->value;
            }
        }

        return new ItemPattern($codes, false, t(
            '{limb, select, hand {kick, knee or elbow} leg {punch, knee or elbow} other {strike of another limb}}',
            limb: $limb->value,
        ));
    }

    /** Tells whether these words are one name of a move. */
    public function isMove(string ...$words): bool
    {
        return \count($words) === ($this->vocabulary->move(array_values($words), 0)->count ?? 0);
    }

    /** @return non-empty-list<ItemPattern>|null "(3)": a feinted strike */
    private function bracket(TokenStream $tokens, Stance $running): ?array
    {
        $phrase = $tokens->isSign('(') ? $this->strikes->parse($tokens, $tokens->position() + 1) : null;
        if (null === $phrase) {
            return null;
        }
        $patterns = $this->patterns($phrase, $running, true);
        if (null !== $patterns) {
            $tokens->moveTo($phrase->next);
            if ($tokens->isSign(')')) {
                $tokens->take();
            }
        }

        return $patterns;
    }

    /** @return non-empty-list<ItemPattern>|null a beat or free strikes */
    private function sign(TokenStream $tokens): ?array
    {
        $every = [
            Sequence::CHOICE,
            ...array_merge(
                ...array_map(
                    static fn (int $count): array => array_map(
                        static fn (?Target $of): string => Sequence::free($count, $of),
                        [null, ...Target::cases()],
                    ),
                    range(1, FreeStrikes::MAX_COUNT),
                ),
            ),
        ];
        if ($tokens->isSign('/') || isset(Vocabulary::BEATS[$tokens->word()])) {
            $tokens->take();

            return [new ItemPattern([Sequence::BEAT], false, 'a beat')];
        }
        if (!$tokens->isSign('*')) {
            return null;
        }
        $star = $tokens->take();
        $count = $tokens->peek();
        if (
            TokenKind::Number !== $count?->kind
            || $count->span->at !== $star->span->at + 1
            || !\in_array((int) $count->text, range(1, FreeStrikes::MAX_COUNT), true)
        ) {
            return [new ItemPattern($every, false, t('free strikes'))];
        }
        $tokens->take();

        $target = Target::tryFrom(strtolower(ltrim($count->text, '0..9')));
        $counted = array_map(
            static fn (?Target $of): string => Sequence::free((int) $count->text, $of),
            null === $target ? [null, ...Target::cases()] : [$target],
        );

        return [new ItemPattern($counted, false, t('free strikes'))];
    }

    /** @return non-empty-list<ItemPattern>|null */
    private function strike(TokenStream $tokens, Stance &$running): ?array
    {
        $phrase = $this->strikes->parse($tokens, $tokens->position());
        $patterns = null === $phrase ? null : $this->patterns($phrase, $running, $phrase->feint);
        if (null !== $phrase && null !== $patterns) {
            $tokens->moveTo($phrase->next);
            $running = $phrase->landing->changesStance() && !$phrase->feint ? $running->other() : $running;
        }

        return $patterns;
    }

    /** @return non-empty-list<ItemPattern>|null as often as it is thrown; null when no strike is meant */
    private function patterns(StrikePhrase $phrase, Stance $running, bool $feint): ?array
    {
        $meant = '' === $phrase->noun ? $this->numbered($phrase, $running) : $this->named($phrase, $running);
        $target = $meant->target;
        if ([] === $meant->strikes) {
            return null;
        }
        $codes = [];
        foreach ($meant->strikes as $strike) {
            foreach (null === $target ? $strike->targets : [$phrase->targetOf($strike) ?? $target] as $goes) {
                $codes[] = $strike->sign.$goes->value;
            }
        }
        $pattern = new ItemPattern(
            $codes,
            $feint,
            ($feint ? t('a fake ') : (self::startsWithVowel($meant->name) ? t('an ') : t('a ')))
                .$meant->name
                .(null === $target ? '' : t(' to the {target}', target: $target->word())),
        );

        $patterns = array_fill(0, max(1, $phrase->times), $pattern);

        return $phrase->switched
            ? [$this->moves([$this->catalogue->move('switch')], 'switch'), ...$patterns]
            : $patterns;
    }

    private function numbered(StrikePhrase $phrase, Stance $running): MeantStrikes
    {
        $entry = $this->numbering->entry($phrase->code);
        $strike = null === $entry ? null : $this->catalogue->inFamily($entry->family, $entry->role($running));
        $letters = $phrase->letters;
        $target = '' === $letters ? $entry?->target : Target::tryFrom(strtolower($letters));
        if (null === $strike || ('' !== $letters && null === $target)) {
            return new MeantStrikes();
        }
        $target = $phrase->targetOf($strike) ?? $target;

        return new MeantStrikes(
            null === $target || \in_array($target, $strike->targets, true) ? [$strike] : [],
            $target,
            $strike->name,
        );
    }

    private function named(StrikePhrase $phrase, Stance $running): MeantStrikes
    {
        $noun = $phrase->noun;
        $nouns = $this->vocabulary->nouns;
        $limb = self::LIMBS[$noun] ?? null;
        $fixed = $this->vocabulary->fixed[$noun] ?? null;
        $role = $phrase->side instanceof Side ? $running->roleOf($phrase->side) : $phrase->side;
        $strikes = array_values(
            array_filter(
                $this->catalogue->strikes,
                static fn (Strike $strike): bool => (null === $role || $strike->role === $role)
                    && (null === $phrase->targetWord || \in_array($phrase->targetOf($strike), $strike->targets, true))
                    && match (true) {
                        isset(self::ANY[$noun]) => true,
                        null !== $limb => $strike->limb === $limb,
                        default => $strike->family === $nouns[$noun] && (null === $fixed || $strike->role === $fixed),
                    },
            ),
        );
        $targets = array_values(array_unique(array_map($phrase->targetOf(...), $strikes), \SORT_REGULAR));
        $target = 1 === \count($targets) ? $targets[0] : $phrase->target();

        return new MeantStrikes($strikes, $target, match (true) {
            // "Right hand" names its side, and "liver shot" its target as well.
            isset($this->vocabulary->hands[$noun]) && 1 === \count($strikes) => $strikes[0]->name,
            null === $role => self::singular($noun),
            default => $role->value.' '.self::singular($noun),
        });
    }

    /** Returns the singular of a noun: "kick" for "kicks". */
    private static function singular(string $noun): string
    {
        return match (true) {
            !isset((self::LIMBS + self::ANY)[$noun]) => $noun,
            'punches' === $noun => 'punch',
            default => rtrim($noun, 's'),
        };
    }

    private static function startsWithVowel(string $name): bool
    {
        return 1 === preg_match('/^[aeiou]/i', $name);
    }

    /** @return non-empty-list<ItemPattern>|null */
    private function move(TokenStream $tokens, Stance &$running): ?array
    {
        $kind = self::KINDS[$tokens->word()] ?? null;
        if (null !== $kind) {
            $tokens->take();

            return [
                $this->moves(
                    array_values(
                        array_filter($this->catalogue->moves, static fn (Move $move): bool => $move->kind === $kind),
                    ),
                    $kind->value,
                ),
            ];
        }
        $phrase = $this->moves->parse($tokens, $tokens->position());
        if (null === $phrase) {
            return null;
        }
        $tokens->moveTo($phrase->next);
        if (isset(Vocabulary::SEQUENCES[$phrase->name])) {
            return array_map(
                fn (string $id): ItemPattern => $this->moves([$this->catalogue->move($id)], strtr($id, '-', ' ')),
                Vocabulary::SEQUENCES[$phrase->name],
            );
        }
        $role = $phrase->role($running);
        if (null === $role && null !== $phrase->sides) {
            $ids = array_values($phrase->sides);
            // An exit has a form without a side, too.
            $ids = isset($this->catalogue->moves[$phrase->name]) ? [$phrase->name, ...$ids] : $ids;
            $moves = $this->moves(array_map($this->catalogue->move(...), $ids), $phrase->name);

            return array_fill(0, max(1, $phrase->times), $moves);
        }
        $move = $this->catalogue->move(null === $role ? $phrase->name : $phrase->sides[$role->value] ?? $phrase->name);
        $running = $move->changesStance() ? $running->other() : $running;

        return [$this->moves([$move], $move->words())];
    }

    /** @param list<Move> $moves */
    private function moves(array $moves, string $says): ItemPattern
    {
        return new ItemPattern(array_column($moves, 'sign'), false, $says);
    }
}
