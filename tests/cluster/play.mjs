/** Plays every recording of a cluster several times, so that each of its web servers is asked: play.mjs ADDRESS. */
import { createHash } from "node:crypto";
import { Coach } from "../load/coach.mjs";

const head = new Coach(process.argv[2]);
await head.signIn("ines@saltworks.example", "first-bell-7");
const { recordings } = (await head.ask("GET", "/api/recordings")).body;
if (recordings.length === 0) {
  throw new Error("There is no recording.");
}
for (const { id } of recordings) {
  const digests = new Set();
  for (let time = 0; time < 8; time += 1) {
    // A connection of its own, which the balancer gives to any of them.
    const answer = await fetch(`${head.base}/api/recordings/${id}/file`, {
      headers: { Cookie: head.cookie, Connection: "close" },
    });
    if (answer.status !== 200) {
      throw new Error(`Recording ${id} was answered with ${answer.status} ${await answer.text()}`);
    }
    digests.add(createHash("sha256").update(Buffer.from(await answer.arrayBuffer())).digest("hex"));
  }
  if (digests.size !== 1) {
    throw new Error(`Recording ${id} is not the same on every web server.`);
  }
}
console.log(`${recordings.length} recording(s) play on every web server.`);
