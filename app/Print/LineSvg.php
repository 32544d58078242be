<?php

declare(strict_types=1);

namespace Periplus\App\Print;

use Periplus\App\Http\PlainText;
use Periplus\Core\Drawing\Curve;
use Periplus\Core\Drawing\DrawnFeet;
use Periplus\Core\Drawing\DrawnGap;
use Periplus\Core\Drawing\DrawnItem;
use Periplus\Core\Drawing\DrawnRibbon;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Drawing\Palette;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Writes a drawing as an SVG file: places what the core computed and applies the colours of the palette.
 * web/src/combination-line does the same on the screen; a test compares both point by point.
 */
final class LineSvg
{
    private string $svg = '';
    public readonly float $width;
    private readonly float $scale;

    /**
     * @param float $room width in drawing units that it should fit, where that is possible
     * @param Stance $stance whose feet are drawn
     * @param string $font family of the numbers
     * @param string $words family of the names beside the lanes
     * @param bool $signs with the signs of reload and break, which not every font has
     */
    public function __construct(
        private readonly LineDrawing $drawing,
        float $room,
        private readonly Stance $stance,
        private readonly string $font = "'Barlow Condensed', 'Arial Narrow', sans-serif",
        private readonly string $words = "'IBM Plex Sans', sans-serif",
        private readonly bool $signs = true,
    ) {
        $fits = max(40.0, $room - $drawing->left - $drawing->right) / max(1, $drawing->lengthMs);
        $this->scale = min($drawing->most, max($drawing->least, $fits));
        $this->width = max($room, $drawing->left + $drawing->lengthMs * $this->scale + $drawing->right);
    }

    public function height(): float
    {
        return $this->drawing->height;
    }

    public function write(string $title): string
    {
        $this->svg = '';
        $this->lanes();
        foreach ($this->drawing->gaps as $gap) {
            $this->gap($gap);
        }
        $this->path($this->curve($this->drawing->melody), stroke: 'ink', width: 1.5, opacity: 0.28);
        if (null !== $this->drawing->ribbon) {
            $this->ribbon($this->drawing->ribbon);
        }
        if (null !== $this->drawing->feet) {
            $this->feet($this->drawing->feet[$this->stance->value]);
        }
        foreach ($this->drawing->joints as $joint) {
            $this->path(
                \sprintf('M%s %sV%s', $this->x($joint->ms), $joint->from, $joint->to),
                stroke: 'ink',
                width: 4,
            );
        }
        foreach ($this->drawing->items as $item) {
            null === $item->role ? $this->move($item) : $this->strike($item, $item->role->value);
        }

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="%2$s" viewBox="0 0 %1$s '
                .'%2$s"><title>%3$s</title>%4$s</svg>',
            round($this->width, 1),
            $this->drawing->height,
            self::escape($title),
            $this->svg,
        );
    }

    private function lanes(): void
    {
        $right = round($this->width - $this->drawing->edge, 2);
        foreach ($this->drawing->lanes as $lane) {
            $this->path(
                \sprintf('M%s %sH%s', $this->drawing->left, $lane->y, $right),
                stroke: 'line',
                dash: 'moves' === $lane->name ? '2 4' : '',
            );
            if ($this->drawing->isNamed) {
                $this->text(
                    $lane->name,
                    $this->drawing->left - 12,
                    $lane->y + 4,
                    12,
                    'ink-soft',
                    'end',
                    $this->words,
                );
            }
        }
        foreach ($this->drawing->ticks as $tick) {
            $this->text($tick->text, $this->x($tick->ms), $tick->y, 13, 'ink-soft');
        }
    }

    private function gap(DrawnGap $gap): void
    {
        $breaks = Verdict::Breaks === $gap->verdict;
        $from = $this->x($gap->fromMs);
        $to = max($from + 3, $this->x($gap->toMs));
        $this->svg .= \sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" fill="%s" stroke="%s" stroke-width="%d" class="gap"/>',
            $from,
            $gap->top,
            round($to - $from, 2),
            $gap->bottom - $gap->top,
            Palette::colour($breaks ? 'breaks-light' : 'reload-light'),
            Palette::colour($breaks ? 'breaks' : 'reload-line'),
            $breaks ? 2 : 1,
        );
        // Paper has no tooltip for the number.
        $this->text(
            $this->signs ? $gap->sign.' '.$gap->label : $gap->label.' ms',
            ($from + $to) / 2,
            $gap->top - 6,
            16,
            $breaks ? 'breaks' : 'reload',
        );
    }

    private function ribbon(DrawnRibbon $ribbon): void
    {
        $left = $this->drawing->left;
        $right = round($this->width - $this->drawing->edge, 2);
        $this->svg .= \sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" fill="%s"/>',
            $left,
            $ribbon->front,
            $right - $left,
            $ribbon->back - $ribbon->front,
            Palette::colour('sand'),
        );
        $this->path(
            \sprintf('M%s %sH%s', $left, $ribbon->middle, $right),
            stroke: 'card',
            width: 2,
        );
        $line = $this->curve($ribbon->line);
        if ('' !== $line) {
            $first = $ribbon->line->pieces[0];
            $last = $ribbon->line->pieces[\count($ribbon->line->pieces) - 1];
            $this->svg .= \sprintf(
                '<path d="%sL%s %sL%s %sZ" fill="%s" fill-opacity="0.16"/>',
                $line,
                $this->x($last[\count($last) - 2]),
                $ribbon->middle,
                $this->x($first[0]),
                $ribbon->middle,
                Palette::colour('ink'),
            );
        }
        $this->path($line, stroke: 'ink', width: 2.6, class: 'ribbon-line');
        foreach ($ribbon->dots as $dot) {
            $this->svg .= \sprintf(
                '<circle cx="%s" cy="%s" r="3.2" fill="%s" stroke="%s"/>',
                $this->x($dot->ms),
                $dot->y,
                Palette::colour($dot->role->value),
                Palette::colour('card'),
            );
        }
        if (null !== $ribbon->hips) {
            $this->path($this->curve($ribbon->hips->line), stroke: 'sun', width: 2, dash: '6 4');
            if (null !== $ribbon->hips->pastMs) {
                $this->path(
                    \sprintf(
                        'M%s %sV%s',
                        $this->x($ribbon->hips->pastMs),
                        $ribbon->front - 2,
                        $ribbon->back + 2,
                    ),
                    stroke: 'breaks',
                    width: 2.4,
                );
                $this->text(
                    ($this->signs ? '✕ ' : '').$ribbon->hips->pastText,
                    $this->x($ribbon->hips->pastMs) + 5,
                    $ribbon->front + 13,
                    13,
                    'breaks',
                    'start',
                );
            }
            if ($this->drawing->isNamed) {
                $this->text(
                    t('hips'),
                    $this->x($ribbon->hips->endMs) + 6,
                    $ribbon->hips->endY + 4,
                    13,
                    'reload',
                    'start',
                );
            }
        }
        if ($this->drawing->isNamed) {
            $this->text(t('front foot'), $left - 12, $ribbon->front + 12, 12, 'ink-soft', 'end', $this->words);
            $this->text(t('back foot'), $left - 12, $ribbon->back - 4, 12, 'ink-soft', 'end', $this->words);
        }
    }

    private function feet(DrawnFeet $feet): void
    {
        $this->text(t('feet'), $this->drawing->left - 12, $feet->y + 4, 12, 'ink-soft', 'end', $this->words);
        foreach ($feet->pairs as $pair) {
            $x = max($this->x($pair->ms), $this->drawing->left + $pair->clear) + $pair->dx;
            foreach ($pair->soles as $sole) {
                $this->svg .= \sprintf(
                    '<path d="%s" transform="translate(%s %s) rotate(%s) translate(%s %s) rotate(%s) scale(1 %d)" '
                        .'fill="%s" stroke="%s" stroke-width="%s"%s/>',
                    $feet->sole,
                    $x,
                    $feet->y + $pair->dy,
                    $pair->turn,
                    $sole->x,
                    $sole->y,
                    $sole->angle,
                    $sole->isLeft ? 1 : -1,
                    $pair->isBefore ? 'none' : Palette::colour(Role::Lead === $sole->role ? 'lead-light' : 'rear'),
                    Palette::colour($pair->isBefore ? 'ink-soft' : $sole->role->value),
                    $pair->isBefore ? 1 : 1.6,
                    $pair->isBefore ? ' stroke-dasharray="2 2"' : '',
                );
            }
        }
    }

    /** @param string $role which is the name of its colour */
    private function strike(DrawnItem $item, string $role): void
    {
        $x = $this->x($item->ms) + $item->shift;
        if (LineSize::Row !== $this->drawing->size) {
            $this->path(
                \sprintf('M%s %sH%s', $this->x($item->startMs), $item->y, $x),
                stroke: $role,
                width: 5,
                opacity: 0.28,
            );
        }
        $lead = Role::Lead === $item->role;
        $hard = 'hard' === $item->effort;
        $this->svg .= \sprintf(
            '<g transform="translate(%s %s)" class="tile"><path d="%s" fill="%s" stroke="%s" stroke-width="%s"%s/>',
            $x, $item->y, $item->shape,
            Palette::colour($item->isFeint ? 'card' : ($lead ? 'lead-light' : 'rear')),
            Palette::colour($hard ? 'ink' : $role),
            $hard ? 4.5 : ('light' === $item->effort ? 1.2 : ($item->isFeint ? 1.8 : 2.4)),
            $item->isFeint ? ' stroke-dasharray="4 3"' : '',
        );
        if (null !== $item->legSign) {
            $this->path($item->legSign, stroke: 'ink', width: 2.2);
        }
        foreach ($item->label as $line) {
            $this->text(
                $line->text,
                $line->x,
                $line->y,
                $line->size,
                $lead || $item->isFeint ? $role : 'white',
            );
        }
        $this->svg .= '</g>';
    }

    private function move(DrawnItem $item): void
    {
        $x = $this->x($item->ms) + $item->shift;
        if (LineSize::Row !== $this->drawing->size) {
            $this->svg .= \sprintf(
                '<rect x="%s" y="%s" width="34" height="28" rx="6" fill="%s" stroke="%s" stroke-width="1.4"/>',
                $x - 17,
                $item->y - 14,
                Palette::colour('card'),
                Palette::colour('line-strong'),
            );
        }
        $this->svg .= \sprintf(
            '<g transform="translate(%s %s) scale(%s)" class="glyph"><path d="%s" fill="none" stroke="%s" '
                .'stroke-width="2" stroke-linecap="round" stroke-linejoin="round"/></g>',
            $x - $item->glyphSize / 2,
            $item->y - $item->glyphSize / 2,
            $item->glyphSize / 20,
            $item->glyph,
            Palette::colour('ink'),
        );
        if (null !== $item->name) {
            $this->text($item->name, $x, $item->y + 27, 13, 'ink');
        }
    }

    private function curve(Curve $curve): string
    {
        $d = '';
        foreach ($curve->pieces as $index => $piece) {
            $numbers = [];
            foreach ($piece as $place => $number) {
                $numbers[] = 0 === $place % 2 ? $this->x($number) : round($number, 2);
            }
            $d .= (0 === $index ? 'M' : 'C').implode(' ', $numbers);
        }

        return \count($curve->pieces) > 1 ? $d : '';
    }

    private function x(float|int $ms): float
    {
        return round($this->drawing->left + $ms * $this->scale, 2);
    }

    private function path(
        string $d,
        string $stroke,
        float $width = 1,
        string $dash = '',
        float $opacity = 1.0,
        string $class = '',
    ): void {
        if ('' !== $d) {
            $this->svg .= \sprintf(
                '<path d="%s" fill="none" stroke="%s" stroke-width="%s"%s%s%s/>',
                $d,
                Palette::colour($stroke),
                $width,
                '' === $dash ? '' : ' stroke-dasharray="'.$dash.'"',
                1.0 === $opacity ? '' : ' stroke-opacity="'.$opacity.'"',
                '' === $class ? '' : ' class="'.$class.'"',
            );
        }
    }

    private function text(
        string $text,
        float $x,
        float $y,
        float $size,
        string $fill,
        string $anchor = 'middle',
        ?string $font = null,
    ): void {
        $this->svg .= \sprintf(
            '<text x="%s" y="%s" font-family="%s" font-size="%s" font-weight="%d" fill="%s" text-anchor="%s">%s</text>',
            round($x, 2),
            round($y, 2),
            self::escape($font ?? $this->font),
            $size,
            null === $font ? 600 : 400,
            Palette::colour($fill),
            $anchor,
            self::escape($text),
        );
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars(PlainText::line($text), \ENT_QUOTES | \ENT_XML1);
    }
}
