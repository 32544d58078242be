import type { Click } from "./clicks";

/** Pause before the line starts again, in s. */
const PAUSE_SECONDS = 1;
/** Delay of the first sound after a press, in s, so that it can be scheduled in time. */
const START_DELAY_SECONDS = 0.08;
/** How far ahead clicks are scheduled on the audio clock, in s: timers of a background page run once a second. */
const LOOKAHEAD_SECONDS = 2.5;
/** Interval between two scheduling passes, in ms. */
const TICK_MS = 200;
/** Duration of a click, in s. */
const CLICK_SECONDS = 0.09;

export interface Line {
  clicks: Click[];
  lengthMs: number;
}

/**
 * Plays a line in a loop. Clicks are scheduled ahead on the audio clock, so that timers do not affect them; without
 * sound, another clock is used.
 */
export class LinePlayer {
  private line: Line = { clicks: [], lengthMs: 0 };
  /** Seconds of playing for one ms of the line. */
  private pace = 0.001;
  /** When the line starts, on the clock, in s. */
  private begins: number | null = null;
  /** Time up to which clicks are scheduled, in s on the clock. */
  private plannedTo = 0;
  private planned: { when: number; source: OscillatorNode }[] = [];
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor(private readonly sound: BaseAudioContext | { currentTime: number }) {}

  /** @param stretch how much longer than the line says it takes */
  begin(line: Line, stretch: number): void {
    this.stop();
    this.line = line;
    this.pace = stretch / 1000;
    this.begins = this.sound.currentTime + START_DELAY_SECONDS;
    this.plannedTo = this.begins;
    this.plan();
    this.timer = setInterval(() => this.plan(), TICK_MS);
  }

  /** Continues with another line or pace from the current position, without a gap. */
  change(line: Line, stretch: number): void {
    if (this.begins === null) {
      return;
    }
    const now = this.sound.currentTime;
    const part = Math.max(0, now - this.begins) % this.turn();
    const ms = part / this.pace;
    this.line = line;
    this.pace = stretch / 1000;
    // Within the pause at the end it stays there.
    this.begins = Math.max(now, this.begins) - Math.min(ms * this.pace, this.turn() - 0.01);
    if (part === 0) {
      this.begins = now + START_DELAY_SECONDS;
    }
    this.silence(now);
    this.plannedTo = now;
    this.plan();
  }

  stop(): void {
    clearInterval(this.timer);
    this.silence(this.sound.currentTime);
    this.begins = null;
  }

  /** Returns the current moment of the line in ms; null when stopped, and in the pause between repetitions. */
  at(): number | null {
    const late = "outputLatency" in this.sound ? (this.sound as AudioContext).outputLatency || 0 : 0;
    const since = this.begins === null ? -1 : this.sound.currentTime - late - this.begins;
    const ms = since < 0 ? -1 : (since % this.turn()) / this.pace;
    return ms < 0 || ms > this.line.lengthMs ? null : ms;
  }

  /** Returns the duration of one repetition with its pause, in s. */
  private turn(): number {
    return this.line.lengthMs * this.pace + PAUSE_SECONDS;
  }

  private plan(): void {
    const now = this.sound.currentTime;
    this.planned = this.planned.filter(({ when }) => when > now - 1);
    if (this.begins === null) {
      return;
    }
    const until = now + LOOKAHEAD_SECONDS;
    const first = Math.max(0, Math.floor((this.plannedTo - this.begins) / this.turn()));
    for (let round = first; this.begins + round * this.turn() < until; round += 1) {
      for (const click of this.line.clicks) {
        const when = this.begins + round * this.turn() + click.atMs * this.pace;
        if (when >= this.plannedTo && when < until) {
          this.click(when, click);
        }
      }
    }
    this.plannedTo = Math.max(this.plannedTo, until);
  }

  private click(when: number, { pitch, loud }: Click): void {
    if (!("createOscillator" in this.sound)) {
      return;
    }
    const source = this.sound.createOscillator();
    const gain = this.sound.createGain();
    source.type = "triangle";
    source.frequency.value = pitch;
    gain.gain.setValueAtTime(loud * 0.5, when);
    gain.gain.exponentialRampToValueAtTime(0.0005, when + CLICK_SECONDS);
    source.connect(gain);
    gain.connect(this.sound.destination);
    source.start(when);
    source.stop(when + CLICK_SECONDS);
    this.planned.push({ when, source });
  }

  private silence(now: number): void {
    for (const { when, source } of this.planned) {
      if (when > now) {
        source.stop(now);
        source.disconnect();
      }
    }
    this.planned = this.planned.filter(({ when }) => when <= now);
  }
}
