/**
 * Reads, cuts and writes video and sound in the browser. It is large, and loaded when something is recorded or chosen.
 */
import {
  ALL_FORMATS,
  BlobSource,
  BufferTarget,
  Conversion,
  type ConversionVideoOptions,
  canEncodeAudio,
  canEncodeVideo,
  Input,
  type InputVideoTrack,
  Mp4OutputFormat,
  Output,
  type OutputFormat,
  QUALITY_MEDIUM,
  WavOutputFormat,
  WebMOutputFormat,
} from "mediabunny";

export interface Contents {
  lengthMs: number;
  kind: "video" | "sound";
}

/** A part of a file. */
export interface Part {
  fromMs: number;
  toMs: number;
}

/** Larger pictures are made smaller, in pixels: nobody sees more on a wall. */
const MAX_WIDTH = 1280;

/** A second of video with more bytes than these is written anew, so that half a minute has room in the maximum. */
const MAX_BYTES_PER_SECOND = 500_000;

const read = (file: Blob) => new Input({ source: new BlobSource(file), formats: ALL_FORMATS });

/** Returns what is in a file. @throws Error when it holds neither video nor sound that this browser can read */
export async function contentsOf(file: Blob): Promise<Contents> {
  const input = read(file);
  const video = await input.getPrimaryVideoTrack();
  const sound = await input.getPrimaryAudioTrack();
  const lengthMs = Math.round(1000 * (await input.computeDuration()));
  if ((video === null && sound === null) || lengthMs <= 0) {
    throw new Error("neither video nor sound");
  }
  return { lengthMs, kind: video === null ? "sound" : "video" };
}

export interface Cut {
  file: Blob;
  /** Whether the sound of a video was left out, because this browser can write none. */
  isSilent: boolean;
}

/**
 * Writes a part of a file as one of its own, with its length in it.
 *
 * @param onProgress is told how much of it is done, 0 to 1
 *
 * @throws Error when this browser cannot read its pictures, or cannot write it
 */
export async function cut(
  file: Blob,
  part: Part,
  kind: Contents["kind"],
  onProgress: (done: number) => void,
): Promise<Cut> {
  const format = await formatFor(file, kind);
  const target = new BufferTarget();
  const output = new Output({ format, target });
  const seconds = (await contentsOf(file)).lengthMs / 1000;
  const isLarge = file.size / seconds > MAX_BYTES_PER_SECOND;
  const conversion = await Conversion.init({
    input: read(file),
    output,
    trim: { start: part.fromMs / 1000, end: part.toMs / 1000 },
    video: (track) => smaller(track, isLarge),
  });
  const lost = conversion.discardedTracks.map(({ track }) => track.type);
  if (!conversion.isValid || (kind === "video" && lost.includes("video"))) {
    throw new Error("what the file holds cannot be written");
  }
  conversion.onProgress = onProgress;
  await conversion.execute();
  if (target.buffer === null) {
    throw new Error("nothing was written");
  }
  return { file: new Blob([target.buffer], { type: format.mimeType }), isSilent: lost.includes("audio") };
}

async function smaller(track: InputVideoTrack, isLarge: boolean): Promise<ConversionVideoOptions> {
  const width = await track.getDisplayWidth();
  return { ...(width > MAX_WIDTH && { width: MAX_WIDTH }), ...(isLarge && { quality: QUALITY_MEDIUM }) };
}

/** Returns the format that this browser can write and most devices play. AAC that is there need not be written anew. */
async function formatFor(file: Blob, kind: Contents["kind"]): Promise<OutputFormat> {
  const sound = await read(file).getPrimaryAudioTrack();
  const hasAac = sound === null || (await sound.getCodec()) === "aac" || (await canEncodeAudio("aac"));
  if (hasAac && (kind === "sound" || (await canEncodeVideo("avc")))) {
    return new Mp4OutputFormat();
  }
  return kind === "video" || (await canEncodeAudio("opus")) ? new WebMOutputFormat() : new WavOutputFormat();
}
