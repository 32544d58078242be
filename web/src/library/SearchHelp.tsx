import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type ComponentProps, Suspense, useState } from "react";
import { Dialog } from "../ui/Dialog";
import { Loading } from "../ui/Loading";
import { screen } from "../ui/screens";
import type Patterns from "./SearchPatterns";

const SearchPatterns = screen<ComponentProps<typeof Patterns>>(() => import("./SearchPatterns"));

/** Explains the words that a search understands. */
export function SearchHelp({ onTry }: { onTry: (text: string) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="link-button" onClick={() => setOpen(true)}>
        <Trans>What can I search for?</Trans>
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title={t`Search`}>
        <Suspense fallback={<Loading />}>
          <SearchPatterns
            onTry={(pattern) => {
              setOpen(false);
              onTry(pattern);
            }}
          />
        </Suspense>
      </Dialog>
    </>
  );
}
