import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type ComponentProps, Suspense, useState } from "react";
import { answered, api, type View } from "../api/client";
import { refresh } from "../api/keys";
import { useMay, useSession } from "../api/session";
import { useViews } from "../library-search/useLibrary";
import { screen } from "../ui/screens";
import { useNotice } from "../ui/useNotice";
import type Save from "./SaveView";

const SaveView = screen<ComponentProps<typeof Save>>(() => import("./SaveView"));

/** Returns the query string without the page, as saved in a view. */
function viewOf(address: URLSearchParams): string {
  const kept = new URLSearchParams(address);
  kept.delete("page");
  kept.sort();
  return kept.toString();
}

/** Returns the name of the current view; empty when there is none. */
export function useViewName(address: URLSearchParams): string {
  const now = viewOf(address);
  return useViews().data?.views.find((view) => view.address === now)?.name ?? "";
}

/** Saved searches: the coach's own and those shared with the gym. */
export function Views({ address, onOpen }: { address: URLSearchParams; onOpen: (query: string) => void }) {
  const views = useViews().data?.views ?? [];
  const user = useSession().data?.user;
  const mayEditShared = useMay("EDIT_LIBRARY");
  const queries = useQueryClient();
  const [naming, setNaming] = useState(false);
  const now = viewOf(address);
  const notice = useNotice();
  const again = () => refresh(queries, "/api/views");
  const remove = useMutation({
    mutationFn: (view: View) => answered(api.DELETE("/api/views/{id}", { params: { path: { id: view.id } } })),
    onSuccess: (_, view) =>
      notice.undo(t`“${view.name}” is deleted.`, () =>
        keep.mutate({ name: view.name, address: view.address, shared: view.shared }),
      ),
    onError: notice.failed,
    onSettled: again,
  });
  const keep = useMutation({
    mutationFn: (body: Pick<View, "name" | "address" | "shared">) => answered(api.POST("/api/views", { body })),
    onError: notice.failed,
    onSettled: again,
  });
  const open = views.find((view) => view.address === now);
  const mayRemove = open && (open.owner.id === user?.id || mayEditShared);
  return (
    <span className="views">
      {views.map((view) => (
        <button
          key={view.id}
          type="button"
          className={view === open ? "chip chip-on" : "chip"}
          aria-pressed={view === open}
          title={view.shared ? t`Shared by ${view.owner.name}` : t`Only yours`}
          onClick={() => onOpen(view === open ? "" : view.address)}
        >
          {view.name}
        </button>
      ))}
      {now !== "" && !open && (
        <button type="button" className="link-button" onClick={() => setNaming(true)}>
          <Trans>Save view</Trans>
        </button>
      )}
      {mayRemove && (
        <button type="button" className="link-button" onClick={() => remove.mutate(open)}>
          <Trans>Delete “{open.name}”</Trans>
        </button>
      )}
      {naming && (
        <Suspense>
          <SaveView address={now} onClose={() => setNaming(false)} />
        </Suspense>
      )}
    </span>
  );
}
