import { Alert, Box, Button, Checkbox, FormControlLabel, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { useMay } from "../account/roles";
import { data, server } from "../api/client";
import type { HouseStyle, Shoot } from "../api/types";
import { Choice } from "../kit/Choice";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { Sheet } from "../kit/Sheet";
import { StyleSheet } from "./StyleSheet";
import { useStyle } from "./useStyle";
import { linedUp } from "../contacts/states";

const nothing = (s: HouseStyle) => s.shifts.length + s.without.length + s.added.length === 0;

const worked = (s: Shoot) => s.views.filter(linedUp).map((v) => v.id);

/** The studio's own start: learned from finished views, changed by hand, kept, and taken along as a file. */
export function House() {
  const may = useMay();
  const [asked, setAsked] = useSearchParams();
  const { style, used, keep, turn, learn } = useStyle();
  const kinds = useQuery({ queryKey: ["catalogue"], queryFn: () => data(server.GET("/api/catalogue")) });
  const shoots = useQuery({ queryKey: ["shoots"], queryFn: () => data(server.GET("/api/shoots")) });
  const [draft, setDraft] = useState<HouseStyle>();
  const [shoot, setShoot] = useState<string>();
  const [unread, setUnread] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const from = asked.get("from");
  const { mutate: learnFrom } = learn;
  const teach = useCallback(
    (views: string[]) => learnFrom(views, { onSuccess: (to) => setDraft(nothing(to) ? undefined : to) }),
    [learnFrom],
  );
  useEffect(() => {
    if (!from) return;
    teach(from.split(","));
    setAsked({}, { replace: true });
  }, [from, teach, setAsked]);
  const shown = draft ?? style.data;
  const chosen = shoots.data?.find((s) => s.id === shoot);
  const read = async (list: FileList | null) => {
    const [first] = list ?? [];
    if (!first) return;
    setUnread(undefined);
    try {
      const style = JSON.parse(await first.text()) as HouseStyle;
      if (![style.shifts, style.without, style.added].every(Array.isArray)) throw new Error("no style");
      setDraft(style);
    } catch {
      setUnread(`${first.name} holds no house style.`);
    }
    if (file.current) file.current.value = "";
  };
  return (
    <Page
      bar={
        <TopBar
          crumbs={[
            { to: "/shoots", name: "Shoots" },
            { to: "/account", name: "Account" },
            { name: "House style" },
          ]}
        >
          <Button component="a" href="/api/house-style/file" download="house-style.json">
            Save it as a file
          </Button>
          {may.runStudio && <Button onClick={() => file.current?.click()}>Open a file …</Button>}
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            hidden
            aria-label="A file with a house style"
            onChange={(e) => void read(e.target.files)}
          />
        </TopBar>
      }
    >
      <Said problem={style.error ?? keep.error ?? turn.error ?? learn.error ?? kinds.error} />
      {unread && (
        <Alert severity="warning" sx={{ mb: 1.5 }}>
          {unread}
        </Alert>
      )}
      <Box
        sx={{ display: "grid", gridTemplateColumns: "320px minmax(0, 1fr)", gap: 2.5, alignItems: "start" }}
      >
        <Box sx={{ display: "grid", gap: 2.5 }}>
          <Sheet title="House style">
            <Typography>
              First versions are measured anew in each view; then they are changed as this studio usually
              changes them. The change is a step that can be undone.
            </Typography>
            <FormControlLabel
              label="Use it for new views"
              control={
                <Checkbox
                  checked={used ?? false}
                  disabled={!may.runStudio || used === undefined}
                  onChange={(_, to) => turn.mutate(to)}
                />
              }
            />
          </Sheet>
          {may.runStudio && (
            <Sheet title="Learn it">
              <Typography>
                From a shoot that is finished: what was done to more than half of its views.
              </Typography>
              <Choice
                label="Shoot"
                value={shoot}
                options={(shoots.data ?? [])
                  .filter((s) => worked(s).length > 0)
                  .map((s) => ({ id: s.id, name: s.name }))}
                onChoose={setShoot}
              />
              <Box>
                <Button disabled={!chosen || learn.isPending} onClick={() => chosen && teach(worked(chosen))}>
                  Learn from this shoot
                </Button>
              </Box>
            </Sheet>
          )}
        </Box>
        <Box sx={{ display: "grid", gap: 2 }}>
          {learn.data && nothing(learn.data) && (
            <Alert severity="info">
              Nothing was done to more than half of these views that other views could take over.
            </Alert>
          )}
          {draft && (
            <Alert
              severity="info"
              action={
                <Box sx={{ display: "flex", gap: 1 }}>
                  <Button onClick={() => setDraft(undefined)}>Discard</Button>
                  <Button
                    variant="contained"
                    disabled={keep.isPending}
                    onClick={() => keep.mutate(draft, { onSuccess: () => setDraft(undefined) })}
                  >
                    Keep this style
                  </Button>
                </Box>
              }
            >
              Not kept yet.
            </Alert>
          )}
          {shown && kinds.data && (
            <StyleSheet style={shown} kinds={kinds.data} onStyle={may.runStudio ? setDraft : undefined} />
          )}
        </Box>
      </Box>
    </Page>
  );
}
