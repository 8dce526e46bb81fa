import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors } from "@dnd-kit/core";
import { Box, Button, Dialog, Typography } from "@mui/material";
import { useCallback, useEffect, useState } from "react";
import { useBlocker, useParams } from "react-router";
import { NotThere } from "../kit/NotThere";
import { Question } from "../kit/Question";
import { Said } from "../kit/Said";
import { look } from "../theme";
import { Board } from "./balance/Board";
import { BenchBar } from "./BenchBar";
import { CameAlong } from "./CameAlong";
import { KEYS, useKeys } from "./keys";
import { Ladder } from "./ladder/Ladder";
import { useOpenedAt } from "./openedAt";
import { Readings } from "./readings/Readings";
import { RecipePanel } from "./recipe/RecipePanel";
import { Shelf } from "./regions/Shelf";
import { Beside } from "./stage/Beside";
import { Stage } from "./stage/Stage";
import { ALL, ANCHOR, useGesture } from "./state/gesture";
import { recipe, resolve, unsaved, useHistory } from "./state/history";
import { sit } from "./state/sitting";
import { complain, kindOf, useView } from "./state/view";
import { useViewport } from "./state/viewport";
import { useWipe } from "./state/wipe";
import { SpecksList } from "./specks/Specks";
import { WatchList } from "./watch/Watch";

/** Below this size, as at 200 % zoom on a small screen, the bench is scrolled rather than cut. */
const LEAST = { minWidth: 1000, minHeight: 640 };

/** Where a view is worked on. */
export function Bench() {
  const { view } = useParams();
  const missing = useView((s) => s.missing);
  useEffect(() => (view ? sit(view) : undefined), [view]);
  return missing ? <NotThere said={missing} /> : <Open />;
}

function Open() {
  const [help, setHelp] = useState(false);
  const list = useCallback(() => setHelp(true), []);
  useKeys(list);
  useOpenedAt();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin}>
      <Box sx={{ height: "100%", ...LEAST, display: "flex", flexDirection: "column" }}>
        <BenchBar onHelp={list} />
        <Box
          component="main"
          sx={{
            flexGrow: 1,
            minHeight: 0,
            display: "grid",
            gridTemplate: "minmax(0, 1fr) 96px / 112px minmax(0, 1fr) 364px",
          }}
        >
          <Ladder />
          <Box
            sx={{
              display: "grid",
              gridTemplateRows: "minmax(0, 1fr) 58px",
              minWidth: 0,
              position: "relative",
            }}
          >
            <Stages />
            <Shelf />
            <WatchList />
            <SpecksList />
            <Board />
            <Problem />
            <Alone />
            <CameAlong />
          </Box>
          <RecipePanel />
          <Readings />
        </Box>
        <KeyList open={help} onClose={() => setHelp(false)} />
        <Conflict />
        <Leaving />
      </Box>
    </DndContext>
  );
}

/** The picture, beside the camera's where that is wanted. */
function Stages() {
  const beside = useWipe((s) => s.mode === "beside");
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: beside ? "1fr 1fr" : "1fr", minWidth: 0, minHeight: 0 }}>
      {beside && <Beside />}
      <Stage />
    </Box>
  );
}

function Problem() {
  const problem = useView((s) => s.problem);
  return (
    <Box sx={{ position: "absolute", left: 16, right: 16, top: 12 }}>
      <Said problem={problem} onClose={() => complain(undefined)} />
    </Box>
  );
}

function KeyList({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose}>
      <Box sx={{ p: 2.5, width: 420 }}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          Keys of the bench
        </Typography>
        {[...KEYS, { keys: "?", does: "this list" }].map((k) => (
          <Box key={k.keys} sx={{ display: "grid", gridTemplateColumns: "150px 1fr", py: 0.25 }}>
            <b style={{ fontWeight: 600 }}>{k.keys}</b>
            <span>{k.does}</span>
          </Box>
        ))}
      </Box>
    </Dialog>
  );
}

/** Another tab has changed the view: one of both versions goes on. */
function Conflict() {
  const conflict = useHistory((s) => s.saved.state === "conflict");
  const said = useHistory((s) => s.saved.said);
  return (
    <Dialog open={conflict}>
      <Box sx={{ p: 2.5, width: 460 }} role="alertdialog" aria-label="Changed in another tab">
        <Typography variant="h2" sx={{ mb: 1 }}>
          Changed in another tab
        </Typography>
        <Typography sx={{ mb: 2 }}>{said}</Typography>
        <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end" }}>
          <Button onClick={() => void resolve(true)}>Keep my version</Button>
          <Button variant="contained" onClick={() => void resolve(false)}>
            Load the other version
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}

/** Warns before the bench is left with steps that could not be kept. */
function Leaving() {
  const stuck = useHistory((s) => s.saved.state === "offline" || s.saved.state === "failed");
  const blocker = useBlocker(() => stuck && unsaved());
  return (
    <Question
      open={blocker.state === "blocked"}
      title="Leave with unsaved steps?"
      text="Some of your steps are not saved yet, because the server is out of reach. They are lost when you leave."
      yes="Leave and lose them"
      no="Stay"
      onYes={() => blocker.proceed?.()}
      onClose={() => blocker.reset?.()}
    />
  );
}

/** What is left out while the before is shown. */
function beforeWords(before: string): string {
  if (before === ANCHOR) return "the anchor as the camera made it";
  if (before === ALL) return "the ground alone";
  const pass = recipe()?.passes.find((p) => p.id === before);
  const kind = kindOf(pass);
  return `without ${kind ? kind.name.toLowerCase() : before}`;
}

/** Says that a single frame, or the ground, is being shown instead of the picture. */
function Alone() {
  const alone = useViewport((s) => s.alone);
  const before = useGesture((s) => s.before);
  const frame = useView((s) => s.sheet?.frames.find((f) => f.id === alone)?.name);
  if (!alone && !before) return null;
  return (
    <Box
      sx={{
        position: "absolute",
        left: 16,
        bottom: 70,
        bgcolor: look.ink,
        color: look.white,
        px: 1.25,
        py: 0.5,
      }}
    >
      {before ? `Before: ${beforeWords(before)}` : `${frame} alone, Esc returns`}
    </Box>
  );
}
