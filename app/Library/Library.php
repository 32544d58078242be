<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Gym\GymRules;
use Periplus\App\Http\Problem;
use Periplus\Core\Combination\Voice;
use Periplus\Core\Flow\Check;
use Periplus\Core\Flow\Circumstances;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\Scheme;
use Periplus\Core\Notation\Writer;
use Psr\Clock\ClockInterface;

/** Saves, archives and restores combinations. Nothing is overwritten unseen: every write names the version it was made from. */
final readonly class Library
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Combinations $combinations,
        private Reader $reader,
        private Check $check,
        private GymRules $rules,
        private ClockInterface $clock,
    ) {
    }

    public function create(SaveRequest $request, User $author): Combination
    {
        [$content, $voice] = $this->read($request);
        $author = $this->managed($author);

        return $this->entities->wrapInTransaction(function () use ($content, $voice, $author): Combination {
            $checked = $this->checked($voice, $content);
            $this->refuseDuplicate($checked->fingerprint->withEffort, null);
            $combination = new Combination($content, $checked, $author, $this->clock->now());
            $this->entities->persist($combination);
            $this->entities->flush();
            $this->remember($combination, Change::Created, $author);

            return $combination;
        });
    }

    public function update(int $id, int $basedOn, SaveRequest $request, User $editor): Combination
    {
        [$content, $voice] = $this->read($request);

        return $this->change($id, $basedOn, $editor, Change::Updated, function (Combination $combination, User $editor) use ($content, $voice): void {
            $checked = $this->checked($voice, $content);
            $this->refuseDuplicate($checked->fingerprint->withEffort, $combination->id());
            $combination->write($content, $checked, $editor, $this->clock->now());
        });
    }

    public function archive(int $id, int $basedOn, User $editor): Combination
    {
        return $this->change($id, $basedOn, $editor, Change::Archived, function (Combination $combination, User $editor): void {
            $this->refuseStranger($combination, $editor);
            $combination->archive($this->clock->now());
        });
    }

    public function restore(int $id, int $basedOn, User $editor): Combination
    {
        return $this->change($id, $basedOn, $editor, Change::Restored, function (Combination $combination, User $editor): void {
            $this->refuseStranger($combination, $editor);
            $this->refuseDuplicate($combination->fingerprintWithEffort(), $combination->id());
            $combination->restore();
        });
    }

    /** @return list<CombinationVersion> newest first */
    public function versions(Combination $combination): array
    {
        return $this->entities->getRepository(CombinationVersion::class)->findBy(['combination' => $combination], ['version' => 'DESC']);
    }

    /** @param \Closure(Combination, User): void $write */
    private function change(int $id, int $basedOn, User $editor, Change $change, \Closure $write): Combination
    {
        return $this->entities->wrapInTransaction(function () use ($id, $basedOn, $editor, $change, $write): Combination {
            $editor = $this->managed($editor);
            $combination = $this->combinations->find($id, LockMode::PESSIMISTIC_WRITE) ?? $this->combinations->get($id);
            if ($combination->version() !== $basedOn) {
                throw $this->stale($combination, $basedOn);
            }
            $write($combination, $editor);
            $this->entities->flush();
            if ($combination->version() !== $basedOn) {
                $this->remember($combination, $change, $editor);
            }

            return $combination;
        });
    }

    /** The coach as the entity manager knows them; the one of a session is not. */
    private function managed(User $user): User
    {
        return $this->entities->getReference(User::class, $user->id()) ?? $user;
    }

    private function stale(Combination $combination, int $basedOn): Problem
    {
        $then = $this->entities->getRepository(CombinationVersion::class)->findOneBy(['combination' => $combination, 'version' => $basedOn]);
        $current = $combination->toArray();
        /** @var array{name: string} $editor */
        $editor = $current['editor'];
        $changed = null === $then ? [] : $combination->content()->differencesFrom($then->content());

        return new Problem(412, 'changed-meanwhile', \sprintf(
            '%s changed this combination meanwhile%s. Nothing was overwritten; look at the newest and save again.',
            $editor['name'],
            [] === $changed ? '' : ' ('.implode(', ', $changed).')',
        ), ['current' => $current, 'changed' => $changed]);
    }

    private function remember(Combination $combination, Change $change, User $editor): void
    {
        $this->entities->persist(new CombinationVersion($combination, $combination->version(), $combination->content(), $change, $editor, $this->clock->now()));
        $this->entities->flush();
    }

    private function refuseDuplicate(string $fingerprintWithEffort, ?int $except): void
    {
        $same = $this->combinations->same($fingerprintWithEffort, $except);
        if (null !== $same) {
            throw new Problem(409, 'already-there', \sprintf('This chain is already in the library as "%s".', $same->content()->name), ['existing' => ['id' => $same->id(), 'name' => $same->content()->name]]);
        }
    }

    private function refuseStranger(Combination $combination, User $editor): void
    {
        if (!$editor->isHeadCoach() && $combination->author()->id() !== $editor->id()) {
            throw new Problem(403, 'not-allowed', \sprintf('Only %s or the head coach can archive or restore this combination.', $combination->author()->name()));
        }
    }

    /** @return array{Content, Voice} */
    private function read(SaveRequest $request): array
    {
        $reading = $this->reader->read($request->text, Scheme::named($request->scheme), $request->stance);
        if (null === $reading->chain) {
            throw $this->unreadable($reading);
        }
        $voice = new Voice($reading->chain, $request->stance);
        $themes = array_values(array_unique(array_map(static fn (string $theme): string => mb_strtolower(trim($theme)), $request->themes)));

        return [
            new Content(trim($request->name), (new Writer(Scheme::named('parity')))->write($voice), $request->stance, $request->rules, $themes, $request->level, trim($request->note)),
            $voice,
        ];
    }

    /** Inside a transaction: the house rules cannot change until it is stored. */
    private function checked(Voice $voice, Content $content): Checked
    {
        return Checked::of($this->check->run($voice, new Circumstances($this->rules->held($content->rules))));
    }

    private function unreadable(Reading $reading): Problem
    {
        $problems = array_map(static fn ($problem): array => ['at' => $problem->at, 'length' => $problem->length, 'message' => $problem->message, 'expected' => $problem->expected, 'nearest' => $problem->nearest], $reading->problems);

        return new Problem(422, 'unreadable-chain', 'The chain cannot be read yet, so it was not saved. '.$reading->problems[0]->message, ['problems' => $problems]);
    }
}
