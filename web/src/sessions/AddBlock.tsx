import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Select } from "antd";
import type { Drills, PlanBlock } from "../api/schema";
import { BLOCK_KINDS } from "../ui/words";
import { newRound, newSet } from "./plan";
import { usePlanContext } from "./planContext";

type Format = Drills["boutFormats"][number];

/** Adds a block at the end: empty rounds, exercises, a talk, or the rounds of a sport. */
export function AddBlock({ formats }: { formats: Format[] }) {
  const { change } = usePlanContext();
  const add = (block: PlanBlock) => change((now) => ({ ...now, blocks: [...now.blocks, block] }));
  return (
    <p className="add-block">
      <span className="small">
        <Trans>Add</Trans>
      </span>{" "}
      {BLOCK_KINDS.map(({ value, label }) => (
        <button key={value} type="button" className="chip" onClick={() => add(emptyBlock(value))}>
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

export function emptyBlock(kind: PlanBlock["kind"]): PlanBlock {
  return {
    kind,
    name: "",
    changeover: 0,
    locked: false,
    rounds: [
      kind === "rounds"
        ? newRound()
        : {
            ...newRound(kind === "talk" ? 120 : 180, 0),
            lastTen: false,
            sets: [newSet(kind === "talk" ? "talk" : "exercise")],
          },
    ],
  };
}

export function boutBlock(format: Format): PlanBlock {
  return {
    kind: "rounds",
    name: `${format.sport}, ${format.class}`,
    changeover: 0,
    locked: false,
    rounds: [{ ...newRound(format.seconds, format.rest), times: format.rounds, sets: [newSet("free")] }],
  };
}
