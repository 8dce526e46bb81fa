import { Box, Button, IconButton, MenuItem, Select, Typography } from "@mui/material";
import ArrowDownward from "@mui/icons-material/ArrowDownward";
import ArrowUpward from "@mui/icons-material/ArrowUpward";
import Close from "@mui/icons-material/Close";
import Visibility from "@mui/icons-material/VisibilityOutlined";
import VisibilityOff from "@mui/icons-material/VisibilityOffOutlined";
import type { Part, Region } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { look } from "../../theme";
import { changePart, changeRegion, put, selectPart, settle, useBench } from "../store";
import { partName } from "../words";
import { ShapeEditor } from "./ShapeEditor";

const HOW = { ADD: "add", TAKE_AWAY: "take away", OVERLAP: "keep overlap" };

/** One part of a region; the chosen one opens its numbers. */
export function PartRow({ region, part, index }: { region: Region; part: Part; index: number }) {
  const chosen = useBench((s) => s.part === part.id);
  const small = { fontSize: 14 };
  const change = (to: Partial<Part>) => {
    changePart(part.id, (p) => ({ ...p, ...to }));
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
          onChange={(e) => change({ combine: e.target.value as Part["combine"] })}
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
          aria-label={`Part ${index + 1}: ${partName(part)}`}
          onClick={() => selectPart(part.id)}
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
            {partName(part)}
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
          <ShapeEditor part={part} />
          <Scale
            label="Part feather"
            unit="px"
            from={0}
            to={400}
            step={1}
            careful={0}
            value={part.feather}
            onMove={(feather) => changePart(part.id, (p) => ({ ...p, feather }))}
            onSettle={settle}
          />
          <Scale
            label="Part strength"
            unit="%"
            from={0}
            to={1}
            step={0.01}
            careful={1}
            value={part.strength}
            onMove={(strength) => changePart(part.id, (p) => ({ ...p, strength }))}
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
            <IconButton aria-label="Part earlier" disabled={index === 0} onClick={() => reorder(-1)}>
              <ArrowUpward sx={small} />
            </IconButton>
            <IconButton
              aria-label="Part later"
              disabled={index === region.parts.length - 1}
              onClick={() => reorder(1)}
            >
              <ArrowDownward sx={small} />
            </IconButton>
            <Button onClick={() => put({ part: "" })}>Done</Button>
          </Box>
        </Box>
      )}
    </Box>
  );
}
