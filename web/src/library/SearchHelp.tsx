import { Trans } from "@lingui/react/macro";
import { type ComponentProps, Suspense, useState } from "react";
import { screen } from "../ui/screens";
import type Patterns from "./SearchPatterns";

const SearchPatterns = screen<ComponentProps<typeof Patterns>>(() => import("./SearchPatterns"));

/** Explains the words that a search understands. */
export function SearchHelp({ onTry }: { onTry: (text: string) => void }) {
  const [open, setOpen] = useState<boolean | null>(null);
  return (
    <>
      <button type="button" className="link-button" onClick={() => setOpen(true)}>
        <Trans>What can I search for?</Trans>
      </button>
      {open !== null && (
        <Suspense>
          <SearchPatterns open={open} onClose={() => setOpen(false)} onTry={onTry} />
        </Suspense>
      )}
    </>
  );
}
