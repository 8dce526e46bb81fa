import { Box, Button, IconButton, Menu, MenuItem, Typography } from "@mui/material";
import Close from "@mui/icons-material/Close";
import MoreHoriz from "@mui/icons-material/MoreHoriz";
import { memo, useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { saidOf } from "../../api/client";
import { NameField } from "../../kit/NameField";
import { Scale } from "../../kit/Scale";
import { look } from "../../theme";
import { duplicatePlace } from "../edits/passes";
import { changeRegion, copyRegion, trimRegion } from "../edits/regions";
import { move, settle } from "../state/gesture";
import { extentOf } from "../parts/extent";
import { AddMenu } from "../recipe/AddMenu";
import { chooseRegion, take, useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { complain } from "../state/view";
import { count } from "../words";
import { PartRow } from "./PartRow";
import { RemoveRegion } from "./RemoveRegion";
import { ShowAs } from "./ShowAs";
import { Tools } from "./Tools";

/** Refinements of a whole region, in the order in which they work. */
const REFINE = [
  { name: "grow", label: "Grow", unit: "px", from: -60, to: 60, step: 1, defaultValue: 0, help: "" },
  {
    name: "edge",
    label: "Follow edges",
    unit: "px",
    from: 0,
    to: 200,
    step: 1,
    defaultValue: 0,
    help: "How far its edge may move to follow an edge of the ground",
  },
  {
    name: "feather",
    label: "Feather",
    unit: "px",
    from: 0,
    to: 400,
    step: 1,
    defaultValue: 0,
    help: "In px, or typed in % of the shapes",
  },
  { name: "density", label: "Density", unit: "%", from: 0, to: 1, step: 0.01, defaultValue: 1, help: "" },
] as const;

/**
 * The sheet of the selected region over the recipe: the tools, its parts, and its refinement. What a stroke does not
 * change is not drawn anew while it is painted.
 */
export function RegionSheet() {
  const { region: chosen, sheet } = useHand(useShallow((s) => ({ region: s.region, sheet: s.sheet })));
  const region = useHistory((s) => s.recipe?.regions.find((r) => r.id === chosen));
  if (!region || !sheet) return null;
  const { id, name, parts } = region;
  return (
    <Box
      component="section"
      aria-label={`Region ${name}`}
      sx={{
        position: "absolute",
        inset: 0,
        zIndex: 2,
        overflowY: "auto",
        borderTop: `2px solid ${look.slateFill}`,
        bgcolor: look.card,
        px: 1.75,
        py: 1,
      }}
    >
      <Head id={id} name={name} />
      <Uses id={id} />
      <Tools />
      {parts.length === 0 && <Typography color="text.secondary">Empty: draw into it.</Typography>}
      {parts.map((part, i) => (
        <PartRow key={part.id} region={id} part={part} index={i} last={i === parts.length - 1} />
      ))}
      <Box sx={{ borderTop: 1, borderColor: "divider", mt: 0.75, pt: 0.5 }}>
        {REFINE.map((r) => (
          <Scale
            key={r.name}
            {...r}
            shape={r.name === "feather" ? () => extentOf(parts) : undefined}
            value={region[r.name]}
            onMove={(v) => {
              move(id);
              changeRegion(id, { [r.name]: v });
            }}
            onSettle={settle}
          />
        ))}
        <Button
          aria-pressed={region.invert}
          onClick={() => {
            changeRegion(id, { invert: !region.invert });
            settle();
          }}
        >
          Invert
        </Button>
      </Box>
      <ShowAs />
    </Box>
  );
}

/** What can be made of the region besides. */
const Uses = memo(function Uses({ id }: { id: string }) {
  const used = useHistory((s) => s.recipe?.passes.filter((p) => p.where.region === id).length ?? 0);
  return (
    <Box sx={{ display: "flex", gap: 0.75, mb: 0.75 }}>
      <AddMenu name="Use it in …" label="Use the region in a new pass" />
      {used > 0 && (
        <Button onClick={() => duplicatePlace(id)}>Duplicate with {count(used, "pass", "passes")}</Button>
      )}
      <Button onClick={() => take({ sheet: false, part: "" })} sx={{ ml: "auto" }}>
        Done
      </Button>
    </Box>
  );
});

const Head = memo(function Head({ id, name }: { id: string; name: string }) {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [said, setSaid] = useState("");
  const small = { fontSize: 16 };
  const copy = (opposite: boolean) => {
    setMenu(null);
    copyRegion(id, opposite);
  };
  const trim = async () => {
    try {
      const less = await trimRegion(id);
      setSaid(less > 0 ? `${less} B less` : "nothing unused");
    } catch (e) {
      complain(saidOf(e));
    }
  };
  return (
    <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", mb: 0.75 }}>
      <NameField
        key={id}
        framed
        label="Name of the region"
        name={name}
        onName={(to) => {
          changeRegion(id, { name: to });
          settle();
        }}
      />
      <Typography variant="caption" role="status">
        {said}
      </Typography>
      <IconButton aria-label="Copies of this region" onClick={(e) => setMenu(e.currentTarget)}>
        <MoreHoriz sx={small} />
      </IconButton>
      <Menu anchorEl={menu} open={!!menu} onClose={() => setMenu(null)}>
        <MenuItem onClick={() => copy(false)}>Duplicate</MenuItem>
        <MenuItem onClick={() => copy(true)}>Duplicate, inverted</MenuItem>
        <MenuItem
          onClick={() => {
            setMenu(null);
            void trim();
          }}
        >
          Remove unused parts
        </MenuItem>
      </Menu>
      <RemoveRegion id={id} name={name} />
      <IconButton aria-label="Leave the region" onClick={() => chooseRegion("")}>
        <Close sx={small} />
      </IconButton>
    </Box>
  );
});
