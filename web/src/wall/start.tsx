import { Trans } from "@lingui/react/macro";
import "@fontsource/barlow-condensed/latin-500.css";
import "@fontsource/barlow-condensed/latin-600.css";
import "@fontsource/ibm-plex-sans/latin-400.css";
import "virtual:palette.css";
import "../ui/base.css";
import { createRoot } from "react-dom/client";
import { AthleteScreen } from "./AthleteScreen";
import { DeviceScreen } from "./DeviceScreen";
import { HomeScreen } from "./HomeScreen";
import { WallScreen } from "./WallScreen";

const [, what, key = "", part] = window.location.pathname.split("/");

function page() {
  if (!/^[0-9a-f]{32}$/.test(key)) {
    return (
      <p>
        <Trans>This address is not complete. Ask a coach for it.</Trans>
      </p>
    );
  }
  if (what === "follow") {
    return <AthleteScreen screenKey={key} />;
  }
  if (what === "at-home") {
    return <HomeScreen sessionKey={key} />;
  }
  return part === "device" ? <DeviceScreen screenKey={key} /> : <WallScreen screenKey={key} />;
}

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(page());
}
// Cached for use without the server, where the browser allows it: on localhost, and with TLS.
if ("serviceWorker" in navigator && import.meta.env.PROD) {
  void navigator.serviceWorker.register("/wall-worker.js", { scope: `/${what}/` }).catch(() => undefined);
}
