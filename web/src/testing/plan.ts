import { spawnSync } from "node:child_process";
import type { PlanContent } from "../api/schema";

const ROOT = new URL("../../..", import.meta.url).pathname;
const COMPLETE = `require "${ROOT}vendor/autoload.php";
  echo json_encode(new Periplus\\Core\\Session\\Plan\\CompletePlan(
    json_decode(stream_get_contents(STDIN), true),
  ));`;

/** Returns a plan as the server sends it: the core writes out what it leaves open. */
export function planOf(written: object): PlanContent {
  return JSON.parse(
    spawnSync("php", ["-r", COMPLETE], { input: JSON.stringify(written), encoding: "utf8" }).stdout,
  ) as PlanContent;
}
