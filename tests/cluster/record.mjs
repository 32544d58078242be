/** Records a second of sound for a strike and has backups contain it: record.mjs ADDRESS. */
import { Coach } from "../load/coach.mjs";

const RATE = 8000;
const samples = Buffer.alloc(2 * RATE);
for (let at = 0; at < RATE; at += 1) {
  samples.writeInt16LE(Math.round(8000 * Math.sin((2 * Math.PI * 440 * at) / RATE)), 2 * at);
}
const header = Buffer.alloc(44);
header.write("RIFF", 0);
header.writeUInt32LE(36 + samples.length, 4);
header.write("WAVEfmt ", 8);
header.writeUInt32LE(16, 16);
header.writeUInt16LE(1, 20);
header.writeUInt16LE(1, 22);
header.writeUInt32LE(RATE, 24);
header.writeUInt32LE(2 * RATE, 28);
header.writeUInt16LE(2, 32);
header.writeUInt16LE(16, 34);
header.write("data", 36);
header.writeUInt32LE(samples.length, 40);

const head = new Coach(process.argv[2]);
await head.signIn("ines@saltworks.example", "first-bell-7");
const answer = await fetch(`${head.base}/api/recordings?technique=jab`, {
  method: "POST",
  headers: { Cookie: head.cookie, "X-CSRF-Token": head.token, "Content-Type": "audio/wav" },
  body: Buffer.concat([header, samples]),
});
if (answer.status !== 201) {
  throw new Error(`The recording was answered with ${answer.status} ${await answer.text()}`);
}
await head.ask("PUT", "/api/backups/content", { recordings: true });
