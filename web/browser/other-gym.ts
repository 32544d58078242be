import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, readlinkSync, rmSync } from "node:fs";
import { createServer, type Server } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type APIRequestContext, request } from "@playwright/test";
import { HEAD_COACH } from "./coaches";

export const ROOT = join(import.meta.dirname, "../..");

/** A port that is free now; held until it is let go. */
export async function held(): Promise<{ port: number; letGo: () => Promise<void> }> {
  const server: Server = createServer();
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
  const address = server.address();
  const port = typeof address === "object" && address ? address.port : 0;
  return { port, letGo: () => new Promise((done) => server.close(() => done())) };
}

/** A gym beside the one that the other tests use, started and stopped by the commands in bin/. */
export class OtherGym {
  /** Further names that the pages answer to. */
  hosts = "";
  /** What it is told of the gym's network. */
  network: Record<string, string> = {};

  private constructor(
    readonly state: string,
    readonly port: number,
    readonly dbPort: number,
    readonly bin = join(ROOT, "bin"),
  ) {}

  static async make(state = mkdtempSync(join(tmpdir(), "periplus-gym-")), bin?: string): Promise<OtherGym> {
    const [one, other] = [await held(), await held()];
    await Promise.all([one.letGo(), other.letGo()]);
    return new OtherGym(state, one.port, other.port, bin);
  }

  /** One that has the demo gym already, stopped: a copy of what bin/test has laid ready; it is made by a start where there is none. */
  static async loaded(state = mkdtempSync(join(tmpdir(), "periplus-gym-"))): Promise<OtherGym> {
    const template = process.env.PERIPLUS_TEMPLATE;
    if (template) {
      rmSync(state, { recursive: true, force: true });
      spawnSync("cp", ["-a", template, state]);
    }
    return OtherGym.make(state);
  }

  /** The gym that bin/test or bin/start has started, whose tests run one after the other. */
  static started(): OtherGym {
    const url = new URL(process.env.PERIPLUS_URL ?? "http://127.0.0.1:8430");
    const state = process.env.PERIPLUS_STATE ?? join(ROOT, "var/gym");
    return new OtherGym(state, Number(url.port), Number(process.env.PERIPLUS_DB_PORT ?? 8421));
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  private get env() {
    return {
      ...process.env,
      PERIPLUS_STATE: this.state,
      PERIPLUS_PORT: String(this.port),
      PERIPLUS_DB_PORT: String(this.dbPort),
      PERIPLUS_HOSTS: this.hosts,
      ...this.network,
    };
  }

  /** Runs a command to its end. */
  run(command: string, ...args: string[]) {
    return spawnSync(join(this.bin, command), args, { encoding: "utf8", timeout: 400_000, env: this.env });
  }

  /** Begins a command in a process group of its own, which can be killed with all that it started in it. */
  begin(command: string, ...args: string[]): ChildProcess {
    return spawn(join(this.bin, command), args, { detached: true, stdio: "ignore", env: this.env });
  }

  /** Stopped, and gone with all it had. */
  end(): void {
    this.run("stop");
    rmSync(this.state, { recursive: true, force: true });
  }

  /** What the database's own client is called with. */
  client(database = "periplus"): string[] {
    const socket = join(this.state, "run/db/db.sock");
    return ["--no-defaults", `--socket=${socket}`, "--batch", "--skip-column-names", database];
  }

  /** Statements as whoever started the database. */
  sql(statements: string, database = "periplus"): string {
    const args = this.client(database);
    const ran = spawnSync("mariadb", args, { input: statements, encoding: "utf8" });
    if (ran.status !== 0) {
      throw new Error(ran.stderr);
    }
    return ran.stdout.trim();
  }

  /** Numbers of this gym's processes of a program, the one that leads them first. */
  processes(program: string): number[] {
    const folder = program === "mariadbd" ? join(this.state, "db") : join(this.state, "run");
    return readdirSync("/proc")
      .filter((name) => /^\d+$/.test(name))
      .filter((pid) => {
        try {
          const isIt = readFileSync(`/proc/${pid}/comm`, "utf8").trim() === program;
          return isIt && readlinkSync(`/proc/${pid}/cwd`).replace(/ \(deleted\)$/, "") === folder;
        } catch {
          return false;
        }
      })
      .map(Number)
      .sort((a, b) => a - b);
  }

  /** A coach's session without a browser. */
  async signIn(coach = HEAD_COACH): Promise<{ api: APIRequestContext; headers: Record<string, string> }> {
    return signInAt(this.address, coach);
  }

  async total(): Promise<number> {
    const { api } = await this.signIn();
    return (await (await api.get("/api/combinations?size=1")).json()).total;
  }
}

export async function signInAt(baseURL: string, coach: { email: string; password: string }) {
  const api = await request.newContext({ baseURL });
  const token = async () => (await (await api.get("/api/session")).json()).csrfToken as string;
  const { email, password } = coach;
  const answer = await api.post("/api/session", {
    headers: { "X-CSRF-Token": await token() },
    data: { email, password },
  });
  if (answer.status() !== 200) {
    throw new Error(`${email} cannot sign in: ${await answer.text()}`);
  }
  return { api, headers: { "X-CSRF-Token": await token() } };
}
