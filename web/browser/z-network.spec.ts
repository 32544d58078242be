import { spawnSync } from "node:child_process";
import { createHash, X509Certificate } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import https from "node:https";
import { connect } from "node:net";
import { join } from "node:path";
import { chromium, expect } from "@playwright/test";
import { COACH, HEAD_COACH, OTHER_COACH, test } from "./gym";
import { held, OtherGym } from "./other-gym";

const ADDRESS = "127.0.0.2";
const NAME = "gym.test";

/** Asks the gym by a name, on its address in the network. */
function ask(
  port: number,
  path: string,
  host: string,
  ca?: string,
): Promise<{ status: number; location: string; body: string }> {
  const options = { host: ADDRESS, port, path, servername: host, headers: { Host: `${host}:${port}` }, ca };
  return new Promise((done, failed) => {
    https
      .get(options, (answer) => {
        let body = "";
        answer.on("data", (part) => {
          body += part;
        });
        answer.on("end", () => done({ status: answer.statusCode ?? 0, location: answer.headers.location ?? "", body }));
      })
      .on("error", failed);
  });
}

const changed = (coach: typeof HEAD_COACH) => ({ ...coach, password: `${coach.password} and more` });

const listens = (port: number) =>
  new Promise<boolean>((done) => {
    const socket = connect(port, ADDRESS);
    socket.on("connect", () => {
      socket.destroy();
      done(true);
    });
    socket.on("error", () => done(false));
  });

test("the gym's network is served over TLS under its names alone, and a wall is kept there without the server", async () => {
  const gym = await OtherGym.loaded();
  const [tls, plain] = [await held(), await held()];
  await Promise.all([tls.letGo(), plain.letGo()]);
  gym.network = {
    PERIPLUS_ADDRESS: ADDRESS,
    PERIPLUS_HTTPS_PORT: String(tls.port),
    PERIPLUS_HTTP_PORT: String(plain.port),
  };
  try {
    // Loopback stays the default.
    expect(gym.run("start").status).toBe(0);
    expect(await listens(tls.port)).toBe(false);
    expect(gym.run("start", "--network", "no name!").stderr).toContain("--network takes the names of this machine");

    // The demo is not opened to others while everybody knows its passwords.
    const refused = gym.run("start", "--network", `${NAME} ${ADDRESS}`);
    expect(refused.status).toBe(1);
    expect(refused.stderr).toContain(HEAD_COACH.email);
    expect(refused.stderr).toContain('bin/start --gym "NAME" --network');
    expect(await listens(tls.port)).toBe(false);
    for (const coach of [HEAD_COACH, COACH, OTHER_COACH]) {
      const { api, headers } = await gym.signIn(coach);
      const data = { current: coach.password, new: changed(coach).password };
      expect((await api.put("/api/me/password", { headers, data })).status()).toBe(204);
    }

    const started = gym.run("start", "--network", `${NAME} ${ADDRESS}`);
    expect(started.status, started.stderr).toBe(0);
    expect(started.stdout).not.toContain(HEAD_COACH.password);
    expect(started.stdout).toContain(`https://${NAME}:${tls.port}`);

    // The certificate, read by Node's own TLS and by openssl.
    const file = join(gym.state, "run/network/root.crt");
    const root = readFileSync(file, "utf8");
    expect((await ask(tls.port, "/api/ping", NAME, root)).status).toBe(204);
    await expect(ask(tls.port, "/api/ping", NAME)).rejects.toThrow(/certificate/);
    const server = new X509Certificate(readFileSync(join(gym.state, "run/network/server.crt")));
    expect(server.checkHost(NAME)).toBe(NAME);
    expect(server.checkIP(ADDRESS)).toBe(ADDRESS);
    expect(server.checkHost("elsewhere.test")).toBeUndefined();
    const verified = spawnSync("openssl", ["verify", "-CAfile", file, join(gym.state, "run/network/server.crt")]);
    expect(String(verified.stdout)).toContain(": OK");
    expect(started.stdout).toContain(new X509Certificate(root).fingerprint256);

    // The root vouches for servers under these names, and for nothing else: not for code, mail or other machines.
    const bound = String(spawnSync("openssl", ["x509", "-in", file, "-noout", "-text"]).stdout);
    expect(bound).toMatch(
      /X509v3 Name Constraints: critical\s+Permitted:\s+DNS:gym.test\s+IP:127.0.0.2\/255.255.255.255/,
    );
    expect(bound).toMatch(/X509v3 Extended Key Usage:\s+TLS Web Server Authentication\s/);
    // TLS 1.2 only with ciphers that authenticate what they encrypt.
    const cipher = (name: string) =>
      spawnSync("openssl", ["s_client", "-connect", `${ADDRESS}:${tls.port}`, "-tls1_2", "-cipher", name], {
        input: "",
      });
    expect(cipher("ECDHE-ECDSA-AES128-SHA").status).not.toBe(0);
    expect(cipher("ECDHE-ECDSA-AES128-GCM-SHA256").status).toBe(0);

    // Only its own names are answered, and http leads to https, but for the page that a device needs first.
    const host = (name: string, path: string) =>
      fetch(`http://${ADDRESS}:${plain.port}${path}`, { headers: { Host: name }, redirect: "manual" });
    expect((await host(ADDRESS, "/library")).status).toBe(301);
    expect((await host(ADDRESS, "/library")).headers.get("location")).toBe(`https://${ADDRESS}:${tls.port}/library`);
    expect(await (await host(ADDRESS, "/trust")).text()).toContain(new X509Certificate(root).fingerprint256);
    expect(await (await host(ADDRESS, "/root.crt")).text()).toBe(root);

    const spki = createHash("sha256")
      .update(server.publicKey.export({ type: "spki", format: "der" }))
      .digest("base64");
    const browser = await chromium.launch({
      executablePath: "/usr/bin/chromium-headless-shell",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-background-networking",
        `--host-resolver-rules=MAP ${NAME} ${ADDRESS}`,
        `--ignore-certificate-errors-spki-list=${spki}`,
      ],
    });
    try {
      const { api, headers } = await gym.signIn(changed(HEAD_COACH));
      const { key } = await (await api.post("/api/walls", { headers, data: { name: "Floor" } })).json();
      await api.post("/api/runs", {
        headers,
        data: { id: "start-of-test", timer: { rounds: 3, seconds: 60, rest: 30 } },
      });
      const page = await browser.newPage();
      await page.goto(`https://${NAME}:${tls.port}/wall/${key}`);
      await expect(page.locator(".wall-head")).toBeVisible();
      expect(await page.evaluate(() => window.isSecureContext)).toBe(true);
      await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
      await page.keyboard.press("m");
      expect(await page.evaluate(() => new AudioContext().state)).toBe("running");
      gym.run("stop");
      await page.reload();
      await expect(page.locator(".wall-head")).toBeVisible();
      await expect(page.getByText("no server · continues")).toBeVisible();
    } finally {
      await browser.close();
    }

    // Started again, it vouches with the same root; a certificate of one's own takes its place.
    expect(gym.run("start", "--network", `${NAME} ${ADDRESS}`).status).toBe(0);
    expect(readFileSync(file, "utf8")).toBe(root);
    const authority = join(gym.state, "secrets/authority");
    const own = {
      PERIPLUS_CERTIFICATE: join(authority, "server.crt"),
      PERIPLUS_CERTIFICATE_KEY: join(authority, "server.key"),
    };
    gym.network = { ...gym.network, ...own };
    expect(gym.run("start", "--network", "other.test").stderr).toContain("is not for other.test.");
    expect(gym.run("start", "--network", NAME).status).toBe(0);
    expect((await ask(tls.port, "/api/ping", NAME, root)).status).toBe(204);
    expect(existsSync(file)).toBe(false);
    expect((await ask(tls.port, "/api/ping", "elsewhere.test", root).catch((error) => error)).status ?? 0).not.toBe(
      204,
    );
  } finally {
    gym.end();
  }
});
