import { Dialog, Typography } from "@mui/material";
import { useQueryClient } from "@tanstack/react-query";
import { Suspense, useEffect, useMemo, useState } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Found, Join } from "./account/Join";
import { SignIn } from "./account/SignIn";
import { onSessionEnd } from "./api/client";
import { useFirst, useSession } from "./api/session";
import { tryAgain } from "./bench/state/history";
import { Client } from "./client/Client";
import { Broken } from "./kit/Broken";
import { swallowSecondClicks } from "./kit/once";
import { loadAhead, SCREENS } from "./screens";
import { goOn, restore } from "./upload/queue";

/** Sign-in, or the screens; a session that ends meanwhile is begun again without losing anything. */
export function App() {
  const session = useSession();
  const first = useFirst(session.data === null);
  const queries = useQueryClient();
  const [ended, setEnded] = useState(false);
  useEffect(() => onSessionEnd(() => setEnded(true)), []);
  useEffect(swallowSecondClicks, []);
  const signed = !!session.data && !ended;
  // what a page before was sending goes on
  useEffect(() => {
    if (!signed) return;
    void restore().then(goOn);
    const soon = setTimeout(loadAhead, 1500);
    return () => clearTimeout(soon);
  }, [signed]);
  const router = useMemo(
    () =>
      createBrowserRouter([
        { path: "/", element: <Navigate to="/shoots" replace /> },
        ...SCREENS.map((s) => ({ path: s.path, element: s.screen, errorElement: <Broken /> })),
      ]),
    [],
  );
  const secret = /^\/client\/([\w-]+)$/.exec(location.pathname)?.[1];
  if (secret) return <Client secret={secret} />;
  if (session.isPending || first.isLoading) return null;
  if (session.error) return <Broken said={session.error.message} />;
  const token = /^\/invitations\/([\w-]+)$/.exec(location.pathname)?.[1];
  if (token) return <Join token={token} />;
  if (!session.data && !ended) {
    return first.data?.wanted ? <Found /> : <SignIn onSigned={() => void queries.invalidateQueries()} />;
  }
  return (
    <>
      <Suspense fallback={<Typography sx={{ p: 2 }}>Opening…</Typography>}>
        <RouterProvider router={router} />
      </Suspense>
      <Dialog open={ended} fullScreen slotProps={{ paper: { "aria-label": "Sign in again" } }}>
        <SignIn
          onSigned={() => {
            setEnded(false);
            void queries.invalidateQueries();
            tryAgain();
          }}
        />
      </Dialog>
    </>
  );
}
