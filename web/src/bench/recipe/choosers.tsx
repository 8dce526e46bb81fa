import { Box, MenuItem, MenuList } from "@mui/material";
import type { Pass } from "../../api/types";
import { frameName } from "../frames";
import { useHistory } from "../state/history";
import { useView } from "../state/view";

/** A frame's small picture. */
export function FrameThumb({ id }: { id: string }) {
  return <Box component="img" src={`/api/frames/${id}/thumb`} alt="" sx={{ width: 54, mr: 1.25 }} />;
}

/** Chooses a frame. */
export function FrameChooser({
  value,
  among,
  onPick,
}: {
  value: string;
  /** Ids of the frames on offer; all where it is left out. */
  among?: string[];
  onPick: (id: string) => void;
}) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  return (
    <MenuList autoFocus aria-label="Frames">
      {frames
        .filter((f) => !among || among.includes(f.id))
        .map((f) => (
          <MenuItem key={f.id} selected={f.id === value} onClick={() => onPick(f.id)}>
            <FrameThumb id={f.id} />
            {frameName(f.id, frames)}
          </MenuItem>
        ))}
    </MenuList>
  );
}

/** Chooses where something works: everywhere, inside or outside a region. */
export function RegionChooser({
  where,
  onPick,
}: {
  where: Pass["where"];
  onPick: (where: Pass["where"]) => void;
}) {
  const regions = useHistory((s) => s.recipe?.regions) ?? [];
  const item = (region: string, outside: boolean, text: string) => (
    <MenuItem
      key={`${region} ${outside}`}
      selected={where.region === region && (!region || where.outside === outside)}
      onClick={() => onPick({ region, outside })}
    >
      {text}
    </MenuItem>
  );
  return (
    <MenuList autoFocus aria-label="Regions">
      {item("", false, "the whole picture")}
      {regions.flatMap((r) => [item(r.id, false, r.name), item(r.id, true, `all but ${r.name}`)])}
    </MenuList>
  );
}
