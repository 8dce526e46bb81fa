import { Button, MenuItem, Select } from "@mui/material";
import type { Role } from "../api/types";
import { Chosen } from "../kit/Chosen";
import type { Selection } from "../kit/selection";
import type { Planned } from "./plan";
import { ROLE } from "./words";

/** What can be done with the frames that are chosen, all at once. */
export function ChosenFrames({
  plan,
  selection,
  onMove,
  onRole,
  onAway,
}: {
  plan: Planned[];
  selection: Selection;
  /** To a view by its place; behind the last for a new one. */
  onMove: (to: number) => void;
  onRole: (to: Role) => void;
  /** Not there where frames cannot be thrown away. */
  onAway?: () => void;
}) {
  return (
    <Chosen selection={selection} what="frame">
      <Select
        size="small"
        displayEmpty
        value=""
        inputProps={{ "aria-label": "Move to a view" }}
        renderValue={() => "Move to…"}
        onChange={(e) => onMove(Number(e.target.value))}
      >
        {plan.map((v, i) => (
          <MenuItem key={v.frames[0]?.id} value={String(i)}>
            {v.name}
          </MenuItem>
        ))}
        <MenuItem value={String(plan.length)}>A new view</MenuItem>
      </Select>
      <Select
        size="small"
        displayEmpty
        value=""
        inputProps={{ "aria-label": "Role of all" }}
        renderValue={() => "Role…"}
        onChange={(e) => onRole(e.target.value as Role)}
      >
        {(Object.keys(ROLE) as Role[]).map((r) => (
          <MenuItem key={r} value={r}>
            {ROLE[r]}
          </MenuItem>
        ))}
      </Select>
      {onAway && <Button onClick={onAway}>Move to the bin</Button>}
    </Chosen>
  );
}
