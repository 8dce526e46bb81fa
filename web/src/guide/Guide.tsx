import { Box, Button, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { data, server } from "../api/client";
import type { Shoot } from "../api/types";
import { Page, TopBar } from "../kit/Page";
import { look } from "../theme";
import { GUIDE, type GuidePage } from "./pages";
import { PageView } from "./PageView";
import { linedUp } from "../contacts/states";

/** Where a page is tried: on the view that it shows, or on any that is ready. */
function tried(page: GuidePage, shoots: Shoot[]): { to: string; on: string } | undefined {
  const views = shoots.flatMap((s) => s.views.map((v) => ({ ...v, shoot: s }))).filter(linedUp);
  const view = views.find((v) => v.name === page.view) ?? views[0];
  if (!view) return undefined;
  if (page.id === "set") return { to: `/shoots/${view.shoot.id}`, on: view.shoot.name };
  const stage = page.stage ? `?${new URLSearchParams({ stage: page.stage }).toString()}` : "";
  return { to: `/views/${view.id}${stage}`, on: view.name };
}

/** Twelve short pages, in the order of work. */
export function Guide() {
  const { page: id } = useParams();
  const shoots = useQuery({ queryKey: ["shoots"], queryFn: () => data(server.GET("/api/shoots")) });
  const at = Math.max(
    0,
    GUIDE.findIndex((p) => p.id === id),
  );
  const page = GUIDE[at];
  if (!page) return null;
  const where = tried(page, shoots.data ?? []);
  const [before, after] = [GUIDE[at - 1], GUIDE[at + 1]];
  return (
    <Page bar={<TopBar crumbs={[{ to: "/shoots", name: "Shoots" }, { name: "Field guide" }]} />}>
      <Box sx={{ display: "grid", gridTemplateColumns: "260px minmax(0, 1fr)", gap: 4, alignItems: "start" }}>
        <Box component="nav" aria-label="Pages" sx={{ display: "grid" }}>
          {GUIDE.map((p, i) => (
            <Link
              key={p.id}
              to={`/guide/${p.id}`}
              aria-current={p === page ? "page" : undefined}
              style={{ textDecoration: "none", color: look.ink }}
            >
              <Box
                sx={{
                  px: 1.5,
                  py: 0.75,
                  borderLeft: `3px solid ${p === page ? look.amberFill : "transparent"}`,
                  bgcolor: p === page ? look.white : undefined,
                }}
              >
                <Typography sx={{ fontWeight: p === page ? 600 : 400 }}>
                  {i + 1}. {p.title}
                </Typography>
                <Typography variant="caption">
                  {p.stage ?? (p.id === "set" ? "The set" : "Regions")}
                </Typography>
              </Box>
            </Link>
          ))}
        </Box>
        <Box component="article" aria-label={page.title}>
          <Typography variant="h1" component="h2" sx={{ mb: 1.5 }}>
            {page.title}
          </Typography>
          <PageView page={page} />
          <Box sx={{ display: "flex", gap: 1, mt: 2, maxWidth: 660 }}>
            {before && (
              <Button component={Link} to={`/guide/${before.id}`}>
                Page before
              </Button>
            )}
            {after && (
              <Button component={Link} to={`/guide/${after.id}`}>
                Next page
              </Button>
            )}
            <Box sx={{ flexGrow: 1 }} />
            {where && (
              <Button component={Link} to={where.to} variant="contained">
                Try it on {where.on}
              </Button>
            )}
          </Box>
        </Box>
      </Box>
    </Page>
  );
}
