/** Shown while a screen is on its way; waits a moment itself, so that a quick answer shows nothing. */
export function Waiting({ what = "Loading" }: { what?: string }) {
  return (
    <p className="waiting" role="status">
      {what} …
    </p>
  );
}
