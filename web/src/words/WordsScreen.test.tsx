import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { PassedOverWords } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Messages } from "../ui/Messages";
import { PassOverWord } from "./PassOverWord";
import WordsScreen from "./WordsScreen";

afterEach(() => {
  cleanup();
  serve(null);
});

const WORDS: PassedOverWords = {
  own: ["come on champ"],
  kept: ["slap"],
  groups: [
    { group: "verbs of throwing", words: ["rip", "slap"] },
    { group: "people", words: ["him"] },
  ],
  version: 4,
};

/** Renders with a server that keeps what is put. */
function shown(what: ReactNode, role: string) {
  let words = WORDS;
  const sent: { version: string | null; body: unknown }[] = [];
  serve(async (request) => {
    if (request.method === "PUT") {
      const body = (await request.json()) as Pick<PassedOverWords, "own" | "kept">;
      sent.push({ version: request.headers.get("If-Match"), body });
      words = { ...words, ...body, version: words.version + 1 };
    }
    return new Response(JSON.stringify(words), { headers: { "Content-Type": "application/json" } });
  });
  const queries = new QueryClient();
  queries.setQueryData(keys.session, { user: accountOf(role), csrfToken: "", gym: null });
  render(
    <QueryClientProvider client={queries}>
      <Messages>
        <MemoryRouter>{what}</MemoryRouter>
      </Messages>
    </QueryClientProvider>,
  );
  return sent;
}

test("a phrase of the gym is added with Enter, and the undo takes it back", async () => {
  const sent = shown(<WordsScreen />, "head-coach");
  const field = await screen.findByLabelText("A word or phrase to pass over");
  fireEvent.change(field, { target: { value: " zamba " } });
  fireEvent.keyDown(field, { key: "Enter" });
  await screen.findByRole("button", { name: "Read “zamba” again" });
  expect(sent).toEqual([{ version: '"4"', body: { own: ["come on champ", "zamba"], kept: ["slap"] } }]);

  fireEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(sent[1]).toEqual({ version: '"5"', body: { own: ["come on champ"], kept: ["slap"] } }));
});

test("an undo takes back its own change and leaves the later one", async () => {
  const sent = shown(<WordsScreen />, "head-coach");
  fireEvent.click(await screen.findByRole("button", { name: "slap" }));
  await waitFor(() => expect(sent).toHaveLength(1));
  const first = await screen.findByRole("button", { name: "Undo" });
  fireEvent.click(screen.getByRole("button", { name: "rip" }));
  await waitFor(() => expect(sent).toHaveLength(2));
  fireEvent.click(first);
  await waitFor(() => expect(sent[2]?.body).toEqual({ own: WORDS.own, kept: ["rip", "slap"] }));
});

test("a word that ships is kept, and passed over again", async () => {
  const sent = shown(<WordsScreen />, "head-coach");
  const slap = await screen.findByRole("button", { name: "slap" });
  expect(slap.getAttribute("aria-pressed")).toBe("false");
  fireEvent.click(slap);
  await waitFor(() => expect(sent[0]?.body).toEqual({ own: WORDS.own, kept: [] }));
  fireEvent.click(screen.getByRole("button", { name: "rip" }));
  await waitFor(() => expect(sent[1]?.body).toEqual({ own: WORDS.own, kept: ["rip"] }));
});

test("a word that ships is found among the groups", async () => {
  shown(<WordsScreen />, "head-coach");
  const ships = await screen.findByRole("region", { name: "Words that ship" });
  fireEvent.change(within(ships).getByLabelText("Find a word that ships"), { target: { value: "hi" } });
  expect(within(ships).getAllByRole("listitem")).toHaveLength(1);
  fireEvent.change(within(ships).getByLabelText("Find a word that ships"), { target: { value: "zz" } });
  expect(ships.textContent).toContain("No word that ships has “zz” in it.");
});

test("a coach reads the words and changes none", async () => {
  shown(<WordsScreen />, "coach");
  await screen.findByText("come on champ");
  expect(screen.queryByLabelText("A word or phrase to pass over")).toBeNull();
  expect(screen.queryAllByRole("button", { name: /again|rip|slap/ })).toEqual([]);
});

test("a word that the reader does not know is passed over from the bench, by who may", async () => {
  const sent = shown(<PassOverWord word="zamba" />, "head-coach");
  fireEvent.click(screen.getByRole("button", { name: "Always pass over “zamba”" }));
  await waitFor(() => expect(sent[0]?.body).toEqual({ own: ["come on champ", "zamba"], kept: ["slap"] }));
  cleanup();
  shown(<PassOverWord word="zamba" />, "coach");
  expect(screen.queryByRole("button")).toBeNull();
});
