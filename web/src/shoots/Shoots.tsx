import { Box, Button, TextField, Typography } from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { FileWithPath } from "react-dropzone";
import { Link, useNavigate } from "react-router";
import { useMay } from "../account/roles";
import { data, server } from "../api/client";
import type { Shoot } from "../api/types";
import { count } from "../bench/words";
import { useBin } from "../bin/useBin";
import { CardMenu } from "../kit/CardMenu";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";
import { DropPlace } from "../upload/DropPlace";
import { add as send } from "../upload/queue";
import { STATE, linedUp, waits } from "../contacts/states";

/** The studio's commissions. */
export function Shoots() {
  const shoots = useQuery({
    queryKey: ["shoots"],
    queryFn: () => data(server.GET("/api/shoots")),
    // a shoot's card may still be coming in
    refetchInterval: (q) => (q.state.data?.some(coming) ? 3000 : false),
  });
  const [name, setName] = useState("");
  const queries = useQueryClient();
  const go = useNavigate();
  const add = useMutation({
    mutationFn: () => data(server.POST("/api/shoots", { body: { name } })),
    onSuccess: (shoot) => {
      void queries.invalidateQueries({ queryKey: ["shoots"] });
      void go(`/shoots/${shoot.id}/intake`);
    },
  });
  const waiting = shoots.data?.flatMap((s) => s.views).filter(waits).length ?? 0;
  const bin = useBin();
  const may = useMay();
  const begin = useMutation({
    mutationFn: async (files: FileWithPath[]) => {
      const shoot = await data(server.POST("/api/shoots", { body: { name: named(files) } }));
      void queries.invalidateQueries({ queryKey: ["shoots"] });
      void send(shoot.id, files);
      await go(`/shoots/${shoot.id}/intake`);
    },
  });
  return (
    <DropPlace
      says="Drop frames to begin a shoot with them"
      disabled={!may.takeIn}
      onFiles={(files) => begin.mutate(files)}
    >
      {() => (
        <Page
          bar={
            <TopBar crumbs={[{ name: "Shoots" }]}>
              <Button component={Link} to="/second-look" variant={waiting > 0 ? "contained" : "outlined"}>
                {waiting > 0 ? `Second look: ${count(waiting, "view", "views")}` : "Second look"}
              </Button>
              <Button component={Link} to="/guide">
                Field guide
              </Button>
              {may.remove && (
                <Button component={Link} to="/bin">
                  Bin
                </Button>
              )}
            </TopBar>
          }
        >
          <Said problem={shoots.error ?? add.error ?? begin.error ?? bin.problem} />
          <Box
            sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(380px, 1fr))", gap: 2.5 }}
          >
            {shoots.data?.map((s) => (
              <ShootCard
                key={s.id}
                shoot={s}
                onRename={(to) => bin.rename({ id: s.id, kind: "SHOOT", name: to })}
                onThrow={
                  may.remove ? () => bin.throwAway({ id: s.id, kind: "SHOOT", name: s.name }) : undefined
                }
                intake={may.takeIn}
              />
            ))}
            {may.takeIn && (
              <Box
                component="form"
                onSubmit={(e) => {
                  e.preventDefault();
                  if (!add.isPending && !add.isSuccess) add.mutate();
                }}
                sx={{
                  border: `1px dashed ${look.strong}`,
                  p: 2.5,
                  display: "grid",
                  alignContent: "center",
                  gap: 1.5,
                  minHeight: 220,
                }}
              >
                <Typography variant="h2">New shoot</Typography>
                <TextField
                  size="small"
                  label="Property or commission"
                  required
                  value={name}
                  onChange={(e) => setName(e.target.value)}
                  slotProps={{ htmlInput: { maxLength: 200 } }}
                />
                <Box>
                  <Button type="submit" data-once disabled={!name.trim() || add.isPending}>
                    Create, then add frames
                  </Button>
                </Box>
                <Typography variant="caption">
                  or drop frames, or a folder of them, anywhere on this page
                </Typography>
              </Box>
            )}
          </Box>
          {shoots.data?.length === 0 && !may.takeIn && <Typography>No shoots yet.</Typography>}
          {bin.note}
        </Page>
      )}
    </DropPlace>
  );
}

/** A name for a shoot that begins with files: their folder's, else the day's. */
function named(files: readonly FileWithPath[]): string {
  const path = files[0]?.path ?? "";
  const folder = path
    .split("/")
    .filter((p) => p && p !== ".")
    .at(-2);
  return folder ?? `Shoot of ${new Date().toLocaleDateString("en-GB", { dateStyle: "long" })}`;
}

const coming = (s: Shoot) => s.views.length === 0 || !s.views.every(linedUp);

function ShootCard({
  shoot,
  onRename,
  onThrow,
  intake,
}: {
  shoot: Shoot;
  onRename: (to: string) => void;
  onThrow?: () => void;
  intake: boolean;
}) {
  const [only] = shoot.views;
  const covered = shoot.views.find(linedUp);
  const due = shoot.views.filter(waits).length;
  const left = shoot.views.filter((v) => v.state !== "DELIVERED").length;
  return (
    <Box component="article" sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper" }}>
      <Link
        to={shoot.views.length ? `/shoots/${shoot.id}` : `/shoots/${shoot.id}/intake`}
        aria-label={shoot.name}
      >
        <Box
          sx={{
            aspectRatio: "3 / 2",
            bgcolor: look.surround.grey,
            overflow: "hidden",
            display: "grid",
            placeItems: "center",
          }}
        >
          {covered ? (
            <Box
              component="img"
              src={`/api/views/${covered.id}/cover`}
              alt=""
              sx={{ width: "100%", height: "100%", objectFit: "cover", display: "block" }}
            />
          ) : (
            <Typography sx={{ color: look.white }}>No frames yet</Typography>
          )}
        </Box>
      </Link>
      <Box sx={{ p: 1.5, display: "flex", alignItems: "center", gap: 1.5 }}>
        <Box sx={{ flexGrow: 1, minWidth: 0 }}>
          <Typography variant="h2" noWrap>
            {shoot.name}
          </Typography>
          <Typography variant="body2" color="text.secondary">
            {shoot.views.length === 0
              ? "Waiting for its frames"
              : `${shoot.views.length} ${shoot.views.length === 1 ? "view" : "views"}, ${left === 0 ? "all delivered" : `${left} to deliver`}`}
            {due > 0 ? `, ${due} for a second look` : ""}
            {only && left === 1 && shoot.views.length === 1 ? `, ${STATE[only.state]}` : ""}
          </Typography>
        </Box>
        <CardMenu name={shoot.name} onRename={onRename} onThrow={onThrow} />
        {intake && (
          <Button component={Link} to={`/shoots/${shoot.id}/intake`}>
            Intake
          </Button>
        )}
        {shoot.views.length > 0 && (
          <Button component={Link} to={`/shoots/${shoot.id}`} variant="contained">
            Open
          </Button>
        )}
      </Box>
    </Box>
  );
}
