import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { useLocation, useNavigate, useSearchParams } from "react-router";
import type { Proposal } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { type Beginning, isFresh } from "../ui/newCombination";
import { useHistory } from "../ui/useHistory";
import { useStable } from "../ui/useStable";
import { addressOfOptions, type CheckOptions, optionsOf } from "./checkOptions";
import { addressOf, type Draft, EMPTY, forget, keep, laidAside, layAside, recall } from "./draft";

/** Pause in ms after a key before the address is changed. */
const ADDRESS_PAUSE_MS = 120;

const isEmpty = (draft: Draft) =>
  JSON.stringify({ ...draft, numbering: "" }) === JSON.stringify({ ...EMPTY, numbering: "" });

/**
 * The draft of the bench with undo. It is stored in this browser until it is saved, and the chain is in the URL.
 *
 * @param id of the draft in this browser
 * @param stored what it began with; null for a new combination
 */
export function useDraft(id: string, stored: Draft | null, proposal: Proposal | null) {
  const mine = useNumbering();
  const [address, setAddress] = useSearchParams();
  const navigate = useNavigate();
  const ownPath = useRef(window.location.pathname);
  const leaving = useRef(false);
  const {
    now,
    change: changeAll,
    undo,
    redo,
    canUndo,
    canRedo,
  } = useHistory<Draft>(() => {
    const { now, before } = recall(id, address, stored);
    return { now: now ?? { ...EMPTY, numbering: mine }, before };
  });
  const [options, setOptions] = useState(() => optionsOf(address));

  const history = useMemo(() => ({ undo, redo, canUndo, canRedo }), [undo, redo, canUndo, canRedo]);

  /** @param typed whether it belongs to the step of the keys before it */
  const change = useCallback(
    (part: Partial<Draft>, typed = false) => changeAll((before) => ({ ...before, ...part }), typed),
    [changeAll],
  );
  const give = useCallback((part: Partial<CheckOptions>) => setOptions((before) => ({ ...before, ...part })), []);
  /** Opens another page once the draft is saved. */
  const leaveFor = useStable((page: string) => {
    leaving.current = true;
    forget(id);
    void navigate(page);
  });

  const [aside, setAside] = useState(laidAside);
  const begin = useStable((beginning: Beginning = {}) => {
    if (!isEmpty(now)) {
      layAside(now);
      setAside(now);
    }
    changeAll(() => ({ ...EMPTY, ...beginning, numbering: mine }));
  });
  const goOn = useStable(() => aside && changeAll(() => aside));
  // "New combination" was requested here or elsewhere; a reload does not request it again.
  const { state } = useLocation();
  useLayoutEffect(() => {
    if (isFresh(state) && id === "new") {
      begin(state.fresh);
      void navigate("/bench", { replace: true, state: null });
    }
  }, [state, id, begin, navigate]);

  const untouched = stored !== null && JSON.stringify(now) === JSON.stringify(stored);
  useEffect(() => {
    // While leaving the page nothing is stored and the URL is not changed, which would reopen the bench.
    if (leaving.current) {
      return;
    }
    if (untouched || isEmpty(now)) {
      forget(id);
    } else {
      keep(id, now);
    }
    const own: Record<string, string> = proposal ? { proposal: String(proposal.id) } : {};
    const next = new URLSearchParams({ ...own, ...addressOf(now), ...addressOfOptions(options) });
    const write = () => {
      // The URL may already belong to another page, or the bench is being left.
      if (
        !leaving.current &&
        window.location.pathname === ownPath.current &&
        next.toString() !== new URLSearchParams(window.location.search).toString()
      ) {
        setAddress(next, { replace: true, preventScrollReset: true });
      }
    };
    // The check of a key goes out first; the address follows when the typing pauses, and before a reload.
    const timer = setTimeout(write, ADDRESS_PAUSE_MS);
    window.addEventListener("pagehide", write);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("pagehide", write);
    };
  }, [id, now, options, untouched, setAddress, proposal]);

  return {
    draft: now,
    change,
    history,
    options,
    give,
    untouched,
    leaveFor,
    /** Clears the bench and sets its line aside. */
    begin,
    /** The line that was set aside last, and a function to restore it. */
    aside: aside?.text ? aside : null,
    goOn,
  };
}
