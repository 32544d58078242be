import { t } from "@lingui/core/macro";
import { useEffect, useRef, useState } from "react";
import { isAway, type Problem, type Proposal, refusal, type SaveRequest, type Session } from "../api/client";
import { useReachable } from "../api/connection";
import { may, useSession } from "../api/session";
import type { Checked } from "../check/useCheck";
import { useSave } from "../combination/useCombination";
import { useDecide, usePropose } from "../review/useReview";
import { useNotice } from "../ui/useNotice";
import { useStable } from "../ui/useStable";
import type { Draft } from "./draft";

/** The action on a draft: saved or, without the permission, proposed; a proposal is approved with an edit or revised. */
export type Doing = "save" | "propose" | "approve" | "revise";

export function doingOf(user: Session["user"] | undefined, proposal: Proposal | null): Doing {
  if (proposal) {
    return may(user, "DECIDE_PROPOSALS") && proposal.author.id !== user?.id ? "approve" : "revise";
  }
  return may(user, "EDIT_LIBRARY") ? "save" : "propose";
}

/** Tells whether a conflict is only our own save whose answer was lost. */
export function isWhatWasSent({ current, existing }: Problem, body: SaveRequest): boolean {
  return current
    ? current.name === body.name.trim() && current.text === body.text && current.note === (body.note ?? "").trim()
    : existing?.name === body.name.trim();
}

function bodyOf({ name, text, numbering, stance, rules, themes, level, note }: Draft): SaveRequest {
  return { name, text, numbering, stance, rules, themes, level, note };
}

interface Bench {
  draft: Draft;
  combinationId: number | null;
  proposal: Proposal | null;
  checked: Checked;
  leaveFor: (page: string) => void;
}

/** Sends a draft by the request that fits the role and opens the resulting page. */
function useSend({ draft, combinationId, proposal, leaveFor }: Bench, doing: Doing) {
  const notice = useNotice();
  const save = useSave(combinationId);
  const propose = usePropose();
  const decide = useDecide(proposal);
  const all = [save, propose, decide];
  const send = async (basedOn: number | null, remark: string): Promise<void> => {
    const content = bodyOf(draft);
    if (doing === "save") {
      const saved = await save.mutateAsync({ basedOn, body: content });
      notice.done(t`“${saved.name}” is saved.`);
      leaveFor(`/combinations/${saved.id}`);
    } else if (doing === "propose") {
      const kind = combinationId === null ? "new" : "change";
      const on = combinationId === null ? null : basedOn;
      const made = await propose.mutateAsync({ kind, combination: combinationId, basedOn: on, content, remark });
      notice.done(
        t`“${made.content.name}” is proposed. The current version stays in use until the head coach approves.`,
      );
      leaveFor(`/review/${made.id}`);
    } else {
      const done = await decide.mutateAsync({ decision: doing, content, remark, against: basedOn });
      notice.done(doing === "approve" ? t`Approved with your edit.` : t`The revision waits for the head coach.`);
      leaveFor(doing === "approve" && done.combination ? `/combinations/${done.combination.id}` : `/review/${done.id}`);
    }
  };
  return {
    send,
    sending: all.some((one) => one.isPending),
    error: all.find((one) => one.error)?.error ?? null,
    reset: () => {
      for (const one of all) {
        one.reset();
      }
    },
  };
}

/**
 * The save drawer. A save is sent once the chain is checked; without a connection it waits visibly and is sent once.
 */
export function useSaving(bench: Bench) {
  const { draft, checked, proposal, leaveFor } = bench;
  const { latest, current, error } = checked;
  const doing = doingOf(useSession().data?.user, proposal);
  const notice = useNotice();
  const reachable = useReachable();
  const { send, sending, error: refused, reset } = useSend(bench, doing);
  const [isOpen, setOpen] = useState(false);
  const [remark, setRemark] = useState("");
  const [conflict, setConflict] = useState<Problem | null>(null);
  /** The save to be sent, with the version it is based on. */
  const [waiting, setWaiting] = useState<{ basedOn: number | null } | null>(null);
  /** Whether an answer was lost, so that the save may have succeeded. */
  const wasCutOff = useRef(false);

  const store = async (basedOn: number | null) => {
    try {
      await send(basedOn, remark);
    } catch (cause) {
      const problem = refusal(cause);
      if (doing !== "save") {
        return;
      }
      if (wasCutOff.current && isWhatWasSent(problem, bodyOf(draft))) {
        notice.done(t`“${draft.name}” is saved.`);
        leaveFor(`/combinations/${problem.current?.id ?? problem.existing?.id}`);
      } else if (problem.type === "changed-meanwhile" && problem.current) {
        setConflict(problem);
      } else if (isAway(cause)) {
        wasCutOff.current = true;
        setWaiting({ basedOn });
      }
    }
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: it goes out once, when it can
  useEffect(() => {
    if (!waiting || !reachable) {
      return;
    }
    if (current && latest && latest.problems.length > 0) {
      setWaiting(null);
      setOpen(false);
      notice.warn(latest.problems[0]?.message ?? "");
    } else if (current || (error !== null && !isAway(error))) {
      setWaiting(null);
      void store(waiting.basedOn);
    }
  }, [waiting, reachable, current, latest, error]);

  return {
    doing,
    isOpen,
    open: useStable(() => {
      const mistake = current ? latest?.problems[0] : undefined;
      if (draft.text.trim() === "" || mistake) {
        notice.warn(mistake?.message ?? t`There is nothing to save yet.`);
      } else {
        reset();
        setOpen(true);
      }
    }),
    close: useStable(() => setOpen(false)),
    remark,
    setRemark,
    /** @param basedOn another version than the one it was made from, once the coach has chosen to save both */
    send: useStable((basedOn: number | null = draft.basedOn) => {
      wasCutOff.current = false;
      setConflict(null);
      setWaiting({ basedOn });
    }),
    sending,
    isWaiting: waiting !== null && !reachable,
    giveUp: useStable(() => setWaiting(null)),
    /** Null while waiting, and when there is a conflict to resolve. */
    refused: waiting === null && conflict === null ? refused : null,
    conflict,
    endConflict: useStable(() => setConflict(null)),
  };
}

export type Saving = ReturnType<typeof useSaving>;
