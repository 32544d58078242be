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
