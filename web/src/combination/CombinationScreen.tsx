import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { type ComponentProps, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import type { Combination, Stance } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { CheckedLine } from "../check/CheckedLine";
import { Findings } from "../check/Findings";
import { OtherStance } from "../check/OtherStance";
import { useCheck } from "../check/useCheck";
import { compareAddress } from "../compare/address";
import { AlreadyThere } from "../family/AlreadyThere";
import { FamilyTree } from "../family/FamilyTree";
import { useFamily } from "../family/useFamily";
import { RecordingPanel } from "../recording/RecordingPanel";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import type { Fresh } from "../ui/newCombination";
import { Segmented } from "../ui/Segmented";
import { Trail } from "../ui/Trail";
import { VerdictMark } from "../ui/VerdictMark";
import { STANCES } from "../ui/words";
import "../ui/gym.css";
import { CombinationActions } from "./CombinationActions";
import { CombinationFacts, CombinationNotices } from "./CombinationFacts";
import { History } from "./History";
import { useCombination } from "./useCombination";
import "./combination.css";

export default function CombinationScreen() {
  const id = Number(useParams().id);
  const combination = useCombination(Number.isInteger(id) ? id : -1);
  if (combination.isError) {
    return (
      <NoPage error={combination.error}>
        <Link to="/library">
          <Trans>Go to the library</Trans>
        </Link>
      </NoPage>
    );
  }
  return combination.data ? <Page combination={combination.data} /> : <Loading what={t`Loading the combination`} />;
}

function Page({ combination }: { combination: Combination }) {
  const [address, setAddress] = useSearchParams();
  const readIn = useNumbering();
  const [selected, setSelected] = useState<number | null>(null);
  const shownStance: Stance = (address.get("stance") as Stance | null) ?? combination.stance;
  const opponent: Stance = (address.get("opponent") as Stance | null) ?? "orthodox";
  const { readable, fromAbove } = useCheck({
    text: combination.notation,
    stance: combination.stance,
    rules: combination.rules,
    numbering: "parity",
    readIn,
    opponent,
    with: ["fromAbove"],
  });
  const family = useFamily(combination.id);
  const put = (name: string, value: string) =>
    setAddress(
      (now) => {
        now.set(name, value);
        return now;
      },
      { replace: true, preventScrollReset: true },
    );

  return (
    <main className="page">
      <Trail to="/library" place={t`Library`} name={combination.name} />
      <Flex component="header" wrap align="baseline" gap="var(--space-3) var(--space-8)" className="page-head">
        <h1>{combination.name}</h1>
        <VerdictMark verdict={combination.verdict} />
        <CombinationActions combination={combination} />
      </Flex>
      <CombinationNotices combination={combination} />
      <CombinationFacts combination={combination} checkedLevel={readable?.level?.level} />
      <div className="work-grid">
        <div className="work-main">
          <section className="panel check-line" aria-label={t`Combination line`}>
            <StanceBar
              shownStance={shownStance}
              opponent={opponent}
              isMirrored={shownStance !== combination.stance}
              onPut={put}
            />
            {readable?.stances ? (
              <CheckedLine
                check={readable}
                {...{ fromAbove, opponent }}
                stances={readable.stances}
                shownStance={shownStance}
                onShownStance={(stance) => put("stance", stance)}
                selected={selected}
                onSelect={setSelected}
              />
            ) : (
              <div className="line-waiting" />
            )}
          </section>
          <RecordingPanel combination={combination} />
          {family.data && <FamilyTree self={combination} family={family.data} />}
          <History combination={combination} />
        </div>
        <aside className="work-side">
          {readable && (
            <>
              <Findings check={readable} selected={selected} onSelect={setSelected} />
              <OtherCombinationStance
                check={readable}
                {...{ combination, fromAbove, opponent, selected }}
                onSelect={setSelected}
              />
              {family.data && (
                <AlreadyThere
                  matches={family.data.alike}
                  total={family.data.alike.length}
                  title={t`Similar in the library`}
                />
              )}
            </>
          )}
        </aside>
      </div>
    </main>
  );
}

/** Chooses the stance in which the line is shown, and the opponent's. */
function StanceBar({
  shownStance,
  opponent,
  isMirrored,
  onPut,
}: {
  shownStance: Stance;
  opponent: Stance;
  isMirrored: boolean;
  onPut: (name: "stance" | "opponent", stance: Stance) => void;
}) {
  return (
    <Flex wrap align="center" gap="var(--space-4) var(--space-7)" className="combination-stance">
      <Segmented
        value={shownStance}
        onChange={(stance) => onPut("stance", stance)}
        options={STANCES}
        aria-label={t`Show it for`}
      />
      {isMirrored && (
        <span className="mirrored">
          <Trans>mirrored</Trans>
        </span>
      )}
      <span className="option combination-opponent">
        <span>
          <Trans>against</Trans>
        </span>
        <Segmented
          size="small"
          value={opponent}
          onChange={(stance) => onPut("opponent", stance)}
          options={STANCES}
          aria-label={t`Opponent's stance`}
        />
      </span>
    </Flex>
  );
}

/** Says what changes in the other stance, with the ways from there to the comparison and the bench. */
function OtherCombinationStance({
  combination,
  ...shown
}: { combination: Combination } & Omit<ComponentProps<typeof OtherStance>, "compare" | "onCarry">) {
  const navigate = useNavigate();
  return (
    <OtherStance
      {...shown}
      compare={(chain, stance, secondTitle) =>
        compareAddress({
          first: combination.notation,
          second: chain,
          rules: combination.rules,
          firstStance: combination.stance,
          secondStance: stance,
          firstTitle: combination.name,
          secondTitle,
          from: `/combinations/${combination.id}`,
          fromName: combination.name,
        })
      }
      onCarry={(text, stance) => {
        const { name, rules, themes, note } = combination;
        const fresh: Fresh = { fresh: { name: t`${name}, ${stance}`, text, stance, rules, themes, note } };
        void navigate("/bench", { state: fresh });
      }}
    />
  );
}
