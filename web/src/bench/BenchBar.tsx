import {
  Box,
  Button,
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
import { useState } from "react";
import { Link } from "react-router";
import { TopBar } from "../kit/Page";
import { ALL, ANCHOR, showBefore } from "./state/gesture";
import { take, useHand } from "./state/hand";
import { help, useHelpers } from "./state/helpers";
import { redo, undo, useHistory } from "./state/history";
import { usePlace } from "./stage/place";
import { useView } from "./state/view";
import { against, useWipe, type Against } from "./state/wipe";
import { HistoryList } from "./HistoryList";
import { surround, useViewport, zoomFit, zoomTo, type Surround } from "./state/viewport";

const SURROUND: Record<Surround, string> = {
  grey: "Mid grey",
  white: "White, as on a listing page",
  dark: "Dark",
};

/** Where one is, how the picture is seen, and the way back and out. */
export function BenchBar({ onHelp }: { onHelp: () => void }) {
  const sheet = useView((s) => s.sheet);
  // where its shoot is, is known only once the view has come
  const shoot = sheet && `/shoots/${sheet.shoot}`;
  return (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: shoot, name: sheet?.shootName ?? "…" },
        { name: sheet?.name ?? "…" },
      ]}
    >
      <Box sx={{ flexGrow: 1, display: "flex", gap: 1, alignItems: "center", ml: 2 }}>
        <Zoom />
        <SurroundMenu />
        <Switches />
      </Box>
      <Steps />
      <HistoryList />
      <CameraAgainst />
      <Tooltip title="Hold for the anchor as the camera made it (B); with Shift for the ground alone">
        <Button
          onPointerDown={(e) => showBefore(e.shiftKey ? ALL : ANCHOR)}
          onPointerUp={() => showBefore("")}
          onPointerLeave={() => showBefore("")}
          onPointerCancel={() => showBefore("")}
        >
          Before
        </Button>
      </Tooltip>
      <Button onClick={onHelp} aria-label="Keys">
        ?
      </Button>
      {shoot ? (
        <Button component={Link} to={`${shoot}/delivery`} variant="contained">
          Deliver
        </Button>
      ) : (
        <Button disabled variant="contained">
          Deliver
        </Button>
      )}
    </TopBar>
  );
}

/** The camera's picture against ours. */
function CameraAgainst() {
  const mode = useWipe((s) => s.mode);
  return (
    <ToggleButtonGroup
      exclusive
      value={mode}
      aria-label="The camera's picture against ours"
      onChange={(_, to: Against | null) => against(to ?? "")}
    >
      <ToggleButton value="wipe">
        <Tooltip title="The camera's picture on one side of a line, ours on the other (W)">
          <span>Wipe</span>
        </Tooltip>
      </ToggleButton>
      <ToggleButton value="beside">
        <Tooltip title="The camera's picture beside ours (W, W)">
          <span>Beside</span>
        </Tooltip>
      </ToggleButton>
    </ToggleButtonGroup>
  );
}

const ZOOMS: Record<string, () => void> = { fit: zoomFit, half: () => zoomTo(0.5), one: () => zoomTo(1) };

function Zoom() {
  const zoom = useViewport((s) => s.zoom);
  const { scale } = usePlace();
  const value = zoom.fit ? "fit" : zoom.scale === 0.5 ? "half" : zoom.scale === 1 ? "one" : "";
  return (
    <>
      <ToggleButtonGroup
        exclusive
        value={value}
        aria-label="Zoom"
        onChange={(_, z: string | null) => ZOOMS[z ?? ""]?.()}
      >
        <ToggleButton value="fit">Fit</ToggleButton>
        <ToggleButton value="half">1:2</ToggleButton>
        <ToggleButton value="one">1:1</ToggleButton>
      </ToggleButtonGroup>
      <Typography color="text.secondary" noWrap sx={{ flexShrink: 0 }}>
        {Math.round(scale * 100)} %
      </Typography>
    </>
  );
}

function SurroundMenu() {
  const now = useViewport((s) => s.surround);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button onClick={(e) => setMenu(e.currentTarget)}>Surround</Button>
      <Menu anchorEl={menu} open={!!menu} onClose={() => setMenu(null)}>
        {(Object.keys(SURROUND) as Surround[]).map((k) => (
          <MenuItem
            key={k}
            selected={now === k}
            onClick={() => {
              surround(k);
              setMenu(null);
            }}
          >
            {SURROUND[k]}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

function Switches() {
  const zebra = useViewport((s) => s.zebra);
  const watching = useHelpers((s) => s.watching);
  const probing = useHand((s) => s.tool === "probe");
  return (
    <>
      <ToggleButton value="z" selected={zebra} onChange={() => useViewport.setState({ zebra: !zebra })}>
        Zebra
      </ToggleButton>
      <ToggleButton
        value="h"
        selected={watching}
        onChange={() => help({ watching: !watching, specks: false })}
      >
        Watch
      </ToggleButton>
      <ToggleButton value="p" selected={probing} onChange={() => take({ tool: probing ? "look" : "probe" })}>
        Probe
      </ToggleButton>
    </>
  );
}

function Steps() {
  const canUndo = useHistory((s) => s.saved.canUndo);
  const canRedo = useHistory((s) => s.saved.canRedo);
  return (
    <>
      <Tooltip title="Undo (Ctrl Z)">
        <span>
          <IconButton aria-label="Undo" disabled={!canUndo} onClick={() => void undo()}>
            <Undo sx={{ fontSize: 18 }} />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title="Redo (Ctrl Shift Z)">
        <span>
          <IconButton aria-label="Redo" disabled={!canRedo} onClick={() => void redo()}>
            <Redo sx={{ fontSize: 18 }} />
          </IconButton>
        </span>
      </Tooltip>
    </>
  );
}
