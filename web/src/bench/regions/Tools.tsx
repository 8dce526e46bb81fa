import {
  Box,
  Button,
  Menu,
  MenuItem,
  ToggleButton,
  ToggleButtonGroup,
  Tooltip,
  Typography,
} from "@mui/material";
import { memo, useState } from "react";
import type { Part, Shape } from "../../api/types";
import { Scale } from "../../kit/Scale";
import { Tick } from "../../kit/Tick";
import { addPart } from "../edits/regions";
import { DRAWN, firstShape, FOUND } from "../parts";
import { RegionLine } from "../parts/lines";
import { take, useHand, type BrushTip } from "../state/hand";
import { useHistory } from "../state/history";

/** All ways to make a further part of the selected region. */
export const Tools = memo(function Tools() {
  const tool = useHand((s) => s.tool);
  const combine = useHand((s) => s.combine);
  return (
    <Box sx={{ borderTop: 1, borderColor: "divider", mt: 1, pt: 0.75 }}>
      <Box sx={{ display: "flex", gap: 0.75, alignItems: "center", mb: 0.5 }}>
        <Typography color="text.secondary">The next part</Typography>
        <ToggleButtonGroup
          exclusive
          value={combine}
          onChange={(_, c: Part["combine"] | null) => c && take({ combine: c })}
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
        onChange={(_, t: string | null) => take({ tool: t ?? "look", draft: [] })}
        aria-label="Drawing tool"
        sx={{
          display: "grid",
          gridTemplateColumns: "repeat(4, 1fr)",
          "& .MuiToggleButton-root": { m: 0, px: 0.5 },
        }}
      >
        {DRAWN.map((p) => (
          <ToggleButton key={p.kind} value={p.kind}>
            <Tooltip title={`${p.draw?.how} (${p.draw?.key})`}>
              <span>{p.name}</span>
            </Tooltip>
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Find />
      {tool === "brush" && <Tip />}
    </Box>
  );
});

/** Parts that are found in the frames. */
function Find() {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const region = useHand((s) => s.region);
  const pick = (shape: Shape | undefined) => {
    setMenu(null);
    if (shape) addPart(shape);
  };
  return (
    <>
      <Button onClick={(e) => setMenu(e.currentTarget)} sx={{ mt: 0.5 }}>
        Find by tone, light or movement
      </Button>
      <Menu anchorEl={menu} open={!!menu} onClose={() => setMenu(null)}>
        {FOUND.map((p) => (
          <MenuItem
            key={p.kind}
            disabled={!!menu && !firstShape(p.kind, region)}
            onClick={() => pick(firstShape(p.kind, region))}
          >
            {p.name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

/** How the brush is set. */
const SCALES = [
  { name: "size", label: "Brush size", unit: "px", from: 4, to: 1200, step: 2, defaultValue: 120 },
  { name: "softness", label: "Softness", unit: "%", from: 0, to: 1, step: 0.01, defaultValue: 0.5 },
  { name: "flow", label: "Flow", unit: "%", from: 0.01, to: 1, step: 0.01, defaultValue: 1 },
] as const;

const STOP = {
  name: "stop",
  label: "Stops at",
  unit: "ΔE",
  from: 2,
  to: 60,
  step: 1,
  defaultValue: 18,
} as const;

function Tip() {
  const brush = useHand((s) => s.brush);
  const part = useHand((s) => s.part);
  // a chosen brush says itself where it paints
  const painting = useHistory((s) =>
    s.recipe?.regions.some((r) => r.parts.some((p) => p.id === part && p.shape.kind === "brush")),
  );
  const set = (to: Partial<BrushTip>) => take({ brush: { ...brush, ...to } });
  const scale = (s: (typeof SCALES)[number] | typeof STOP) => (
    <Scale
      key={s.name}
      {...s}
      value={brush[s.name]}
      onMove={(v) => set({ [s.name]: v })}
      onSettle={() => {}}
    />
  );
  return (
    <Box sx={{ mt: 0.5 }}>
      {SCALES.map(scale)}
      {!painting && (
        <RegionLine
          region={brush.inside}
          what="Paint only inside"
          none="no region"
          onPick={(inside) => set({ inside })}
        />
      )}
      <Tick label="Stops at edges" on={brush.stops} onChange={(stops) => set({ stops })} />
      <Tick
        label="also when taking away"
        on={brush.erasingStops}
        onChange={(erasingStops) => set({ erasingStops })}
      />
      {(brush.stops || brush.erasingStops) && scale(STOP)}
    </Box>
  );
}
