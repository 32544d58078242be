import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { lazy, Suspense, useState } from "react";
import { useNavigate } from "react-router";
import type { Combination } from "../api/client";
import { useMay } from "../api/session";
import { usePropose } from "../review/useReview";
import { ExportMenu } from "../ui/ExportMenu";
import type { Fresh } from "../ui/newCombination";
import { useNotice } from "../ui/useNotice";
import { NameDialog } from "./NameDialog";
import { useArchive } from "./useCombination";

const AddToSession = lazy(() => import("../sessions/AddToSession"));
const StartDialog = lazy(() => import("../run/StartDialog").then((part) => ({ default: part.StartDialog })));

/** What can be done with a combination as a whole. */
export function CombinationActions({ combination }: { combination: Combination }) {
  const navigate = useNavigate();
  const notice = useNotice();
  const [dialog, setDialog] = useState<"name" | "session" | "wall" | null>(null);
  const close = () => setDialog(null);
  return (
    <>
      <Flex component="span" wrap gap="small" className="page-actions">
        <Button onClick={() => notice.copy(window.location.href, t`The link is copied.`)}>
          <Trans>Copy link</Trans>
        </Button>
        <ExportMenu
          items={[
            { label: t`Card to print (PDF)`, to: `/api/combinations/${combination.id}/card.pdf` },
            { label: t`Line as a picture (SVG)`, to: `/api/combinations/${combination.id}/line.svg` },
          ]}
        />
        {!combination.archivedAt && (
          <>
            <Button onClick={() => setDialog("session")}>
              <Trans>Add to a session</Trans>
            </Button>
            <Button onClick={() => setDialog("wall")}>
              <Trans>Show on a wall</Trans>
            </Button>
          </>
        )}
        <Button onClick={() => navigate(`/combinations/${combination.id}/measure`)}>
          <Trans>Measure</Trans>
        </Button>
        <Button onClick={() => setDialog("name")}>
          <Trans>Rename and tag</Trans>
        </Button>
        <Button onClick={() => navigate("/bench", { state: variantOf(combination) })}>
          <Trans>Duplicate</Trans>
        </Button>
        <RetireButton combination={combination} />
        <Button type="primary" onClick={() => navigate(`/bench/${combination.id}`)}>
          <Trans>Open on the bench</Trans>
        </Button>
      </Flex>
      <NameDialog combination={combination} isOpen={dialog === "name"} onClose={close} />
      <Suspense>
        {dialog === "session" && <AddToSession combinations={[combination]} onClose={close} />}
        {dialog === "wall" && <StartDialog plan={null} combinations={[combination]} onClose={close} />}
      </Suspense>
    </>
  );
}

/** Archives a combination; a coach who may not proposes it to the head coach. */
function RetireButton({ combination }: { combination: Combination }) {
  const archive = useArchive(combination.id);
  const propose = usePropose();
  const navigate = useNavigate();
  const notice = useNotice();
  const mayEdit = useMay("EDIT_LIBRARY");
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
  if (mayEdit) {
    return (
      <Button onClick={toggle} loading={archive.isPending}>
        {combination.archivedAt ? t`Restore` : t`Archive`}
      </Button>
    );
  }
  return combination.archivedAt ? null : (
    <Button onClick={retire} loading={propose.isPending}>
      <Trans>Propose to retire</Trans>
    </Button>
  );
}

/** Opens the same chain on the bench, to be changed and saved under another name. */
function variantOf({ name, text, stance, rules, themes, note }: Combination): Fresh {
  return { fresh: { name: t`${name}, variant`, text, stance, rules, themes, note } };
}
