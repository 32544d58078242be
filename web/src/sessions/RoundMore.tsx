import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Input, Select } from "antd";
import { bounds } from "../api/bounds";
import type { PlanRound } from "../api/schema";
import { labelOf, MEDIA, PURPOSES } from "../ui/words";
import { usePlanContext } from "./planContext";

interface Props {
  round: PlanRound;
  onPut: (values: Partial<PlanRound>, typed?: boolean) => void;
}

/** What a round is thrown at and for, whether athletes move on, and a note. */
export function RoundMore({ round, onPut }: Props) {
  const { content } = usePlanContext();
  return (
    <Flex align="center" gap="small" className="round-more">
      <Select
        size="small"
        className="medium"
        value={round.medium ?? ""}
        aria-label={t`Medium`}
        options={[
          { value: "", label: labelOf(MEDIA, content.medium) },
          ...MEDIA.filter((one) => one.value !== content.medium),
        ]}
        onChange={(medium) => onPut({ medium: medium === "" ? undefined : (medium as PlanRound["medium"]) })}
        popupMatchSelectWidth={false}
        getPopupContainer={(node) => node.parentElement ?? document.body}
      />
      <Select
        size="small"
        value={round.purpose ?? ""}
        aria-label={t`What the round is for`}
        options={[{ value: "", label: t`no purpose` }, ...PURPOSES]}
        onChange={(purpose) => onPut({ purpose: purpose === "" ? undefined : (purpose as PlanRound["purpose"]) })}
        popupMatchSelectWidth={false}
        getPopupContainer={(node) => node.parentElement ?? document.body}
      />
      <button
        type="button"
        className={round.moves ? "toggle is-on" : "toggle"}
        aria-pressed={round.moves}
        title={t`Athletes move on after each round; otherwise they stay in place`}
        onClick={() => onPut({ moves: !round.moves })}
      >
        <Trans>move on</Trans>
      </button>
      <Input
        size="small"
        className="round-note"
        value={round.note}
        {...bounds("PlanRound", "note")}
        placeholder={t`Note for the coach`}
        aria-label={t`Note of the round`}
        onChange={(event) => onPut({ note: event.target.value }, true)}
      />
    </Flex>
  );
}
