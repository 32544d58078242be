import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, renderHook, screen, waitFor } from "@testing-library/react";
import { App } from "antd";
import type { ReactNode } from "react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { type Check, type CheckRequest, isAway, type Numberings } from "../../web/src/api/client";
import { isReachable, noteConnection } from "../../web/src/api/connection";
import { TouchPad } from "../../web/src/bench/TouchPad";
import { useCheck } from "../../web/src/check/useCheck";
import { checked } from "./gym";
import { serve } from "./page";

/** A server of which each answer is given when the test says so. */
interface Asked {
  path: string;
  body: CheckRequest | undefined;
  answer: (body: unknown, status?: number) => void;
  fail: () => void;
}
let asked: Asked[] = [];

beforeEach(() => {
  asked = [];
  noteConnection(true);
  serve((request) =>
    // Whether it is back is asked beside the questions of the tests.
    request.url.endsWith("/api/ping")
      ? Promise.resolve(new Response(null, { status: 204 }))
      : new Promise<Response>((done, failed) => {
          void request.text().then((text) =>
            asked.push({
              path: new URL(request.url).pathname,
              body: text === "" ? undefined : (JSON.parse(text) as CheckRequest),
              answer: (body, status = 200) =>
                done(new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } })),
              fail: () => failed(new TypeError("Failed to fetch")),
            }),
          );
        }),
  );
});
afterEach(() => {
  cleanup();
  serve(null);
});

function Around({ children }: { children: ReactNode }) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return (
    <QueryClientProvider client={client}>
      <App>{children}</App>
    </QueryClientProvider>
  );
}

/** What stands in the line, and what is known of it. */
function bench(first: string) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result, rerender } = renderHook(({ text }) => useCheck({ text }), { initialProps: { text: first }, wrapper });
  return { result, type: (text: string) => rerender({ text }) };
}

const [one, two, broken] = checked(["1", "1 2", "1 zork"]) as [Check, Check, Check];
const questions = () => asked.map((question) => question.body?.text);

test("keys typed quickly are one question", async () => {
  const { type } = bench("");
  for (const text of ["1", "1 ", "1 2", "1 2 "]) {
    type(text);
  }
  type("1 2 3");
  await waitFor(() => expect(questions()).toEqual(["1 2 3"]));
});

test("an answer to what is no longer there is dropped, also when it comes last", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(questions()).toEqual(["1"]));
  type("1 2");
  await waitFor(() => expect(questions()).toEqual(["1", "1 2"]));
  asked[1]?.answer(two);
  await waitFor(() => expect(result.current.current).toBe(true));
  asked[0]?.answer(one);
  await new Promise((done) => setTimeout(done, 50));
  expect(result.current.latest?.notation).toBe("1 2");
  expect(result.current.current).toBe(true);
});

test("the picture stays while a word is half typed, and what cannot be read is known at once", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.readable?.notation).toBe("1"));
  type("1 zork");
  expect(result.current.current, "what is shown is of a moment ago").toBe(false);
  expect(result.current.readable?.notation).toBe("1");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.answer(broken);
  await waitFor(() => expect(result.current.latest?.problems.length).toBe(1));
  expect(result.current.readable?.notation).toBe("1");
});

test("an empty line asks nothing and shows nothing", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.readable).toBeDefined());
  type("  ");
  expect(result.current.latest).toBeUndefined();
  expect(result.current.readable).toBeUndefined();
  await new Promise((done) => setTimeout(done, 150));
  expect(asked.length).toBe(1);
});

test("what was answered once is not asked again", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  type("1 2");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.answer(two);
  await waitFor(() => expect(result.current.latest?.notation).toBe("1 2"));
  type("1");
  await waitFor(() => expect(result.current.latest?.notation).toBe("1"));
  expect(asked.length).toBe(2);
});

test("a server that is away is told, and the picture stays", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.readable).toBeDefined());
  type("1 2");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.fail();
  await waitFor(() => expect(result.current.error).toBeTruthy());
  expect(result.current.readable?.notation).toBe("1");
});

const number = (of: string, limb: string, family: string, more = {}) => ({
  number: of,
  family,
  position: "lead",
  target: null,
  name: null,
  limb,
  roles: { orthodox: "lead", southpaw: "lead" },
  ...more,
});
const NUMBERINGS = {
  ofGym: "parity",
  numberings: [
    {
      id: "parity",
      name: "Parity",
      numbers: [
        number("1", "hand", "straight"),
        number("7", "hand", "hook", { target: "body" }),
        number("13", "leg", "round kick"),
        number("21", "knee", "knee"),
        number("31", "elbow", "elbow"),
      ],
    },
  ],
} as unknown as Numberings;
const strike = (family: string, targets: string[]) => ({ family, shortName: family, targets });
const VOCABULARY = {
  strikes: [
    strike("straight", ["head", "body"]),
    strike("hook", ["head", "body"]),
    strike("round kick", ["body", "head", "leg"]),
    strike("knee", ["body", "head", "leg"]),
    strike("elbow", ["head", "body"]),
  ],
  moves: [
    { id: "slip-lead", words: "slip lead", kind: "defence", glyph: "M0 0" },
    { id: "step-out", words: "step out", kind: "footwork", glyph: "M0 0" },
    { id: "clinch", words: "clinch", kind: "contact", glyph: "M0 0" },
  ],
};

async function pad() {
  const onPress = vi.fn();
  render(
    <Around>
      <TouchPad numbering="parity" stance="orthodox" onPress={onPress} />
    </Around>,
  );
  await waitFor(() => expect(asked.length).toBe(2));
  for (const question of asked) {
    question.answer(question.path === "/api/vocabulary" ? VOCABULARY : NUMBERINGS);
  }
  await screen.findByRole("button", { name: /^1/ });
  const choose = (name: string) => fireEvent.click(screen.getByText(name, { selector: ".ant-segmented-item-label" }));
  const press = (name: RegExp) => {
    fireEvent.click(screen.getByRole("button", { name }));
    return onPress.mock.lastCall?.[0] as string;
  };
  return { choose, press };
}

test("the pad writes numbers, with the letter of the target where one is chosen and it can be had", async () => {
  const { choose, press } = await pad();
  expect(press(/^1/)).toBe("1");
  choose("body");
  expect(press(/^1/)).toBe("1b");
  expect(press(/^7/), "a number that means its target needs no letter").toBe("7");
  choose("Kicks");
  choose("leg");
  expect(press(/^13/)).toBe("13l");
  choose("Knees and elbows");
  expect(press(/^21/)).toBe("21l");
  expect(press(/^31/), "no elbow goes to the leg").toBe("31");
});

test("no arm is offered the leg", async () => {
  const { choose, press } = await pad();
  choose("Kicks");
  choose("leg");
  choose("Hands");
  expect(screen.queryByText("leg", { selector: ".ant-segmented-item-label" })).toBeNull();
  expect(press(/^1/)).toBe("1");
});

test("the pad writes moves by their names and signs as they are", async () => {
  const { choose, press } = await pad();
  expect(press(/Lands together/)).toBe("+");
  choose("Defence");
  expect(press(/slip lead/)).toBe("slip-lead");
  choose("Footwork");
  expect(press(/step out/)).toBe("step-out");
  expect(press(/clinch/)).toBe("clinch");
});

test("what is shown is old while the server is away, and it is asked again until it is back", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  expect(result.current.old).toBe(false);

  type("1 2");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.fail();
  await waitFor(() => expect(result.current.old).toBe(true));
  expect(isAway(result.current.error)).toBe(true);
  expect(isReachable()).toBe(false);
  expect(result.current.readable?.notation, "the picture of before stays, and looks old").toBe("1");

  const again = () => asked.slice(2).find((question) => question.path === "/api/check");
  await waitFor(() => expect(again()).toBeDefined(), { timeout: 4000 });
  again()?.answer(two);
  await waitFor(() => expect(result.current.current).toBe(true));
  expect([result.current.old, result.current.error, isReachable()]).toEqual([false, null, true]);
});

test("what is shown is old when an answer is late", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  type("1 2");
  expect(result.current.old, "a quick one changes nothing on its way").toBe(false);
  await waitFor(() => expect(result.current.old).toBe(true), { timeout: 2000 });
  asked.at(-1)?.answer(two);
  await waitFor(() => expect(result.current.old).toBe(false));
});
