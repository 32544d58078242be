<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Flow\Serializer\CheckDocument;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\ReadingProblem;

/** Formats a check as a short text for the terminal. */
final readonly class CheckText
{
    public static function format(CheckDocument $document): string
    {
        return [] === $document->problems ? self::result($document) : self::problems($document->problems);
    }

    /** @param list<ReadingProblem> $problems */
    private static function problems(array $problems): string
    {
        return implode("\n", array_map(static fn (ReadingProblem $problem): string => \sprintf(
            'At %d: %s Expected: %s.%s',
            $problem->at + 1,
            $problem->message,
            $problem->expected,
            [] === $problem->nearest ? '' : ' Nearest: '.implode(', ', $problem->nearest).'.',
        ), $problems));
    }

    private static function result(CheckDocument $document): string
    {
        $lines = [
            $document->text.'   '.$document->words,
            \sprintf('%s, %.2f s', $document->verdict?->value, (int) $document->lengthMs / 1000),
            $document->summary,
        ];
        foreach ($document->notes as $note) {
            $lines[] =
                '  read    '
                .$note->message
                .([] === $note->choices ? '' : ' Or say: '.implode(', ', $note->choices).'.');
        }
        foreach ($document->links as $link) {
            if (Verdict::Flows !== $link->verdict) {
                $lines[] = \sprintf(
                    '  %s -> %s  %s +%d ms  %s',
                    $document->items[$link->from]->text,
                    $document->items[$link->to]->text,
                    $link->verdict->value,
                    $link->waitMs,
                    $link->reason,
                );
            }
        }
        if (null !== $document->loop && Verdict::Flows !== $document->loop->verdict) {
            $lines[] = \sprintf(
                '  as a loop  %s +%d ms  %s',
                $document->loop->verdict->value,
                $document->loop->waitMs,
                $document->loop->reason,
            );
        }
        foreach ($document->findings as $finding) {
            $lines[] = \sprintf('  %-7s %s', $finding->severity->value, $finding->message);
        }
        $lines[] = $document->mirror?->stance->value.': '.$document->mirror?->words;
        foreach ($document->mirror->changes ?? [] as $change) {
            $lines[] = '  '.$change->message;
        }
        $lines[] = 'same limbs: '.$document->carry?->notation.'   '.$document->carry?->words;

        return implode("\n", $lines);
    }
}
