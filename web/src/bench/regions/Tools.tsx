import {
  Box,
  Button,
  Checkbox,
  FormControlLabel,
  Menu,
  MenuItem,
  ToggleButton,
  ToggleButtonGroup,
  Tooltip,
  Typography,
} from "@mui/material";
import { useState } from "react";
import type { Shape } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { addPart, put, refreshMask, useBench, type Tool } from "../store";
import { DRAW } from "./draw";
import { firstShape, FOUND } from "./found";

/** All ways to make a further part of the selected region. */
export function Tools() {
  const tool = useBench((s) => s.tool);
  const combine = useBench((s) => s.combine);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const find = (shape: Shape) => {
    setMenu(null);
    addPart(shape);
  };
  const held = DRAW.find((d) => d.tool === tool);
  return (
    <Box sx={{ borderTop: 1, borderColor: "divider", mt: 1, pt: 0.75 }}>
      <Box sx={{ display: "flex", gap: 0.75, alignItems: "center", mb: 0.5 }}>
        <Typography color="text.secondary">The next part</Typography>
        <ToggleButtonGroup
          exclusive
          value={combine}
          onChange={(_, c) => c && put({ combine: c })}
          aria-label="How the next part joins"
        >
          <ToggleButton value="ADD">adds</ToggleButton>
          <ToggleButton value="TAKE_AWAY">takes away</ToggleButton>
          <ToggleButton value="OVERLAP">overlaps</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <ToggleButtonGroup
        exclusive
        value={tool}
        onChange={(_, t: Tool | null) => put({ tool: t ?? "look", draft: [] })}
        aria-label="Drawing tool"
        sx={{
          display: "grid",
          gridTemplateColumns: "repeat(4, 1fr)",
          "& .MuiToggleButton-root": { m: 0, px: 0.5 },
        }}
      >
        {DRAW.map((d) => (
          <ToggleButton key={d.tool} value={d.tool}>
            <Tooltip title={`${d.how} (${d.key})`}>
              <span>{d.name}</span>
            </Tooltip>
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Button onClick={(e) => setMenu(e.currentTarget)} sx={{ mt: 0.5 }}>
        Find by tone, light or movement
      </Button>
      <Menu anchorEl={menu} open={!!menu} onClose={() => setMenu(null)}>
        {FOUND.map((f) => (
          <FoundItem key={f.name} name={f.name} kind={f.kind} onPick={find} />
        ))}
      </Menu>
      {held && (
        <Typography variant="caption" component="div" sx={{ mt: 0.5 }}>
          {held.how}
        </Typography>
      )}
      {tool === "brush" && <Tip />}
    </Box>
  );
}

function FoundItem({
  name,
  kind,
  onPick,
}: {
  name: string;
  kind: Shape["kind"];
  onPick: (shape: Shape) => void;
}) {
  const shape = firstShape(kind);
  return (
    <MenuItem disabled={!shape} onClick={() => shape && onPick(shape)}>
      {name}
    </MenuItem>
  );
}

/** How the brush is set. */
function Tip() {
  const brush = useBench((s) => s.brush);
  const scale = (name: "size" | "softness" | "flow" | "stop", rest: object) => (
    <Scale
      {...(rest as { label: string; unit: string; from: number; to: number; step: number; careful: number })}
      value={brush[name]}
      onMove={(v) => put({ brush: { ...brush, [name]: v } })}
      onSettle={() => {}}
    />
  );
  const tick = (name: "stops" | "erasingStops", label: string) => (
    <FormControlLabel
      control={
        <Checkbox
          checked={brush[name]}
          onChange={(e) => put({ brush: { ...brush, [name]: e.target.checked } })}
        />
      }
      label={label}
    />
  );
  return (
    <Box sx={{ mt: 0.5 }}>
      {scale("size", { label: "Brush size", unit: "px", from: 4, to: 1200, step: 2, careful: 120 })}
      {scale("softness", { label: "Softness", unit: "%", from: 0, to: 1, step: 0.01, careful: 0.5 })}
      {scale("flow", { label: "Flow", unit: "%", from: 0.01, to: 1, step: 0.01, careful: 1 })}
      {tick("stops", "Stops at edges")}
      {tick("erasingStops", "also when taking away")}
      {(brush.stops || brush.erasingStops) &&
        scale("stop", { label: "Stops at", unit: "ΔE", from: 2, to: 60, step: 1, careful: 18 })}
    </Box>
  );
}

const SHOW = { veil: "Veil", mono: "Black and white", line: "Line", tint: "Tint", off: "Off" } as const;

/** How the region is shown on the picture. */
export function ShowAs() {
  const veil = useBench((s) => s.veil);
  const tint = useBench((s) => s.tint);
  return (
    <Box sx={{ display: "flex", gap: 0.75, alignItems: "center", mt: 1, flexWrap: "wrap" }}>
      <ToggleButtonGroup
        exclusive
        value={veil}
        aria-label="Region shown as"
        onChange={(_, v: keyof typeof SHOW | null) => {
          if (!v) return;
          put({ veil: v });
          refreshMask();
        }}
      >
        {Object.entries(SHOW).map(([k, v]) => (
          <ToggleButton key={k} value={k} sx={{ px: 0.75 }}>
            {v}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {veil === "tint" && (
        <input
          type="color"
          aria-label="Colour of the tint"
          value={tint}
          onChange={(e) => put({ tint: e.target.value })}
          style={{ width: 34, height: 26, padding: 0, border: "1px solid #cfcfcf", background: "none" }}
        />
      )}
    </Box>
  );
}
