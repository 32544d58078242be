import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Select } from "antd";
import type { Exercise } from "../api/client";
import type { Drills, PlanBlock, PlanSet } from "../api/schema";
import { BLOCK_KINDS } from "../ui/words";
import { filled, placeOfNext } from "./added";
import { focusFirstField } from "./nextField";
import { newBlock, newRound, newSet } from "./plan";
import { usePlanContext } from "./planContext";

type Format = Drills["boutFormats"][number];

/** Adds a block before the cool-down: empty rounds, exercises, a talk, or the rounds of a sport. */
export function AddBlock({ formats }: { formats: Format[] }) {
  const { content, document, change, exercises } = usePlanContext();
  const add = (block: PlanBlock) => change((now) => ({ ...now, blocks: withAddedBlock(now.blocks, block) }));
  const rest = filled(content, document?.lengthMs ?? 0);
  return (
    <p className="add-block">
      {rest.rounds > 0 && document && (
        <button
          type="button"
          className="chip chip-main"
          onClick={() => {
            const place = placeOfNext(content);
            change(() => rest.content);
            focusFirstField(place.block, place.round);
          }}
        >
          <Plural value={rest.rounds} one="Fill the rest: # round" other="Fill the rest: # rounds" />
        </button>
      )}
      <span className="small">
        <Trans>Add</Trans>
      </span>{" "}
      {BLOCK_KINDS.map(({ value, label }) => (
        <button key={value} type="button" className="chip" onClick={() => add(emptyBlock(value, exercises))}>
          {label}
        </button>
      ))}
      <Select
        size="small"
        className="bout-format"
        value={null}
        placeholder={t`rounds of a bout`}
        aria-label={t`Rounds of a bout, from memory: check the current rulebook`}
        options={formats.map((format) => ({
          value: format.id,
          label: t`${format.sport}, ${format.class}: ${format.rounds} × ${format.seconds / 60} min`,
        }))}
        onChange={(id: string | null) => {
          const format = formats.find((one) => one.id === id);
          if (format) {
            add(boutBlock(format));
          }
        }}
        popupMatchSelectWidth={false}
        getPopupContainer={(node) => node.closest("main") ?? node}
      />
      <span className="small">
        <Trans>Formats of bouts are from memory: check the current rulebook.</Trans>
      </span>
    </p>
  );
}

/** Returns the blocks with another one: a cool-down stays the end, and a warm-up is the beginning. */
export function withAddedBlock(blocks: PlanBlock[], block: PlanBlock): PlanBlock[] {
  if (block.kind === "warm-up") {
    return [block, ...blocks];
  }
  const end = block.kind !== "cool-down" && blocks.at(-1)?.kind === "cool-down" ? blocks.length - 1 : blocks.length;
  return [...blocks.slice(0, end), block, ...blocks.slice(end)];
}

/** Returns an exercise that is done in this part of a session. */
function exerciseFor(kind: PlanBlock["kind"], exercises: Exercise[]): PlanSet["parameters"] {
  const fits = exercises.filter((one) => one.for.some((part) => part === kind));
  const only = fits.find((one) => one.for.length === 1) ?? fits[0];
  return only ? { exercise: only.id } : {};
}

export function emptyBlock(kind: PlanBlock["kind"], exercises: Exercise[]): PlanBlock {
  return newBlock(kind, [
    kind === "rounds"
      ? newRound()
      : {
          ...newRound(kind === "talk" ? 120 : 180, 0),
          lastTen: false,
          sets: [
            kind === "talk" ? newSet("talk") : { ...newSet("exercise"), parameters: exerciseFor(kind, exercises) },
          ],
        },
  ]);
}

export function boutBlock(format: Format): PlanBlock {
  return newBlock(
    "rounds",
    [{ ...newRound(format.seconds, format.rest), times: format.rounds, sets: [newSet("free")] }],
    { name: `${format.sport}, ${format.class}` },
  );
}
