import { Box, Button, IconButton, MenuItem, Select, Typography } from "@mui/material";
import ArrowDownward from "@mui/icons-material/ArrowDownward";
import ArrowUpward from "@mui/icons-material/ArrowUpward";
import Close from "@mui/icons-material/Close";
import Visibility from "@mui/icons-material/VisibilityOutlined";
import VisibilityOff from "@mui/icons-material/VisibilityOffOutlined";
import type { Part, Region } from "../../api/types";
import { Scale } from "../../kit/Scale";
import { look } from "../../theme";
import { changePart, changeRegion } from "../edits/regions";
import { partUi } from "../parts";
import { extentOf } from "../parts/extent";
import { move, settle } from "../state/gesture";
import { choosePart, useHand } from "../state/hand";
import { PartEditor } from "./PartEditor";

const HOW = { ADD: "add", TAKE_AWAY: "take away", OVERLAP: "keep overlap" };

/** One part of a region; the chosen one opens its numbers. */
export function PartRow({ region, part, index }: { region: Region; part: Part; index: number }) {
  const chosen = useHand((s) => s.part === part.id);
  const small = { fontSize: 14 };
  const name = partUi(part.shape.kind).title(part.shape);
  const change = (to: Partial<Part>) => {
    changePart(part.id, (p) => Object.assign(p, to));
    settle();
  };
  const reorder = (by: number) => {
    const parts = region.parts.filter((p) => p.id !== part.id);
    parts.splice(Math.max(0, index + by), 0, part);
    changeRegion(region.id, { parts });
    settle();
  };
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
      <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", opacity: part.off ? 0.5 : 1 }}>
        <Select
          size="small"
          variant="standard"
          disabled={index === 0}
          value={index === 0 ? "ADD" : part.combine}
          onChange={(e) => change({ combine: e.target.value })}
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
          onClick={() => choosePart(part.id)}
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
          aria-label={part.off ? `Use part ${index + 1}` : `Leave out part ${index + 1}`}
          onClick={() => change({ off: !part.off })}
        >
          {part.off ? <VisibilityOff sx={small} /> : <Visibility sx={small} />}
        </IconButton>
        <IconButton
          aria-label={`Remove part ${index + 1}`}
          onClick={() => {
            changeRegion(region.id, { parts: region.parts.filter((p) => p.id !== part.id) });
            settle();
          }}
        >
          <Close sx={small} />
        </IconButton>
      </Box>
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
              move(region.id);
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
              move(region.id);
              changePart(part.id, (p) => (p.strength = strength));
            }}
            onSettle={settle}
          />
          <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", mt: 0.5 }}>
            <Button
              aria-pressed={part.invert}
              onClick={() => change({ invert: !part.invert })}
              sx={part.invert ? { bgcolor: "#dcdcdc", fontWeight: 600 } : undefined}
            >
              Invert part
            </Button>
            <Box sx={{ flexGrow: 1 }} />
            <IconButton aria-label="Move part up" disabled={index === 0} onClick={() => reorder(-1)}>
              <ArrowUpward sx={small} />
            </IconButton>
            <IconButton
              aria-label="Move part down"
              disabled={index === region.parts.length - 1}
              onClick={() => reorder(1)}
            >
              <ArrowDownward sx={small} />
            </IconButton>
          </Box>
        </Box>
      )}
    </Box>
  );
}
