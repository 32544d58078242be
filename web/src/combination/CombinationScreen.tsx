import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import type { Combination, Stance } from "../api/client";
import { useMay } from "../api/session";
import { useNumbering } from "../api/useNumbering";
import { CheckedLine } from "../check/CheckedLine";
import { Findings } from "../check/Findings";
import { OtherStance } from "../check/OtherStance";
import { useCheck } from "../check/useCheck";
import { compareAddress } from "../compare/address";
import { AlreadyThere } from "../family/AlreadyThere";
import { FamilyTree } from "../family/FamilyTree";
import { useFamily } from "../family/useFamily";
import { useProposals, usePropose } from "../review/useReview";
import { ExportMenu } from "../ui/ExportMenu";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import type { Fresh } from "../ui/newCombination";
import { Segmented } from "../ui/Segmented";
import { Trail } from "../ui/Trail";
import { useNotice } from "../ui/useNotice";
import { VerdictMark } from "../ui/VerdictMark";
import { day, dayAndTime, LEVELS, RULES, STANCES } from "../ui/words";
import "../ui/gym.css";
import { History } from "./History";
import { NameDialog } from "./NameDialog";
import { useArchive, useCombination } from "./useCombination";
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
  const navigate = useNavigate();
  const archive = useArchive(combination.id);
  const readIn = useNumbering();
  const notice = useNotice();
  const [selected, setSelected] = useState<number | null>(null);
  const [naming, setNaming] = useState(false);
  const shownStance: Stance = (address.get("stance") as Stance | null) ?? combination.stance;
  const opponent: Stance = (address.get("opponent") as Stance | null) ?? "orthodox";
  const { readable } = useCheck({
    text: combination.notation,
    stance: combination.stance,
    rules: combination.rules,
    numbering: "parity",
    readIn,
    opponent,
  });
  const family = useFamily(combination.id);
  const proposals = useProposals("open", false, combination.id).data?.proposals ?? [];
  const propose = usePropose();
  const mayEdit = useMay("EDIT_LIBRARY");
  const put = (name: string, value: string) =>
    setAddress(
      (now) => {
        now.set(name, value);
        return now;
      },
      { replace: true, preventScrollReset: true },
    );

  const retire = () =>
    propose.mutate(
      { kind: "retire", combination: combination.id, basedOn: combination.version },
      {
        onSuccess: (made) => {
          notice.done(t`Proposed. It stays in use until the head coach approves.`);
          void navigate(`/review/${made.id}`);
        },
        onError: notice.failed,
      },
    );
  const toggle = () => {
    const restore = combination.archivedAt !== null;
    archive.mutate(
      { restore, version: combination.version },
      {
        onSuccess: () => notice.done(restore ? t`Restored.` : t`Archived. It can be restored here at any time.`),
        onError: notice.failed,
      },
    );
  };
  const mirrored = shownStance !== combination.stance;

  return (
    <main className="page">
      <Trail to="/library" place={t`Library`} name={combination.name} />
      <header className="page-head">
        <h1>{combination.name}</h1>
        <VerdictMark verdict={combination.verdict} />
        <span className="page-actions">
          <Button onClick={() => notice.copy(window.location.href, t`The link is copied.`)}>
            <Trans>Copy link</Trans>
          </Button>
          <ExportMenu
            items={[
              { label: t`Card to print (PDF)`, to: `/api/combinations/${combination.id}/card.pdf` },
              { label: t`Line as a picture (SVG)`, to: `/api/combinations/${combination.id}/line.svg` },
            ]}
          />
          <Button onClick={() => navigate(`/combinations/${combination.id}/measure`)}>
            <Trans>Measure</Trans>
          </Button>
          <Button onClick={() => setNaming(true)}>
            <Trans>Rename and tag</Trans>
          </Button>
          <Button onClick={() => navigate("/bench", { state: variantOf(combination) })}>
            <Trans>Duplicate</Trans>
          </Button>
          {mayEdit ? (
            <Button onClick={toggle} loading={archive.isPending}>
              {combination.archivedAt ? t`Restore` : t`Archive`}
            </Button>
          ) : (
            !combination.archivedAt && (
              <Button onClick={retire} loading={propose.isPending}>
                <Trans>Propose to retire</Trans>
              </Button>
            )
          )}
          <Button type="primary" onClick={() => navigate(`/bench/${combination.id}`)}>
            <Trans>Open on the bench</Trans>
          </Button>
        </span>
      </header>
      <NameDialog combination={combination} isOpen={naming} onClose={() => setNaming(false)} />
      {combination.archivedAt && (
        <p className="archived-note">
          <Trans>Archived on {dayAndTime(combination.archivedAt)}. It is not in the list until it is restored.</Trans>
        </p>
      )}
      {proposals.length > 0 && (
        <p className="changed-meanwhile" role="note">
          <Trans>
            {proposals.length === 1 ? t`A proposal waits` : t`${proposals.length} proposals wait`} for a decision:{" "}
          </Trans>
          {proposals.map((row) => (
            <Link key={row.id} to={`/review/${row.id}`} className="tag">
              <Trans>
                {row.kind} by {row.author.name}
              </Trans>
            </Link>
          ))}
        </p>
      )}
      <p className="combination-facts">
        <b>{combination.text}</b>
        <span>
          <Trans>
            {RULES.find((rule) => rule.value === combination.rules)?.label} rules · level{" "}
            {LEVELS.find((level) => level.value === combination.level)?.label}
            {combination.levelChosen && readable?.level && readable.level.level !== combination.level
              ? t`, given by a coach (the check says ${readable.level.level})`
              : ""}{" "}
            · written for {combination.stance} · by {combination.author.name} ·{" "}
            {combination.drilledOn ? t`last drilled ${day(combination.drilledOn)}` : t`never drilled`} ·{" "}
            <Link to={`/reports/path?to=${combination.id}`}>path to it</Link>
          </Trans>
        </span>
        <span>
          {combination.themes.map((theme) => (
            <Link key={theme} className="tag" to={`/library?q=${encodeURIComponent(theme)}`}>
              {theme}
            </Link>
          ))}
        </span>
      </p>
      {combination.note && <p className="combination-note">{combination.note}</p>}
      <div className="work-grid">
        <div className="work-main">
          <section className="panel check-line" aria-label={t`Combination line`}>
            <div className="combination-stance">
              <Segmented
                value={shownStance}
                onChange={(stance) => put("stance", stance)}
                options={STANCES}
                aria-label={t`Show it for`}
              />
              {mirrored && (
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
                  onChange={(stance) => put("opponent", stance)}
                  options={STANCES}
                  aria-label={t`Opponent's stance`}
                />
              </span>
            </div>
            {readable?.stances ? (
              <CheckedLine
                check={readable}
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
          {family.data && <FamilyTree self={combination} family={family.data} />}
          <History combination={combination} />
        </div>
        <aside className="work-side">
          {readable && (
            <>
              <Findings check={readable} selected={selected} onSelect={setSelected} />
              <OtherStance
                check={readable}
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
                onSelect={setSelected}
                onCarry={(chain, stance) =>
                  navigate(
                    `/bench?${new URLSearchParams({ chain, stance, rules: combination.rules, numbering: readIn })}`,
                  )
                }
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

/** Opens the same chain on the bench, to be changed and saved under another name. */
function variantOf({ name, text, stance, rules, themes, note }: Combination): Fresh {
  return { fresh: { name: t`${name}, variant`, text, stance, rules, themes, note } };
}
