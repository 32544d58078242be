/** Records a spoken word for a strike and has backups contain it: record.mjs ADDRESS. */
import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Coach } from "../load/coach.mjs";

const folder = mkdtempSync(join(tmpdir(), "periplus-word-"));
execFileSync("espeak-ng", ["-w", join(folder, "jab.wav"), "jab"]);
const sound = readFileSync(join(folder, "jab.wav"));
rmSync(folder, { recursive: true });

const head = new Coach(process.argv[2]);
await head.signIn("ines@saltworks.example", "first-bell-7");
const answer = await fetch(`${head.base}/api/recordings?technique=jab`, {
  method: "POST",
  headers: { Cookie: head.cookie, "X-CSRF-Token": head.token, "Content-Type": "audio/wav" },
  body: sound,
});
if (answer.status !== 201) {
  throw new Error(`The recording was answered with ${answer.status} ${await answer.text()}`);
}
await head.ask("PUT", "/api/backups/content", { recordings: true });
