<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\Library;
use Periplus\App\Combination\SaveRequest;
use Periplus\App\Course\Courses;
use Periplus\App\Course\Syllabus;
use Periplus\App\Course\SyllabusWeek;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Report\CombinationBrief;
use Periplus\App\Review\DecisionRequest;
use Periplus\App\Review\Proposal;
use Periplus\App\Review\ProposalKind;
use Periplus\App\Review\ProposalRequest;
use Periplus\App\Review\Review;
use Periplus\App\Store\ChangedMeanwhile;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Refused;
use Periplus\App\Syllabus\ReadWeek;
use Periplus\App\Syllabus\SyllabusFiles;
use Periplus\Core\Notation\Numbering;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Answers what other gyms offer. A combination becomes a proposal, which is approved at once or looked at first; of a
 * later version only what the other gym changed since is proposed, on top of what the combination is here by now.
 */
final readonly class OfferReview
{
    private const PAGE_SIZE = 50;

    public function __construct(
        private EntityManagerInterface $entities,
        private OfferSources $sources,
        private AnsweredOffers $answers,
        private OfferEffects $effects,
        private CombinationEffects $combinations,
        private Library $library,
        private Review $review,
        private Courses $courses,
        private SyllabusFiles $syllabi,
        private GymNumberings $numberings,
        private Accounts $accounts,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    /** @param bool $answered those that were answered instead of those that wait */
    public function page(bool $answered, int $page, Numbering $numbering): OfferPage
    {
        $sources = $this->sources->all();
        $answers = $this->answers->all();
        $offers = [];
        $open = 0;
        foreach ($sources as $source) {
            foreach ($source->offers() as $offer) {
                $isAnswered = null !== self::answerTo($offer, $answers);
                $open += $isAnswered ? 0 : 1;
                if ($isAnswered === $answered) {
                    $offers[] = $offer;
                }
            }
        }
        // What is in use here already comes first.
        $isLater = static fn (Offer $offer): bool => null !== self::takenOf($answers[$offer->key()] ?? []);
        usort($offers, static fn (Offer $one, Offer $other): int => $isLater($other) <=> $isLater($one));
        $shown = \array_slice($offers, ($page - 1) * self::PAGE_SIZE, self::PAGE_SIZE);

        return new OfferPage(
            $this->show($shown, $answers, $numbering),
            \count($offers),
            self::PAGE_SIZE,
            $open,
            $sources,
        );
    }

    /** @throws NotFound when it is not offered, or no longer */
    public function read(string $source, OfferKind $kind, string $item, Numbering $numbering): ShownOffer
    {
        return $this->show([$this->sources->offer($source, $kind, $item)], $this->answers->all(), $numbering)[0];
    }

    /**
     * Makes a proposal of an offered combination, to be looked at and changed before it is decided.
     *
     * @throws Refused
     */
    public function propose(OfferRequest $request, User $coach): Proposal
    {
        return $this->answer($request, fn (Offer $offer): Proposal => $this->proposal($offer, $request, $coach));
    }

    /**
     * Accepts an offer without changes and stores it in this gym.
     *
     * @throws Refused
     */
    public function accept(OfferRequest $request, User $head): void
    {
        $this->answer($request, function (Offer $offer) use ($request, $head): null {
            $thing = $offer->thing;
            if ($thing instanceof OfferedCombination) {
                $proposal = $this->proposal($offer, $request, $head);
                $this->entities->flush();
                $this->review->approve(
                    $proposal->id(),
                    $proposal->version(),
                    new DecisionRequest(against: $request->against),
                    $head,
                );

                return null;
            }
            $subject = match (true) {
                $thing instanceof OfferedCourse => $this->acceptCourse($offer, $thing, $request, $head),
                $thing instanceof OfferedNumbering => $this->acceptNumbering($offer, $thing, $request, $head),
                // They are saved on their page, after a look at what they do to the library.
                default => $this->effect($offer)->canBeAccepted ? null : throw new Conflict(
                    'not-the-same',
                    t('Your house rules are not those of {gym} yet. Save them first.', gym: $offer->gym),
                ),
            };
            $this->entities->persist(
                AnsweredOffer::accepted($offer, $subject, $this->accounts->managed($head), $this->clock->now()),
            );
            $this->record($offer, 'offer.accepted', $head, t('took over'));

            return null;
        });
    }

    /** @throws Refused */
    public function decline(OfferRequest $request, User $head): void
    {
        $this->answer($request, function (Offer $offer) use ($head): null {
            $this->entities->persist(
                AnsweredOffer::declined($offer, $this->accounts->managed($head), $this->clock->now()),
            );
            $this->record($offer, 'offer.declined', $head, t('declined'));

            return null;
        });
    }

    /** Puts a declined offer back among those that wait. */
    public function reconsider(OfferRequest $request, User $head): void
    {
        $this->library->write(function () use ($request, $head): void {
            $offer = $this->offer($request);
            $answer = self::answerTo($offer, $this->answers->all());
            if (OfferAnswer::Declined !== $answer?->answer()) {
                throw new Conflict('not-declined', t('This was not declined, or no longer is.'));
            }
            $this->entities->remove($answer);
            $this->record($offer, 'offer.reconsidered', $head, t('wants to decide again on'));
        });
    }

    /**
     * @template T
     *
     * @param \Closure(Offer): T $answer
     *
     * @return T
     */
    private function answer(OfferRequest $request, \Closure $answer): mixed
    {
        return $this->library->write(function () use ($request, $answer): mixed {
            $offer = $this->offer($request);
            if (null !== self::answerTo($offer, $this->answers->all())) {
                throw new Conflict('answered-already', t('This offer was answered already. Look at the newest.'));
            }

            return $answer($offer);
        });
    }

    private function offer(OfferRequest $request): Offer
    {
        $offer = $this->sources->offer($request->source, $request->kind, $request->item);

        return $offer->thing->digest() === $request->digest ? $offer : throw new ChangedMeanwhile(
            t('{gym} changed this meanwhile. Nothing was done; look at the newest.', gym: $offer->gym),
        );
    }

    private function proposal(Offer $offer, OfferRequest $request, User $coach): Proposal
    {
        $thing = $offer->thing;
        if (!$thing instanceof OfferedCombination) {
            throw new Conflict('no-combination', t('Only combinations become proposals.'));
        }
        $offered = $this->combinations->draft($thing)->content;
        $change = $this->combinations->change($this->taken($offer), $offered);
        $proposal = $this->review->propose(
            null === $change
                ? new ProposalRequest(
                    ProposalKind::Addition,
                    content: $thing->request(),
                    remark: t('Offered by {gym}.', gym: $offer->gym),
                )
                : new ProposalRequest(
                    ProposalKind::Change,
                    $change->combination->id(),
                    $request->against ?? $change->combination->version(),
                    self::request($change->result),
                    t('{gym} changed {fields}.', gym: $offer->gym, fields: implode(', ', $change->theirs)),
                ),
            $coach,
        );
        $this->entities->persist(AnsweredOffer::proposed(
            $offer,
            $offered,
            $proposal,
            $this->accounts->managed($coach),
            $this->clock->now(),
        ));

        return $proposal;
    }

    private static function request(CombinationContent $content): SaveRequest
    {
        return new SaveRequest(
            name: $content->name,
            text: $content->notation,
            stance: $content->stance,
            rules: $content->rules,
            themes: $content->themes,
            level: false === $content->levelChosen ? null : $content->level,
            note: $content->note,
        );
    }

    private function acceptCourse(Offer $offer, OfferedCourse $thing, OfferRequest $request, User $head): string
    {
        $id = $this->taken($offer)?->subject();
        $course = null === $id ? null : $this->courses->find((int) $id);
        $course ??= $this->courses->create($thing->course, $head);
        $weeks = $this->syllabi->read($thing->syllabus, $this->numberings->forUser($head))->weeks;
        $this->courses->teach(
            $course->id(),
            $request->against ?? $course->version(),
            new Syllabus($course->syllabus()->startsOn, array_map(
                static fn (ReadWeek $week): SyllabusWeek => new SyllabusWeek(
                    $week->theme,
                    $week->note,
                    array_map(static fn (CombinationBrief $one): int => $one->id, $week->combinations),
                ),
                $weeks,
            )),
            $head,
        );

        return (string) $course->id();
    }

    private function acceptNumbering(Offer $offer, OfferedNumbering $thing, OfferRequest $request, User $head): string
    {
        $effect = $this->effect($offer);
        if (!$effect->canBeAccepted) {
            throw new Conflict('nothing-to-accept', $effect->changes[0]);
        }
        $id = $this->taken($offer)?->subject() ?? $this->freeId($thing->item);
        $this->numberings->save(
            Numbering::of($id, $thing->numbering->content()),
            null === $effect->here ? null : $request->against ?? $effect->here->version,
            $head,
        );

        return $id;
    }

    /** Returns an id that no numbering here has. */
    private function freeId(string $wanted): string
    {
        $all = $this->numberings->all();
        $id = $wanted;
        for ($number = 2; isset($all[$id]); ++$number) {
            $id = substr($wanted, 0, 36).'-'.$number;
        }

        return $id;
    }

    private function effect(Offer $offer): OfferEffect
    {
        return $this->effects->workOut(
            [$offer],
            [$offer->key() => $this->taken($offer)],
            $this->numberings->named($this->numberings->ofGym()),
        )[$offer->key()];
    }

    private function taken(Offer $offer): ?AnsweredOffer
    {
        return self::takenOf($this->answers->all()[$offer->key()] ?? []);
    }

    /** @param list<AnsweredOffer> $answers */
    private static function takenOf(array $answers): ?AnsweredOffer
    {
        return array_values(array_filter(
            array_reverse($answers),
            static fn (AnsweredOffer $one): bool => OfferAnswer::Accepted === $one->answer(),
        ))[0] ?? null;
    }

    /** @param array<string, list<AnsweredOffer>> $answers */
    private static function answerTo(Offer $offer, array $answers): ?AnsweredOffer
    {
        $digest = $offer->thing->digest();

        return array_values(array_filter(
            $answers[$offer->key()] ?? [],
            static fn (AnsweredOffer $one): bool => $one->digest() === $digest,
        ))[0] ?? null;
    }

    /**
     * @param list<Offer> $offers
     * @param array<string, list<AnsweredOffer>> $answers
     *
     * @return list<ShownOffer>
     */
    private function show(array $offers, array $answers, Numbering $numbering): array
    {
        $taken = [];
        foreach ($offers as $offer) {
            $taken[$offer->key()] = self::takenOf($answers[$offer->key()] ?? []);
        }
        $effects = $this->effects->workOut($offers, $taken, $numbering);

        return array_map(static fn (Offer $offer): ShownOffer => new ShownOffer(
            $offer,
            $effects[$offer->key()],
            self::answerTo($offer, $answers),
            null !== $taken[$offer->key()],
        ), $offers);
    }

    private function record(Offer $offer, string $what, User $head, string $did): void
    {
        $this->audit->add(
            $head->id(),
            $what,
            t(
                '{did} {kind} “{name}” of {gym}',
                did: $did,
                kind: $offer->thing->kind()->words(),
                name: $offer->thing->name(),
                gym: $offer->gym,
            ),
            'review?list=offers',
        );
    }
}
