import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { Button, Flex, Progress } from "antd";
import { useMemo, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { type HouseRules, type Offer, type RulePreview, type Rules, type RulesRequest, refusal } from "../api/client";
import { refresh } from "../api/keys";
import { useMay } from "../api/session";
import { useAnswerOffer, useOfferedRules } from "../offers/useOffers";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { Failure, NoPage } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loading } from "../ui/Loading";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { useShortcut } from "../ui/useShortcut";
import { VerdictMark } from "../ui/VerdictMark";
import { Numbers } from "./Numbers";
import { RulesPart } from "./RulesPart";
import { type Draft, keep, pick, recall } from "./rulesDraft";
import { useEarlier, useHouseRules, usePreview, useSaveRules } from "./useHouseRules";
import "./house-rules.css";

type RuleSet = HouseRules["sets"][number];

const PARTS = [
  { value: "rules", label: t`Rules` },
  { value: "numbers", label: t`Numbers` },
];

export default function HouseRulesScreen() {
  const [address, setAddress] = useSearchParams();
  const rules = useHouseRules();
  const mayEdit = useMay("EDIT_HOUSE_RULES");
  const undo = Number(address.get("undo")) || null;
  const earlier = useEarlier(undo);
  const source = address.get("offer");
  const offer = useOfferedRules(source, address.get("set"));
  if (rules.isError) {
    return <NoPage title={t`House rules`} error={rules.error} />;
  }
  if (!rules.data || (undo !== null && earlier.isPending) || offer.isLoading) {
    return <Loading what={t`Loading the house rules`} />;
  }
  const sets = rules.data.sets;
  const set = sets.find((one) => one.id === address.get("set")) ?? (sets[0] as RuleSet);
  const part = address.get("part") ?? "rules";
  const go = (to: Record<string, string>) => {
    // The earlier rules of the audit log, and those that another gym offers, belong to one set.
    const { undo: _, offer: __, ...others } = Object.fromEntries(address);
    const kept = "set" in to ? others : Object.fromEntries(address);
    setAddress({ ...kept, ...to }, { replace: true, preventScrollReset: true });
  };
  return (
    <main className="page house">
      <GymNav />
      <Flex component="header" wrap align="center" gap="var(--space-3) var(--space-8)" className="house-head">
        <h1>
          <Trans>House rules</Trans>
        </h1>
        <Segmented<Rules>
          value={set.id}
          onChange={(id) => go({ set: id })}
          options={sets.map((one) => ({ value: one.id, label: one.name }))}
          aria-label={t`Set`}
        />
        <Segmented
          value={part}
          onChange={(next) => go({ part: next })}
          options={PARTS}
          aria-label={t`Rules, or the numbers of the model`}
        />
        <span className="small">
          {offer.data ? t`as ${offer.data.gym} offers them` : set.isBuiltIn ? t`built-in` : t`changed by this gym`}
        </span>
      </Flex>
      <Failure error={offer.error} />
      <Editor
        key={`${set.id}-${set.version}-${earlier.data?.id ?? ""}-${offer.data?.digest ?? ""}`}
        set={set}
        earlier={offer.data?.rules ?? (earlier.data?.before as RulesRequest | null | undefined)}
        offer={offer.data}
        all={rules.data}
        mayEdit={mayEdit}
        numbersOf={part === "numbers" ? (address.get("of") ?? "body") : null}
        onNumbersOf={(of) => go({ of })}
      />
    </main>
  );
}

interface EditorProps {
  set: RuleSet;
  /** Rules from the audit log that the set goes back to, or those that another gym offers. */
  earlier: RulesRequest | null | undefined;
  /** The offer that the rules are from. */
  offer: Offer | undefined;
  all: HouseRules;
  mayEdit: boolean;
  /** The strike, move or body whose numbers are shown; null while the rules are. */
  numbersOf: string | null;
  onNumbersOf: (of: string) => void;
}

function Editor({ set, earlier, offer, all, mayEdit, numbersOf, onNumbersOf }: EditorProps) {
  const stored = useMemo(() => pick(set), [set]);
  const place = `periplus.house-rules.${set.id}.${set.version}`;
  const [draft, setDraft] = useState<Draft>(() => (earlier ? pick(earlier) : (recall(place) ?? stored)));
  const [asks, setAsks] = useState(false);
  const [preview, setPreview] = useState<RulePreview | null>(null);
  const notice = useNotice();
  const start = usePreview(setPreview);
  const save = useSaveRules();
  const answer = useAnswerOffer();
  const changed = JSON.stringify(draft) !== JSON.stringify(stored);
  const isBuiltIn = JSON.stringify(pick(set.builtIn)) === JSON.stringify(draft);

  const change = (next: Draft) => {
    setDraft(next);
    keep(place, JSON.stringify(next) === JSON.stringify(stored) ? null : next);
    setPreview(null);
    start.reset();
    save.reset();
  };
  const store = () =>
    preview &&
    save.mutate(preview, {
      onSettled: () => setAsks(false),
      onSuccess: () => {
        keep(place, null);
        notice.done(t`The ${set.name.toLowerCase()} rules are saved.`);
        // What was changed before it was saved is not what the other gym offers; the offer says so and waits.
        if (offer?.rules && JSON.stringify(pick(offer.rules)) === JSON.stringify(draft)) {
          answer.mutate({ how: "accept", offer });
        }
      },
    });
  const startPreview = () => start.mutate({ set: set.id, rules: draft });
  const isReady = preview?.state === "ready";
  // The first press previews the change, the second asks whether to save it.
  useShortcut("save", () => {
    if (isReady) {
      setAsks(true);
    } else if (mayEdit && changed && !start.isPending) {
      startPreview();
    }
  });

  return (
    <div className="house-grid">
      <aside className="house-side">
        <section className="panel effect" aria-label={t`Effect on the library`}>
          <h2>
            <Trans>Effect on the library</Trans>
          </h2>
          {mayEdit ? (
            <>
              {earlier && changed && (
                <p role="status">
                  <Trans>These are the rules before that change. Preview them, then save them for the gym.</Trans>
                </p>
              )}
              <p className="small">
                {changed
                  ? t`Preview the change before it is saved for every coach.`
                  : t`Change a school, a severity or a number; here you see which combinations change their verdict.`}
              </p>
              <RuleButtons
                {...{ changed, isBuiltIn, isReady }}
                isPreviewing={start.isPending}
                isSaving={save.isPending}
                onPreview={startPreview}
                onSave={() => setAsks(true)}
                onUndo={() => change(stored)}
                onBuiltIn={() => change(pick(set.builtIn))}
              />
            </>
          ) : (
            <p className="small">
              <Trans>Only the head coach changes the house rules. What they mean is open to everyone.</Trans>
            </p>
          )}
          <Refused error={start.error ?? save.error} />
          {preview && (
            <ConfirmDialog
              isOpen={asks}
              title={t`Change the ${set.name.toLowerCase()} rules for every coach?`}
              action={t`Save for the gym`}
              isRunning={save.isPending}
              onConfirm={store}
              onClose={() => setAsks(false)}
            >
              <EffectSum preview={preview} />{" "}
              <Trans>Checks on the bench follow at once. It can be undone from the audit log.</Trans>
            </ConfirmDialog>
          )}
          {preview && <Effect preview={preview} set={set.id} />}
        </section>
      </aside>
      <Flex vertical gap="medium">
        {numbersOf === null ? (
          <RulesPart {...{ all, draft, stored, mayEdit, change }} set={set.id} />
        ) : (
          <Numbers
            set={set.id}
            calibration={draft.calibration}
            of={numbersOf}
            mayEdit={mayEdit}
            onOf={onNumbersOf}
            onChange={(calibration) => change({ ...draft, calibration })}
          />
        )}
      </Flex>
    </div>
  );
}

/** Why a preview or a save was refused; after another coach's change, with the way to it. */
function Refused({ error }: { error: unknown }) {
  const queries = useQueryClient();
  return (
    <Failure
      error={error}
      more={
        Boolean(error) &&
        refusal(error).type === "changed-meanwhile" && (
          <Button size="small" onClick={() => void refresh(queries, "/api/house-rules")}>
            <Trans>Show the current version</Trans>
          </Button>
        )
      }
    />
  );
}

interface ButtonsProps {
  changed: boolean;
  isBuiltIn: boolean;
  /** Whether the effect of the changes is shown, so that they can be saved. */
  isReady: boolean;
  isPreviewing: boolean;
  isSaving: boolean;
  onPreview: () => void;
  onSave: () => void;
  onUndo: () => void;
  onBuiltIn: () => void;
}

function RuleButtons(props: ButtonsProps) {
  const { changed, isBuiltIn, isReady, isPreviewing, isSaving, onPreview, onSave, onUndo, onBuiltIn } = props;
  return (
    <Flex wrap gap="small" className="effect-buttons">
      <Button type={isReady ? "default" : "primary"} disabled={!changed} loading={isPreviewing} onClick={onPreview}>
        <Trans>Preview</Trans>
      </Button>
      <Button type={isReady ? "primary" : "default"} disabled={!isReady} loading={isSaving} onClick={onSave}>
        <Trans>Save for the gym</Trans>
      </Button>
      {changed ? (
        <Button title={t`Undo the changes`} aria-label={t`Undo the changes`} onClick={onUndo}>
          <Trans>Undo</Trans>
        </Button>
      ) : (
        !isBuiltIn && (
          <Button type="text" onClick={onBuiltIn}>
            <Trans>Reset to the built-in rules</Trans>
          </Button>
        )
      )}
    </Flex>
  );
}

/** Says how many verdicts and findings change. */
function EffectSum({ preview }: { preview: RulePreview }) {
  const count = preview.changes.reduce((sum, change) => sum + change.count, 0);
  const { added, removed, combinations } = preview.findings;
  return (
    <>
      {count === 0
        ? t`None of the ${preview.total} combinations under these rules changes its verdict.`
        : t`${count} of the ${preview.total} combinations under these rules ${plural(count, { one: "changes its", other: "change their" })} verdict.`}{" "}
      {combinations === 0
        ? t`No finding changes.`
        : t`In ${plural(combinations, { one: "# combination", other: "# combinations" })} the findings change: ${added} more, ${removed} fewer.`}
    </>
  );
}

function Effect({ preview, set }: { preview: RulePreview; set: Rules }) {
  const count = preview.changes.reduce((sum, change) => sum + change.count, 0);
  const percent = preview.total === 0 ? 100 : Math.floor((100 * preview.done) / preview.total);
  return (
    <>
      {preview.state === "running" && <Progress percent={percent} aria-label={t`Progress of the check`} />}
      <p role="status" className="effect-sum">
        {preview.state === "running" ? (
          t`${preview.done} of ${preview.total} checked.`
        ) : (
          <EffectSum preview={preview} />
        )}
      </p>
      {preview.changes.map((change) => (
        <p key={change.from + change.to} className="effect-change">
          <b>{change.count}</b> <VerdictMark verdict={change.from} /> → <VerdictMark verdict={change.to} />
        </p>
      ))}
      <ul className="effect-list">
        {preview.changed.map((row) => (
          <li key={row.id}>
            <Link to={`/combinations/${row.id}`} target="_blank" rel="noopener">
              {row.name}
            </Link>
            <span>{row.text}</span>
            <small>
              {row.from} → {row.to}
            </small>
          </li>
        ))}
      </ul>
      {count > preview.changed.length && (
        <p className="small">
          <Trans>
            The first {preview.changed.length} by name; after saving,{" "}
            <Link to={`/library?rules=${set}`}>the library</Link> shows all.
          </Trans>
        </p>
      )}
    </>
  );
}
