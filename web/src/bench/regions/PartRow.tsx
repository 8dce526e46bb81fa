import { Box, Button, IconButton, MenuItem, Select, Typography } from "@mui/material";
import ArrowDownward from "@mui/icons-material/ArrowDownward";
import ArrowUpward from "@mui/icons-material/ArrowUpward";
import Close from "@mui/icons-material/Close";
import Visibility from "@mui/icons-material/VisibilityOutlined";
import VisibilityOff from "@mui/icons-material/VisibilityOffOutlined";
import { memo } from "react";
import type { Part } from "../../api/types";
import { Scale } from "../../kit/Scale";
import { look } from "../../theme";
import { changePart, changeRegion } from "../edits/regions";
import { partUi } from "../parts";
import { extentOf } from "../parts/extent";
import { move, settle } from "../state/gesture";
import { choosePart, useHand } from "../state/hand";
import { recipe } from "../state/history";
import { PartEditor } from "./PartEditor";

const HOW = { ADD: "add", TAKE_AWAY: "take away", OVERLAP: "keep overlap" };

/** One part of a region; the chosen one opens its numbers. What a stroke does not change is not drawn anew. */
export function PartRow(props: { region: string; part: Part; index: number; last: boolean }) {
  const { region, part, index, last } = props;
  const chosen = useHand((s) => s.part === part.id);
  return (
    <Box
      data-testid="part"
      data-kind={part.shape.kind}
      sx={{
        mb: 0.25,
        mx: chosen ? -1 : 0,
        px: chosen ? 1 : 0,
        py: chosen ? 0.5 : 0,
        border: chosen ? `1px solid ${look.line}` : 0,
        bgcolor: chosen ? look.white : undefined,
      }}
    >
      <Line
        region={region}
        id={part.id}
        name={partUi(part.shape.kind).title(part.shape)}
        combine={part.combine}
        off={part.off}
        index={index}
        chosen={chosen}
      />
      {chosen && (
        <Box sx={{ mt: 0.25 }}>
          <PartEditor part={part} />
          <Scale
            label="Part feather"
            help="In px, or typed in % of the shape"
            shape={() => extentOf([part])}
            unit="px"
            from={0}
            to={400}
            step={1}
            defaultValue={0}
            value={part.feather}
            onMove={(feather) => {
              move(region);
              changePart(part.id, (p) => (p.feather = feather));
            }}
            onSettle={settle}
          />
          <Scale
            label="Part strength"
            unit="%"
            from={0}
            to={1}
            step={0.01}
            defaultValue={1}
            value={part.strength}
            onMove={(strength) => {
              move(region);
              changePart(part.id, (p) => (p.strength = strength));
            }}
            onSettle={settle}
          />
          <Ends region={region} id={part.id} invert={part.invert} first={index === 0} last={last} />
        </Box>
      )}
    </Box>
  );
}

const small = { fontSize: 14 };

const change = (id: string, to: Partial<Part>) => {
  changePart(id, (p) => Object.assign(p, to));
  settle();
};

/** The parts of a region, in another order or fewer of them. */
const rearrange = (region: string, to: (parts: Part[]) => Part[]) => {
  const parts = recipe()?.regions.find((r) => r.id === region)?.parts;
  if (!parts) return;
  changeRegion(region, { parts: to([...parts]) });
  settle();
};

/** How a part joins, its name, and whether it is used. */
const Line = memo(function Line({
  region,
  id,
  name,
  combine,
  off,
  index,
  chosen,
}: Pick<Part, "id" | "combine" | "off"> & { region: string; name: string; index: number; chosen: boolean }) {
  return (
    <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", opacity: off ? 0.5 : 1 }}>
      <Select
        size="small"
        variant="standard"
        disabled={index === 0}
        value={index === 0 ? "ADD" : combine}
        onChange={(e) => change(id, { combine: e.target.value })}
        inputProps={{ "aria-label": `How part ${index + 1} joins` }}
        sx={{ fontSize: 12, width: 92, flexShrink: 0 }}
      >
        {Object.entries(HOW).map(([k, v]) => (
          <MenuItem key={k} value={k}>
            {v}
          </MenuItem>
        ))}
      </Select>
      <Box
        component="button"
        aria-expanded={chosen}
        aria-label={`Part ${index + 1}: ${name}`}
        onClick={() => choosePart(id)}
        sx={{
          font: "inherit",
          flexGrow: 1,
          minWidth: 0,
          textAlign: "left",
          border: 0,
          bgcolor: "transparent",
          p: 0,
          cursor: "pointer",
        }}
      >
        <Typography noWrap sx={{ fontWeight: chosen ? 600 : 400 }}>
          {name}
        </Typography>
      </Box>
      <IconButton
        aria-label={off ? `Use part ${index + 1}` : `Leave out part ${index + 1}`}
        onClick={() => change(id, { off: !off })}
      >
        {off ? <VisibilityOff sx={small} /> : <Visibility sx={small} />}
      </IconButton>
      <IconButton
        aria-label={`Remove part ${index + 1}`}
        onClick={() => rearrange(region, (parts) => parts.filter((p) => p.id !== id))}
      >
        <Close sx={small} />
      </IconButton>
    </Box>
  );
});

/** What is done with a part as a whole: turned inside out, moved in the order. */
const Ends = memo(function Ends({
  region,
  id,
  invert,
  first,
  last,
}: {
  region: string;
  id: string;
  invert: boolean;
  first: boolean;
  last: boolean;
}) {
  const reorder = (by: number) =>
    rearrange(region, (parts) => {
      const at = parts.findIndex((p) => p.id === id);
      const [part] = parts.splice(at, 1);
      if (part) parts.splice(Math.max(0, at + by), 0, part);
      return parts;
    });
  return (
    <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", mt: 0.5 }}>
      <Button aria-pressed={invert} onClick={() => change(id, { invert: !invert })}>
        Invert part
      </Button>
      <Box sx={{ flexGrow: 1 }} />
      <IconButton aria-label="Move part up" disabled={first} onClick={() => reorder(-1)}>
        <ArrowUpward sx={small} />
      </IconButton>
      <IconButton aria-label="Move part down" disabled={last} onClick={() => reorder(1)}>
        <ArrowDownward sx={small} />
      </IconButton>
    </Box>
  );
});
