<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Serializer\CheckDocument;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputDefinition;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Input\StringInput;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Checks chains on the command line, without database or web server. Prints the document of docs/formats/check.md as
 * JSON, or a short text. Exit code 0 when every line could be read, 2 otherwise.
 */
#[AsCommand('check', 'Read, check and mirror a combination')]
final class CheckCommand extends Command
{
    private const UNREADABLE = 2;

    protected function configure(): void
    {
        $this
            ->addArgument('chain', InputArgument::IS_ARRAY, 'The combination, in numbers or words')
            ->addOption('stance', null, InputOption::VALUE_REQUIRED, 'orthodox or southpaw', 'orthodox')
            ->addOption('opponent', null, InputOption::VALUE_REQUIRED, 'orthodox or southpaw', 'orthodox')
            ->addOption('rules', null, InputOption::VALUE_REQUIRED, 'boxing, kickboxing or all-limbs', 'all-limbs')
            ->addOption('numbering', null, InputOption::VALUE_REQUIRED, 'parity, body-pairs, six or hands', 'parity')
            ->addOption(
                'scheme',
                null,
                InputOption::VALUE_REQUIRED,
                'Former name of --numbering, for scripts that use it',
                '',
            )
            ->addOption('tempo', null, InputOption::VALUE_REQUIRED, '1.6 learning, 1.0 working, 0.8 fast', '1.0')
            ->addOption('medium', null, InputOption::VALUE_REQUIRED, implode(', ', Medium::ids()), 'shadow')
            ->addOption('group', null, InputOption::VALUE_REQUIRED, 'open, beginners or youth', 'open')
            ->addOption('athlete', null, InputOption::VALUE_REQUIRED, 'small, middle or tall', 'middle')
            ->addOption(
                'height',
                null,
                InputOption::VALUE_REQUIRED,
                'Body height in cm, in place of the athlete\'s',
                '',
            )
            ->addOption(
                'stance-length',
                null,
                InputOption::VALUE_REQUIRED,
                'From foot to foot in cm; 0.3 of the height by itself',
                '',
            )
            ->addOption(
                'draw',
                null,
                InputOption::VALUE_REQUIRED,
                'Sizes of the picture in the JSON: row, card, full, sheet',
                '',
            )
            ->addOption('json', null, InputOption::VALUE_NONE, 'Print JSON')
            ->addOption(
                'lines',
                null,
                InputOption::VALUE_NONE,
                'Read one chain a line from standard input, options after a tab, and print one JSON object a line',
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (true === $input->getOption('lines')) {
            return $this->lines($input, $output);
        }
        /** @var list<string> $words */
        $words = $input->getArgument('chain');
        $document = $this->document(implode(' ', $words), $input);
        $output->writeln(
            true === $input->getOption('json')
                ? self::json($document, \JSON_PRETTY_PRINT)
                : CheckText::format($document),
            OutputInterface::OUTPUT_RAW,
        );

        return [] === $document->problems ? Command::SUCCESS : self::UNREADABLE;
    }

    private function lines(InputInterface $input, OutputInterface $output): int
    {
        $code = Command::SUCCESS;
        while (false !== ($line = fgets(\STDIN))) {
            [$chain, $options] = [...explode("\t", rtrim($line, "\r\n"), 2), ''];
            $document = $this->document($chain, '' === trim($options) ? $input : $this->overridden($input, $options));
            $output->writeln(self::json($document), OutputInterface::OUTPUT_RAW);
            $code = [] === $document->problems ? $code : self::UNREADABLE;
        }

        return $code;
    }

    /** Returns the options of the call, overridden by those on the line itself. */
    private function overridden(InputInterface $input, string $options): InputInterface|string
    {
        try {
            $line = new StringInput($options);
            $line->bind(new InputDefinition($this->getDefinition()->getOptions()));
            $given = [];
            foreach ($input->getOptions() as $name => $value) {
                $given['--'.$name] = $line->hasParameterOption('--'.$name) ? $line->getOption($name) : $value;
            }

            return new ArrayInput($given, new InputDefinition($this->getDefinition()->getOptions()));
        } catch (\RuntimeException|\InvalidArgumentException $mistake) {
            return $mistake->getMessage();
        }
    }

    private function document(string $chain, InputInterface|string $input): CheckDocument
    {
        try {
            return \is_string($input) ? throw new \DomainException($input) : self::check($chain, $input);
        } catch (\DomainException|\OutOfBoundsException $mistake) {
            return CheckServices::load()->checkSerializer->refused(mb_strlen($chain), $mistake->getMessage());
        }
    }

    private static function check(string $chain, InputInterface $input): CheckDocument
    {
        $given = static function (string $name) use ($input): string {
            $value = $input->getOption($name);

            return \is_scalar($value) ? (string) $value : '';
        };
        $number = static fn (string $name, string $such): ?float => match (true) {
            '' === $given($name) => null,
            is_numeric($given($name)) => (float) $given($name),
            default => throw new \DomainException(
                \sprintf('--%s is a number such as %s, not "%s".', $name, $such, $given($name)),
            ),
        };
        $stance =
            Stance::tryFrom($given('stance')) ?? throw self::notAmong('stance', Stance::cases(), $given('stance'));
        $numbering = Numbering::named('' === $given('scheme') ? $given('numbering') : $given('scheme'));
        $options = new CheckOptions(
            BuiltInHouseRules::named($given('rules')),
            $number('tempo', '1.0') ?? throw new \DomainException('--tempo is a number such as 1.0.'),
            Medium::tryFrom($given('medium')) ?? throw self::notAmong('medium', Medium::cases(), $given('medium')),
            Group::tryFrom($given('group')) ?? throw self::notAmong('group', Group::cases(), $given('group')),
            Athlete::sized($given('athlete'), $number('height', '174'), $number('stance-length', '52')),
            Stance::tryFrom($given('opponent'))
                ?? throw self::notAmong('opponent', Stance::cases(), $given('opponent')),
        );
        $sizes = array_values(
            array_filter(explode(',', $given('draw')), static fn (string $size): bool => '' !== $size),
        );

        return CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText($chain, $stance, $numbering)),
            $options,
            array_map(
                static fn (string $size): LineSize => LineSize::tryFrom($size)
                    ?? throw self::notAmong('draw', LineSize::cases(), $size),
                $sizes,
            ),
        );
    }

    /** @param list<\BackedEnum> $cases */
    private static function notAmong(string $option, array $cases, string $given): \DomainException
    {
        return new \DomainException(
            \sprintf(
                '--%s is %s, not "%s".',
                $option,
                implode(' or ', array_map(static fn (\BackedEnum $case): string => (string) $case->value, $cases)),
                $given,
            ),
        );
    }

    private static function json(CheckDocument $document, int $flags = 0): string
    {
        return json_encode(
            $document,
            \JSON_THROW_ON_ERROR
                | \JSON_UNESCAPED_UNICODE
                | \JSON_UNESCAPED_SLASHES
                | \JSON_INVALID_UTF8_SUBSTITUTE
                | $flags,
        );
    }
}
