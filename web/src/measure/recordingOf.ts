/** Samples per second that are sent; enough for bags and pads. */
const SAMPLE_RATE = 16_000;

/** Returns a mono WAV file with 16 bits per sample. */
export function wavOf(samples: Float32Array, rate: number): ArrayBuffer {
  const data = new DataView(new ArrayBuffer(44 + 2 * samples.length));
  const text = (at: number, word: string) => {
    for (let place = 0; place < word.length; place += 1) {
      data.setUint8(at + place, word.charCodeAt(place));
    }
  };
  text(0, "RIFF");
  data.setUint32(4, 36 + 2 * samples.length, true);
  text(8, "WAVEfmt ");
  data.setUint32(16, 16, true);
  data.setUint16(20, 1, true);
  data.setUint16(22, 1, true);
  data.setUint32(24, rate, true);
  data.setUint32(28, 2 * rate, true);
  data.setUint16(32, 2, true);
  data.setUint16(34, 16, true);
  text(36, "data");
  data.setUint32(40, 2 * samples.length, true);
  samples.forEach((sample, at) => {
    data.setInt16(44 + 2 * at, Math.round(32_767 * Math.max(-1, Math.min(1, sample))), true);
  });
  return data.buffer as ArrayBuffer;
}

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
