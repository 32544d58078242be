/** A page to draw on, and a server to ask; set up before every file of tests. */
import { GlobalRegistrator } from "@happy-dom/global-registrator";

GlobalRegistrator.register({ url: "http://127.0.0.1/" });

// A busy machine may be late; the library looks for a page when it is loaded.
const { configure } = await import("@testing-library/react");
configure({ asyncUtilTimeout: 6000 });

type Server = (request: Request) => Promise<Response>;

const nobody: Server = () => Promise.reject(new TypeError("Failed to fetch"));
let server = nobody;
globalThis.fetch = (input, options) => server(new Request(input, options));

/** Who answers from now on; nobody at first. */
export function serve(by: Server | null): void {
  server = by ?? nobody;
}
