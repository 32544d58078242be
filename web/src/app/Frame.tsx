import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { type ComponentProps, lazy, Suspense, useEffect, useRef, useState } from "react";
import { Outlet, ScrollRestoration, useNavigate } from "react-router";
import { may, useSession } from "../api/session";
import { SignIn } from "../sign-in/SignIn";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { FRESH } from "../ui/newCombination";
import { fetchScreens, screen } from "../ui/screens";
import { useShortcut } from "../ui/useShortcut";
import { showTimesOf } from "../ui/words";
import { Bar } from "./Bar";
import type Guide from "./GuideDialog";
import { Notices } from "./Notices";
import { useLostFocus } from "./useLostFocus";
import { usePage } from "./usePage";

/** Comes with the dialog around it, so that it opens offline. */
const GuideDialog = screen<ComponentProps<typeof Guide>>(() =>
  Promise.all([import("./GuideDialog"), import("antd/es/modal")]).then(([dialog]) => dialog),
);
/** Only the demo needs it. */
const DemoLine = lazy(() => import("../gym/DemoLine"));

/** The frame around every screen; it shows the sign-in form to anonymous visitors. */
export function Frame() {
  const session = useSession();
  const navigate = useNavigate();
  const [showKeys, setShowKeys] = useState(false);
  const wasShown = useRef(false);
  wasShown.current ||= showKeys;

  usePage();
  useLostFocus();
  useShortcut("help", () => setShowKeys(true));
  useShortcut("write", () => session.data?.user && navigate("/bench", { state: FRESH }));
  showTimesOf(session.data?.gym?.timeZone);
  useFetchedScreens(session.data?.user?.id !== undefined);

  if (session.isPending) {
    return <Loading what={t`Checking who is here`} />;
  }
  if (session.isError) {
    return (
      <NoPage title={t`Cannot reach the server`} error={session.error}>
        <Button onClick={() => session.refetch()}>
          <Trans>Try again</Trans>
        </Button>
      </NoPage>
    );
  }
  const user = session.data.user;
  if (!user) {
    return <SignIn />;
  }
  return (
    <>
      <a className="skip" href="#content">
        <Trans>Skip to the content</Trans>
      </a>
      <Bar user={user} onGuide={() => setShowKeys(true)} />
      {session.data.gym?.isDemo && may(user, "MANAGE_GYM") && (
        <Suspense>
          <DemoLine />
        </Suspense>
      )}
      <Notices />
      <ScrollRestoration />
      <div id="content">
        <Suspense fallback={<Loading />}>
          <Outlet />
        </Suspense>
      </div>
      {wasShown.current && (
        <Suspense>
          <GuideDialog isOpen={showKeys} onClose={() => setShowKeys(false)} />
        </Suspense>
      )}
    </>
  );
}

/** Fetches the other screens once somebody is signed in. */
function useFetchedScreens(isSignedIn: boolean) {
  useEffect(() => {
    if (isSignedIn) {
      fetchScreens();
    }
  }, [isSignedIn]);
}
