import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { useState } from "react";
import type { CombinationRow, Programme, RunCommand } from "../api/client";
import { useLibrary } from "../library-search/useLibrary";
import { Dialog } from "../ui/Dialog";
import { useDebounced } from "../ui/useDebounced";

type Swap = Pick<RunCommand, "track" | "combination" | "chain" | "combinationId">;

/** Replaces a combination that is being drilled. */
export function SwapDialog({
  programme,
  position,
  onSwap,
  onClose,
}: {
  programme: Programme;
  position: number;
  onSwap: (what: Swap) => void;
  onClose: () => void;
}) {
  // What was drilled when the dialog opened; the round may end meanwhile.
  const [options] = useState(() =>
    programme.segments
      .filter((segment) => segment.fromMs <= position && position < segment.toMs)
      .flatMap(({ track, combinations }) =>
        combinations.map((one, combination) => ({
          value: `${track ?? ""} ${combination}`,
          label: `${track === null ? "" : `${programme.tracks[track]?.name}: `}${one.text}`,
          track,
          combination,
        })),
      ),
  );
  const [which, setWhich] = useState(options[0]?.value);
  const [typed, setTyped] = useState("");
  const q = useDebounced(typed, 200);
  const found =
    useLibrary({ q, size: 6, verdict: "flows", ...(q !== "" && { closest: true }) }).data?.combinations ?? [];
  const chosen = options.find((one) => one.value === which);
  const swap = (chain: string, combinationId: number | null) =>
    chosen && onSwap({ track: chosen.track, combination: chosen.combination, chain, combinationId });
  return (
    <Dialog onClose={onClose} title={t`Swap a combination`}>
      {chosen ? (
        <Flex
          component="form"
          vertical
          gap="small"
          className="form-narrow"
          onSubmit={(event) => {
            event.preventDefault();
            if (typed.trim() !== "") {
              swap(typed.trim(), null);
            }
          }}
        >
          {options.length > 1 && (
            <Select value={which} options={options} onChange={setWhich} aria-label={t`Which combination goes`} />
          )}
          <label htmlFor="swap-chain">
            <Trans>In place of {chosen.label}</Trans>
          </label>
          <Input
            id="swap-chain"
            size="large"
            value={typed}
            placeholder={t`a chain, or words to find one`}
            onChange={(event) => setTyped(event.target.value)}
          />
          <FoundRows rows={found} onTake={(row) => swap(row.text, row.id)} />
          <Button htmlType="submit" disabled={typed.trim() === ""}>
            <Trans>Use the text</Trans>
          </Button>
        </Flex>
      ) : (
        <p>
          <Trans>No combination is drilled now. Swap it once its round has started.</Trans>
        </p>
      )}
    </Dialog>
  );
}

/** Combinations of the library, each a press. */
function FoundRows({ rows, onTake }: { rows: CombinationRow[]; onTake: (row: CombinationRow) => void }) {
  return (
    <Flex component="ul" vertical gap="small" className="swap-rows">
      {rows.map((row) => (
        <li key={row.id}>
          <Button block onClick={() => onTake(row)}>
            <b>{row.text}</b> <span className="small">{row.name}</span>
          </Button>
        </li>
      ))}
    </Flex>
  );
}
