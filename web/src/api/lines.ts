/**
 * The JSON objects of an answer that comes in lines, each as soon as it is here.
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
    // Whoever stops listening before the end lets the server stop too.
    await reader.cancel().catch(() => undefined);
  }
}
