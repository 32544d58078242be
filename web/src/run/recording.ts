/** Sample rate of a clip in Hz; enough for a voice. */
export const CLIP_RATE = 22_050;

/** Returns a mono WAV file with 16 bits (RIFF/WAVE, PCM: format tag 1). */
export function wavOf(samples: Float32Array, rate: number): ArrayBuffer {
  const file = new ArrayBuffer(44 + 2 * samples.length);
  const view = new DataView(file);
  const text = (at: number, word: string) => {
    for (let place = 0; place < word.length; place += 1) {
      view.setUint8(at + place, word.charCodeAt(place));
    }
  };
  text(0, "RIFF");
  view.setUint32(4, 36 + 2 * samples.length, true);
  text(8, "WAVEfmt ");
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, 2 * rate, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, "data");
  view.setUint32(40, 2 * samples.length, true);
  samples.forEach((value, at) => {
    view.setInt16(44 + 2 * at, Math.round(Math.max(-1, Math.min(1, value)) * 32_767), true);
  });
  return file;
}

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
