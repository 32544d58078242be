import type { ReactNode } from "react";
import { Failure } from "./Failure";
import { Loading } from "./Loading";

interface Props<T> {
  query: { data: T | undefined; error: unknown; isPending: boolean; refetch: () => unknown };
  /** What is being done while it loads. */
  what?: string;
  children?: (data: T) => ReactNode;
}

/** Shows what a query has answered, what it waits for, and why it failed; an older answer stays beside a failure. */
export function Loaded<T>({ query, what, children }: Props<T>) {
  return (
    <>
      {query.isPending && <Loading what={what} />}
      <Failure error={query.error} onRetry={query.refetch} />
      {query.data !== undefined && children?.(query.data)}
    </>
  );
}
