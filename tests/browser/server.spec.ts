import { type APIRequestContext, request } from "@playwright/test";
import { expect, HEAD_COACH, test } from "./gym";

/** A coach's session without a browser, against the real nginx, PHP and MariaDB. */
async function session(baseURL: string, coach: { email: string; password: string }) {
  const api: APIRequestContext = await request.newContext({ baseURL });
  const token = async () => (await (await api.get("/api/session")).json()).csrfToken as string;
  const signIn = await api.post("/api/session", {
    headers: { "X-CSRF-Token": await token() },
    data: { email: coach.email, password: coach.password },
  });
  expect(signIn.status()).toBe(200);
  return { api, headers: { "X-CSRF-Token": await token() } };
}

const unique = () =>
  `${"1 ".repeat(1 + (Date.now() % 20))}/ ${"2 ".repeat(1 + (Math.floor(Date.now() / 20) % 20))}*${1 + (Math.floor(Date.now() / 400) % 12)}`;

test("of twenty writes made from one version exactly one wins, and the others are told", async ({ baseURL }) => {
  const first = await session(baseURL ?? "", HEAD_COACH);
  const second = await session(baseURL ?? "", HEAD_COACH);
  const text = unique();
  const made = await first.api.post("/api/combinations", {
    headers: first.headers,
    data: { name: "Many hands", text },
  });
  expect(made.status(), await made.text()).toBe(201);
  const { id } = await made.json();
  const writes = Array.from({ length: 20 }, (_, at) => {
    const { api, headers } = at % 2 === 0 ? first : second;
    return api.put(`/api/combinations/${id}`, {
      headers: { ...headers, "If-Match": made.headers().etag ?? "" },
      data: { name: `Hand ${at}`, text },
    });
  });
  const answers = await Promise.all(writes);
  const statuses = answers.map((answer) => answer.status()).sort();
  expect(statuses).toEqual([200, ...Array(19).fill(412)]);
  const winner = answers.find((answer) => answer.status() === 200);
  const now = await (await first.api.get(`/api/combinations/${id}`)).json();
  expect(now).toEqual(await winner?.json());
  const { versions } = await (await first.api.get(`/api/combinations/${id}/versions`)).json();
  expect(versions).toHaveLength(2);
});

test("pages and answers carry their policies, and the session cookie is kept from scripts", async ({
  baseURL,
  page,
}) => {
  const front = await page.goto("/");
  const policy = front?.headers()["content-security-policy"] ?? "";
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toContain("unsafe");
  const again = await page.request.get("/");
  expect(again.headers()["content-security-policy"]).not.toBe(policy);
  expect(again.headers()["x-content-type-options"]).toBe("nosniff");
  expect(await again.text()).not.toContain("%NONCE%");

  const { api } = await session(baseURL ?? "", HEAD_COACH);
  const answer = await api.get("/api/combinations");
  expect(answer.headers()["content-security-policy"]).toContain("default-src 'none'");
  expect(answer.headers()["cache-control"]).toContain("no-cache");
  const cookie = (await api.storageState()).cookies.find((one) => one.name === "periplus");
  expect(cookie?.httpOnly).toBe(true);
  expect(cookie?.sameSite).toBe("Strict");

  const script = (await again.text()).match(/\/assets\/[^"]+\.js/)?.[0] ?? "";
  const asset = await page.request.get(script, { headers: { "Accept-Encoding": "gzip" } });
  expect(asset.headers()["cache-control"]).toContain("immutable");
  expect(asset.headers()["content-encoding"]).toBe("gzip");
});

test("a body beyond every bound is refused by the outer wall in the same form", async ({ baseURL }) => {
  const { api, headers } = await session(baseURL ?? "", HEAD_COACH);
  for (const size of [70_000, 2_000_000]) {
    const answer = await api.post("/api/check", { headers, data: { text: "1".repeat(size) } });
    expect(answer.status()).toBe(413);
    expect(answer.headers()["content-type"]).toContain("application/problem+json");
    expect((await answer.json()).type).toBe("too-large");
  }
});

test("an account that is signed in twice keeps both sessions, and signing out ends one", async ({ baseURL }) => {
  const one = await session(baseURL ?? "", HEAD_COACH);
  const two = await session(baseURL ?? "", HEAD_COACH);
  expect((await one.api.post("/api/session/end", { headers: one.headers })).status()).toBe(204);
  expect((await one.api.get("/api/combinations")).status()).toBe(401);
  expect((await two.api.get("/api/combinations")).status()).toBe(200);
});
