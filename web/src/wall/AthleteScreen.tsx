import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { momentOn, PhoneSession } from "./PhoneSession";
import { useReading } from "./ReadingFields";
import { positionAt, stands } from "./state";
import { useScreen, useTick } from "./useScreen";

/** The session on an athlete's phone: in their own stance and numbering, without controls. */
export function AthleteScreen({ screenKey }: { screenKey: string }) {
  const reading = useReading();
  const { client, view } = useScreen(screenKey, reading[0].numbering);
  useTick();
  const { run, programme, screen } = view;
  if (view.revoked || run === null || programme === null) {
    return (
      <main className="athlete">
        <h1>{screen?.gym ?? t`Periplus`}</h1>
        <p>
          {view.revoked
            ? t`This session no longer exists. Scan the code on the wall again.`
            : t`Waiting for the gym’s server …`}
        </p>
      </main>
    );
  }
  const now = client.clock.now();
  const position = positionAt(run.state, now);
  if (run.state.endedMs !== null || momentOn(programme, reading[0].track, position).kind === "over") {
    return (
      <main className="athlete">
        <h1>{run.name}</h1>
        <p>
          <Trans>The session is over. Well done.</Trans>
        </p>
        <p>
          <Trans>For the next one scan the code on the wall again.</Trans>
        </p>
      </main>
    );
  }
  return (
    <PhoneSession
      name={run.name}
      {...{ programme, position, reading }}
      now={() => client.position() ?? position}
      paused={stands(run.state, now)}
      numberings={screen?.numberings ?? []}
    />
  );
}
