import { useEffect, useState } from "react";
import { onConnection } from "../api/connection";

const POLL_INTERVAL_MS = 300_000;
const SCRIPT = /\/assets\/index-[^"]+\.js/;

/** Tells whether the server has another version of the screens. */
export async function isOutdated(): Promise<boolean> {
  const running = document.querySelector<HTMLScriptElement>('script[type="module"][src]')?.src ?? "";
  try {
    const page = await fetch("/", { cache: "no-store" });
    const current = page.ok ? SCRIPT.exec(await page.text())?.[0] : undefined;
    return current !== undefined && SCRIPT.test(running) && !running.endsWith(current);
  } catch {
    return false;
  }
}

/** Checks now and then, when the page comes to the front, and when the server is reachable again. */
export function useOutdated(): boolean {
  const [outdated, setOutdated] = useState(false);
  useEffect(() => {
    const ask = () => {
      if (!document.hidden) {
        void isOutdated().then((is) => is && setOutdated(true));
      }
    };
    const timer = setInterval(ask, POLL_INTERVAL_MS);
    const end = onConnection(ask);
    document.addEventListener("visibilitychange", ask);
    return () => {
      clearInterval(timer);
      end();
      document.removeEventListener("visibilitychange", ask);
    };
  }, []);
  return outdated;
}
