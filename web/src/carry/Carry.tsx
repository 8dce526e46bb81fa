import { Box, Button, Typography } from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { data, server } from "../api/client";
import { useSource } from "../api/source";
import { useShoot } from "../api/shoots";
import { count } from "../bench/words";
import { gone, NotThere } from "../kit/NotThere";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { toggled } from "../kit/selection";
import { Tick } from "../kit/Tick";
import { Target } from "./Target";
import { Wanted } from "./Wanted";
import type { What } from "./what";
import { linedUp } from "../contacts/states";

/** What was decided for one view, carried over to others: seen before it is done, taken back in one go. */
export function Carry() {
  const { view: id = "" } = useParams();
  const source = useSource(id);
  const { sheet, recipe } = source;
  const shoot = useShoot(sheet.data?.shoot ?? "");
  const [asked, setAsked] = useState<What>();
  const [off, setOff] = useState<string[]>([]);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const what = asked ?? {
    passes: recipe.data?.recipe.passes.filter((p) => p.on).map((p) => p.id) ?? [],
    ground: true,
    geometry: false,
  };
  const others = shoot.data?.views.filter((v) => v.id !== id && linedUp(v)) ?? [];
  const views = others.map((v) => v.id).filter((v) => !off.includes(v));
  const nothing = what.passes.length === 0 && !what.ground && !what.geometry;
  const outcomes = useQuery({
    queryKey: ["carry", id, what, others.map((v) => v.id), recipe.data?.edition],
    queryFn: () =>
      data(
        server.POST("/api/views/{id}/carry/outcomes", {
          params: { path: { id } },
          body: { wanted: what, views: others.map((v) => v.id) },
        }),
      ),
    enabled: !nothing && others.length > 0 && !!recipe.data,
    placeholderData: (last) => last,
    // the views may have been worked on meanwhile
    gcTime: 0,
  });
  const carry = useMutation({
    mutationFn: () =>
      data(server.POST("/api/views/{id}/carry", { params: { path: { id } }, body: { wanted: what, views } })),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ["shoot", sheet.data?.shoot] });
      await queries.invalidateQueries({ queryKey: ["steps", sheet.data?.shoot] });
      void navigate(`/shoots/${sheet.data?.shoot}`);
    },
  });
  if (gone(sheet.error)) return <NotThere said={sheet.error.message} />;
  const name = sheet.data?.name ?? "…";
  const bar = (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: `/shoots/${sheet.data?.shoot}`, name: sheet.data?.shootName ?? "…" },
        { to: `/views/${id}`, name },
        { name: "Carry over" },
      ]}
    >
      <Button
        variant="contained"
        data-once
        disabled={nothing || views.length === 0 || carry.isPending}
        onClick={() => carry.mutate()}
      >
        Carry over to {count(views.length, "view", "views")}
      </Button>
    </TopBar>
  );
  return (
    <Page bar={bar}>
      <Said problem={sheet.error ?? recipe.error ?? shoot.error ?? outcomes.error ?? carry.error} />
      <Box sx={{ display: "grid", gridTemplateColumns: "380px 1fr", gap: 2.5, alignItems: "start" }}>
        <Wanted source={source} what={what} onChange={setAsked} />
        <Box component="section" aria-label="Views">
          <Box sx={{ display: "flex", alignItems: "center", gap: 1, mb: 1 }}>
            <Typography variant="h2" sx={{ flexGrow: 1 }}>
              As they will be
            </Typography>
            <Typography color="text.secondary">Hold a picture to see it as it is.</Typography>
            <Tick
              label="All views"
              on={views.length === others.length}
              onChange={(on) => setOff(on ? [] : others.map((v) => v.id))}
            />
          </Box>
          {shoot.data && others.length === 0 && (
            <Typography>There is no other view in this shoot that is lined up.</Typography>
          )}
          <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(260px, 1fr))", gap: 2 }}>
            {others.map((v) => (
              <Target
                key={v.id}
                from={id}
                edition={recipe.data?.edition ?? 0}
                view={v}
                what={nothing ? undefined : what}
                on={views.includes(v.id)}
                outcome={nothing ? undefined : outcomes.data?.find((o) => o.view === v.id)}
                onChange={() => setOff(toggled(off, v.id))}
              />
            ))}
          </Box>
        </Box>
      </Box>
    </Page>
  );
}
