import type { PlayedRecording, Programme } from "../api/client";
import type { Store } from "./store";

/** Returns the recordings that a programme plays, each once. */
export function recordingsIn(programme: Programme): PlayedRecording[] {
  const found = new Map<string, PlayedRecording>();
  for (const { recording } of programme.chains) {
    if (recording) {
      found.set(recording.file, recording);
    }
  }
  return [...found.values()];
}

/**
 * The recordings of one screen, kept on the device so that they play without the server. Those that its programme no
 * longer plays are deleted.
 *
 * @param place names the screen
 */
export class KeptRecordings {
  constructor(
    private readonly store: Store,
    private readonly place: string,
  ) {}

  private key = (file: string) => `recording ${this.place} ${file}`;
  private get list() {
    return `recordings ${this.place}`;
  }

  /** Deletes all but these. */
  async keepOnly(files: string[]): Promise<void> {
    const before = (await this.store.read<string[]>(this.list)) ?? [];
    for (const file of before.filter((one) => !files.includes(one))) {
      await this.store.write(this.key(file), undefined);
    }
    await this.store.write(this.list, files);
  }

  /**
   * Returns the file of a recording, from the device if it is there.
   *
   * @param address the folder from which it is loaded
   */
  async load(recording: PlayedRecording, address: string): Promise<Blob> {
    const known = await this.store.read<Blob>(this.key(recording.file));
    if (known) {
      return known;
    }
    const answer = await fetch(`${address}/${recording.id}`);
    if (!answer.ok) {
      throw new Error(String(answer.status));
    }
    const file = await answer.blob();
    await this.store.write(this.key(recording.file), file);
    return file;
  }
}
