import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { BrowserRouter } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Check, CheckRequest, Combination, Proposal, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { checked } from "../testing/core";
import { NUMBERINGS, VOCABULARY } from "../testing/facts";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { Bench } from "./Bench";
import { type Draft, draftOf } from "./draft";
import { doingOf, isWhatWasSent } from "./useSaving";

const [one, two, broken] = checked(["1 2", "1 2 2", "1 zork"]) as [Check, Check, Check];
const NEXT = {
  after: 1,
  next: [
    { kind: "strike", text: "3", words: "lead hook", limb: "hand", waitMs: 0, verdict: "flows", reason: "It flows." },
  ],
};
const SIMILAR = { matches: [{ id: 5, name: "Long way home", text: "1 2 3", relation: "contained-in" }], total: 1 };
const MENDS = { verdict: "flows", lengthMs: 1, mends: [], findings: [], pairs: true, complete: true };
const STORED = {
  id: 7,
  version: 3,
  name: "Doorstep",
  text: "1 2",
  stance: "orthodox",
  rules: "all-limbs",
  themes: [],
  level: 1,
  levelChosen: false,
  note: "",
} as unknown as Combination;

let asked: Asked[] = [];
beforeEach(() => {
  localStorage.clear();
  window.history.replaceState(null, "", "/bench");
  asked = heldServer({ "GET /api/vocabulary": VOCABULARY, "GET /api/numberings": NUMBERINGS });
});
afterEach(() => {
  cleanup();
  serve(null);
});

interface Opened {
  role?: string;
  stored?: Draft | null;
  id?: string;
  proposal?: Proposal | null;
}

function open({ role = "head-coach", stored = null, id = "new", proposal = null }: Opened = {}) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  render(
    <Around client={client}>
      <BrowserRouter>
        <Bench id={id} stored={stored} proposal={proposal} />
      </BrowserRouter>
    </Around>,
  );
}

const entry = () => screen.getByRole<HTMLTextAreaElement>("textbox", { name: /combination, in numbers/ });
const type = (text: string) => fireEvent.change(entry(), { target: { value: text } });
const posts = (path: string) => asked.filter((question) => question.path === path && question.method === "POST");
const check = (text: string) => posts("/api/check").find((question) => (question.body as CheckRequest).text === text);

/** Answers the check of a line part by part, as the server does. */
async function answer(text: string, of: Check, similar: unknown = SIMILAR) {
  await waitFor(() => expect(check(text)).toBeDefined());
  for (const line of [of, { next: NEXT }, { similar }, { mends: MENDS }]) {
    check(text)?.line(line);
  }
  check(text)?.end();
}

/** Types a readable line and waits until it is drawn. */
async function write(text: string, of: Check) {
  type(text);
  await answer(text, of);
  await screen.findByRole("group", { name: `Combination line: ${text}` });
}

async function named(name: string) {
  fireEvent.keyDown(window, { key: "s", ctrlKey: true });
  const field = await screen.findByLabelText("Name");
  fireEvent.change(field, { target: { value: name } });
  fireEvent.submit(field);
}

test("a keystroke is one request, and all that it brings is shown as it comes", async () => {
  open();
  await waitFor(() => expect(check("")).toBeDefined());
  asked.length = 0;
  type("1 2");
  await waitFor(() => expect(check("1 2")).toBeDefined());
  check("1 2")?.line(one);
  await screen.findByRole("group", { name: "Combination line: 1 2" });
  expect(screen.queryByRole("button", { name: /^lead hook, no wait/ }), "what follows is not here yet").toBeNull();
  check("1 2")?.line({ next: NEXT });
  await screen.findByRole("button", { name: /^lead hook, no wait/ });
  check("1 2")?.line({ similar: SIMILAR });
  await screen.findByRole("link", { name: "Long way home" });
  check("1 2")?.line({ mends: MENDS });
  check("1 2")?.end();
  expect(asked.map(({ method, path }) => [method, path])).toEqual([["POST", "/api/check"]]);
  expect(check("1 2")?.body).toMatchObject({
    with: ["fromAbove", "next", "similar", "mends"],
    caret: 3,
    numbering: "parity",
  });
});

test("a chosen continuation is added at the end, is in the address, and is undone by Ctrl Z", async () => {
  open();
  type("1 2");
  await answer("1 2", one);
  fireEvent.click(await screen.findByRole("button", { name: /^lead hook, no wait/ }));
  expect(entry().value).toBe("1 2 3");
  await waitFor(() => expect(new URLSearchParams(window.location.search).get("chain")).toBe("1 2 3"));
  fireEvent.keyDown(document.body, { key: "z", ctrlKey: true });
  expect(entry().value).toBe("1 2");
});

test("what cannot be read is named, the picture of before stays and looks old", async () => {
  open();
  await write("1 2", one);
  type("1 zork");
  await answer("1 zork", broken);
  await screen.findByText(/zork/, { selector: ".entry-problem" });
  const line = screen.getByRole("region", { name: "Combination line" });
  expect(line.className).toContain("check-line-old");
  expect(within(line).getByRole("group", { name: "Combination line: 1 2" })).toBeTruthy();
});

test("an unreachable library is reported", async () => {
  open();
  type("1 2");
  await answer("1 2", one, null);
  await screen.findByText(/Cannot say what is similar in the library/);
});

test("a head coach saves with what was typed and goes to the combination", async () => {
  open();
  await write("1 2", one);
  await named("Doorstep");
  await waitFor(() => expect(posts("/api/combinations").length).toBe(1));
  expect(posts("/api/combinations")[0]?.body).toMatchObject({ name: "Doorstep", text: "1 2", level: null });
  posts("/api/combinations")[0]?.answer({ ...STORED, id: 9 }, 201);
  await waitFor(() => expect(window.location.pathname).toBe("/combinations/9"));
  expect(localStorage.length, "the draft is not kept").toBe(0);
});

test("a coach proposes the same, and a change names the version it was made from", async () => {
  open({ role: "coach", id: "7", stored: draftOf(STORED, "parity") });
  await write("1 2 2", two);
  await named("Doorstep");
  await waitFor(() => expect(posts("/api/proposals").length).toBe(1));
  expect(posts("/api/proposals")[0]?.body).toMatchObject({ kind: "change", combination: 7, basedOn: 3 });
  expect(check("1 2 2")?.body, "it is not similar to itself").toMatchObject({ except: 7 });
});

test("two coaches changed the same: both are shown, and mine is saved on the newest when I say so", async () => {
  open({ id: "7", stored: draftOf(STORED, "parity") });
  await write("1 2 2", two);
  await named("Doorstep");
  const put = () => asked.filter(({ method }) => method === "PUT");
  await waitFor(() => expect(put().length).toBe(1));
  expect(put()[0]?.headers.get("If-Match")).toBe('"3"');
  const theirs = { ...STORED, version: 4, text: "1 2 3" };
  put()[0]?.answer({ type: "changed-meanwhile", status: 412, title: "Changed meanwhile.", current: theirs }, 412);
  const mine = await screen.findByRole("button", { name: "Save mine as the newest" });
  expect([...document.querySelectorAll(".versus b")].map((text) => text.textContent)).toEqual(["1 2 3", "1 2 2"]);
  fireEvent.click(mine);
  await waitFor(() => expect(put().length).toBe(2));
  expect(put()[1]?.headers.get("If-Match")).toBe('"4"');
});

test("theirs is taken when I say so, and mine is one undo away", async () => {
  open({ id: "7", stored: draftOf(STORED, "parity") });
  await write("1 2 2", two);
  await named("Doorstep");
  await waitFor(() => expect(asked.some(({ method }) => method === "PUT")).toBe(true));
  const theirs = { ...STORED, version: 4, text: "1 2 3" };
  asked
    .find(({ method }) => method === "PUT")
    ?.answer({ type: "changed-meanwhile", status: 412, title: "Changed meanwhile.", current: theirs }, 412);
  fireEvent.click(await screen.findByRole("button", { name: "Take theirs" }));
  expect(entry().value).toBe("1 2 3");
  fireEvent.click(screen.getByRole("button", { name: "Undo" }));
  expect(entry().value).toBe("1 2 2");
});

test("a save whose answer was lost goes out again, and what is in place already is not called a conflict", async () => {
  open();
  await write("1 2", one);
  await named("Doorstep");
  await waitFor(() => expect(posts("/api/combinations").length).toBe(1));
  posts("/api/combinations")[0]?.fail();
  await waitFor(() => expect(posts("/api/combinations").length).toBe(2), { timeout: 6000 });
  posts("/api/combinations")[1]?.answer(
    { type: "already-there", status: 409, title: "Already there.", existing: { id: 9, name: "Doorstep" } },
    409,
  );
  await waitFor(() => expect(window.location.pathname).toBe("/combinations/9"));
});

test("a refusal is shown in the drawer, with a link to the existing combination", async () => {
  open();
  await write("1 2", one);
  await named("Doorstep");
  await waitFor(() => expect(posts("/api/combinations").length).toBe(1));
  posts("/api/combinations")[0]?.answer(
    { type: "already-there", status: 409, title: "Already there as Old door.", existing: { id: 4, name: "Old door" } },
    409,
  );
  const alert = await screen.findByRole("alert");
  expect(alert.textContent).toContain("Already there as Old door.");
  expect(within(alert).getByRole("link", { name: "Open it" }).getAttribute("href")).toBe("/combinations/4");
});

test("an empty line opens no drawer", () => {
  open();
  fireEvent.keyDown(window, { key: "s", ctrlKey: true });
  expect(screen.queryByLabelText("Name")).toBeNull();
});

test.each([
  ["head-coach", null, "save"],
  ["coach", null, "propose"],
  ["head-coach", 2, "approve"],
  ["head-coach", 1, "revise"],
  ["coach", 1, "revise"],
])("%s, with a proposal of coach %s: %s", (role, author, doing) => {
  const proposal = author === null ? null : ({ author: { id: author } } as Proposal);
  expect(doingOf(accountOf(role), proposal)).toBe(doing);
});

test("what was sent is known again by name, text and note, with blanks aside", () => {
  const sent = { name: " Doorstep ", text: "1 2", note: " n " } as Parameters<typeof isWhatWasSent>[1];
  const refused = (more: object) => ({ type: "x", status: 409, title: "", ...more });
  const current = (part: object) => refused({ current: { ...STORED, note: "n", ...part } });
  expect(isWhatWasSent(current({}), sent)).toBe(true);
  expect(isWhatWasSent(current({ text: "1 2 3" }), sent)).toBe(false);
  expect(isWhatWasSent(current({ note: "" }), sent)).toBe(false);
  expect(isWhatWasSent(refused({ existing: { id: 1, name: "Doorstep" } }), sent)).toBe(true);
  expect(isWhatWasSent(refused({}), sent)).toBe(false);
});
