/**
 * Several gyms in a cluster: spread over the nodes, worked for by one worker, and served when a node and a web server
 * are away. Run by bin/test cluster, which has started the cluster, with the backup of a gym.
 */
import { execFileSync } from "node:child_process";
import { request } from "node:http";
import { pause } from "../load/coach.mjs";

const [port, backup] = process.argv.slice(2);
const cluster = (...words) =>
  execFileSync(`${process.env.ROOT}/bin/cluster`, words, { encoding: "utf8", stdio: ["ignore", "pipe", "ignore"] });
const GYMS = ["harbour", "river", "hill"];

function check(isTrue, what) {
  console.log(`${isTrue ? "" : "FAULT "}${what}`);
  if (!isTrue) {
    process.exitCode = 1;
  }
}

/** Asks the API of one of the gyms, which the host name says. */
class Client {
  cookie = "";
  token = "";
  constructor(gym) {
    this.host = `${gym}.test`;
  }

  async ask(method, path, body) {
    const answer = await new Promise((done, failed) => {
      const headers = { Host: this.host, Cookie: this.cookie, "X-CSRF-Token": this.token };
      if (body !== undefined) {
        headers["Content-Type"] = "application/json";
      }
      const asked = request({ port, host: "127.0.0.1", method, path, headers, agent: false }, (response) => {
        let text = "";
        response.setEncoding("utf8").on("data", (part) => { text += part; }).on("end", () => done({ response, text }));
      });
      asked.on("error", failed).end(body === undefined ? undefined : JSON.stringify(body));
    });
    for (const cookie of answer.response.headers["set-cookie"] ?? []) {
      this.cookie = cookie.split(";")[0];
    }
    return { status: answer.response.statusCode, body: answer.text ? JSON.parse(answer.text) : null };
  }

  async signIn(email, password) {
    const renew = async () => {
      this.token = (await this.ask("GET", "/api/session")).body.csrfToken;
    };
    await renew();
    const { status } = await this.ask("POST", "/api/session", { email, password });
    await renew();
    return status;
  }
}

const total = async (client) => (await client.ask("GET", "/api/combinations")).body?.total;

for (const gym of GYMS) {
  cluster("gym", "create", gym, `${gym}.test`, "Coast");
  cluster("gym", "restore", gym, backup);
}
const servers = cluster("gym", "list").split("\n").slice(1).map((line) => line.split(/ {2,}/)[4]).filter(Boolean);
check(new Set(servers).size === GYMS.length, `${GYMS.length} gyms prefer ${new Set(servers).size} database nodes.`);

const clients = GYMS.map((gym) => new Client(gym));
for (const client of clients) {
  const status = await client.signIn("ines@saltworks.example", "first-bell-7");
  check(status === 200, `${client.host}: signed in (${status}), ${await total(client)} combinations.`);
}

// One worker reads a file for each, in its own gym.
const text = (gym) => ["1 2 3 2 1 2 exit", "2 3 2 3 exit", "1 1 1 2 3 exit"].map((chain, at) => `${chain} # ${gym} ${at}`).join("\n");
const imports = [];
for (const [at, client] of clients.entries()) {
  imports.push((await client.ask("POST", "/api/imports", { format: "text", content: text(GYMS[at]) })).body.id);
}
for (const [at, client] of clients.entries()) {
  let state;
  for (let tries = 0; tries < 60 && state?.state !== "ready"; tries += 1) {
    await client.ask("POST", `/api/imports/${imports[at]}/advance`);
    await pause(250);
    state = (await client.ask("GET", `/api/imports/${imports[at]}`)).body;
  }
  const { lines } = (await client.ask("GET", `/api/imports/${imports[at]}/lines`)).body;
  check(state.state === "ready" && lines.every(({ content }) => content === null || content.name.startsWith(GYMS[at])),
    `${client.host}: its file was read by the worker, with its own lines.`);
}

cluster("kill", "db-2");
cluster("kill", "web-1");
await pause(6000);
for (const client of clients) {
  const made = await client.ask("POST", "/api/combinations", {
    name: `Kept by ${client.host}`, text: "1 2 1 2 1 2 3 exit", rules: "boxing", themes: [], note: "",
  });
  check(made.status === 201, `${client.host}: saves without a database node and a web server (${made.status}).`);
}
cluster("revive", "db-2");
cluster("revive", "web-1");

const file = `${backup}.${GYMS[1]}`;
cluster("gym", "archive", GYMS[1], file);
check((await clients[1].ask("GET", "/api/combinations")).status === 410, `${clients[1].host}: archived.`);
cluster("gym", "restore", GYMS[1], file);
await clients[1].signIn("ines@saltworks.example", "first-bell-7");
const found = (await clients[1].ask("GET", "/api/combinations?q=Kept")).body.combinations.map(({ name }) => name);
check(found.includes(`Kept by ${clients[1].host}`), `${clients[1].host}: restored with what was saved last.`);
