import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, expect, test } from "vitest";
import type { Plan } from "../api/client";
import { serve } from "../testing/page";
import { planOf } from "../testing/plan";
import { Messages } from "../ui/Messages";
import { newRound, newSet } from "./plan";
import { usePlanCheck, usePlanner } from "./usePlanner";

afterEach(() => {
  cleanup();
  serve(null);
  localStorage.clear();
});

const EMPTY = planOf({});
const PERSON = { id: 1, name: "Liv" };
const stored = (version: number, name: string): Plan => ({
  id: 5,
  version,
  name,
  course: null,
  isTemplate: false,
  startsAt: "2026-12-01T18:30",
  lengthMs: 0,
  problems: 0,
  author: PERSON,
  editor: PERSON,
  updatedAt: "2026-11-26T12:00:00Z",
  archived: false,
  content: EMPTY,
});

/** A fake server with one plan that refuses changes based on an old version. */
function gym(first: Plan) {
  const server = { plan: first, writes: [] as string[], away: false };
  serve(async (request) => {
    if (server.away) {
      throw new TypeError("Failed to fetch");
    }
    const json = (body: unknown, status = 200) =>
      new Response(JSON.stringify(body), {
        status,
        headers: { "Content-Type": status === 200 ? "application/json" : "application/problem+json" },
      });
    if (request.url.endsWith("/presence")) {
      return json({ version: server.plan.version, others: [] });
    }
    if (request.method === "PUT") {
      if (request.headers.get("If-Match") !== `"${server.plan.version}"`) {
        return json({ type: "changed-meanwhile", status: 412, title: "Liv changed this session meanwhile." }, 412);
      }
      const { name } = (await request.json()) as { name: string };
      server.writes.push(name);
      server.plan = stored(server.plan.version + 1, name);
    }
    return json(server.plan);
  });
  return server;
}

function around({ children }: { children: ReactNode }) {
  return (
    <QueryClientProvider client={new QueryClient()}>
      <Messages>{children}</Messages>
    </QueryClientProvider>
  );
}

const planner = (plan: Plan) => renderHook(() => usePlanner(plan), { wrapper: around }).result;
const name = (hook: ReturnType<typeof planner>, to: string) =>
  act(() => hook.current.change((draft) => ({ ...draft, name: to }), true));

test("what was changed is saved by itself, once for all that follows quickly", async () => {
  const server = gym(stored(1, "First"));
  const hook = planner(server.plan);
  expect(hook.current.saving).toBe("saved");
  name(hook, "Sec");
  name(hook, "Second");
  expect(hook.current.saving).toBe("waiting");
  await waitFor(() => expect(hook.current.saving).toBe("saved"));
  expect(server.writes).toEqual(["Second"]);
  expect(hook.current.version).toBe(2);
});

test("nothing is saved without a change, or after a change is undone", async () => {
  const server = gym(stored(1, "First"));
  const hook = planner(server.plan);
  name(hook, "Second");
  act(() => hook.current.undo());
  await new Promise((done) => setTimeout(done, 1300));
  expect(server.writes).toEqual([]);
});

test("what was changed without a connection is there when the session is opened again, and is saved once", async () => {
  const server = gym(stored(1, "First"));
  server.away = true;
  const hook = renderHook(() => usePlanner(server.plan), { wrapper: around });
  name(hook.result, "Offline");
  await waitFor(() => expect(hook.result.current.saving).toBe("failed"));
  hook.unmount();
  server.away = false;
  const again = planner(stored(1, "First"));
  expect(again.current.draft.name).toBe("Offline");
  expect(again.current.saving).not.toBe("saved");
  await waitFor(() => expect(server.writes).toEqual(["Offline"]), { timeout: 4000 });
  await waitFor(() => expect(again.current.saving).toBe("saved"));
  expect(localStorage.length).toBe(0);
});

test("what an earlier version of the page kept is there, with what it left open written out", () => {
  const content = { rules: "boxing", blocks: [{ kind: "rounds", name: "", rounds: [{ seconds: 60, sets: [{}] }] }] };
  const { content: _, ...plan } = stored(1, "First");
  localStorage.setItem(
    "periplus.kept.0.plan 5",
    JSON.stringify({ plan: { ...plan, content: {} }, draft: { name: "Kept", content } }),
  );
  gym(stored(1, "First"));
  const hook = planner(stored(1, "First"));
  expect(hook.current.draft.name).toBe("Kept");
  expect(hook.current.draft.content.blocks[0]?.rounds[0]).toEqual({
    ...newRound(60, 0),
    sets: [newSet()],
  });
});

test("what was kept of an older version is not put over what somebody else has saved since", async () => {
  const server = gym(stored(1, "First"));
  server.away = true;
  const hook = renderHook(() => usePlanner(server.plan), { wrapper: around });
  name(hook.result, "Mine");
  await waitFor(() => expect(hook.result.current.saving).toBe("failed"));
  hook.unmount();
  server.away = false;
  server.plan = stored(2, "Theirs");
  const again = planner(server.plan);
  await waitFor(() => expect(again.current.saving).toBe("changed"), { timeout: 4000 });
  expect([again.current.draft.name, server.writes]).toEqual(["Mine", []]);
});

test("what somebody else saved is not written over: the draft stays, and the coach chooses", async () => {
  const server = gym(stored(1, "First"));
  const hook = planner(server.plan);
  name(hook, "Mine");
  server.plan = stored(2, "Theirs");
  await waitFor(() => expect(hook.current.saving).toBe("changed"));
  expect(hook.current.draft.name).toBe("Mine");
  expect(hook.current.trouble).toContain("Liv changed this session meanwhile");
  expect(server.writes).toEqual([]);
  await act(() => hook.current.takeTheirs());
  expect(hook.current.draft.name).toBe("Theirs");
  act(() => hook.current.undo());
  expect(hook.current.draft.name).toBe("Mine");
});

test("the coach's own version is saved over a newer one when the coach chooses it", async () => {
  const server = gym(stored(1, "First"));
  const hook = planner(server.plan);
  name(hook, "Mine");
  server.plan = stored(2, "Theirs");
  await waitFor(() => expect(hook.current.saving).toBe("changed"));
  await act(() => hook.current.keepMine());
  await waitFor(() => expect(hook.current.saving).toBe("saved"));
  expect(server.plan).toMatchObject({ version: 3, name: "Mine" });
});

test("without a server it says that it is not saved, keeps what was written, and tries again", async () => {
  const server = gym(stored(1, "First"));
  const hook = planner(server.plan);
  server.away = true;
  name(hook, "Later");
  await waitFor(() => expect(hook.current.saving).toBe("failed"));
  expect(hook.current.draft.name).toBe("Later");
  server.away = false;
  await act(() => hook.current.save());
  expect(server.writes).toEqual(["Later"]);
});

test("the answer to a plan is old from the first change until the next answer is there", async () => {
  serve(async (request) => {
    const { content } = (await request.json()) as { content: { minutes: number } };
    return new Response(JSON.stringify({ lengthMs: content.minutes }), {
      headers: { "Content-Type": "application/json" },
    });
  });
  const hook = renderHook(({ minutes }) => usePlanCheck({ ...EMPTY, minutes }), {
    wrapper: around,
    initialProps: { minutes: 50 },
  });
  await waitFor(() => expect(hook.result.current).toMatchObject({ document: { lengthMs: 50 }, old: false }));
  hook.rerender({ minutes: 60 });
  expect(hook.result.current).toMatchObject({ document: { lengthMs: 50 }, old: true });
  await waitFor(() => expect(hook.result.current).toMatchObject({ document: { lengthMs: 60 }, old: false }));
});
