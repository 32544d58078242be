// A stranger presses on the web server: threads that open connections and send half a request, and requests to listen with
// any key, all from one address. Meanwhile another device asks for pages: it is measured how long it waits.
// stranger.mjs SECONDS [THREADS]; PERIPLUS_URL names the gym, on loopback alone.
import { Agent, get } from "node:http";
import { connect } from "node:net";
import { isMainThread, parentPort, Worker, workerData } from "node:worker_threads";

/** Connections that one thread holds at a time. */
const HELD = 3000;
const STRANGER = "127.0.0.2";

if (isMainThread) {
  const url = new URL(process.env.PERIPLUS_URL ?? "http://127.0.0.1:8420");
  const seconds = Number(process.argv[2] ?? 30);
  const threads = Number(process.argv[3] ?? 2);
  const workers = Array.from({ length: threads }, () => new Worker(new URL(import.meta.url), { workerData: { port: Number(url.port), seconds } }));
  const opened = Promise.all(workers.map((worker) => new Promise((done) => worker.on("message", done))));
  const waits = [];
  let failed = 0;
  const end = Date.now() + seconds * 1000;
  while (Date.now() < end) {
    const start = performance.now();
    const ok = await new Promise((done) => {
      const asked = get({ host: "127.0.0.1", port: url.port, path: "/api/ping", localAddress: "127.0.0.1", agent: new Agent() }, (answer) => {
        answer.resume();
        answer.on("end", () => done(answer.statusCode === 204));
      });
      asked.setTimeout(10_000, () => asked.destroy());
      asked.on("error", () => done(false));
    });
    ok ? waits.push(performance.now() - start) : failed++;
    await new Promise((done) => setTimeout(done, 50));
  }
  const sums = await opened;
  waits.sort((a, b) => a - b);
  console.log(
    JSON.stringify({
      opened: sums.reduce((sum, one) => sum + one.opened, 0),
      listens: sums.reduce((sum, one) => sum + one.listens, 0),
      answered: waits.length,
      failed,
      medianMs: Math.round(waits[waits.length >> 1] ?? -1),
      slowestMs: Math.round(waits.at(-1) ?? -1),
    }),
  );
  process.exit(0);
} else {
  const { port, seconds } = workerData;
  const held = new Set();
  let opened = 0;
  let listens = 0;
  const one = (text, onAnswer) => {
    const socket = connect({ host: "127.0.0.1", port, localAddress: STRANGER });
    held.add(socket);
    socket.on("connect", () => {
      opened++;
      socket.write(text);
    });
    socket.on("data", onAnswer ?? (() => undefined));
    socket.on("error", () => undefined);
    socket.on("close", () => held.delete(socket));
  };
  const end = Date.now() + seconds * 1000;
  const round = () => {
    if (Date.now() > end) {
      for (const socket of held) {
        socket.destroy();
      }
      parentPort.postMessage({ opened, listens });
      return;
    }
    for (let count = 0; count < 60 && held.size < HELD; count++) {
      one("GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Half:");
    }
    for (let count = 0; count < 10; count++) {
      listens++;
      const key = Array.from({ length: 32 }, () => "0123456789abcdef"[Math.floor(Math.random() * 16)]).join("");
      one(`GET /api/screens/${key}/events HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/event-stream\r\n\r\n`);
    }
    setTimeout(round, 5);
  };
  round();
}
