import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Advice } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Messages } from "../ui/Messages";
import AdviceScreen from "./AdviceScreen";
import { freshId } from "./freshId";
import { topicWords } from "./topicWords";

afterEach(() => {
  cleanup();
  serve(null);
});

const ADVICE: Advice = {
  reminders: [
    { id: "all-1", for: "all", text: "chin down" },
    { id: "hook-1", for: "hook", text: "the foot turns" },
  ],
  remindersVersion: 4,
  reminderTopics: ["all", "hook", "cause:turn"],
  exercises: [
    {
      id: "squats",
      name: "Squats",
      for: ["conditioning"],
      does: "legs",
      seconds: 30,
      count: 10,
      easier: "half",
      caution: "knees",
    },
  ],
  exercisesVersion: 1,
  faults: [{ id: "hook-1", for: "hook", text: "the arm swings wide", mend: "elbow level with the fist" }],
  faultsVersion: 2,
  faultTopics: ["hook", "cause:turn"],
};

function shown(role: string) {
  const sent: { path: string; version: string | null; body: unknown }[] = [];
  serve(async (request) => {
    if (request.method === "PUT") {
      sent.push({
        path: new URL(request.url).pathname,
        version: request.headers.get("If-Match"),
        body: await request.json(),
      });
    }
    return new Response(JSON.stringify(ADVICE), { headers: { "Content-Type": "application/json" } });
  });
  const queries = new QueryClient();
  queries.setQueryData(keys.session, {
    user: accountOf(role),
    csrfToken: "",
    gym: null,
  });
  render(
    <QueryClientProvider client={queries}>
      <Messages>
        <MemoryRouter>
          <AdviceScreen />
        </MemoryRouter>
      </Messages>
    </QueryClientProvider>,
  );
  return sent;
}

test("a reminder is changed and sent with the others and its version", async () => {
  const sent = shown("head-coach");
  const reminders = await screen.findByRole("region", { name: "Reminders" });
  fireEvent.change(within(reminders).getByLabelText("Reminder"), { target: { value: "chin down, eyes up" } });
  fireEvent.click(within(reminders).getByRole("button", { name: "Save" }));
  await waitFor(() =>
    expect(sent).toEqual([
      {
        path: "/api/advice/reminders",
        version: '"4"',
        body: { reminders: [{ ...ADVICE.reminders[0], text: "chin down, eyes up" }, ADVICE.reminders[1]] },
      },
    ]),
  );
});

test("a fault is added with what mends it, and sent with the others", async () => {
  const sent = shown("head-coach");
  const faults = await screen.findByRole("region", { name: "Faults to look for" });
  fireEvent.click(within(faults).getByRole("button", { name: "Add one" }));
  fireEvent.change(within(faults).getAllByLabelText("Fault")[1] as HTMLElement, { target: { value: "chin up" } });
  fireEvent.change(within(faults).getAllByLabelText("What mends it")[1] as HTMLElement, {
    target: { value: "chin down" },
  });
  fireEvent.click(within(faults).getByRole("button", { name: "Save" }));
  await waitFor(() =>
    expect(sent).toEqual([
      {
        path: "/api/advice/faults",
        version: '"2"',
        body: { faults: [...ADVICE.faults, { id: "own-2", for: "hook", text: "chin up", mend: "chin down" }] },
      },
    ]),
  );
});

test("an edited list goes back to the one that ships", async () => {
  const sent = shown("head-coach");
  const reminders = await screen.findByRole("region", { name: "Reminders" });
  fireEvent.click(within(reminders).getByRole("button", { name: "Reset to the built-in list" }));
  await waitFor(() => expect(sent[0]?.body).toEqual({ reminders: null }));
});

test("a coach reads and cannot write", async () => {
  shown("coach");
  const reminders = await screen.findByRole("region", { name: "Reminders" });
  expect((within(reminders).getByLabelText("Reminder") as HTMLInputElement).readOnly).toBe(true);
  expect(screen.queryByRole("button", { name: "Save" })).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: /^Squats/ }));
  expect((screen.getByLabelText("Caution") as HTMLInputElement).value).toBe("knees");
});

test("an added exercise gets its own id", () => {
  expect(freshId("own", [])).toBe("own-1");
  expect(freshId("own", [{ id: "own-2" }])).toBe("own-3");
});

test("topics are said as a coach would", () => {
  expect(["all", "body-hook", "cause:turn"].map(topicWords)).toEqual(["everything", "body hook", "a wait for: turn"]);
});
