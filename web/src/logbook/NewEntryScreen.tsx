import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { Link, useNavigate } from "react-router";
import { bounds } from "../api/bounds";
import { Failure } from "../ui/Failure";
import { LogNav } from "../ui/LogNav";
import { AsPlanned } from "./AsPlanned";
import { EntryFields } from "./EntryFields";
import { PlannedSessions } from "./PlannedSessions";
import { SaidCombinations } from "./SaidCombinations";
import { saidOf } from "./saidOf";
import { useNewEntry } from "./useNewEntry";
import "./logbook.css";

/** Logs a session by hand, today's or an earlier one. */
export default function NewEntryScreen() {
  const entry = useNewEntry();
  const { draft, change, discard, save, planned, follow, isRestored, isSending, error, forget } = entry;
  const navigate = useNavigate();
  const isEmpty = draft.plan === null && (draft.combinations ?? []).length === 0 && draft.note.trim() === "";
  return (
    <main className="page page-entry">
      <LogNav />
      <h1>
        <Trans>Log a session</Trans>
      </h1>
      {isRestored && (
        <p className="changed-meanwhile" role="status">
          <Trans>This is what you were writing before you left. </Trans>
          <Button size="small" onClick={discard}>
            <Trans>Discard</Trans>
          </Button>
        </p>
      )}
      {draft.plan === null && <PlannedSessions day={draft.day} course={draft.course} />}
      {planned?.entry && draft.plan === null && (
        <p className="changed-meanwhile" role="status">
          <Trans>
            “{planned.name}” is in the logbook already. <Link to={`/logbook/${planned.entry}`}>Open it</Link>
          </Trans>
        </p>
      )}
      <div className="log-entry-grid">
        <Flex component="section" vertical gap="small" className="panel block form-narrow" aria-label={t`About it`}>
          <EntryFields isNew draft={draft} onChange={change} />
          <div className="log-entry-note">
            <span>
              <Trans>Name, where the course does not say enough</Trans>
            </span>
            <Input
              aria-label={t`Name`}
              value={draft.name}
              {...bounds("EntryRequest", "name")}
              onChange={(event) => change({ name: event.target.value })}
            />
          </div>
        </Flex>
        <Flex
          component="section"
          vertical
          gap="small"
          className="panel block log-entry-drilled"
          aria-label={t`What was drilled`}
        >
          <h2>
            <Trans>What was drilled</Trans>
          </h2>
          {draft.plan !== null && planned && (
            <AsPlanned
              planned={planned}
              isChanged={draft.combinations !== null}
              onChange={() => change({ combinations: saidOf(planned) })}
              onLeave={() => follow(null)}
            />
          )}
          {draft.combinations !== null && (
            <SaidCombinations combinations={draft.combinations} onChange={(combinations) => change({ combinations })} />
          )}
          <Failure error={error} />
          <Flex wrap gap="small">
            <Button type="primary" size="large" loading={isSending} disabled={isEmpty} onClick={() => void save()}>
              <Trans>Log it</Trans>
            </Button>
            <Button
              size="large"
              onClick={() => {
                forget();
                void navigate(-1);
              }}
            >
              <Trans>Cancel</Trans>
            </Button>
          </Flex>
          {isEmpty && (
            <p className="small">
              <Trans>Add a combination, or a note on what you did.</Trans>
            </p>
          )}
          <p className="small">
            <Trans>Once it is logged, touch the link that fell apart on the line.</Trans>
          </p>
        </Flex>
      </div>
    </main>
  );
}
