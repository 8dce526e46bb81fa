import { Box, Button, Typography } from "@mui/material";
import { Link } from "react-router";
import { Refused } from "../api/client";
import { Page, TopBar } from "./Page";

/** Whether the server says that something is not there. */
export const gone = (e: unknown): e is Refused =>
  e instanceof Refused && (e.status === 404 || e.status === 400);

/** A place that leads nowhere, and the way back. */
export function NotThere({ said = "There is nothing at this address." }: { said?: string }) {
  return (
    <Page bar={<TopBar crumbs={[{ to: "/shoots", name: "Shoots" }, { name: "Not there" }]} />}>
      <Box sx={{ display: "grid", gap: 1.5, justifyItems: "start" }}>
        <Typography variant="h2">{said}</Typography>
        <Button component={Link} to="/shoots" variant="contained">
          Go to the shoots
        </Button>
      </Box>
    </Page>
  );
}
