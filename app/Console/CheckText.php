<?php

declare(strict_types=1);

namespace Periplus\App\Console;

/** Formats a check as a short text for the terminal. */
final readonly class CheckText
{
    /** @param array<string, mixed> $document see docs/formats/check.md */
    public static function format(array $document): string
    {
        /** @var list<array{at: int, message: string, expected: string, nearest: list<string>}> $problems */
        $problems = $document['problems'];
        if ([] !== $problems) {
            return implode("\n", array_map(static fn (array $problem): string => \sprintf(
                'At %d: %s Expected: %s.%s',
                $problem['at'] + 1,
                $problem['message'],
                $problem['expected'],
                [] === $problem['nearest'] ? '' : ' Nearest: '.implode(', ', $problem['nearest']).'.',
            ), $problems));
        }
        /**
         * @var array{
         *     text: string,
         *     words: string,
         *     verdict: string,
         *     lengthMs: int,
         *     items: list<array{text: string}>,
         *     links: list<array{from: int, to: int, waitMs: int, verdict: string, reason: string}>,
         *     findings: list<array{severity: string, message: string}>,
         *     notes: list<array{message: string, choices: list<string>}>,
         *     summary: string,
         *     mirror: array{stance: string, words: string, changes: list<array{message: string}>},
         *     carry: array{notation: string, words: string},
         * } $document
         */
        $lines = [
            $document['text'].'   '.$document['words'],
            \sprintf('%s, %.2f s', $document['verdict'], $document['lengthMs'] / 1000),
            $document['summary'],
        ];
        foreach ($document['notes'] as $note) {
            $lines[] =
                '  read    '
                .$note['message']
                .([] === $note['choices'] ? '' : ' Or say: '.implode(', ', $note['choices']).'.');
        }
        foreach ($document['links'] as $link) {
            if ('flows' !== $link['verdict']) {
                $lines[] = \sprintf(
                    '  %s -> %s  %s +%d ms  %s',
                    $document['items'][$link['from']]['text'],
                    $document['items'][$link['to']]['text'],
                    $link['verdict'],
                    $link['waitMs'],
                    $link['reason'],
                );
            }
        }
        foreach ($document['findings'] as $finding) {
            $lines[] = \sprintf('  %-7s %s', $finding['severity'], $finding['message']);
        }
        $lines[] = $document['mirror']['stance'].': '.$document['mirror']['words'];
        foreach ($document['mirror']['changes'] as $change) {
            $lines[] = '  '.$change['message'];
        }
        $lines[] = 'same limbs: '.$document['carry']['notation'].'   '.$document['carry']['words'];

        return implode("\n", $lines);
    }
}
