import { bell, clap, type Sound } from "./sounds";

/** How far ahead sounds are handed to the audio clock, s: a tab in the background is woken once a minute at the least. */
const AHEAD = 90;
/** A sound that is planned this far from where it belongs, s, is planned anew. */
const OFF = 0.006;

interface Planned {
  source: AudioBufferSourceNode;
  when: number;
}

/** Where the programme stands for the ear: what the audio clock reads when a moment of it comes. */
export interface Timeline {
  /** The moment of the programme now, ms. */
  position: number;
  /** Whether it goes on. */
  runs: boolean;
  speed: number;
}

/**
 * Plays the sounds of a programme at their moments. They are handed to the audio clock ahead of time, so that no timer of the
 * page decides when one is heard.
 */
export class Player {
  private readonly planned = new Map<string, Planned>();
  private readonly gain: GainNode;

  /** @param buffers the sounds that it can play; the bells and claps are made where they are missing */
  constructor(
    private readonly context: BaseAudioContext,
    readonly buffers = new Map<string, AudioBuffer>(),
  ) {
    this.gain = context.createGain();
    this.gain.connect(context.destination);
    const made: [string, Float32Array<ArrayBuffer>][] = [
      ["bell", bell(context.sampleRate)],
      ["end-bell", bell(context.sampleRate, 2)],
      ["clap", clap(context.sampleRate)],
    ];
    for (const [name, samples] of made.filter(([name]) => !buffers.has(name))) {
      const buffer = context.createBuffer(1, samples.length, context.sampleRate);
      buffer.copyToChannel(samples, 0);
      buffers.set(name, buffer);
    }
  }

  /** From 0, silent, to 1. */
  volume(volume: number): void {
    this.gain.gain.value = volume;
  }

  has(clip: string): boolean {
    return this.buffers.has(clip);
  }

  /** Takes the file of a clip in. */
  async add(clip: string, file: ArrayBuffer): Promise<void> {
    this.buffers.set(clip, await this.context.decodeAudioData(file));
  }

  /** Sees to it that all that comes within a while is planned, each at its moment, and nothing else. */
  plan(sounds: Sound[], line: Timeline): void {
    const now = this.context.currentTime;
    // What leaves the loudspeaker later than it is played begins earlier.
    const late = "outputLatency" in this.context ? (this.context as AudioContext).outputLatency || 0 : 0;
    const wanted = new Set<string>();
    for (const sound of line.runs ? sounds : []) {
      const away = (sound.atMs - line.position) / 1000 / line.speed;
      const buffer = this.buffers.get(sound.clip ?? sound.kind);
      if (away < -0.05 || away > AHEAD || !buffer) {
        continue;
      }
      wanted.add(sound.key);
      const when = Math.max(now, now + away - late);
      const planned = this.planned.get(sound.key);
      if (planned && (Math.abs(planned.when - when) <= OFF || planned.when <= now + 0.02)) {
        continue;
      }
      planned?.source.stop();
      const source = this.context.createBufferSource();
      source.buffer = buffer;
      source.connect(this.gain);
      source.start(when);
      source.onended = () => {
        if (this.planned.get(sound.key)?.source === source && this.context.currentTime > when) {
          this.planned.delete(sound.key);
        }
      };
      this.planned.set(sound.key, { source, when });
    }
    for (const [key, planned] of this.planned) {
      // What is being heard is heard to its end, but for a pause.
      if (!wanted.has(key) && (planned.when > now + 0.02 || !line.runs)) {
        planned.source.stop();
        this.planned.delete(key);
      }
    }
  }

  silence(): void {
    for (const { source } of this.planned.values()) {
      source.stop();
    }
    this.planned.clear();
  }
}
