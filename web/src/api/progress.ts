/** Time in ms until a worker is asked again that has not got any further. */
const PAUSE_MS = 500;

/**
 * Follows slow work to its end. Where no workers do it, each request does a part of it; where one has not got any
 * further since the last request, the next waits a moment.
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
    const next = await ask(state);
    if (next.done === state.done && !isDone(next)) {
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    }
    state = next;
    onStep(state);
  }
  return state;
}
