import { ToggleButton, ToggleButtonGroup } from "@mui/material";
import type { ShapeOf } from "../../api/types";
import { pairedFlash } from "../frames";
import { FrameLine } from "./lines";
import type { PartUi } from "./part";

export const flashTrouble: PartUi<"flash-trouble"> = {
  kind: "flash-trouble",
  name: "Flash hot spots",
  title: (s) => (s.trouble === "HOT_SPOT" ? "Flash hot spots" : "Flash hard shadows"),
  found: ({ frames }) => {
    const flash = pairedFlash(frames) ?? frames.find((f) => f.role === "FLASH");
    return flash && { kind: "flash-trouble", flash: flash.id, trouble: "HOT_SPOT" };
  },
  Editor: ({ shape, onChange }) => (
    <>
      <FrameLine frame={shape.flash} onPick={(flash) => onChange({ flash })} />
      <ToggleButtonGroup
        exclusive
        value={shape.trouble}
        aria-label="Flash problem"
        onChange={(_, trouble: ShapeOf<"flash-trouble">["trouble"] | null) =>
          trouble && onChange({ trouble })
        }
      >
        <ToggleButton value="HOT_SPOT">hot spots</ToggleButton>
        <ToggleButton value="HARD_SHADOW">hard shadows</ToggleButton>
      </ToggleButtonGroup>
    </>
  ),
};
