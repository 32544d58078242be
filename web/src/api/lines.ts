/**
 * Yields the JSON objects of a streamed answer, one a line, as they arrive.
 *
 * @throws TypeError when the connection ends in the middle
 * @example for await (const part of linesOf<Part>(answer.body)) { … }
 */
export async function* linesOf<T>(body: ReadableStream<Uint8Array>): AsyncGenerator<T> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let rest = "";
  try {
    for (let piece = await reader.read(); !piece.done; piece = await reader.read()) {
      const lines = (rest + decoder.decode(piece.value, { stream: true })).split("\n");
      rest = lines.pop() ?? "";
      for (const line of lines) {
        yield JSON.parse(line) as T;
      }
    }
    if (rest.trim() !== "") {
      yield JSON.parse(rest) as T;
    }
  } finally {
    // Cancelling lets the server stop too.
    await reader.cancel().catch(() => undefined);
  }
}
