import { expect, test } from "vitest";
import { wavOf } from "./recordingOf";

test("samples go out as RIFF WAVE, one track of 16 bits", () => {
  const wav = new DataView(wavOf(new Float32Array([0, 0.5, -1, 2]), 16_000));
  const text = (at: number, length: number) =>
    Array.from({ length }, (_, place) => String.fromCharCode(wav.getUint8(at + place))).join("");
  expect([text(0, 4), text(8, 8), text(36, 4)]).toEqual(["RIFF", "WAVEfmt ", "data"]);
  expect([wav.getUint32(4, true), wav.getUint16(22, true), wav.getUint32(24, true), wav.getUint16(34, true)]).toEqual([
    44, 1, 16_000, 16,
  ]);
  expect([44, 46, 48, 50].map((at) => wav.getInt16(at, true))).toEqual([0, 16_384, -32_767, 32_767]);
});
