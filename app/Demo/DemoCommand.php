<?php

declare(strict_types=1);

namespace Periplus\App\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Combination\Combinations;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\Library;
use Periplus\App\Combination\SaveRequest;
use Periplus\App\Gym\GymKind;
use Periplus\App\Gym\Gyms;
use Periplus\App\Review\DecisionRequest;
use Periplus\App\Review\ProposalKind;
use Periplus\App\Review\ProposalRequest;
use Periplus\App\Review\Review;
use Periplus\App\Security\GymRole;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Loads the invented gym of demo/ into an empty database; a database with a gym is left unchanged. */
#[AsCommand('gym:demo', 'Load the demo gym into an empty database')]
final class DemoCommand extends Command
{
    public const FOLDER = __DIR__.'/../../demo';

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly Gyms $gyms,
        private readonly Library $library,
        private readonly DraftReader $drafts,
        private readonly Combinations $combinations,
        private readonly Review $review,
        private readonly DemoSessions $sessions,
        private readonly DemoLogbook $logbook,
        private readonly UserPasswordHasherInterface $hasher,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (GymKind::Empty !== $this->gyms->get()->kind()) {
            $output->writeln('There is a gym already; the demo is not loaded.');

            return Command::SUCCESS;
        }
        $count = $this->entities->wrapInTransaction(function (): int {
            $this->gyms->get()->becomeDemo('Saltworks', new \DateTimeZone('Europe/Lisbon'));
            $coaches = $this->coaches();
            $count = $this->combinations($coaches);
            $this->proposals($coaches);
            $this->sessions->load($this->json('courses.json'), $this->json('sessions.json'), $coaches);
            $this->logbook->load($this->json('logbook.json'), $this->json('measurements.json'), $coaches);

            return $count;
        });
        $output->writeln(\sprintf('Loaded the demo gym: %d combinations.', $count));

        return Command::SUCCESS;
    }

    /** @return array<string, User> by the name that the combinations use */
    private function coaches(): array
    {
        /** @var list<array{key: string, name: string, email: string, password: string, role: string}> $rows */
        $rows = $this->json('coaches.json');
        $coaches = [];
        foreach ($rows as $row) {
            $coach = new User($row['email'], $row['name'], GymRole::ofWord($row['role']));
            $coach->usePasswordHash($this->hasher->hashPassword($coach, $row['password']));
            $this->entities->persist($coach);
            $coaches[$row['key']] = $coach;
        }
        $this->entities->flush();

        return $coaches;
    }

    /** @param array<string, User> $coaches */
    private function combinations(array $coaches): int
    {
        /**
         * @var list<array{
         *     name: string,
         *     chain: string,
         *     by: string,
         *     rules: string,
         *     level: int,
         *     stance?: string,
         *     themes?: list<string>,
         *     note?: string,
         * }> $rows
         */
        $rows = $this->json('combinations.json');
        foreach ($rows as $row) {
            $this->library->create($this->drafts->read(new SaveRequest(
                name: $row['name'],
                text: $row['chain'],
                stance: Stance::from($row['stance'] ?? 'orthodox'),
                rules: $row['rules'],
                themes: $row['themes'] ?? [],
                level: $row['level'],
                note: $row['note'] ?? '',
            )), $coaches['ines'], $coaches[$row['by']]);
        }

        return \count($rows);
    }

    /** @param array<string, User> $coaches */
    private function proposals(array $coaches): void
    {
        /**
         * @var list<array{
         *     kind: string,
         *     of?: string,
         *     name?: string,
         *     chain?: string,
         *     by: string,
         *     rules?: string,
         *     level?: int,
         *     themes?: list<string>,
         *     note?: string,
         *     remark: string,
         *     returned?: string,
         * }> $rows
         */
        $rows = $this->json('proposals.json');
        foreach ($rows as $row) {
            $of = isset($row['of']) ? $this->combinations->findOneBy(['name' => $row['of']]) : null;
            $was = $of?->content();
            $content = isset($row['chain']) ? new SaveRequest(
                name: $row['name'] ?? $was->name ?? '',
                text: $row['chain'],
                stance: $was->stance ?? Stance::Orthodox,
                rules: $row['rules'] ?? $was->rules ?? 'all-limbs',
                themes: $row['themes'] ?? $was->themes ?? [],
                level: $row['level'] ?? $was->level ?? 1,
                note: $row['note'] ?? $was->note ?? '',
            ) : null;
            $proposal = $this->review->propose(
                new ProposalRequest(
                    ProposalKind::from($row['kind']),
                    $of?->id(),
                    $of?->version(),
                    $content,
                    $row['remark'],
                ),
                $coaches[$row['by']],
            );
            if (isset($row['returned'])) {
                $this->review->return(
                    $proposal->id(),
                    $proposal->version(),
                    new DecisionRequest($row['returned']),
                    $coaches['ines'],
                );
            }
        }
    }

    /** @return array<mixed> */
    private function json(string $file): array
    {
        $data = json_decode((string) file_get_contents(self::FOLDER.'/'.$file), true, flags: \JSON_THROW_ON_ERROR);

        return \is_array($data) ? $data : throw new \UnexpectedValueException($file.' holds no list.');
    }
}
