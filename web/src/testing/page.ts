/** Provides a DOM and a server for tests; set up before each test file and cleaned after it. */
import { GlobalRegistrator } from "@happy-dom/global-registrator";
import { afterAll, vi } from "vitest";

if (!GlobalRegistrator.isRegistered) {
  GlobalRegistrator.register({ url: "http://127.0.0.1/" });
}

// Loaded after the DOM exists; a longer timeout because test machines may be slow.
const { cleanup, configure } = await import("@testing-library/react");
configure({ asyncUtilTimeout: 12_000 });
const { activateLanguage } = await import("../ui/language");
await activateLanguage([]);

// All files share one process, which loads React and the components once; state of one file must not leak.
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

/** The server that answers a test. Stored on globalThis, because this module is loaded again for each test file. */
const shared = globalThis as typeof globalThis & { testServer?: Server };
shared.testServer = nobody;
globalThis.fetch = (input, options) => {
  const answer = shared.testServer ?? nobody;
  return answer(new Request(input, options));
};

/** Sets the server that answers from now on. */
export function serve(by: Server | null): void {
  shared.testServer = by ?? nobody;
}
