import { Box, Button, IconButton, Menu, MenuItem, TextField, Tooltip, Typography } from "@mui/material";
import Close from "@mui/icons-material/Close";
import DeleteOutline from "@mui/icons-material/DeleteOutlineOutlined";
import MoreHoriz from "@mui/icons-material/MoreHoriz";
import { useState } from "react";
import type { Region } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { look } from "../../theme";
import { changeRegion, copyRegion, put, removeRegion, select, settle, trimRegion, useBench } from "../store";
import { PartRow } from "./PartRow";
import { ShowAs, Tools } from "./Tools";

/** Refinements of a whole region, in the order in which they work. */
const REFINE = [
  { name: "grow", label: "Grow", unit: "px", from: -60, to: 60, step: 1, careful: 0, help: "" },
  {
    name: "edge",
    label: "Edge true",
    unit: "px",
    from: 0,
    to: 200,
    step: 1,
    careful: 0,
    help: "How far its edge may move to follow an edge of the ground",
  },
  { name: "feather", label: "Feather", unit: "px", from: 0, to: 400, step: 1, careful: 0, help: "" },
  { name: "density", label: "Density", unit: "%", from: 0, to: 1, step: 0.01, careful: 1, help: "" },
] as const;

/** The selected region: its parts, how they join, its refinement, and the tools to draw more. */
export function RegionCard() {
  const region = useBench((s) => s.recipe?.regions.find((r) => r.id === s.region));
  if (!region) return null;
  return (
    <Box
      component="section"
      aria-label={`Region ${region.name}`}
      sx={{ borderTop: `2px solid ${look.slateFill}`, bgcolor: look.card, px: 1.75, py: 1 }}
    >
      <Head region={region} />
      {region.parts.length === 0 && <Typography color="text.secondary">Empty: draw into it.</Typography>}
      {region.parts.map((part, i) => (
        <PartRow key={part.id} region={region} part={part} index={i} />
      ))}
      <Box sx={{ borderTop: 1, borderColor: "divider", mt: 0.75, pt: 0.5 }}>
        {REFINE.map((r) => (
          <Scale
            key={r.name}
            {...r}
            value={region[r.name]}
            onMove={(v) => changeRegion(region.id, { [r.name]: v })}
            onSettle={settle}
          />
        ))}
        <Button
          onClick={() => {
            changeRegion(region.id, { invert: !region.invert });
            settle();
          }}
          aria-pressed={region.invert}
          sx={region.invert ? { bgcolor: "#dcdcdc", fontWeight: 600 } : undefined}
        >
          Invert
        </Button>
      </Box>
      <Tools />
      <ShowAs />
    </Box>
  );
}

function Head({ region }: { region: Region }) {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [said, setSaid] = useState("");
  const small = { fontSize: 16 };
  const copy = (opposite: boolean) => {
    setMenu(null);
    copyRegion(region.id, opposite);
  };
  const trim = async () => {
    try {
      const less = await trimRegion(region.id);
      setSaid(less > 0 ? `${less} B less` : "nothing to trim");
    } catch (e) {
      put({ problem: e instanceof Error ? e.message : String(e) });
    }
  };
  return (
    <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", mb: 0.75 }}>
      <TextField
        key={region.id}
        size="small"
        defaultValue={region.name}
        onBlur={(e) => {
          if (e.target.value.trim() && e.target.value !== region.name) {
            changeRegion(region.id, { name: e.target.value.trim() });
            settle();
          }
        }}
        slotProps={{ htmlInput: { "aria-label": "Name of the region" } }}
        sx={{ flexGrow: 1 }}
      />
      <Typography variant="caption" role="status">
        {said}
      </Typography>
      <IconButton aria-label="Copies of this region" onClick={(e) => setMenu(e.currentTarget)}>
        <MoreHoriz sx={small} />
      </IconButton>
      <Menu anchorEl={menu} open={!!menu} onClose={() => setMenu(null)}>
        <MenuItem onClick={() => copy(false)}>Copy</MenuItem>
        <MenuItem onClick={() => copy(true)}>Copy of its opposite</MenuItem>
        <MenuItem
          onClick={() => {
            setMenu(null);
            void trim();
          }}
        >
          Trim to where it is used
        </MenuItem>
      </Menu>
      <Tooltip title="Remove this region">
        <IconButton aria-label="Remove this region" onClick={() => removeRegion(region.id)}>
          <DeleteOutline sx={small} />
        </IconButton>
      </Tooltip>
      <IconButton
        aria-label="Leave the region"
        onClick={() => {
          put({ tool: "look", draft: [] });
          select("");
        }}
      >
        <Close sx={small} />
      </IconButton>
    </Box>
  );
}
