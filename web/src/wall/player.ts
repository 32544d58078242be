import { bell, clap, type Sound } from "./sounds";

/** How far ahead sounds are scheduled on the audio clock, in s: timers of a background tab run once a minute. */
const LOOKAHEAD_SECONDS = 90;
/** Deviation in s from which a sound is scheduled again. */
const MAX_DEVIATION_SECONDS = 0.006;

interface Planned {
  source: AudioBufferSourceNode;
  when: number;
}

/** Relates the programme to the audio clock. */
export interface Timeline {
  /** The current moment of the programme, in ms. */
  position: number;
  /** Whether it runs. */
  runs: boolean;
  speed: number;
}

/**
 * Plays the sounds of a programme on time. They are scheduled ahead on the audio clock, so that timers do not affect
 * them.
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

  /** Sets the volume, 0 (silent) to 1. */
  volume(volume: number): void {
    this.gain.gain.value = volume;
  }

  has(clip: string): boolean {
    return this.buffers.has(clip);
  }

  /** Adds the file of a clip. */
  async add(clip: string, file: ArrayBuffer): Promise<void> {
    this.buffers.set(clip, await this.context.decodeAudioData(file));
  }

  /** Schedules the sounds of the near future, and cancels all others. */
  plan(sounds: Sound[], line: Timeline): void {
    const now = this.context.currentTime;
    // Compensates the latency of the output.
    const late = "outputLatency" in this.context ? (this.context as AudioContext).outputLatency || 0 : 0;
    const wanted = new Set<string>();
    for (const sound of line.runs ? sounds : []) {
      const away = (sound.atMs - line.position) / 1000 / line.speed;
      const buffer = this.buffers.get(sound.clip ?? sound.kind);
      if (away < -0.05 || away > LOOKAHEAD_SECONDS || !buffer) {
        continue;
      }
      wanted.add(sound.key);
      const when = Math.max(now, now + away - late);
      const planned = this.planned.get(sound.key);
      if (planned && (Math.abs(planned.when - when) <= MAX_DEVIATION_SECONDS || planned.when <= now + 0.02)) {
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
      // A sound that is playing continues to its end, except on pause.
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
