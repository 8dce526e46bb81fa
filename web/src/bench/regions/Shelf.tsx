import { Box, Button, Divider, Menu, MenuItem, Typography } from "@mui/material";
import { memo, useEffect, useRef, useState } from "react";
import type { Region, Shape } from "../../api/client";
import { look } from "../../theme";
import { addRegion, hover, newPart, nextName, put, select, settle, useBench, type Tool } from "../store";
import { bytes, uses } from "../words";
import { DRAW } from "./draw";
import { firstShape, FOUND } from "./found";

function MaskThumb({ id }: { id: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const thumb = useBench((s) => s.maskThumbs[id]);
  useEffect(() => {
    const c = canvas.current;
    if (!c || !thumb) return;
    c.width = thumb.image.width;
    c.height = thumb.image.height;
    c.getContext("2d")!.drawImage(thumb.image, 0, 0);
  }, [thumb]);
  return (
    <canvas
      ref={canvas}
      style={{ width: 44, height: 30, background: "#222", display: "block", objectFit: "cover" }}
    />
  );
}

const Chip = memo(function Chip({ region, on }: { region: Region; on: boolean }) {
  const n = useBench((s) => uses(s.recipe!, region.id));
  return (
    <Box
      component="button"
      draggable
      onDragStart={(e: React.DragEvent) => e.dataTransfer.setData("text/region", region.id)}
      onClick={() => select(on ? "" : region.id)}
      onPointerEnter={() => hover(region.id)}
      onPointerLeave={() => hover("")}
      aria-pressed={on}
      aria-label={`Region ${region.name}`}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 0.9,
        border: `1px solid ${on ? look.amber : look.line}`,
        boxShadow: on ? `0 0 0 1px ${look.amber}` : "none",
        bgcolor: look.white,
        borderRadius: "3px",
        p: "4px 8px 4px 4px",
        font: "inherit",
        textAlign: "left",
        cursor: "pointer",
        flexShrink: 0,
        color: look.ink,
      }}
    >
      <MaskThumb id={region.id} />
      <Box>
        <Typography noWrap sx={{ maxWidth: 130 }}>
          {region.name}
        </Typography>
        <Typography variant="caption" component="div">
          {n === 0 ? "unused" : `${n} ${n === 1 ? "pass" : "passes"}`} · {bytes(region)}
        </Typography>
      </Box>
    </Box>
  );
});

/** The regions of the view, each with a small picture of its mask; hovering shows where it is. */
export function Shelf() {
  const regions = useBench((s) => s.recipe?.regions) ?? [];
  const selected = useBench((s) => s.region);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const draw = (tool: Tool) => {
    setMenu(null);
    select("");
    put({ tool, combine: "ADD" });
    if (tool === "brush") {
      addRegion(nextName());
      settle();
    }
  };
  const find = (kind: Shape["kind"], name: string) => {
    setMenu(null);
    select("");
    const shape = firstShape(kind);
    if (shape) {
      addRegion(kind === "window-finder" ? "Window panes" : name, newPart(shape));
      settle();
    }
  };
  return (
    <Box
      sx={{
        bgcolor: look.card,
        borderTop: 1,
        borderColor: "divider",
        display: "flex",
        gap: 1,
        alignItems: "center",
        px: 1.25,
        overflowX: "auto",
      }}
      role="group"
      aria-label="Regions"
    >
      {regions.map((r) => (
        <Chip key={r.id} region={r} on={r.id === selected} />
      ))}
      <Button onClick={(e) => setMenu(e.currentTarget)} sx={{ flexShrink: 0 }}>
        New region
      </Button>
      <Menu anchorEl={menu} open={!!menu} onClose={() => setMenu(null)}>
        {DRAW.map((d) => (
          <MenuItem key={d.tool} onClick={() => draw(d.tool)}>
            {d.name}
          </MenuItem>
        ))}
        <Divider />
        {FOUND.map((f) => (
          <MenuItem key={f.kind} onClick={() => find(f.kind, f.name)}>
            {f.name}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}
