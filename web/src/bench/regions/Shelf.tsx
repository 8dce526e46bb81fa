import { Box, Button, Divider, Menu, MenuItem, Typography } from "@mui/material";
import { memo, useEffect, useRef, useState } from "react";
import type { Region, Shape } from "../../api/types";
import { useCarry } from "../../kit/drag";
import { look } from "../../theme";
import { addRegion, newPart, uses } from "../edits/regions";
import { DRAWN, FOUND, firstShape } from "../parts";
import { regionToPaint } from "../parts/brush";
import { settle } from "../state/gesture";
import { chooseRegion, take, useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { hover, useMasks } from "../state/masks";
import { count } from "../words";

function MaskThumb({ id }: { id: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const thumb = useMasks((s) => s.thumbs[id]);
  useEffect(() => {
    const c = canvas.current;
    if (!c || !thumb) return;
    c.width = thumb.image.width;
    c.height = thumb.image.height;
    c.getContext("2d")?.drawImage(thumb.image, 0, 0);
  }, [thumb]);
  return (
    <canvas
      ref={canvas}
      style={{ width: 44, height: 30, background: "#222", display: "block", objectFit: "cover" }}
    />
  );
}

const Chip = memo(function Chip({ region, on }: { region: Region; on: boolean }) {
  const n = useHistory((s) => (s.recipe ? uses(s.recipe, region.id) : 0));
  const [attach, carry] = useCarry(`region ${region.id}`, { region: region.id });
  return (
    <Box
      component="button"
      ref={attach}
      {...carry}
      onClick={() => chooseRegion(on && useHand.getState().sheet ? "" : region.id)}
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
          {n === 0 ? "unused" : count(n, "pass", "passes")}
        </Typography>
      </Box>
    </Box>
  );
});

/** The regions of the view, each with a small picture of its mask; hovering shows where it is. */
export function Shelf() {
  const regions = useHistory((s) => s.recipe?.regions) ?? [];
  const selected = useHand((s) => s.region);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const draw = (kind: Shape["kind"]) => {
    setMenu(null);
    chooseRegion("");
    take({ tool: kind, combine: "ADD" });
    if (kind === "brush") regionToPaint();
  };
  const find = (kind: Shape["kind"], name: string) => {
    setMenu(null);
    chooseRegion("");
    const shape = firstShape(kind, "");
    if (!shape) return;
    addRegion(kind === "window-finder" ? "Window panes" : name, newPart(shape));
    settle();
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
        {DRAWN.map((p) => (
          <MenuItem key={p.kind} onClick={() => draw(p.kind)}>
            {p.name}
          </MenuItem>
        ))}
        <Divider />
        {FOUND.map((p) => (
          <MenuItem key={p.kind} onClick={() => find(p.kind, p.name)}>
            {p.name}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}
