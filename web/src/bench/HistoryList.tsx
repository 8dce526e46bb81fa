import { Button, Divider, Menu, MenuItem, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { data, server } from "../api/client";
import { look } from "../theme";
import { AlternativeItems, KeepAlternative } from "./Alternatives";
import { goTo, useHistory } from "./state/history";
import { useView } from "./state/view";

/** All steps of the view, the newest first; any of them can be gone back to. */
export function HistoryList() {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [keeping, setKeeping] = useState<number>();
  return (
    <>
      <Button onClick={(e) => setAt(e.currentTarget)} aria-haspopup="menu">
        History
      </Button>
      {at && <Steps at={at} onClose={() => setAt(null)} onKeep={setKeeping} />}
      {keeping !== undefined && <KeepAlternative revision={keeping} onClose={() => setKeeping(undefined)} />}
    </>
  );
}

function Steps({
  at,
  onClose,
  onKeep,
}: {
  at: HTMLElement;
  onClose: () => void;
  onKeep: (revision: number) => void;
}) {
  const id = useView((s) => s.sheet?.id) ?? "";
  const revision = useHistory((s) => s.saved.revision);
  const steps = useQuery({
    queryKey: ["history", id, revision],
    queryFn: () => data(server.GET("/api/views/{id}/history", { params: { path: { id } } })),
  });
  return (
    <Menu
      anchorEl={at}
      open
      onClose={onClose}
      slotProps={{ list: { "aria-label": "History" }, paper: { sx: { maxHeight: 480, width: 340 } } }}
    >
      <MenuItem component={Link} to={`/views/${id}/compare`}>
        Compare …
      </MenuItem>
      <MenuItem
        onClick={() => {
          onClose();
          onKeep(revision);
        }}
      >
        Keep as an alternative …
      </MenuItem>
      <AlternativeItems view={id} onGo={onClose} />
      <Divider />
      {steps.error && <MenuItem disabled>{steps.error.message}</MenuItem>}
      {!steps.data && !steps.error && <MenuItem disabled>Reading the history…</MenuItem>}
      {steps.data?.map((step) => (
        <MenuItem
          key={step.number}
          selected={step.here}
          aria-current={step.here ? "step" : undefined}
          sx={{
            display: "grid",
            gridTemplateColumns: "34px 1fr auto",
            color: step.left ? look.soft : look.ink,
          }}
          onClick={() => {
            onClose();
            void goTo(step.number);
          }}
        >
          <span style={{ color: look.soft }}>{step.number}</span>
          <Typography noWrap title={step.said}>
            {step.said}
            {step.left ? " (left)" : ""}
          </Typography>
          <Typography variant="caption">
            {new Date(step.made).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" })}
          </Typography>
        </MenuItem>
      ))}
    </Menu>
  );
}
