import { t } from "@lingui/core/macro";
import { keepPreviousData, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { again, answered, api, ifMatch, type Plan, Refusal, refusal, server } from "../api/client";
import { refresh } from "../api/keys";
import type { PlanContent } from "../api/schema";
import { useDebounced } from "../ui/useDebounced";
import { useHistory } from "../ui/useHistory";
import { type Kept, useKept } from "../ui/useKept";
import { useNotice } from "../ui/useNotice";
import { writtenOut } from "./plan";

/** The parts of a session that a coach writes. */
export interface Draft {
  name: string;
  course: number | null;
  startsAt: string | null;
  isTemplate: boolean;
  content: PlanContent;
}

export type Saving = "saved" | "waiting" | "saving" | "failed" | "changed";

/** Pause in ms after the last change before it is saved. */
const PAUSE_MS = 900;
const PRESENCE_INTERVAL_MS = 8000;

export function draftOf(plan: Plan): Draft {
  return {
    name: plan.name,
    course: plan.course?.id ?? null,
    startsAt: plan.startsAt,
    isTemplate: plan.isTemplate,
    content: plan.content,
  };
}

/** Unsaved changes of a session, with the session they are based on. */
export interface KeptPlan {
  plan: Plan;
  draft: Draft;
}

const withContentWrittenOut = <T extends { content: PlanContent }>(one: T): T => ({
  ...one,
  content: writtenOut(one.content),
});

export function useKeptPlan(id: number): Kept<KeptPlan> {
  const kept = useKept<KeptPlan>(`plan ${id}`);
  return useMemo(
    () => ({
      ...kept,
      read: () => {
        const found = kept.read();
        return found && { plan: withContentWrittenOut(found.plan), draft: withContentWrittenOut(found.draft) };
      },
    }),
    [kept],
  );
}

/** Returns the stored plan; null when it is unreachable. */
const plainPlan = (id: number) => answered(api.GET("/api/plans/{id}", { params: { path: { id } } })).catch(() => null);

const same = (one: Draft, other: Draft) => JSON.stringify(one) === JSON.stringify(other);

export function usePlan(id: number) {
  return server.useQuery(
    "get",
    "/api/plans/{id}",
    { params: { path: { id } } },
    {
      // The planner polls for other coaches' changes itself.
      staleTime: Number.POSITIVE_INFINITY,
      gcTime: 0,
      retry: again,
    },
  );
}

/** What follows from the current plan; until it arrives the previous answer is returned as `old`. */
export function usePlanCheck(content: PlanContent) {
  const now = JSON.stringify(content);
  const settled = useDebounced(now, 120);
  const { data, error, isPlaceholderData, isFetching } = server.useQuery(
    "post",
    "/api/plans/check",
    { body: { content: JSON.parse(settled) as PlanContent } },
    { placeholderData: keepPreviousData, staleTime: 60_000 },
  );
  return { document: data ?? null, error, old: now !== settled || isPlaceholderData || isFetching };
}

/** The browser asks before a page with unsaved changes is closed; another page of the gym saves them first. */
function useLeaving(unsaved: boolean, onLeave: () => void): void {
  useEffect(() => {
    if (!unsaved) {
      return;
    }
    const stay = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", stay);
    return () => window.removeEventListener("beforeunload", stay);
  }, [unsaved]);
  const leaving = useRef(onLeave);
  leaving.current = onLeave;
  useEffect(() => () => leaving.current(), []);
}

/** Reports that the plan is open here, and returns the names of the others who have it open. */
function usePresence(id: number, onVersion: (version: number) => Promise<void>): string[] {
  const [others, setOthers] = useState<string[]>([]);
  const told = useRef(onVersion);
  told.current = onVersion;
  useEffect(() => {
    const look = async () => {
      try {
        const here = await answered(api.POST("/api/plans/{id}/presence", { params: { path: { id } } }));
        setOthers(here.others);
        await told.current(here.version);
      } catch {
        // The frame reports that the server is unreachable.
      }
    };
    void look();
    const timer = setInterval(() => void look(), PRESENCE_INTERVAL_MS);
    return () => clearInterval(timer);
  }, [id]);
  return others;
}

/**
 * A plan with undo that saves itself, but never over another coach's changes: then it keeps its own state until the
 * coach has chosen.
 */
export function usePlanner(plan: Plan) {
  const kept = useKeptPlan(plan.id);
  // Unsaved changes from an earlier visit are restored with their base version, so that nothing is overwritten; undo
  // brings the stored plan back.
  const [found] = useState(() => kept.read());
  const history = useHistory<Draft>(() =>
    found ? { now: found.draft, before: draftOf(plan) } : { now: draftOf(plan), before: null },
  );
  const queries = useQueryClient();
  const notice = useNotice();
  const [base, setBase] = useState(() => ({ version: found?.plan.version ?? plan.version, draft: draftOf(plan) }));
  const [saving, setSaving] = useState<Saving>("saved");
  const [trouble, setTrouble] = useState<string | null>(null);
  const busy = useRef(false);
  const draft = history.now;
  const unsaved = !same(draft, base.draft);
  const newest = useRef({ draft, base });
  newest.current = { draft, base };

  const save = useCallback(
    async (over?: number) => {
      if (busy.current) {
        return;
      }
      busy.current = true;
      setSaving("saving");
      const { draft: sent, base: from } = newest.current;
      try {
        const stored = await answered(
          api.PUT("/api/plans/{id}", {
            params: { path: { id: plan.id }, header: { "If-Match": ifMatch(over ?? from.version)["If-Match"] } },
            body: { ...sent, content: { ...sent.content } },
          }),
        );
        setBase({ version: stored.version, draft: sent });
        if (same(newest.current.draft, sent)) {
          kept.forget();
        }
        setTrouble(null);
        setSaving("saved");
        void refresh(queries, "/api/plans");
      } catch (error) {
        const changed = error instanceof Refusal && error.problem.status === 412;
        // A save whose answer was lost, or that was sent while leaving the page, is not another coach's.
        const theirs = changed ? await plainPlan(plan.id) : null;
        if (theirs && same(draftOf(theirs), sent)) {
          setBase({ version: theirs.version, draft: sent });
          setTrouble(null);
          setSaving("saved");
        } else {
          setSaving(changed ? "changed" : "failed");
          setTrouble(refusal(error).title);
        }
      } finally {
        busy.current = false;
      }
    },
    [plan.id, queries, kept],
  );

  const text = JSON.stringify(draft);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each change of the text restarts the pause
  useEffect(() => {
    if (!unsaved || saving === "changed" || saving === "saving") {
      return;
    }
    setSaving((was) => (was === "failed" ? was : "waiting"));
    const timer = setTimeout(() => void save(), saving === "failed" ? 5000 : PAUSE_MS);
    return () => clearTimeout(timer);
  }, [text, unsaved, save, saving]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: written when the text or what is stored has changed
  useEffect(() => {
    if (unsaved) {
      kept.write({ plan: { ...plan, version: base.version }, draft });
    } else {
      kept.forget();
    }
  }, [text, unsaved, base.version]);

  useLeaving(unsaved, () => {
    if (!same(newest.current.draft, newest.current.base.draft)) {
      void save();
    }
  });

  const { change } = history;
  /** Continues from a version that only archived or restored the session; what was typed meanwhile stays. */
  const continueFrom = useCallback((version: number) => setBase((before) => ({ ...before, version })), []);
  /** Takes another coach's version; undo brings the own one back. */
  const takeTheirs = useCallback(async () => {
    const theirs = await answered(api.GET("/api/plans/{id}", { params: { path: { id: plan.id } } }));
    setBase({ version: theirs.version, draft: draftOf(theirs) });
    change(() => draftOf(theirs));
    setSaving("saved");
    setTrouble(null);
    return theirs;
  }, [plan.id, change]);
  const keepMine = useCallback(async () => {
    const theirs = await answered(api.GET("/api/plans/{id}", { params: { path: { id: plan.id } } }));
    setBase({ version: theirs.version, draft: draftOf(theirs) });
    await save(theirs.version);
  }, [plan.id, save]);

  const others = usePresence(plan.id, async (version) => {
    const { base: from, draft: mine } = newest.current;
    if (version > from.version && same(mine, from.draft) && !busy.current) {
      const theirs = await takeTheirs();
      notice.done(t`${theirs.editor.name} changed this session; you see it as it is now.`);
    }
  });

  return {
    ...history,
    draft,
    version: base.version,
    saving,
    trouble,
    others,
    save,
    continueFrom,
    takeTheirs,
    keepMine,
  };
}

export type Planner = ReturnType<typeof usePlanner>;
