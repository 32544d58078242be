<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Work\Proceeds;
use Periplus\Core\Technique\Stance;

/** An import and its progress. */
#[ORM\Entity]
#[ORM\Table(name: 'import_run')]
class ImportRun
{
    use Proceeds;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 10, enumType: ImportState::class)]
    private ImportState $state = ImportState::Reading;

    /** @var array{numbering: string, stance: string, rules: string} */
    #[ORM\Column]
    private array $options;

    /** Number of entries read. */
    #[ORM\Column]
    private int $done = 0;

    /** @param int $total entries of the file */
    public function __construct(
        #[ORM\Column(length: 10, enumType: FileFormat::class)]
        private FileFormat $format,
        ImportOptions $options,
        #[ORM\Column]
        private int $total,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $starter,
        #[ORM\Column]
        private \DateTimeImmutable $startedAt,
    ) {
        $this->options = [
            'numbering' => $options->numbering,
            'stance' => $options->stance->value,
            'rules' => $options->rules ?? '',
        ];
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This import is not stored yet.');
    }

    public function state(): ImportState
    {
        return $this->state;
    }

    public function options(): ImportOptions
    {
        return new ImportOptions(
            $this->options['numbering'],
            Stance::from($this->options['stance']),
            '' === $this->options['rules'] ? null : $this->options['rules'],
        );
    }

    public function total(): int
    {
        return $this->total;
    }

    public function done(): int
    {
        return $this->done;
    }

    public function read(int $entries): void
    {
        $this->done += $entries;
        if ($this->done >= $this->total) {
            $this->state = ImportState::Ready;
        }
    }

    public function setState(ImportState $state): void
    {
        $this->state = $state;
    }
}
