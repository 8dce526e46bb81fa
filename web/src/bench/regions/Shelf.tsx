import { Box, Button, Menu, MenuItem, Typography } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import type { Region } from "../../api/client";
import { look } from "../../theme";
import { addRegion, hover, nextName, put, select, useBench } from "../store";
import { bytes, uses } from "../words";

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

function Chip({ region, on }: { region: Region; on: boolean }) {
  const recipe = useBench((s) => s.recipe)!;
  const n = uses(recipe, region.id);
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
}

/** The regions of the view, each with a small picture of its mask; hovering shows where it is. */
export function Shelf() {
  const regions = useBench((s) => s.recipe?.regions) ?? [];
  const selected = useBench((s) => s.region);
  const anchor = useBench((s) => s.sheet?.frames.find((f) => f.anchor)?.id) ?? "";
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const make = (what: "outline" | "brush" | "window-finder" | "burnt-light") => {
    setMenu(null);
    if (what === "window-finder") addRegion("Window panes", { kind: "window-finder", grow: 0 });
    else if (what === "burnt-light")
      addRegion("Burnt light", { kind: "burnt-light", frame: anchor, reach: 0.4 });
    else {
      select("");
      put({ tool: what, combine: "ADD" });
      if (what === "brush") addRegion(nextName());
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
        <MenuItem onClick={() => make("outline")}>Outline, point by point</MenuItem>
        <MenuItem onClick={() => make("brush")}>Brush</MenuItem>
        <MenuItem onClick={() => make("window-finder")}>Window finder</MenuItem>
        <MenuItem onClick={() => make("burnt-light")}>Burnt light</MenuItem>
      </Menu>
    </Box>
  );
}
