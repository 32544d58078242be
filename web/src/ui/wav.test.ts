import { expect, test } from "vitest";
import { wavOf } from "./wav";

test("samples become a WAV file of 16 bits and one channel", () => {
  // RIFF/WAVE, PCM: the fields of the format chunk at their offsets (Microsoft and IBM, 1991).
  const view = new DataView(wavOf(new Float32Array([0, 0.5, -1, 2]), 22_050));
  const text = (at: number) => String.fromCharCode(...[0, 1, 2, 3].map((place) => view.getUint8(at + place)));
  expect([text(0), text(8), text(12), text(36)]).toEqual(["RIFF", "WAVE", "fmt ", "data"]);
  expect([
    view.getUint16(20, true),
    view.getUint16(22, true),
    view.getUint32(24, true),
    view.getUint16(34, true),
  ]).toEqual([1, 1, 22_050, 16]);
  expect([0, 1, 2, 3].map((at) => view.getInt16(44 + 2 * at, true))).toEqual([0, 16_384, -32_767, 32_767]);
});
