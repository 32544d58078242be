import { Alert, Button } from "antd";
import type { ReactNode } from "react";
import { refusal } from "../api/client";

interface Props {
  error: unknown;
  /** What to do about it beside what the server's sentence says. */
  more?: ReactNode;
  onRetry?: () => unknown;
}

/** Why something was refused or cannot be had; nothing as long as there is no error. */
export function Failure({ error, more, onRetry }: Props) {
  return error ? (
    <Alert
      type="error"
      showIcon
      role="alert"
      title={
        <>
          {refusal(error).title} {more}
        </>
      }
      action={onRetry && <Button onClick={() => onRetry()}>Try again</Button>}
    />
  ) : null;
}

/** In place of a page that cannot be shown: why, and where to go from here. */
export function NoPage({
  title = "Not found",
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
