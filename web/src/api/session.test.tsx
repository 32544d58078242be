import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, heldServer } from "../testing/server";
import type { Session } from "./client";
import { keys } from "./keys";
import { useSession, useSignOut } from "./session";

function Who() {
  return <p>{useSession().data?.user?.name ?? "nobody"}</p>;
}

function Out() {
  const signOut = useSignOut();
  return (
    <button type="button" onClick={() => signOut.mutate()}>
      Sign out
    </button>
  );
}

afterEach(() => {
  cleanup();
  serve(null);
});

test("signing out is seen wherever the session is shown, and nothing of the coach stays in memory", async () => {
  heldServer({ "GET /api/session": { user: null, csrfToken: "next" }, "POST /api/session/end": {} });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(keys.session, { user: accountOf("coach"), csrfToken: "t" } as unknown as Session);
  client.setQueryData(["plans", "list"], ["Thursday"]);
  render(
    <Around client={client}>
      <Who />
      <Out />
    </Around>,
  );
  expect(screen.queryByText("nobody")).toBeNull();
  fireEvent.click(screen.getByRole("button"));

  await screen.findByText("nobody");
  expect(client.getQueryData(["plans", "list"])).toBeUndefined();
  expect(
    client
      .getQueryCache()
      .getAll()
      .map(({ queryKey }) => queryKey),
  ).toEqual([keys.session]);
});
