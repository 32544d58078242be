import { QueryClient } from "@tanstack/react-query";
import { act, cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import type { Combination, Recording } from "../api/client";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import RecordingDialog from "./RecordingDialog";
import { RecordingPanel } from "./RecordingPanel";
import RecordingsScreen from "./RecordingsScreen";

afterEach(() => {
  cleanup();
  serve(null);
  vi.unstubAllGlobals();
});

const OWN: Recording = {
  id: 7,
  combination: 3,
  technique: null,
  subject: "Ladder",
  kind: "video",
  mediaType: "video/webm",
  bytes: 2_400_000,
  lengthMs: 12_300,
  coach: "Mara Quist",
  recordedAt: "2026-11-30T10:00:00Z",
  isThere: true,
  isOutdated: false,
  mayChange: true,
};
const HOOK: Recording = {
  ...OWN,
  id: 8,
  combination: null,
  technique: "lead-hook",
  subject: "lead hook",
  kind: "sound",
};
const COMBINATION = { id: 3, name: "Ladder", archivedAt: null } as Combination;
const LIMITS = { usedBytes: 4_800_000, limitBytes: 2_000_000_000, longestMs: 30_000, largestBytes: 20_000_000 };
const VOCABULARY = {
  strikes: [{ id: "lead-hook", name: "lead hook" }],
  moves: [{ id: "slip-lead", words: "slip lead" }],
};

function at(table: Record<string, unknown>, element: React.ReactNode): Asked[] {
  const asked = heldServer(table);
  render(
    <Around client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>{element}</MemoryRouter>
    </Around>,
  );
  return asked;
}

const onPanel = (recordings: Recording[]) =>
  at({ "GET /api/combinations/3/recordings": { recordings } }, <RecordingPanel combination={COMBINATION} />);

test("without a recording the page says where one would be shown", async () => {
  onPanel([]);
  expect(await screen.findByText(/^None yet\. A video or sound of up to half a minute/)).toBeDefined();
  expect(screen.getByRole("button", { name: "Record or choose a file" })).toBeDefined();
});

test("the own recording is played, those of its techniques are opened by a press", async () => {
  onPanel([OWN, HOOK]);
  expect((await screen.findByLabelText("Video: Ladder")).getAttribute("src")).toBe("/api/recordings/7/file");
  expect(screen.getByText("12.3 s · Mara Quist, 30 Nov 2026")).toBeDefined();
  expect(screen.getByText("lead hook").closest("details")?.open).toBe(false);
  expect(screen.getByLabelText("Sound: lead hook").getAttribute("src")).toBe("/api/recordings/8/file");
});

test("one of an earlier version, and one whose file is missing, say so", async () => {
  onPanel([{ ...OWN, isOutdated: true }]);
  expect((await screen.findByRole("note")).textContent).toContain("The combination has changed since");
  cleanup();
  onPanel([{ ...OWN, isThere: false }]);
  expect(await screen.findByText(/^Its file is missing/)).toBeDefined();
  expect(screen.queryByLabelText("Video: Ladder")).toBeNull();
});

test("what another coach recorded is neither replaced nor deleted", async () => {
  onPanel([{ ...OWN, mayChange: false }]);
  await screen.findByLabelText("Video: Ladder");
  expect(screen.queryByRole("button")).toBeNull();
});

test("the list says how much room is used, and a recording is deleted only after a question", async () => {
  const asked = at(
    {
      "GET /api/recordings": { recordings: [OWN, HOOK], ...LIMITS },
      "GET /api/vocabulary": VOCABULARY,
    },
    <RecordingsScreen />,
  );
  expect(await screen.findByText("4.8 MB of 2.0 GB are used")).toBeDefined();
  expect(screen.getByRole("link", { name: "Ladder" }).getAttribute("href")).toBe("/combinations/3");
  const row = screen.getByText("lead hook").closest("li") as HTMLElement;
  expect(row.textContent).toContain("12.3 s, 2.4 MB · Mara Quist");
  fireEvent.click(within(row).getByRole("button", { name: "Delete" }));
  expect(asked.filter(({ method }) => method === "POST")).toEqual([]);
  fireEvent.click(await screen.findByRole("button", { name: "Delete it" }));
  await waitFor(() => expect(asked.some(({ path }) => path === "/api/recordings/8/delete")).toBe(true));
});

test("an empty list says where to begin", async () => {
  at(
    { "GET /api/recordings": { recordings: [], ...LIMITS, usedBytes: 0 }, "GET /api/vocabulary": VOCABULARY },
    <RecordingsScreen />,
  );
  expect(await screen.findByText(/^No recording yet\./)).toBeDefined();
});

test("a camera that the browser does not allow is said, with what to do instead", async () => {
  vi.stubGlobal("navigator", {
    ...navigator,
    mediaDevices: { getUserMedia: () => Promise.reject(new DOMException("denied", "NotAllowedError")) },
  });
  at(
    { "GET /api/recordings": { recordings: [], ...LIMITS } },
    <RecordingDialog of={{ combination: 3 }} name="Ladder" replaces={undefined} onClose={() => {}} />,
  );
  fireEvent.click(await screen.findByRole("button", { name: "Use the camera" }));
  expect((await screen.findByRole("alert")).textContent).toContain(
    "This browser does not let this page use a camera. Allow it in the browser’s settings for this page, or choose a file.",
  );
  await act(async () => {});
  expect(screen.getByText(/^Up to 30 seconds and 20 MB are kept/)).toBeDefined();
});
