import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import type { ReactNode } from "react";
import { refusal } from "../api/client";
import { Alert } from "./Alert";

interface Props {
  error: unknown;
  /** What to do about it, in addition to the server's sentence. */
  more?: ReactNode;
  onRetry?: () => unknown;
}

/** Shows why something was refused or is unavailable; nothing without an error. */
export function Failure({ error, more, onRetry }: Props) {
  return error ? (
    <Alert
      type="error"
      role="alert"
      title={
        <>
          {refusal(error).title} {more}
        </>
      }
      action={
        onRetry && (
          <Button onClick={() => onRetry()}>
            <Trans>Try again</Trans>
          </Button>
        )
      }
    />
  ) : null;
}

/** Shown instead of a page that is unavailable: why, and where to go. */
export function NoPage({
  title = t`Not found`,
  error,
  children,
}: {
  title?: string;
  error: unknown;
  children?: ReactNode;
}) {
  return (
    <main className="page page-narrow">
      <h1>{title}</h1>
      <p>{refusal(error).title}</p>
      {children}
    </main>
  );
}
