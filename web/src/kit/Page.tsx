import { Box, Button, Typography } from "@mui/material";
import { useQueryClient } from "@tanstack/react-query";
import { Fragment, type CSSProperties, type ReactNode } from "react";
import { Link } from "react-router";
import { data, server } from "../api/client";
import { useSession } from "../api/session";
import { look } from "../theme";

/** The product's mark: a window with warm and cool light. */
export function Mark() {
  return (
    <Box component="img" src="/mark.svg" alt="Illuminar" sx={{ width: 20, height: 20, display: "block" }} />
  );
}

/** A name that is shortened where there is too little room. */
const SHORT: CSSProperties = {
  display: "block",
  minWidth: 24,
  margin: 0,
  overflow: "hidden",
  textOverflow: "ellipsis",
  whiteSpace: "nowrap",
};

/** The bar on top of every screen: where you are, and what can be done. */
export function TopBar({
  crumbs,
  children,
}: {
  crumbs: { to?: string; name: string }[];
  children?: ReactNode;
}) {
  const session = useSession();
  const queries = useQueryClient();
  const leave = async () => {
    await data(server.DELETE("/api/session"));
    queries.clear();
    location.assign("/");
  };
  return (
    <Box
      component="header"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        px: 1.75,
        height: 40,
        flexShrink: 0,
        borderBottom: 1,
        borderColor: "divider",
        bgcolor: "background.paper",
      }}
    >
      <Link to="/shoots" aria-label="All shoots">
        <Mark />
      </Link>
      <Typography component="nav" aria-label="Where you are" sx={{ display: "flex", minWidth: 0 }}>
        {crumbs.map((c, i) => (
          <Fragment key={i}>
            {i > 0 && <span style={{ color: look.soft, whiteSpace: "pre" }}> › </span>}
            {c.to ? (
              <Link to={c.to} style={{ ...SHORT, color: look.soft, textDecoration: "none" }}>
                {c.name}
              </Link>
            ) : (
              // what one is in is shortened last
              <h1 style={{ ...SHORT, flexShrink: 0.2, font: "inherit", fontWeight: 600 }}>{c.name}</h1>
            )}
          </Fragment>
        ))}
      </Typography>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexGrow: 1, justifyContent: "flex-end" }}>
        {children}
        {session.data && crumbs.length === 1 && (
          <>
            <Button component={Link} to="/account" aria-label="Account">
              {session.data.name}, {session.data.studio}
            </Button>
            <Button onClick={() => void leave()}>Sign out</Button>
          </>
        )}
      </Box>
    </Box>
  );
}

/** A whole screen under its bar, and above what stands at its foot. */
export function Page({ bar, foot, children }: { bar: ReactNode; foot?: ReactNode; children: ReactNode }) {
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100%" }}>
      {bar}
      <Box component="main" sx={{ flexGrow: 1, overflow: "auto", p: 2.5 }}>
        {children}
      </Box>
      {foot}
    </Box>
  );
}
