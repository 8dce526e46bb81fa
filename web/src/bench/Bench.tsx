import {
  Box,
  Button,
  Dialog,
  IconButton,
  Menu,
  MenuItem,
  ToggleButton,
  ToggleButtonGroup,
  Tooltip,
  Typography,
} from "@mui/material";
import Redo from "@mui/icons-material/Redo";
import Undo from "@mui/icons-material/Undo";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";
import { KEYS, useKeys } from "./keys";
import { Board } from "./balance/Board";
import { Ladder } from "./ladder/Ladder";
import { Readings } from "./readings/Readings";
import { RecipePanel } from "./recipe/RecipePanel";
import { Shelf } from "./regions/Shelf";
import { Stage } from "./stage/Stage";
import { WatchList } from "./watch/Watch";
import { useShallow } from "zustand/react/shallow";
import {
  geometry,
  open,
  put,
  redo,
  resolve,
  showBefore,
  ALL,
  undo,
  useBench,
  zoomFit,
  zoomTo,
  type BenchState,
} from "./store";

const SURROUND = { grey: "Mid grey", white: "White, as on a listing page", dark: "Dark" } as const;

/** Where a view is worked on. */
export function Bench() {
  const { view } = useParams();
  const [help, setHelp] = useState(false);
  useEffect(() => open(view!), [view]);
  useKeys(() => setHelp(true));
  const problem = useBench((s) => s.problem);
  const conflict = useBench((s) => s.saved.state === "conflict");
  const said = useBench((s) => s.saved.said);
  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <Bar onHelp={() => setHelp(true)} />
      <Box
        component="main"
        sx={{
          flexGrow: 1,
          minHeight: 0,
          display: "grid",
          gridTemplate: "minmax(0, 1fr) 96px / 112px minmax(0, 1fr) 324px",
        }}
      >
        <Ladder />
        <Box
          sx={{ display: "grid", gridTemplateRows: "minmax(0, 1fr) 58px", minWidth: 0, position: "relative" }}
        >
          <Stage />
          <Shelf />
          <WatchList />
          <Board />
          {problem && (
            <Box sx={{ position: "absolute", left: 16, right: 16, top: 12 }}>
              <Said problem={problem} onClose={() => put({ problem: undefined })} />
            </Box>
          )}
          <Alone />
        </Box>
        <RecipePanel />
        <Readings />
      </Box>
      <Dialog open={help} onClose={() => setHelp(false)}>
        <Box sx={{ p: 2.5, width: 420 }}>
          <Typography variant="h2" sx={{ mb: 1 }}>
            Keys of the bench
          </Typography>
          {KEYS.map((k) => (
            <Box key={k.keys} sx={{ display: "grid", gridTemplateColumns: "150px 1fr", py: 0.25 }}>
              <b style={{ fontWeight: 600 }}>{k.keys}</b>
              <span>{k.does}</span>
            </Box>
          ))}
        </Box>
      </Dialog>
      <Dialog open={conflict}>
        <Box sx={{ p: 2.5, width: 460 }} role="alertdialog" aria-label="Changed in another tab">
          <Typography variant="h2" sx={{ mb: 1 }}>
            Changed in another tab
          </Typography>
          <Typography sx={{ mb: 2 }}>{said}</Typography>
          <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end" }}>
            <Button onClick={() => void resolve(true)}>Keep mine on top</Button>
            <Button variant="contained" onClick={() => void resolve(false)}>
              Take over its state
            </Button>
          </Box>
        </Box>
      </Dialog>
    </Box>
  );
}

/** What is left out while the before is shown. */
function beforeWords(before: string): string {
  if (before === ALL) return "the ground alone";
  const { recipe, kinds } = useBench.getState();
  const pass = recipe?.passes.find((p) => p.id === before);
  const kind = kinds.find((k) => k.kind === pass?.move.kind);
  return `without ${kind ? kind.name.toLowerCase() : before}`;
}

/** Says that a single frame, or the ground, is being shown instead of the picture. */
function Alone() {
  const alone = useBench((s) => s.alone);
  const before = useBench((s) => s.before);
  const frame = useBench((s) => s.sheet?.frames.find((f) => f.id === s.alone));
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
      {before ? `Before: ${beforeWords(before)}` : `${frame?.name} alone, Esc returns`}
    </Box>
  );
}

function Bar({ onHelp }: { onHelp: () => void }) {
  const s = useBench(
    useShallow(({ sheet, zoom, stage, surround, zebra, watching, tool, saved }: BenchState) => ({
      sheet,
      zoom,
      stage,
      surround,
      zebra,
      watching,
      tool,
      canUndo: saved.canUndo,
      canRedo: saved.canRedo,
    })),
  );
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const g = geometry();
  const zoom = s.zoom.fit ? "fit" : s.zoom.scale === 0.5 ? "half" : s.zoom.scale === 1 ? "one" : "";
  return (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: `/shoots/${s.sheet?.shoot}`, name: s.sheet?.shootName ?? "…" },
        { name: s.sheet?.name ?? "…" },
      ]}
    >
      <Box sx={{ flexGrow: 1, display: "flex", gap: 1, alignItems: "center", ml: 2 }}>
        <ToggleButtonGroup
          exclusive
          value={zoom}
          aria-label="Zoom"
          onChange={(_, z) =>
            z === "fit" ? zoomFit() : z === "half" ? zoomTo(0.5) : z === "one" ? zoomTo(1) : undefined
          }
        >
          <ToggleButton value="fit">Fit</ToggleButton>
          <ToggleButton value="half">1:2</ToggleButton>
          <ToggleButton value="one">1:1</ToggleButton>
        </ToggleButtonGroup>
        <Typography color="text.secondary">{Math.round(g.scale * 100)} %</Typography>
        <Button onClick={(e) => setMenu(e.currentTarget)}>Surround</Button>
        <Menu anchorEl={menu} open={!!menu} onClose={() => setMenu(null)}>
          {(Object.keys(SURROUND) as (keyof typeof SURROUND)[]).map((k) => (
            <MenuItem
              key={k}
              selected={s.surround === k}
              onClick={() => {
                put({ surround: k });
                setMenu(null);
              }}
            >
              {SURROUND[k]}
            </MenuItem>
          ))}
        </Menu>
        <ToggleButton value="z" selected={s.zebra} onChange={() => put({ zebra: !s.zebra })}>
          Zebra
        </ToggleButton>
        <ToggleButton value="h" selected={s.watching} onChange={() => put({ watching: !s.watching })}>
          Watch
        </ToggleButton>
        <ToggleButton
          value="p"
          selected={s.tool === "probe"}
          onChange={() => put({ tool: s.tool === "probe" ? "look" : "probe" })}
        >
          Probe
        </ToggleButton>
      </Box>
      <Tooltip title="Undo (Ctrl Z)">
        <span>
          <IconButton aria-label="Undo" disabled={!s.canUndo} onClick={() => void undo()}>
            <Undo sx={{ fontSize: 18 }} />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title="Redo (Ctrl Shift Z)">
        <span>
          <IconButton aria-label="Redo" disabled={!s.canRedo} onClick={() => void redo()}>
            <Redo sx={{ fontSize: 18 }} />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title="Hold to see the ground alone (B)">
        <Button
          onPointerDown={() => showBefore(ALL)}
          onPointerUp={() => showBefore("")}
          onPointerLeave={() => showBefore("")}
        >
          Before
        </Button>
      </Tooltip>
      <Button onClick={onHelp} aria-label="Keys">
        ?
      </Button>
      <Button component={Link} to={`/shoots/${s.sheet?.shoot}/delivery`} variant="contained">
        Deliver
      </Button>
    </TopBar>
  );
}
