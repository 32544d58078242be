import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useEffect, useState } from "react";
import { useRouteError } from "react-router";
import { noteConnection, useReachable } from "../api/connection";
import { ScreenMissing } from "../ui/screens";
import { isOutdated } from "./version";

/** Shown instead of a screen that failed or could not be loaded. The rest of the page stays. */
export function ScreenError() {
  const error = useRouteError();
  const missing = error instanceof ScreenMissing;
  const reachable = useReachable();
  const [outdated, setOutdated] = useState(false);
  const [tried, setTried] = useState(false);
  useEffect(() => {
    void isOutdated().then(setOutdated);
  }, []);
  const again = async () => {
    setTried(true);
    try {
      const page = await fetch("/", { cache: "no-store" });
      noteConnection(page.ok);
      if (page.ok) {
        window.location.reload();
      }
    } catch {
      noteConnection(false);
    }
  };
  const title = outdated
    ? t`A new version of Periplus is here`
    : missing
      ? t`This screen could not be loaded`
      : t`This screen failed`;
  return (
    <main className="page page-narrow" role="alert">
      <h1>{title}</h1>
      <p>
        {outdated
          ? t`This page is outdated. Reload it; the bench keeps its line.`
          : missing
            ? t`There is no connection to the gym’s server. Other open pages keep working.`
            : t`Something went wrong on our side. Nothing saved is lost, and the bench keeps its line.`}
      </p>
      {tried && !reachable && (
        <p>
          <Trans>Still no connection. It is tried again when the server is back.</Trans>
        </p>
      )}
      <Button type="primary" onClick={() => void again()}>
        {outdated ? t`Reload` : t`Try again`}
      </Button>
    </main>
  );
}
