import {
  Box,
  Button,
  IconButton,
  MenuItem,
  Select,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Tooltip,
  Typography,
} from "@mui/material";
import Close from "@mui/icons-material/Close";
import DeleteOutline from "@mui/icons-material/DeleteOutlineOutlined";
import type { Part } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { look } from "../../theme";
import { addPart, changeRegion, put, removeRegion, select, settle, useBench } from "../store";
import { FrameChooser } from "./editors";
import { Word } from "./Word";
import { frameName } from "../words";

const HOW = { ADD: "add", TAKE_AWAY: "take away", OVERLAP: "keep overlap" };

function partName(part: Part): string {
  const s = part.shape;
  if (s.kind === "outline") return `Outline of ${s.points.length} points`;
  if (s.kind === "brush")
    return `Brush, ${s.strokes.length} ${s.strokes.length === 1 ? "stroke" : "strokes"}`;
  return s.kind === "window-finder" ? "Window finder" : "Burnt light";
}

/** The selected region: its parts, how they join, and the tools to draw more. */
export function RegionCard() {
  const s = useBench();
  const region = s.recipe?.regions.find((r) => r.id === s.region);
  if (!region) return null;
  const parts = (next: Part[], end = true) => {
    changeRegion(region.id, { parts: next });
    if (end) settle();
  };
  const shape = (part: Part, to: object, end = false) =>
    parts(
      region.parts.map((p) =>
        p.id === part.id ? { ...p, shape: { ...p.shape, ...to } as Part["shape"] } : p,
      ),
      end,
    );
  return (
    <Box
      component="section"
      aria-label={`Region ${region.name}`}
      sx={{ borderTop: `2px solid ${look.slateFill}`, bgcolor: look.card, px: 1.75, py: 1 }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", mb: 0.75 }}>
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
        <IconButton aria-label="Remove this region" onClick={() => removeRegion(region.id)}>
          <DeleteOutline sx={{ fontSize: 16 }} />
        </IconButton>
        <IconButton aria-label="Leave the region" onClick={() => select("")}>
          <Close sx={{ fontSize: 16 }} />
        </IconButton>
      </Box>
      {region.parts.length === 0 && <Typography color="text.secondary">Empty: draw into it.</Typography>}
      {region.parts.map((part, i) => (
        <Box key={part.id} data-testid="part" sx={{ mb: 0.5 }}>
          <Box sx={{ display: "flex", gap: 0.75, alignItems: "center" }}>
            <Select
              size="small"
              disabled={i === 0}
              value={i === 0 ? "ADD" : part.combine}
              onChange={(e) =>
                parts(
                  region.parts.map((p) =>
                    p.id === part.id ? { ...p, combine: e.target.value as Part["combine"] } : p,
                  ),
                )
              }
              inputProps={{ "aria-label": `How part ${i + 1} joins` }}
              sx={{ fontSize: 12, width: 112 }}
            >
              {Object.entries(HOW).map(([k, v]) => (
                <MenuItem key={k} value={k}>
                  {v}
                </MenuItem>
              ))}
            </Select>
            <Typography sx={{ flexGrow: 1 }} noWrap>
              {partName(part)}
              {part.shape.kind === "burnt-light" && (
                <>
                  {" of "}
                  <Word
                    label="Frame"
                    text={frameName(
                      s.sheet!.frames.find((f) => f.id === (part.shape as { frame: string }).frame),
                      s.sheet!.frames,
                    )}
                  >
                    {(close) => (
                      <FrameChooser
                        value={(part.shape as { frame: string }).frame}
                        onPick={(frame) => {
                          shape(part, { frame }, true);
                          close();
                        }}
                      />
                    )}
                  </Word>
                </>
              )}
            </Typography>
            <IconButton
              aria-label={`Remove part ${i + 1}`}
              onClick={() => parts(region.parts.filter((p) => p.id !== part.id))}
            >
              <Close sx={{ fontSize: 14 }} />
            </IconButton>
          </Box>
          {part.shape.kind === "window-finder" && (
            <Scale
              label="Grow"
              unit="px"
              from={-20}
              to={20}
              step={1}
              careful={0}
              value={part.shape.grow}
              onMove={(grow) => {
                put({ moving: false });
                shape(part, { grow });
              }}
              onSettle={settle}
            />
          )}
          {part.shape.kind === "burnt-light" && (
            <Scale
              label="Reach"
              unit="st"
              from={0}
              to={3}
              step={0.05}
              careful={0.4}
              value={part.shape.reach}
              onMove={(reach) => shape(part, { reach })}
              onSettle={settle}
            />
          )}
        </Box>
      ))}
      <Scale
        label="Feather"
        unit="px"
        from={0}
        to={400}
        step={1}
        careful={0}
        value={region.feather}
        onMove={(feather) => changeRegion(region.id, { feather })}
        onSettle={settle}
      />
      <Box sx={{ display: "flex", gap: 0.75, mt: 0.75, flexWrap: "wrap" }}>
        <ToggleButtonGroup
          exclusive
          value={s.tool}
          onChange={(_, tool) => put({ tool: tool ?? "look", draft: [] })}
          aria-label="Drawing tool"
        >
          <ToggleButton value="outline">Outline</ToggleButton>
          <ToggleButton value="brush">Brush</ToggleButton>
        </ToggleButtonGroup>
        <ToggleButtonGroup
          exclusive
          value={s.combine}
          onChange={(_, c) => c && put({ combine: c })}
          aria-label="How the next part joins"
        >
          <ToggleButton value="ADD" aria-label="Add">
            <Tooltip title="The next part adds">
              <span>+</span>
            </Tooltip>
          </ToggleButton>
          <ToggleButton value="TAKE_AWAY" aria-label="Take away">
            <Tooltip title="The next part takes away (or hold Alt)">
              <span>−</span>
            </Tooltip>
          </ToggleButton>
          <ToggleButton value="OVERLAP" aria-label="Keep overlap">
            <Tooltip title="Only what both hold stays">
              <span>∩</span>
            </Tooltip>
          </ToggleButton>
        </ToggleButtonGroup>
        <Button onClick={() => addPart({ kind: "window-finder", grow: 0 })}>Panes</Button>
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
      {s.tool === "outline" && (
        <Typography variant="caption" component="div" sx={{ mt: 0.75 }}>
          Click points; Enter or the first point closes, Esc leaves, Alt takes away.
        </Typography>
      )}
      {s.tool === "brush" && (
        <Box sx={{ mt: 0.5 }}>
          <Scale
            label="Brush size"
            unit="px"
            from={4}
            to={1200}
            step={2}
            careful={120}
            value={s.brush.size}
            onMove={(size) => put({ brush: { ...s.brush, size } })}
            onSettle={() => {}}
          />
          <Scale
            label="Softness"
            unit="%"
            from={0}
            to={1}
            step={0.01}
            careful={0.5}
            value={s.brush.softness}
            onMove={(softness) => put({ brush: { ...s.brush, softness } })}
            onSettle={() => {}}
          />
          <Scale
            label="Flow"
            unit="%"
            from={0.01}
            to={1}
            step={0.01}
            careful={1}
            value={s.brush.flow}
            onMove={(flow) => put({ brush: { ...s.brush, flow } })}
            onSettle={() => {}}
          />
        </Box>
      )}
    </Box>
  );
}
