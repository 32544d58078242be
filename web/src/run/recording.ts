import { wavOf } from "../ui/wav";

/** Sample rate of a clip in Hz; enough for a voice. */
export const CLIP_RATE = 22_050;

export function base64(file: ArrayBuffer): string {
  let text = "";
  for (const byte of new Uint8Array(file)) {
    text += String.fromCharCode(byte);
  }
  return btoa(text);
}

/** Decodes any sound that the browser can read to a mono clip. */
export async function clipOf(recorded: Blob): Promise<string> {
  const context = new OfflineAudioContext(1, 1, CLIP_RATE);
  const sound = await context.decodeAudioData(await recorded.arrayBuffer());
  const mixed = new Float32Array(sound.length);
  for (let channel = 0; channel < sound.numberOfChannels; channel += 1) {
    sound.getChannelData(channel).forEach((value, at) => {
      mixed[at] = (mixed[at] ?? 0) + value / sound.numberOfChannels;
    });
  }
  return base64(wavOf(mixed, sound.sampleRate));
}
