import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { useLocation, useNavigate, useSearchParams } from "react-router";
import type { Proposal } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { type Beginning, isFresh } from "../ui/newCombination";
import { useHistory } from "../ui/useHistory";
import { useStable } from "../ui/useStable";
import { addressOfOptions, type CheckOptions, optionsOf } from "./checkOptions";
import { addressOf, type Draft, EMPTY, forget, keep, laidAside, layAside, recall } from "./draft";

const isEmpty = (draft: Draft) =>
  JSON.stringify({ ...draft, numbering: "" }) === JSON.stringify({ ...EMPTY, numbering: "" });

/**
 * What a coach has typed and chosen, with undo. Nothing typed is lost: it is kept in this browser until it is saved,
 * and the chain stands in the address.
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
  /** Goes to another page once the draft is in the library. */
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
  // "New combination" was asked for, here or elsewhere. A reload does not ask for it again.
  const { state } = useLocation();
  useLayoutEffect(() => {
    if (isFresh(state) && id === "new") {
      begin(state.fresh);
      void navigate("/bench", { replace: true, state: null });
    }
  }, [state, id, begin, navigate]);

  const untouched = stored !== null && JSON.stringify(now) === JSON.stringify(stored);
  useEffect(() => {
    // On the way to another page nothing is kept, and the address is left alone: it would call the bench back.
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
    // Once the address is another page's, it is not the bench's to write.
    if (
      window.location.pathname === ownPath.current &&
      next.toString() !== new URLSearchParams(window.location.search).toString()
    ) {
      setAddress(next, { replace: true, preventScrollReset: true });
    }
  }, [id, now, options, untouched, setAddress, proposal]);

  return {
    draft: now,
    change,
    history,
    options,
    give,
    untouched,
    leaveFor,
    /** Empties the bench; what stood on it is laid aside. */
    begin,
    /** What was laid aside last, and the way back to it. */
    aside: aside?.text ? aside : null,
    goOn,
  };
}
