import { useEffect } from "react";
import { stretchAfter, stretchBefore } from "./moment";
import type { ScreenClient } from "./screenClient";
import { stands } from "./state";
import type { SoundState } from "./useSound";

/** The keys of a wall: a keyboard or a presenter's clicker. */
export function useWallKeys(client: ScreenClient, sound: SoundState, onCorner: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      sound.allow();
      if (event.ctrlKey || event.metaKey || event.altKey || !act(event.key.toLowerCase(), client, sound, onCorner)) {
        return;
      }
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [client, sound, onCorner]);
}

/** @returns whether the key means something */
function act(key: string, client: ScreenClient, sound: SoundState, onCorner: () => void): boolean {
  switch (key) {
    case "m":
      sound.setMuted(!sound.muted);
      return true;
    case "+":
    case "-":
      sound.setVolume(Math.min(1, Math.max(0, sound.volume + (key === "+" ? 0.1 : -0.1))));
      return true;
    case "i":
      onCorner();
      return true;
    case "f":
      void (document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen());
      return true;
    default:
      return lead(key, client);
  }
}

function lead(key: string, client: ScreenClient): boolean {
  const { run, programme, screen } = client.view;
  if (!screen?.hasKeys || run === null || programme === null) {
    return false;
  }
  const at = client.position() ?? 0;
  if (key === " ") {
    void client.press(stands(run.state, client.clock.now()) ? "resume" : "pause");
  } else if (key === "arrowright" || key === "pagedown") {
    void client.press("jump", stretchAfter(programme, at));
  } else if (key === "arrowleft" || key === "pageup") {
    void client.press("jump", stretchBefore(programme, at));
  } else {
    return false;
  }
  return true;
}
