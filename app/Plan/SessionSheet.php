<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\PlainText;
use Periplus\App\Print\Sheet;
use Periplus\Core\Notation\Words;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Plan\Block;
use Periplus\Core\Session\Plan\Duration;
use Periplus\Core\Session\Plan\Lane;
use Periplus\Core\Session\Plan\Round;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Plan\Set;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Serializer\SetDocument;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Prints a planned session on one A4 page: for the coach with times, drills, notes and load; for the door in large
 * type.
 */
final readonly class SessionSheet
{
    private const MARGIN = 14.0;
    private const WIDTH = 210 - 2 * self::MARGIN;
    private const BOTTOM = 283.0;
    /** Maximum number of reminders on the coach's sheet. */
    private const REMINDERS = 6;
    /** Font sizes for the coach's sheet; the largest that fits one page is used. */
    private const SIZES = [13.0, 12.0, 11.0, 10.0, 9.0, 8.0, 7.0, 6.0, 5.0];

    public function __construct(private GymSettings $gym)
    {
    }

    /** @return string the PDF */
    public function coach(Plan $plan, SessionPlan $session, Advice $advice): string
    {
        $programme = ProgrammeBuilder::build($session, $advice);
        $sizes = self::SIZES;
        do {
            $pdf = $this->coachPage($plan, $programme, $advice, array_shift($sizes) ?? 5.0);
        } while ([] !== $sizes && $pdf->getNumPages() > 1);

        return $pdf->Output('', 'S');
    }

    /**
     * @param bool $withWords whether every chain is written in words below its numbers, for athletes who do not know
     *                        them
     *
     * @return string the PDF
     */
    public function door(Plan $plan, SessionPlan $session, string $gym, bool $withWords = false): string
    {
        $pdf = new Sheet('P', $plan->name(), self::MARGIN);
        $this->write($pdf, Sheet::WORDS, 16, $gym, 90);
        $this->write($pdf, Sheet::NUMBERS, \strlen($plan->name()) > 40 ? 34 : 46, $plan->name());
        $this->write($pdf, Sheet::NUMBERS, 24, $this->when($plan, $session));
        $pdf->Ln(6);
        $lines = self::doorLines($session, $withWords);
        // As large as one page allows.
        $left = self::BOTTOM - 14 - $pdf->GetY();
        $points = max(9.0, min(34.0, $left / (max(1, \count($lines)) * 0.55)));
        foreach ($lines as [$isSmall, $text]) {
            if ($pdf->GetY() > self::BOTTOM - 24) {
                $this->write($pdf, Sheet::WORDS, 9, t('and more'), 90);
                break;
            }
            $this->write(
                $pdf,
                $isSmall ? Sheet::WORDS : Sheet::NUMBERS,
                $isSmall ? 0.6 * $points : $points,
                $text,
                $isSmall ? 90 : 255,
            );
        }
        $pdf->setY(-22);
        $this->write(
            $pdf,
            Sheet::WORDS,
            8,
            t('Head contact, youth and spinning strikes: the sport body’s rules, the licensed coach and the '
                .'physician decide. Tell the coach when something hurts.'),
            90,
        );

        return $pdf->Output('', 'S');
    }

    private function coachPage(Plan $plan, Programme $programme, Advice $advice, float $points): Sheet
    {
        $session = $programme->plan;
        $pdf = new Sheet('P', $plan->name(), self::MARGIN);
        $this->write($pdf, Sheet::NUMBERS, 26, $plan->name());
        $this->write(
            $pdf,
            Sheet::WORDS,
            10,
            t(
                '{when} · {rules} rules · on {medium} · numbers: {numbering}',
                when: $this->when($plan, $session),
                rules: ucfirst(strtr($session->rules->id, '-', ' ')),
                medium: $session->medium->value,
                numbering: $session->numbering->name,
            ),
            90,
        );
        if ([] !== $session->needed()) {
            $needs = implode(', ', $session->needed());
            $this->write($pdf, Sheet::WORDS, $points, t('Needed: {needs}', needs: $needs), 90);
        }
        $pdf->Ln(2);
        foreach ($session->blocks as $number => $block) {
            $this->block($pdf, $block, self::starts($programme, $number), $session, $advice, $points);
        }
        $pdf->Ln(2);
        $this->write($pdf, Sheet::WORDS, $points, $this->load($programme), 90);
        $reminders = \array_slice(
            array_unique(array_merge(...array_map(static fn (Cue $cue): array => $cue->reminders, $programme->cues))),
            0,
            self::REMINDERS,
        );
        if ([] !== $reminders) {
            $this->write($pdf, Sheet::WORDS, $points, 'Say: '.implode(' · ', $reminders), 255);
        }
        $this->write(
            $pdf,
            Sheet::WORDS,
            min(7.5, $points),
            t('Head contact, youth and spinning strikes: the sport body’s rules, the licensed coach and the '
                .'physician decide.'),
            90,
        );

        return $pdf;
    }

    /** @param array<int, int> $starts of its rounds, ms */
    private function block(
        Sheet $pdf,
        Block $block,
        array $starts,
        SessionPlan $session,
        Advice $advice,
        float $points,
    ): void {
        $this->write($pdf, Sheet::NUMBERS, 1.5 * $points, self::clock($starts[0] ?? 0).'   '.$block->name);
        if ('' !== $block->note) {
            $this->row($pdf, '', $block->note, 0.85 * $points);
        }
        foreach ($block->rounds as $number => $round) {
            $head =
                (\count($block->rounds) > 1 ? self::clock($starts[$number] ?? 0).'  ' : '')
                .('' === $round->name ? '' : $round->name.': ')
                .($round->times > 1 ? $round->times.' × ' : '')
                .self::clock(1000 * $round->seconds)
                .self::laps($round)
                .($round->rest > 0 ? ', rest '.$round->rest.' s' : '')
                .('other' === $round->stance->value ? t(', other stance') : '')
                .($round->medium !== $session->medium ? ', on '.$round->medium->value : '');
            $isExercises =
                []
                === array_filter(
                    $round->everybody->sets,
                    static fn (Set $set): bool => 'exercise' !== $set->drill->definition()->id,
                );
            if ($isExercises && [] === $round->lanes) {
                $this->row(
                    $pdf,
                    $head,
                    implode(
                        ', ',
                        array_map(
                            static fn (Set $set): string => self::exercise($set, $advice)
                                .' '
                                .self::clock(1000 * $set->seconds),
                            self::inOneLap($round->everybody),
                        ),
                    ),
                    $points,
                );
                continue;
            }
            $shown = [] === $round->lanes ? ['' => $round->everybody] : self::named($round, $session);
            foreach ($shown as $name => $lane) {
                foreach (self::inOneLap($lane) as $index => $set) {
                    $this->row(
                        $pdf,
                        0 === $index ? trim($head.'  '.$name) : '',
                        $this->line($set, $session, $advice),
                        $points,
                    );
                }
                $head = '';
            }
            if (null !== $round->inRest) {
                $this->row(
                    $pdf,
                    '',
                    t('In the rest: {what}', what: $this->line($round->inRest, $session, $advice)),
                    0.85 * $points,
                );
            }
            if ('' !== $round->note) {
                $this->row($pdf, '', $round->note, 0.85 * $points);
            }
        }
        $pdf->Ln(0.15 * $points);
    }

    /** @return array<string, Lane> */
    private static function named(Round $round, SessionPlan $session): array
    {
        $lanes = [];
        foreach ($session->tracks as $number => $track) {
            $lanes[$track->name] = $round->lane($number);
        }

        return $lanes;
    }

    private function row(Sheet $pdf, string $left, string $right, float $points): void
    {
        $y = $pdf->GetY();
        $pdf->useFont(Sheet::WORDS, $points, PlainText::lines($left));
        $pdf->setTextColor(86, 91, 102);
        $pdf->MultiCell(58, 0, PlainText::lines($left), 0, 'L', false, 1);
        $below = $pdf->GetY();
        $page = $pdf->getPage();
        $pdf->setXY(self::MARGIN + 60, $y);
        $pdf->useFont(Sheet::WORDS, $points, PlainText::lines($right));
        $pdf->setTextColor(28, 36, 49);
        $pdf->MultiCell(self::WIDTH - 60, 0, PlainText::lines($right), 0, 'L', false, 1);
        if ($page === $pdf->getPage()) {
            $pdf->setY(max($below, $pdf->GetY()));
        }
    }

    private function line(Set $set, SessionPlan $session, Advice $advice): string
    {
        $names = [];
        foreach ($set->combinations as $combination) {
            $names[] = $combination->name ?? '';
        }
        $names = array_unique(array_diff($names, ['']));
        $run = $set->run($session, null, RoundStance::Own, $advice);
        $words = new SetDocument($set, $run);
        $holder = $words->holder['orthodox'] ?? [];
        $forms = array_map(
            static fn (Beside $one): string => $one->label.' '.$run->write($one->chain),
            $set->forms(),
        );

        return $words->is.':  '.$words->does
            .([] === $names ? '' : ' ('.implode(', ', $names).')')
            .([] === $forms ? '' : '  · '.implode(', ', $forms))
            .('' === $set->note ? '' : '  — '.$set->note)
            .([] === $holder ? '' : "\n".t('Holder, for orthodox: {does}', does: implode(' · ', $holder)));
    }

    private static function laps(Round $round): string
    {
        $laps = $round->everybody->sets[0]->station->laps ?? 1;
        $windows = $round->everybody->windows;
        $breath = \count($windows) > 1 ? $windows[1]->from - $windows[0]->to : 0;

        return ($laps > 1 ? t(', {laps} laps', laps: $laps) : '')
            .($breath > 0 ? t(', {breath} s between sets', breath: $breath) : '');
    }

    /** @return list<Set> those of the first lap */
    private static function inOneLap(Lane $lane): array
    {
        return array_values(array_filter(
            $lane->sets,
            static fn (Set $set): bool => 0 === $set->station->lap,
        ));
    }

    /** Returns the name of the exercise; a deleted one is shown by its id. */
    private static function exercise(Set $set, Advice $advice): string
    {
        $id = $set->parameters->text('exercise');

        return ucfirst($advice->exercises[$id]->name ?? $id);
    }

    private function load(Programme $programme): string
    {
        $parts = [];
        foreach ($programme->tracks() as $track) {
            $name = null === $track ? '' : $programme->plan->tracks[$track]->name.', ';
            foreach (Stance::cases() as $stance) {
                $load = LoadCounter::load($programme, $track, $stance);
                $parts[] = t(
                    '{name}{stance}: {strikes} strikes, {left} left, {right} right; head {head}, body {body}, leg '
                        .'{leg}',
                    name: $name,
                    stance: $stance->value,
                    strikes: round($load->strikes),
                    left: round($load->bySide['left']),
                    right: round($load->bySide['right']),
                    head: round($load->byTarget['head']),
                    body: round($load->byTarget['body']),
                    leg: round($load->byTarget['leg']),
                );
            }
        }

        return 'Load. '.implode('. ', $parts).'.';
    }

    /** @return list<array{bool, string}> whether it is small, as titles and words are, and the text */
    private static function doorLines(SessionPlan $session, bool $withWords): array
    {
        $lines = [];
        foreach ($session->blocks as $block) {
            $seen = [];
            foreach ($block->rounds as $round) {
                foreach ([$round->everybody, ...$round->lanes] as $lane) {
                    foreach ($lane->sets as $set) {
                        foreach ($set->combinations as $combination) {
                            $seen[$combination->text] = $combination;
                        }
                    }
                }
            }
            $seconds = $session->withBlocks([$block])->seconds();
            $lines[] = [true, $block->name.', '.Duration::inWords($seconds)];
            foreach ($seen as $combination) {
                $lines[] = [false, strtr($combination->text, [' ' => '  '])];
                if ($withWords) {
                    $lines[] = [true, Words::byRole()->write($combination->inStance)];
                }
            }
        }

        return $lines;
    }

    /** @return array<int, int> when each round of a block begins, ms */
    private static function starts(Programme $programme, int $block): array
    {
        $starts = [];
        foreach ($programme->segments as $segment) {
            if ($segment->place->block === $block && null !== $segment->place->round) {
                $starts[$segment->place->round] = min(
                    $segment->fromMs,
                    $starts[$segment->place->round] ?? $segment->fromMs,
                );
            }
        }

        return $starts;
    }

    private function when(Plan $plan, SessionPlan $session): string
    {
        $day = $plan->startsAt()?->setTimezone($this->gym->timeZone())->format('l j F Y, H:i, ') ?? '';

        return $day
            .Duration::inWords($session->seconds())
            .' · '
            .([] === $session->tracks
                ? t('level {level}', level: $session->level)
                : implode(', ', array_column($session->tracks, 'name')))
            .(null === $plan->course() ? '' : ' · '.$plan->course()->name());
    }

    private static function clock(int $ms): string
    {
        $seconds = intdiv($ms, 1000);

        return \sprintf('%d:%02d', intdiv($seconds, 60), $seconds % 60);
    }

    private function write(Sheet $pdf, string $font, float $points, string $text, int $tone = 255): void
    {
        $text = PlainText::lines($text);
        $pdf->useFont($font, $points, $text);
        $tone < 255 ? $pdf->setTextColor(86, 91, 102) : $pdf->setTextColor(28, 36, 49);
        $pdf->MultiCell(0, 0, $text, 0, 'L', false, 1);
    }
}
