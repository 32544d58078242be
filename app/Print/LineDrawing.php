<?php

declare(strict_types=1);

namespace Periplus\App\Print;

use Periplus\App\Http\PlainText;

/**
 * The combination line as an SVG that stands alone: time runs to the right, height is the target, lead tiles are light
 * and pointed, rear tiles solid, a wait is a gap with its milliseconds, and the band below is the weight between the feet.
 *
 * @phpstan-type Item array{kind: string, label: string, role: string|null, target?: string, effort?: string, feint?: bool, joined?: bool, words: string, startMs: int, impactMs: int|null, endMs: int, loadFrom: float, load: float}
 * @phpstan-type Link array{to: int, waitMs: int, verdict: string}
 */
final class LineDrawing
{
    private const INK = '#1c2431';
    private const SOFT = '#565b66';
    private const LINE = '#ddd4c1';
    private const ROLES = ['lead' => ['#e4f0f7', '#0d5a86', '#0d5a86'], 'rear' => ['#5b2350', '#5b2350', '#ffffff']];
    private const WAITS = ['reload' => ['#fbe7bd', '#8a4f00'], 'breaks' => ['#f6d9d3', '#a92a1c']];
    private const LANES = ['head' => 34.0, 'body' => 66.0, 'leg' => 98.0];
    private const MOVES = 130.0;
    private const FRONT = 158.0;
    private const BACK = 184.0;
    private const TILE = 30.0;
    private const LEFT = 40.0;
    private const RIGHT = 26.0;
    /** Drawing units a millisecond: never so many that a short chain falls apart, never so few that tiles lie on each other. */
    private const MOST = 0.25;
    private const LEAST = 0.09;
    private const HEIGHT = 196.0;
    private const HEIGHT_WITHOUT = 152.0;

    private string $svg = '';
    public readonly float $width;
    private readonly float $scale;

    /**
     * @param list<Item> $items
     * @param list<Link> $links
     * @param float $room width in drawing units that the line should fit, where that is possible
     * @param string $font family of the numbers
     * @param bool $weight with the band of the weight
     */
    private function __construct(private readonly array $items, private readonly array $links, private readonly int $lengthMs, float $room, private readonly string $font, private readonly bool $weight)
    {
        $this->scale = min(self::MOST, max(self::LEAST, ($room - self::LEFT - self::RIGHT) / max(1, $lengthMs)));
        $this->width = max(min($room, 240.0), self::LEFT + $lengthMs * $this->scale + self::RIGHT);
    }

    /**
     * @param array{items: list<array<string, mixed>>, links: list<array<string, mixed>>, lengthMs: int} $line of {@see \Periplus\Core\Flow\Serializer\CheckSerializer::line}
     *
     * @return array{svg: string, width: float, height: float}
     */
    public static function of(array $line, string $title, float $room = 760.0, string $font = "'Barlow Condensed', 'Arial Narrow', sans-serif", bool $weight = true): array
    {
        /** @var list<Item> $items */
        $items = $line['items'];
        /** @var list<Link> $links */
        $links = $line['links'];
        $drawing = new self($items, $links, $line['lengthMs'], $room, $font, $weight);

        return ['svg' => $drawing->draw($title), 'width' => $drawing->width, 'height' => $drawing->height()];
    }

    private function draw(string $title): string
    {
        foreach (self::LANES as $name => $y) {
            $this->path(\sprintf('M%s %sH%s', self::LEFT, $y, $this->width - 4), self::LINE, 1);
            $this->text($name, self::LEFT - 6, $y + 4, 11, self::SOFT, 'end');
        }
        $this->path(\sprintf('M%s %sH%s', self::LEFT, self::MOVES, $this->width - 4), self::LINE, 1);
        foreach ($this->links as $link) {
            $this->wait($link);
        }
        if ($this->weight) {
            $this->ribbon();
        }
        foreach ($this->items as $at => $item) {
            $this->item($item, $at);
        }

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="%2$s" viewBox="0 0 %1$s %2$s"><title>%3$s</title>%4$s</svg>',
            round($this->width, 1),
            $this->height(),
            self::escape($title),
            $this->svg,
        );
    }

    /** @param Item $item */
    private function item(array $item, int $at): void
    {
        $x = $this->x($item['impactMs'] ?? ($item['startMs'] + $item['endMs']) / 2);
        if ('strike' !== $item['kind']) {
            $words = '' === $item['label'] ? $item['words'] : $item['label'];
            $this->svg .= \sprintf('<circle cx="%s" cy="%s" r="4" fill="%s"/>', round($x, 1), self::MOVES, self::INK);
            $this->text($words, $x, self::MOVES + 16, 11, self::INK, 'middle');

            return;
        }
        for ($before = $at; ($this->items[$before]['joined'] ?? false) && $before > 0; --$before) {
            $x += ($this->items[$before - 1]['target'] ?? '') === ($item['target'] ?? '') ? self::TILE : 0;
        }
        $y = self::LANES[$item['target'] ?? 'head'];
        $half = self::TILE / 2;
        $lead = 'lead' === $item['role'];
        [$fill, $stroke, $ink] = self::ROLES[$lead ? 'lead' : 'rear'];
        if ($item['feint'] ?? false) {
            [$fill, $ink] = ['#ffffff', $stroke];
        }
        $this->svg .= \sprintf(
            '<path d="%s" fill="%s" stroke="%s" stroke-width="%s"%s/>',
            $lead
                ? \sprintf('M%s %sH%sL%s %sL%s %sH%sZ', $this->n($x - $half), $y - $half, $this->n($x + $half - 3), $this->n($x + $half + 5), $y, $this->n($x + $half - 3), $y + $half, $this->n($x - $half))
                : \sprintf('M%s %sH%sV%sH%sZ', $this->n($x - $half), $y - $half, $this->n($x + $half), $y + $half, $this->n($x - $half)),
            $fill,
            'hard' === ($item['effort'] ?? '') ? self::INK : $stroke,
            'hard' === ($item['effort'] ?? '') ? 4 : 2,
            ($item['feint'] ?? false) ? ' stroke-dasharray="4 3"' : '',
        );
        $short = \strlen($item['label']) <= 3;
        $label = $short ? [$item['label']] : \array_slice(array_values(array_diff(explode(' ', $item['label']), ['lead', 'rear'])), 0, 3);
        $size = $short ? (3 === \strlen($item['label']) ? 16 : 20) : 8;
        foreach ($label as $line => $word) {
            $this->text(mb_substr($word, 0, 9), $x, $y + $size * (0.35 + $line - (\count($label) - 1) / 2), $size, $ink, 'middle');
        }
    }

    /** @param Link $link */
    private function wait(array $link): void
    {
        $colours = self::WAITS[$link['verdict']] ?? null;
        $item = $this->items[$link['to']] ?? null;
        if (null === $colours || null === $item) {
            return;
        }
        $from = $this->x(max(0, $item['startMs'] - $link['waitMs']));
        $to = $this->x($item['startMs']);
        $this->svg .= \sprintf('<rect x="%s" y="16" width="%s" height="%s" fill="%s" stroke="%s" stroke-width="1"/>', $this->n($from), $this->n($to - $from), self::MOVES - 8, ...$colours);
        $this->text('+'.$link['waitMs'], ($from + $to) / 2, 12, 12, $colours[1], 'middle');
    }

    private function ribbon(): void
    {
        $points = [[0.0, $this->items[0]['loadFrom'] ?? 0.5]];
        foreach ($this->items as $item) {
            $points[] = [(float) $item['startMs'], $item['loadFrom']];
            $points[] = [(float) ($item['impactMs'] ?? $item['endMs']), $item['load']];
        }
        $points[] = [(float) $this->lengthMs, $points[\count($points) - 1][1]];
        usort($points, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach (['front foot' => self::FRONT, 'back foot' => self::BACK] as $name => $y) {
            $this->path(\sprintf('M%s %sH%s', self::LEFT, $y, $this->width - 4), '#a79d87', 1);
            $this->text(strtok($name, ' '), self::LEFT - 6, $y + 4, 11, self::SOFT, 'end');
        }
        $track = array_map(fn (array $point): string => $this->n($this->x($point[0])).' '.$this->n(self::BACK + (self::FRONT - self::BACK) * $point[1]), $points);
        $this->path('M'.implode('L', $track), '#d08a16', 3);
    }

    private function height(): float
    {
        return $this->weight ? self::HEIGHT : self::HEIGHT_WITHOUT;
    }

    private function x(float|int $ms): float
    {
        return self::LEFT + $ms * $this->scale;
    }

    private function path(string $d, string $stroke, float $width): void
    {
        $this->svg .= \sprintf('<path d="%s" fill="none" stroke="%s" stroke-width="%s"/>', $d, $stroke, $width);
    }

    private function text(string|false $text, float $x, float $y, float $size, string $fill, string $anchor): void
    {
        $this->svg .= \sprintf('<text x="%s" y="%s" font-family="%s" font-size="%s" font-weight="600" fill="%s" text-anchor="%s">%s</text>', $this->n($x), $this->n($y), self::escape($this->font), $size, $fill, $anchor, self::escape((string) $text));
    }

    private function n(float $value): string
    {
        return (string) round($value, 1);
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars(PlainText::line($text), \ENT_QUOTES | \ENT_XML1);
    }
}
