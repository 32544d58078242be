import { wavOf } from "../ui/wav";

/** Samples per second that are sent; enough for bags and pads. */
const SAMPLE_RATE = 16_000;

/**
 * Decodes a sound file in the browser to one track, cut to the maximum length.
 *
 * @throws Error with a sentence for people when the browser cannot read it
 */
export async function recordingOf(file: Blob, longest: number): Promise<{ wav: ArrayBuffer; cut: boolean }> {
  let decoded: AudioBuffer;
  try {
    decoded = await new OfflineAudioContext(1, 1, SAMPLE_RATE).decodeAudioData(await file.arrayBuffer());
  } catch {
    throw new Error("This browser cannot read that sound. A WAV, MP3 or M4A file is understood everywhere.");
  }
  const length = Math.min(decoded.duration, longest);
  const offline = new OfflineAudioContext(1, Math.max(1, Math.floor(length * SAMPLE_RATE)), SAMPLE_RATE);
  const source = offline.createBufferSource();
  source.buffer = decoded;
  source.connect(offline.destination);
  source.start();
  const mono = await offline.startRendering();
  return { wav: wavOf(mono.getChannelData(0), SAMPLE_RATE), cut: decoded.duration > longest };
}
