import "@fontsource/barlow-condensed/latin-500.css";
import "@fontsource/barlow-condensed/latin-600.css";
import "@fontsource/ibm-plex-sans/latin-400.css";
import "@fontsource/ibm-plex-sans/latin-600.css";
import "virtual:palette.css";
import "../ui/base.css";
import "../ui/ui.css";
import "./app.css";
import { QueryCache, QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { ConfigProvider } from "antd";
import { type ReactNode, StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { again, Refusal } from "../api/client";
import { isReachable, onConnection } from "../api/connection";
import { keys } from "../api/keys";
import { Messages } from "../ui/Messages";
import { Router } from "./Router";
import { useTheme } from "./theme";

const queries: QueryClient = new QueryClient({
  // Queries run at once, even offline: a failure is shown instead of waiting silently.
  defaultOptions: {
    queries: { retry: again, retryDelay: 2000, refetchOnWindowFocus: false, networkMode: "always" },
    mutations: { networkMode: "always" },
  },
  queryCache: new QueryCache({
    onError(error) {
      // The session ended while the page was open: read it again, which shows the sign-in form.
      if (error instanceof Refusal && error.problem.status === 401) {
        void queries.invalidateQueries({ queryKey: keys.session });
      }
    },
  }),
});
// Queries that failed while the server was unreachable are repeated.
onConnection(() => {
  if (isReachable()) {
    void queries.refetchQueries({ type: "active", predicate: (query) => query.state.status !== "success" });
    void queries.invalidateQueries({ queryKey: keys.session });
  }
});
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? "";
function Themed({ children }: { children: ReactNode }) {
  return (
    <ConfigProvider theme={useTheme()} csp={{ nonce }} button={{ autoInsertSpace: false }}>
      {children}
    </ConfigProvider>
  );
}

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <Themed>
        <Messages>
          <QueryClientProvider client={queries}>
            <Router />
          </QueryClientProvider>
        </Messages>
      </Themed>
    </StrictMode>,
  );
}
