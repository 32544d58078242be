import type { Click } from "./clicks";

/** s of stillness before the line begins again. */
const BREATH = 1;
/** s until a press is heard: what is to be heard has to be on its way by then. */
const AT_ONCE = 0.08;
/** How far ahead clicks are handed to the audio clock, s: a page in the background is woken once a second at the least. */
const AHEAD = 2.5;
/** ms between two looks at what has to be planned. */
const LOOK = 200;
/** s that a click is heard. */
const RINGS = 0.09;

export interface Line {
  clicks: Click[];
  lengthMs: number;
}

/**
 * Plays a line in a loop. Clicks are handed to the audio clock ahead of time, so that no timer of the page decides when one
 * is heard; where there is no sound, another clock keeps the time.
 */
export class LinePlayer {
  private line: Line = { clicks: [], lengthMs: 0 };
  /** s of playing for one ms of the line */
  private pace = 0.001;
  /** When the line begins, by the clock, s. */
  private begins: number | null = null;
  /** Up to where clicks are handed over, in s by the clock. */
  private plannedTo = 0;
  private planned: { when: number; source: OscillatorNode }[] = [];
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor(private readonly sound: BaseAudioContext | { currentTime: number }) {}

  /** @param stretch how much longer than the line says it takes */
  begin(line: Line, stretch: number): void {
    this.stop();
    this.line = line;
    this.pace = stretch / 1000;
    this.begins = this.sound.currentTime + AT_ONCE;
    this.plannedTo = this.begins;
    this.plan();
    this.timer = setInterval(() => this.plan(), LOOK);
  }

  /** Goes on with another line or at another pace from where it is, without a break. */
  change(line: Line, stretch: number): void {
    if (this.begins === null) {
      return;
    }
    const now = this.sound.currentTime;
    const part = Math.max(0, now - this.begins) % this.turn();
    const ms = part / this.pace;
    this.line = line;
    this.pace = stretch / 1000;
    // In the stillness at the end it stays there.
    this.begins = Math.max(now, this.begins) - Math.min(ms * this.pace, this.turn() - 0.01);
    if (part === 0) {
      this.begins = now + AT_ONCE;
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

  /** The moment of the line that is heard now, ms; null when it stands, and in the stillness before it begins again. */
  at(): number | null {
    const late = "outputLatency" in this.sound ? (this.sound as AudioContext).outputLatency || 0 : 0;
    const since = this.begins === null ? -1 : this.sound.currentTime - late - this.begins;
    const ms = since < 0 ? -1 : (since % this.turn()) / this.pace;
    return ms < 0 || ms > this.line.lengthMs ? null : ms;
  }

  /** One time through with the stillness after it, s. */
  private turn(): number {
    return this.line.lengthMs * this.pace + BREATH;
  }

  private plan(): void {
    const now = this.sound.currentTime;
    this.planned = this.planned.filter(({ when }) => when > now - 1);
    if (this.begins === null) {
      return;
    }
    const until = now + AHEAD;
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
    gain.gain.exponentialRampToValueAtTime(0.0005, when + RINGS);
    source.connect(gain);
    gain.connect(this.sound.destination);
    source.start(when);
    source.stop(when + RINGS);
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
