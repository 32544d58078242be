import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { noteConnection } from "../api/connection";
import { Messages } from "../ui/Messages";
import { serve } from "./page";

/** A request of the page that waits for the test to answer it. */
export interface Asked {
  method: string;
  path: string;
  /** The query string, such as "?q=front". */
  query: string;
  headers: Headers;
  body: unknown;
  answer: (body: unknown, status?: number) => void;
  /** Sends one line of a streamed answer. */
  line: (part: unknown) => void;
  /** Ends the answer. */
  end: () => void;
  /** Breaks the connection, before or within the answer. */
  fail: () => void;
}

function held(
  request: Request,
  text: string,
  done: (response: Response) => void,
  failed: (error: Error) => void,
): Asked {
  const lost = () => new TypeError("Failed to fetch");
  let lines: ReadableStreamDefaultController<Uint8Array> | undefined;
  const begun = () => {
    if (!lines) {
      const body = new ReadableStream<Uint8Array>({
        start: (controller) => {
          lines = controller;
        },
      });
      done(new Response(body, { headers: { "Content-Type": "application/x-ndjson" } }));
    }
    return lines as unknown as ReadableStreamDefaultController<Uint8Array>;
  };
  return {
    method: request.method,
    path: new URL(request.url).pathname,
    query: new URL(request.url).search,
    headers: request.headers,
    body: text === "" ? undefined : JSON.parse(text),
    answer: (body, status = 200) =>
      done(new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } })),
    line: (part) => begun().enqueue(new TextEncoder().encode(`${JSON.stringify(part)}\n`)),
    end: () => begun().close(),
    fail: () => (lines ? lines.error(lost()) : failed(lost())),
  };
}

/**
 * A server that answers requests from the table and holds all others until the test answers them.
 *
 * @param table answers by "GET /api/…"
 * @returns what was asked and is not in the table, in order
 */
export function heldServer(table: Record<string, unknown> = {}): Asked[] {
  const asked: Asked[] = [];
  noteConnection(true);
  serve((request) => {
    const name = `${request.method} ${new URL(request.url).pathname}`;
    // The poll for an unreachable server is answered separately.
    if (name === "GET /api/ping") {
      return Promise.resolve(new Response(null, { status: 204 }));
    }
    return new Promise<Response>((done, failed) => {
      void request.text().then((text) => {
        const question = held(request, text, done, failed);
        if (name in table) {
          question.answer(table[name]);
        } else {
          asked.push(question);
        }
      });
    });
  });
  return asked;
}

/** The providers that every screen needs. */
export function Around({ children, client }: { children: ReactNode; client?: QueryClient }) {
  return (
    <QueryClientProvider client={client ?? new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Messages>{children}</Messages>
    </QueryClientProvider>
  );
}
