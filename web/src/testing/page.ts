/** A page to draw on, and a server to ask; set up before every file of tests, and empty again after it. */
import { GlobalRegistrator } from "@happy-dom/global-registrator";
import { afterAll, vi } from "vitest";

if (!GlobalRegistrator.isRegistered) {
  GlobalRegistrator.register({ url: "http://127.0.0.1/" });
}

// A busy machine may be late; the library looks for a page when it is loaded.
const { cleanup, configure } = await import("@testing-library/react");
configure({ asyncUtilTimeout: 6000 });

// All files run in one process, which loads React and the components once; what is of one file goes with it.
afterAll(() => {
  cleanup();
  vi.resetModules();
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
  document.body.replaceChildren();
  localStorage.clear();
  window.history.replaceState(null, "", "/");
});

type Server = (request: Request) => Promise<Response>;

const nobody: Server = () => Promise.reject(new TypeError("Failed to fetch"));

/** The server that answers a test. Kept with the page, as this file is read anew for each file of tests. */
const shared = globalThis as typeof globalThis & { testServer?: Server };
shared.testServer = nobody;
globalThis.fetch = (input, options) => {
  const answer = shared.testServer ?? nobody;
  return answer(new Request(input, options));
};

/** Who answers from now on; nobody at first. */
export function serve(by: Server | null): void {
  shared.testServer = by ?? nobody;
}
