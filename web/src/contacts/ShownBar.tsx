import { Box, Typography } from "@mui/material";
import { count } from "../bench/words";
import { Choice } from "../kit/Choice";
import type { Shown } from "./shown";
import { STATE } from "./states";

const SIZES = [
  { id: 200, name: "Small pictures" },
  { id: 360, name: "Medium pictures" },
  { id: 560, name: "Large pictures" },
];

const SORTS: { id: Shown["sort"]; name: string }[] = [
  { id: "delivery", name: "In order of delivery" },
  { id: "name", name: "By name" },
  { id: "state", name: "By state" },
];

const ONLY: { id: Shown["only"]; name: string }[] = [
  { id: "all", name: "All views" },
  ...Object.entries(STATE).map(([id, name]) => ({ id: id as Shown["only"], name: `Only ${name}` })),
  { id: "remarks", name: "Only with open remarks" },
];

/** How large, in which order and which views of a set are shown. */
export function ShownBar({
  shown,
  hidden,
  onShown,
}: {
  shown: Shown;
  /** How many views are not shown. */
  hidden: number;
  onShown: (to: Partial<Shown>) => void;
}) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, mb: 1.5 }}>
      <Choice
        hideLabel
        label="Size of the pictures"
        value={shown.size}
        options={SIZES}
        onChoose={(size) => onShown({ size })}
      />
      <Choice
        hideLabel
        label="Order"
        value={shown.sort}
        options={SORTS}
        onChoose={(sort) => onShown({ sort })}
      />
      <Choice
        hideLabel
        label="Which views"
        value={shown.only}
        options={ONLY}
        onChoose={(only) => onShown({ only })}
      />
      {hidden > 0 && (
        <Typography color="text.secondary">{count(hidden, "view is", "views are")} not shown.</Typography>
      )}
    </Box>
  );
}
