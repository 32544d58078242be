<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\App\Print\FromAboveSvg;
use Periplus\App\Print\LineSvg;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Drawing\LineDrawer;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\FromAbove\FromAbove;
use Periplus\Core\FromAbove\ViewDrawer;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Draws a chain as an SVG file, without database or web server. */
#[AsCommand('draw', 'Print the picture of a combination as SVG')]
final class DrawCommand extends Command
{
    protected function configure(): void
    {
        $this
            ->addArgument('chain', InputArgument::IS_ARRAY, 'The combination, in numbers or words')
            ->addOption('size', null, InputOption::VALUE_REQUIRED, 'row, card, full or sheet', 'full')
            ->addOption('width', null, InputOption::VALUE_REQUIRED, 'Drawing units that it should fit', '760')
            ->addOption('stance', null, InputOption::VALUE_REQUIRED, 'orthodox or southpaw', 'orthodox')
            ->addOption('from-above', null, InputOption::VALUE_REQUIRED, 'A moment from above: 0 is the start')
            ->addOption('opponent', null, InputOption::VALUE_REQUIRED, 'orthodox or southpaw', 'orthodox')
            ->addOption('json', null, InputOption::VALUE_NONE, 'From above as data, in both stances and against both')
            ->addOption('rules', null, InputOption::VALUE_REQUIRED, 'boxing, kickboxing or all-limbs', 'all-limbs');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        /** @var list<string> $words */
        $words = $input->getArgument('chain');
        /**
         * @var array{
         *     size: string,
         *     width: string,
         *     stance: string,
         *     rules: string,
         *     opponent: string,
         *     from-above: string|null,
         *     json: bool,
         * } $given
         */
        $given = $input->getOptions();
        $size = LineSize::tryFrom($given['size']);
        $stance = Stance::tryFrom($given['stance']);
        $opponent = Stance::tryFrom($given['opponent']);
        $hasRules = \in_array($given['rules'], BuiltInHouseRules::ids(), true);
        if (null === $size || null === $stance || null === $opponent || !$hasRules) {
            $output->writeln(
                'A size is row, card, full or sheet; a stance is orthodox or southpaw; rules are '
                    .implode(', ', BuiltInHouseRules::ids())
                    .'.',
            );

            return Command::INVALID;
        }
        $numbering = Numbering::named('parity');
        $reading = Reader::builtIn()->read(implode(' ', $words), $numbering, $stance);
        if (null === $reading->chain) {
            $output->writeln($reading->problems[0]->message);

            return Command::INVALID;
        }
        $options = new CheckOptions(BuiltInHouseRules::named($given['rules']));
        $result = Check::builtIn()->run(new ChainInStance($reading->chain, $stance), $options);
        if ($given['json'] || null !== $given['from-above']) {
            $drawn = ViewDrawer::draw($result->inStance, $result->timing, $result->sway, $options->athlete);
            $output->writeln(
                $given['json']
                    ? json_encode($drawn, \JSON_THROW_ON_ERROR)
                    : self::moment($drawn->inStance($stance)->against($opponent), (int) $given['from-above']),
                OutputInterface::OUTPUT_RAW,
            );

            return Command::SUCCESS;
        }
        $drawing = (new LineDrawer(new Writer($numbering)))->draw(
            $result->inStance,
            $result->timing,
            $result->sway,
            $size,
        );
        $output->writeln(
            (new LineSvg($drawing, (float) $given['width'], $stance))->write(implode(' ', $words)),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** Returns a moment of the only view as SVG; the last one where there are fewer. */
    private static function moment(FromAbove $drawn, int $moment): string
    {
        $view = $drawn->views[0];
        $at = max(0, min($moment, \count($view->moments) - 1));

        return (new FromAboveSvg($drawn))->write($view, $at, $view->edges());
    }
}
