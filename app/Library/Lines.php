<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Periplus\App\Gym\GymRules;
use Periplus\Core\Flow\CheckDocument;
use Periplus\Core\Notation\Scheme;

/**
 * The combination line of stored combinations, and their text, in the numbers that a coach reads. What was drawn lately
 * is remembered; the key holds all that it follows from, and the memory goes when the core changes and PHP is started anew.
 *
 * @phpstan-type Drawn array{text: string, line: array{items: list<array<string, mixed>>, links: list<array<string, mixed>>, lengthMs: int}}
 */
final class Lines
{
    private const MEMORY = 'periplus.line.';
    /** s */
    private const KEPT = 86_400;

    /** @var array<string, string> what a set of house rules or a scheme is told by */
    private array $marks = [];

    public function __construct(private readonly CheckDocument $documents, private readonly GymRules $rules)
    {
    }

    /** @return Drawn */
    public function of(Content $content, Scheme $scheme): array
    {
        $rules = $this->rules->named($content->rules);
        $key = self::MEMORY.hash('xxh128', implode("\n", [
            $content->notation,
            $content->stance->value,
            $this->marks['rules '.$content->rules] ??= serialize($rules->toArray()),
            $this->marks['scheme '.$scheme->id] ??= serialize($scheme->content()),
        ]));
        /** @var Drawn|false $known */
        $known = apcu_enabled() ? apcu_fetch($key) : false;
        if (false !== $known) {
            return $known;
        }
        $drawn = $this->documents->line($content->notation, $content->stance, $rules, $scheme);
        if (apcu_enabled()) {
            apcu_store($key, $drawn, self::KEPT);
        }

        return $drawn;
    }
}
