import { Box, Button, TextField, Typography } from "@mui/material";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { data, server } from "../api/client";
import { useSession } from "../api/session";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { People } from "./People";
import { ROLE, useMay } from "./roles";
import { Sheet } from "../kit/Sheet";
import { StudioWords } from "./StudioWords";

/** One's own account, and for owners the studio with its people. */
export function Account() {
  const session = useSession();
  const may = useMay();
  if (!session.data) return null;
  return (
    <Page bar={<TopBar crumbs={[{ to: "/shoots", name: "Shoots" }, { name: "Account" }]} />}>
      <Box
        sx={{ display: "grid", gridTemplateColumns: "360px minmax(0, 1fr)", gap: 2.5, alignItems: "start" }}
      >
        <Box sx={{ display: "grid", gap: 2.5 }}>
          <Sheet title="You">
            <Typography color="text.secondary">
              {session.data.email}, {ROLE[session.data.role].name.toLowerCase()} of {session.data.studio}
            </Typography>
            <OwnName now={session.data.name} />
          </Sheet>
          <Sheet title="House style">
            <Typography color="text.secondary">
              How first versions are changed to this studio's taste.
            </Typography>
            <Box>
              <Button component={Link} to="/house-style">
                Open the house style
              </Button>
            </Box>
          </Sheet>
          <Sheet title="Password">
            <Password />
          </Sheet>
          <Sheet title="Sessions">
            <Typography color="text.secondary">Signs you out on every computer, on this one too.</Typography>
            <Everywhere />
          </Sheet>
        </Box>
        {may.runStudio && (
          <Box sx={{ display: "grid", gap: 2.5 }}>
            <StudioWords />
            <People />
          </Box>
        )}
      </Box>
    </Page>
  );
}

function OwnName({ now }: { now: string }) {
  const queries = useQueryClient();
  const [name, setName] = useState(now);
  const change = useMutation({
    mutationFn: () => data(server.PUT("/api/account/name", { body: { name } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["session"] }),
  });
  return (
    <>
      <Said problem={change.error} />
      <TextField size="small" label="Your name" value={name} onChange={(e) => setName(e.target.value)} />
      <Box>
        <Button disabled={!name.trim() || name.trim() === now} onClick={() => change.mutate()}>
          Change name
        </Button>
      </Box>
    </>
  );
}

function Password() {
  const [now, setNow] = useState("");
  const [then, setThen] = useState("");
  const change = useMutation({
    mutationFn: () => data(server.PUT("/api/account/password", { body: { now, then } })),
    onSuccess: () => {
      setNow("");
      setThen("");
    },
  });
  return (
    <Box
      component="form"
      sx={{ display: "grid", gap: 1.5 }}
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate();
      }}
    >
      <Said problem={change.error} />
      <TextField
        size="small"
        type="password"
        label="Password so far"
        autoComplete="current-password"
        value={now}
        onChange={(e) => setNow(e.target.value)}
      />
      <TextField
        size="small"
        type="password"
        label="New password, 10 characters or more"
        autoComplete="new-password"
        value={then}
        onChange={(e) => setThen(e.target.value)}
      />
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
        <Button type="submit" disabled={!now || then.length < 10}>
          Change password
        </Button>
        {change.isSuccess && !now && <Typography role="status">Changed.</Typography>}
      </Box>
    </Box>
  );
}

function Everywhere() {
  const leave = useMutation({
    mutationFn: () => data(server.DELETE("/api/account/sessions")),
    onSuccess: () => location.assign("/"),
  });
  return (
    <>
      <Said problem={leave.error} />
      <Box>
        <Button onClick={() => leave.mutate()}>Sign out everywhere</Button>
      </Box>
    </>
  );
}
