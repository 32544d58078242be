import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { Link } from "react-router";
import type { VerdictChanges } from "../api/client";
import { server } from "../api/client";
import { useMay } from "../api/session";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { VerdictMark } from "../ui/VerdictMark";
import { RULES } from "../ui/words";
import { useAccept } from "./useAccept";
import "./verdict-changes.css";

type Update = VerdictChanges["updates"][number];

/** The combinations with another verdict since an update, until the head coach accepts them. */
export default function VerdictChangesScreen() {
  const changes = server.useQuery("get", "/api/verdict-changes");
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Verdicts after an update</Trans>
      </h1>
      <p className="small">
        <Trans>
          Periplus judges some chains differently since its last update. The verdicts below count already; no
          combination was changed. Where you see it otherwise, change the <Link to="/house-rules">house rules</Link>.
        </Trans>
      </p>
      <Loaded query={changes} what={t`Loading the verdicts`}>
        {({ updates }) =>
          updates.length === 0 ? (
            <p className="panel block">
              <Trans>Nothing waits here. After an update that changes verdicts they are listed once.</Trans>
            </p>
          ) : (
            updates.map((update) => <UpdatePanel key={update.id} update={update} />)
          )
        }
      </Loaded>
    </main>
  );
}

function UpdatePanel({ update }: { update: Update }) {
  const mayAccept = useMay("EDIT_HOUSE_RULES");
  const accept = useAccept();
  const rules = RULES.find((one) => one.value === update.rules)?.label ?? update.rules;
  const count = update.changes.reduce((sum, change) => sum + change.count, 0);
  return (
    <section className="panel block verdict-update" aria-label={t`${rules} rules`}>
      <Flex justify="space-between" align="center" gap="middle" wrap>
        <h2>
          <Trans>
            {rules} rules: <Plural value={count} one="# of" other="# of" /> {update.total} changed
          </Trans>
        </h2>
        {mayAccept ? (
          <Button type="primary" loading={accept.isPending} onClick={() => accept.mutate(update.id)}>
            <Trans>Accept these verdicts</Trans>
          </Button>
        ) : (
          <span className="small">
            <Trans>The head coach accepts them.</Trans>
          </span>
        )}
      </Flex>
      <Failure error={accept.error} />
      <p className="verdict-counts">
        {update.changes.map(({ from, to, count }) => (
          <span key={`${from} ${to}`} className="verdict-change">
            {count} <VerdictMark verdict={from} /> <span aria-hidden="true">→</span> <VerdictMark verdict={to} />
          </span>
        ))}
      </p>
      <ul className="verdict-change-list">
        {update.changed.map((one) => (
          <li key={one.id}>
            <span>
              <Link to={`/combinations/${one.id}`}>{one.name}</Link>
              <b className="numbers">{one.text}</b>
            </span>
            <span className="verdict-change">
              <VerdictMark verdict={one.from} /> <span aria-hidden="true">→</span> <VerdictMark verdict={one.to} />
            </span>
            <span className="small">{one.why}</span>
          </li>
        ))}
      </ul>
      {update.changed.length < count && (
        <p className="small">
          <Trans>The first {update.changed.length}, the worst first.</Trans>
        </p>
      )}
    </section>
  );
}
