import { refusal } from "./client";

/** Time in ms until a worker is asked again that has not got any further. */
const PAUSE_MS = 500;
/** How often a server is asked again that is busy with other long tasks, such as those of the same page. */
const MAX_TRIES = 60;

const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));

/**
 * Follows slow work to its end. Where no workers do it, each request does a part of it; where one has not got any
 * further since the last request, or the server is busy, the next waits a moment.
 *
 * @param onStep told of every state, also the first
 */
export async function followToTheEnd<State extends { done: number }>(
  first: State,
  isDone: (state: State) => boolean,
  ask: (state: State) => Promise<State>,
  onStep: (state: State) => void,
): Promise<State> {
  let state = first;
  onStep(state);
  while (!isDone(state)) {
    const next = await unlessBusy(() => ask(state));
    if (next.done === state.done && !isDone(next)) {
      await pause();
    }
    state = next;
    onStep(state);
  }
  return state;
}

/** Asks until the server is no longer busy. */
async function unlessBusy<State>(ask: () => Promise<State>): Promise<State> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await ask();
    } catch (error) {
      if (tries === MAX_TRIES || refusal(error).type !== "busy") {
        throw error;
      }
      await pause();
    }
  }
}
