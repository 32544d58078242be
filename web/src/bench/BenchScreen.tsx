import { App, Button, Modal, Segmented, Select } from "antd";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { Link, useLocation, useNavigate, useParams, useSearchParams } from "react-router";
import {
  answered,
  api,
  type CheckRequest,
  isAway,
  type Mend,
  type NumberingId,
  type Problem,
  type Proposal,
  refusal,
  type SaveRequest,
  type Stance,
} from "../api/client";
import { useReachable } from "../api/connection";
import { useSession } from "../api/session";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { CheckedLine } from "../check/CheckedLine";
import { Findings } from "../check/Findings";
import { OtherStance } from "../check/OtherStance";
import { useCheck } from "../check/useCheck";
import { useMends } from "../check/useMends";
import { useCombination, useSave } from "../combination/useCombination";
import { compareAddress } from "../compare/address";
import { AlreadyThere } from "../family/AlreadyThere";
import { useAlreadyThere } from "../family/useFamily";
import { useDecide, useProposal, usePropose } from "../review/useReview";
import { layers } from "../ui/layers";
import { Waiting } from "../ui/Waiting";
import { RULES, STANCES } from "../ui/words";
import { ATHLETES, addressOfOptions, type CheckOptions, GROUPS, MEDIA, optionsOf, TEMPOS } from "./checkOptions";
import { addressOf, type Draft, draftOf, draftOfProposal, EMPTY, forget, keep, recall, TO_SAVE } from "./draft";
import { EntryLine } from "./EntryLine";
import { MendCompare } from "./MendCompare";
import { NextStrip } from "./NextStrip";
import { type Doing, SaveDrawer } from "./SaveDrawer";
import { TouchPad } from "./TouchPad";
import { useHistory } from "./useHistory";
import "./bench.css";

const BUTTONS: Record<Doing, string> = { save: "Save", propose: "Propose", approve: "Approve", revise: "Send" };
const EXAMPLES = ["1 2 3b slip left 2", "jab cross lead hook body exit", "1 (3) 6 3", "1 2 step-out 14l exit"];

/** Whether a refusal says that what is sent is in place already, as it was sent. */
function isWhatWasSent(problem: Problem, body: SaveRequest): boolean {
  const { current, existing } = problem;
  return current
    ? current.name === body.name.trim() && current.text === body.text && current.note === (body.note ?? "").trim()
    : existing?.name === body.name.trim();
}

/** The bench for a new combination, or for one that is in the library already. */
export default function BenchScreen() {
  const { id } = useParams();
  const [address] = useSearchParams();
  const proposalId = id === undefined ? Number(address.get("proposal")) || null : null;
  const combination = useCombination(id === undefined ? null : Number(id));
  const proposal = useProposal(proposalId);
  const numberings = useNumberings();
  const mine = useNumbering();
  // When the numberings are not to be had, the bench goes on without them.
  if ((numberings.isPending && numberings.errorUpdateCount === 0) || (proposalId !== null && proposal.isPending)) {
    return <Waiting />;
  }
  if (proposal.data) {
    const place = `proposal-${proposal.data.id}`;
    return <Bench key={place} id={place} stored={draftOfProposal(proposal.data, mine)} proposal={proposal.data} />;
  }
  if (id === undefined) {
    return <Bench key="new" id="new" stored={null} />;
  }
  if (combination.isError) {
    return (
      <main className="page page-narrow">
        <h1>Not to be found</h1>
        <p>{refusal(combination.error).title}</p>
        <Link to="/library">To the library</Link>
      </main>
    );
  }
  return combination.data ? (
    <Bench key={id} id={id} stored={draftOf(combination.data, mine)} />
  ) : (
    <Waiting what="Fetching the combination" />
  );
}

function Bench({ id, stored, proposal }: { id: string; stored: Draft | null; proposal?: Proposal }) {
  const mine = useNumbering();
  const user = useSession().data?.user;
  const [address, setAddress] = useSearchParams();
  const navigate = useNavigate();
  const ownPath = useRef(window.location.pathname);
  const leaving = useRef(false);
  const leaveFor = (page: string) => {
    leaving.current = true;
    forget(id);
    void navigate(page);
  };
  const { message } = App.useApp();
  const history = useHistory<Draft>(() => {
    const { now, before } = recall(id, address, stored);
    return { now: now ?? { ...EMPTY, numbering: mine }, before };
  });
  const draft = history.now;
  const [options, setOptions] = useState(() => optionsOf(address));
  const given = (part: Partial<CheckOptions>) => setOptions((now) => ({ ...now, ...part }));
  const [compared, setCompared] = useState<Mend | null>(null);
  const [shownStance, setShownStance] = useState<Stance>(draft.stance);
  const [selected, setSelected] = useState<number | null>(null);
  const [saveOpen, setSaveOpen] = useState(false);
  // What was made elsewhere may come here to be saved at once.
  const [toSave, setToSave] = useState(useLocation().state === TO_SAVE);
  const [conflict, setConflict] = useState<Problem | null>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const caret = useRef(Array.from(draft.text).length);
  const numberings = useNumberings();
  const combinationId = id === "new" || proposal ? null : Number(id);
  const save = useSave(combinationId);
  const propose = usePropose();
  const decide = useDecide(proposal ?? null);
  const [remark, setRemark] = useState("");
  const doing: Doing =
    user?.role === "head-coach"
      ? proposal && proposal.author.id !== user.id
        ? "approve"
        : proposal
          ? "revise"
          : "save"
      : proposal
        ? "revise"
        : "propose";
  const request: CheckRequest = {
    text: draft.text,
    stance: draft.stance,
    rules: draft.rules,
    numbering: draft.numbering,
    ...options,
  };
  const { latest, readable, current, error, old } = useCheck(request);
  const reachable = useReachable();
  const settled = current && latest !== undefined && latest === readable;
  const mends = useMends(request, settled);
  const similar = useAlreadyThere({
    text: draft.text,
    numbering: draft.numbering,
    stance: draft.stance,
    except: combinationId ?? proposal?.combination?.id ?? null,
    ready: settled,
  });

  const change = useCallback(
    (part: Partial<Draft>, typed = false) => history.change((now) => ({ ...now, ...part }), typed),
    [history.change],
  );

  // Nothing typed is lost: the draft is kept here, the chain lives in the address.
  const untouched = stored !== null && JSON.stringify(draft) === JSON.stringify(stored);
  useEffect(() => {
    // On the way to another page nothing is kept, and the address is left alone: it would call the bench back.
    if (leaving.current) {
      return;
    }
    if (untouched || JSON.stringify({ ...draft, numbering: "" }) === JSON.stringify({ ...EMPTY, numbering: "" })) {
      forget(id);
    } else {
      keep(id, draft);
    }
    const own: Record<string, string> = proposal ? { proposal: String(proposal.id) } : {};
    const next = new URLSearchParams({ ...own, ...addressOf(draft), ...addressOfOptions(options) });
    // Once the address is another page's, it is not the bench's to write.
    if (
      window.location.pathname === ownPath.current &&
      next.toString() !== new URLSearchParams(window.location.search).toString()
    ) {
      setAddress(next, { replace: true });
    }
  }, [id, draft, options, untouched, setAddress, proposal]);

  const select = useCallback(
    (at: number | null) => {
      setSelected(at);
      const item = at === null ? undefined : readable?.items[at];
      if (item && field.current && latest === readable) {
        const units = (count: number) => Array.from(draft.text).slice(0, count).join("").length;
        field.current.setSelectionRange(units(item.at), units(item.at + item.length));
        caret.current = item.at + item.length;
      }
    },
    [readable, latest, draft.text],
  );

  const onCaret = (at: number) => {
    caret.current = at;
    if (latest === readable && document.activeElement === field.current) {
      const found = readable?.items.findIndex((item) => at >= item.at && at <= item.at + item.length) ?? -1;
      setSelected(found < 0 ? null : found);
    }
  };

  /** Writes at the cursor, with the blanks that keep items apart; a mark goes straight onto what is before it. */
  const press = (text: string) => {
    const characters = Array.from(draft.text);
    const at = Math.min(caret.current, characters.length);
    const before = characters.slice(0, at).join("").replace(/\s+$/, "");
    const after = characters.slice(at).join("").replace(/^\s+/, "");
    const glued =
      text === "!" ||
      text === "~" ||
      before === "" ||
      before.endsWith("+") ||
      before.endsWith("(") ||
      before.endsWith("[");
    const head = before + (glued ? "" : " ") + text;
    change({ text: head + (after === "" ? "" : ` ${after}`) });
    caret.current = Array.from(head).length;
    setSelected(null);
  };

  /** What follows goes in after what is selected, or at the end. */
  const pressNext = (text: string) => {
    const item = selected === null ? undefined : readable?.items[selected];
    caret.current = item && settled ? item.at + item.length : Array.from(draft.text).length;
    press(text);
  };

  const mend = (by: Mend) => {
    setCompared(null);
    setSelected(null);
    change({ text: by.text });
    caret.current = Array.from(by.text).length;
  };

  const replaceProblem = (at: number, length: number, by: string) => {
    const characters = Array.from(draft.text);
    change({ text: characters.slice(0, at).join("") + by + characters.slice(at + length).join("") });
    field.current?.focus();
  };

  /** Writes the chain over in the other numbering; what cannot be read yet stays as it was typed. */
  const changeNumbering = async (numbering: NumberingId) => {
    const body = { text: draft.text, from: draft.numbering, to: numbering, stance: draft.stance };
    try {
      const answer = draft.text.trim()
        ? await answered(api.POST("/api/translate", { params: { header: { "X-CSRF-Token": "" } }, body }))
        : undefined;
      change({ numbering, text: answer?.lines[0]?.written ?? draft.text });
    } catch (refused) {
      // Kept as it is: the same numbers would mean other strikes.
      void message.error(refusal(refused).title);
    }
  };

  const openSave = useCallback(() => {
    const mistake = current ? latest?.problems[0] : undefined;
    if (draft.text.trim() === "" || mistake) {
      void message.warning(mistake?.message ?? "There is nothing to save yet.");
    } else {
      save.reset();
      propose.reset();
      decide.reset();
      setSaveOpen(true);
    }
  }, [draft.text, latest, current, message, save.reset, propose.reset, decide.reset]);

  useEffect(() => {
    if (toSave && settled) {
      setToSave(false);
      openSave();
    }
  }, [toSave, settled, openSave]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const control = event.ctrlKey || event.metaKey;
      if (control && event.key.toLowerCase() === "s") {
        event.preventDefault();
        openSave();
      } else if (control && event.key.toLowerCase() === "z" && event.target === document.body) {
        event.preventDefault();
        (event.shiftKey ? history.redo : history.undo)();
      } else if (event.key === "Escape") {
        setSelected(null);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [openSave, history.undo, history.redo]);

  const store = (basedOn = draft.basedOn) => {
    const { name, text, numbering, stance, rules, themes, note } = draft;
    const body = { name, text, numbering, stance, rules, themes, level: draft.level, note };
    if (doing === "propose") {
      const kind = combinationId === null ? ("new" as const) : ("change" as const);
      propose.mutate(
        { kind, combination: combinationId, basedOn: combinationId === null ? null : basedOn, content: body, remark },
        {
          onSuccess: (made) => {
            void message.success(
              `“${made.content.name}” is proposed. What is in use stays until the head coach approves.`,
            );
            leaveFor(`/review/${made.id}`);
          },
        },
      );
      return;
    }
    if (proposal) {
      decide.mutate(
        { decision: doing === "approve" ? "approve" : "revise", content: body, remark, against: basedOn },
        {
          onSuccess: (done) => {
            void message.success(
              doing === "approve" ? "Approved with your edit." : "The revision waits for the head coach.",
            );
            leaveFor(
              doing === "approve" && done.combination ? `/combinations/${done.combination.id}` : `/review/${done.id}`,
            );
          },
        },
      );
      return;
    }
    save.mutate(
      { basedOn, body },
      {
        onSuccess: (combination) => {
          void message.success(`“${combination.name}” is saved.`);
          leaveFor(`/combinations/${combination.id}`);
        },
        onError: (cause) => {
          const problem = refusal(cause);
          if (wasCutOff.current && isWhatWasSent(problem, body)) {
            // The answer was lost on its way, the save was not.
            void message.success(`“${name}” is saved.`);
            leaveFor(`/combinations/${problem.current?.id ?? problem.existing?.id}`);
          } else if (problem.type === "changed-meanwhile") {
            setConflict(problem);
          } else if (isAway(cause)) {
            wasCutOff.current = true;
            setToStore({ basedOn });
          }
        },
      },
    );
  };

  // A save goes out once what it saves is checked; without a connection it waits for that, in sight.
  const [toStore, setToStore] = useState<{ basedOn: number | null } | null>(null);
  const wasCutOff = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it goes out once, when it can
  useEffect(() => {
    if (!toStore || !reachable) {
      return;
    }
    if (current && latest && latest.problems.length > 0) {
      setToStore(null);
      setSaveOpen(false);
      void message.warning(latest.problems[0]?.message);
    } else if (current || (error !== null && !isAway(error))) {
      setToStore(null);
      store(toStore.basedOn);
    }
  }, [toStore, reachable, current, latest, error]);

  const failed = save.error ?? propose.error ?? decide.error;
  const saveError = failed ? refusal(failed) : null;
  const problem = latest?.problems[0];
  const shown = readable;
  // What is shown is not about what stands in the line, and no answer to that is on its way.
  const isOld = problem !== undefined || old;
  const numberingOptions = useMemo(
    () =>
      numberings.data?.numberings.map((numbering) => ({ value: numbering.id, label: `${numbering.name} numbers` })) ?? [
        { value: "parity" as NumberingId, label: "Parity numbers" },
      ],
    [numberings.data],
  );

  return (
    <main className="page bench">
      <h1 className="unseen">{id === "new" ? "Bench: a new combination" : `Bench: ${stored?.name}`}</h1>
      <div className="bench-options">
        {proposal && (
          <span className="bench-name">
            proposal <Link to={`/review/${proposal.id}`}>{stored?.name}</Link>
          </span>
        )}
        {combinationId !== null && (
          <span className="bench-name">
            <Link to={`/combinations/${id}`}>{stored?.name}</Link>
            {untouched ? "" : " · not saved yet"}
          </span>
        )}
        <span className="option">
          <span>For</span>
          <Segmented
            size="small"
            value={draft.stance}
            onChange={(stance) => {
              change({ stance });
              setShownStance(stance);
            }}
            options={STANCES}
            aria-label="Written for which stance"
          />
        </span>
        <span className="option">
          <span>against</span>
          <Segmented
            size="small"
            value={options.opponent}
            onChange={(opponent) => given({ opponent })}
            options={STANCES}
            aria-label="Opponent's stance"
          />
        </span>
        <Select
          size="small"
          value={options.tempo}
          onChange={(tempo) => given({ tempo })}
          options={TEMPOS}
          aria-label="Tempo"
        />
        <Select
          size="small"
          value={options.medium}
          onChange={(medium) => given({ medium })}
          options={MEDIA}
          aria-label="What it is thrown at"
        />
        <Select
          size="small"
          value={options.group}
          onChange={(group) => given({ group })}
          options={GROUPS}
          aria-label="For which group"
        />
        <Select
          size="small"
          value={options.athlete}
          onChange={(athlete) => given({ athlete })}
          options={ATHLETES}
          aria-label="Which athlete"
        />
        <Select
          size="small"
          value={draft.rules}
          onChange={(rules) => change({ rules })}
          options={RULES.map((rule) => ({ ...rule, label: `${rule.label} rules` }))}
          aria-label="House rules"
        />
        <Select
          size="small"
          value={draft.numbering}
          onChange={(numbering) => void changeNumbering(numbering)}
          options={numberingOptions}
          aria-label="Numbering"
        />
      </div>
      <div className="work-grid">
        <div className="work-main">
          <section className="panel bench-entry">
            <EntryLine
              text={draft.text}
              check={latest}
              current={current}
              field={field}
              onChange={(text) => change({ text }, true)}
              onCaret={onCaret}
              onUndo={history.undo}
              onRedo={history.redo}
            />
            <span className="bench-buttons">
              <button
                type="button"
                className="quiet"
                disabled={!history.canUndo}
                onClick={history.undo}
                aria-label="Undo"
                title="Undo (Ctrl Z)"
              >
                ↶
              </button>
              <button
                type="button"
                className="quiet"
                disabled={!history.canRedo}
                onClick={history.redo}
                aria-label="Redo"
                title="Redo (Ctrl Shift Z)"
              >
                ↷
              </button>
              <Button type="primary" onClick={openSave} title={`${BUTTONS[doing]} (Ctrl S)`}>
                {BUTTONS[doing]}
              </Button>
            </span>
            <div id="entry-help" className="entry-help" role="status">
              {problem ? (
                <span className="entry-problem">
                  {problem.message} <span className="small">Expected: {problem.expected}.</span>{" "}
                  {problem.nearest.map((nearest) => (
                    <button
                      key={nearest}
                      type="button"
                      className="chip"
                      onClick={() => replaceProblem(problem.at, problem.length, nearest)}
                    >
                      {nearest}
                    </button>
                  ))}
                  {(latest?.problems.length ?? 0) > 1 && (
                    <span className="small">and {(latest?.problems.length ?? 1) - 1} more</span>
                  )}
                </span>
              ) : old ? (
                <span className="entry-problem">
                  {!reachable || isAway(error)
                    ? "Not checked: no connection. What you typed is kept, and is checked as soon as the server is back."
                    : error
                      ? refusal(error).title
                      : "Checking …"}
                </span>
              ) : latest && latest.notes.length > 0 ? (
                <span>{latest.notes.map((note) => note.message).join(" ")}</span>
              ) : (
                <span className="small">{shown?.words ?? "Numbers or words, in any mix. Press ? for the keys."}</span>
              )}
            </div>
          </section>
          <section
            className={isOld ? "panel check-line check-line-old" : "panel check-line"}
            aria-label="Combination line"
          >
            {shown?.stances ? (
              <CheckedLine
                check={shown}
                stances={shown.stances}
                shownStance={shownStance}
                onShownStance={setShownStance}
                selected={selected}
                onSelect={select}
              />
            ) : (
              <div className="bench-empty">
                <h2>{problem ? "Not readable yet" : "Type a combination, or touch the pad"}</h2>
                <p>
                  {problem
                    ? "The picture comes as soon as what is underlined can be read. What you typed is kept."
                    : "You see it in both stances at once, with the weight under it and every wait in milliseconds."}
                </p>
                <p>
                  {EXAMPLES.map((example) => (
                    <button key={example} type="button" className="chip" onClick={() => change({ text: example })}>
                      {example}
                    </button>
                  ))}
                </p>
              </div>
            )}
          </section>
          <NextStrip
            request={{ ...request, after: settled ? selected : null }}
            ready={settled || draft.text.trim() === ""}
            old={old}
            onPress={pressNext}
          />
          <TouchPad numbering={draft.numbering} stance={draft.stance} onPress={press} />
        </div>
        <aside className={isOld ? "work-side check-side-old" : "work-side"}>
          {shown ? (
            <>
              {old && (!reachable || isAway(error)) && (
                <p className="panel old-note" role="note">
                  This is about an earlier line.
                </p>
              )}
              <Findings
                check={shown}
                selected={selected}
                onSelect={select}
                mends={mends}
                onMend={mend}
                onCompare={setCompared}
              />
              <OtherStance
                check={shown}
                compare={(second, secondStance, secondTitle) =>
                  compareAddress({
                    first: shown.notation ?? "",
                    second,
                    rules: draft.rules,
                    firstStance: draft.stance,
                    secondStance,
                    firstTitle: "As it is",
                    secondTitle,
                  })
                }
                onSelect={select}
                onCarry={(text, stance) => {
                  change({ text, stance });
                  setShownStance(stance);
                }}
              />
              {/* Below all else: it comes a moment later and must not move what is being pressed. */}
              {similar && !old && <AlreadyThere matches={similar.matches} total={similar.total} />}
            </>
          ) : (
            <section className="panel findings findings-empty">
              <p className="small">What the check says will stand here.</p>
            </section>
          )}
        </aside>
      </div>
      <SaveDrawer
        check={old ? undefined : shown}
        open={saveOpen}
        draft={draft}
        isNew={combinationId === null && !proposal?.combination}
        doing={doing}
        remark={remark}
        onRemark={setRemark}
        similar={
          similar &&
          !old &&
          similar.matches.length > 0 && <AlreadyThere matches={similar.matches} total={similar.total} />
        }
        saving={save.isPending || propose.isPending || decide.isPending}
        waiting={toStore !== null && !reachable}
        onGiveUp={() => setToStore(null)}
        error={
          saveError && toStore === null && (saveError.type !== "changed-meanwhile" || proposal) ? (
            <>
              {saveError.title}{" "}
              {saveError.existing && <Link to={`/combinations/${saveError.existing.id}`}>Open it</Link>}
            </>
          ) : null
        }
        onChange={(part) => change(part, true)}
        onClose={() => setSaveOpen(false)}
        onSave={() => {
          wasCutOff.current = false;
          setToStore({ basedOn: draft.basedOn });
        }}
      />
      <MendCompare check={shown} mend={compared} request={request} onMend={mend} onClose={() => setCompared(null)} />
      <Modal
        getContainer={layers}
        open={conflict !== null}
        title="Changed meanwhile"
        onCancel={() => setConflict(null)}
        footer={[
          <Button key="keep" onClick={() => setConflict(null)}>
            Keep editing mine
          </Button>,
          <Button
            key="theirs"
            onClick={() => {
              if (conflict?.current) {
                const theirs = draftOf(conflict.current, mine);
                history.change(() => theirs);
                setConflict(null);
                setSaveOpen(false);
              }
            }}
          >
            Take theirs
          </Button>,
          <Button
            key="mine"
            type="primary"
            onClick={() => {
              const version = conflict?.current?.version ?? null;
              setConflict(null);
              change({ basedOn: version });
              setToStore({ basedOn: version });
            }}
          >
            Save mine as the newest
          </Button>,
        ]}
      >
        <p>{conflict?.title}</p>
        <dl className="versus">
          <dt>Theirs</dt>
          <dd>
            {conflict?.current?.name}: <b>{conflict?.current?.text}</b>
          </dd>
          <dt>Yours</dt>
          <dd>
            {draft.name}: <b>{draft.text}</b>
          </dd>
        </dl>
        <p className="small">
          Whichever you choose, the other stays in the history of the combination or on your bench (undo brings it
          back).
        </p>
      </Modal>
    </main>
  );
}
