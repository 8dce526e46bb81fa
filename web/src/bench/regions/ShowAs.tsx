import { Box, ToggleButton, ToggleButtonGroup } from "@mui/material";
import { memo } from "react";
import { look } from "../../theme";
import { showAs, tintWith, useMasks, type Veil } from "../state/masks";

const SHOW: Record<Veil, string> = {
  veil: "Veil",
  mono: "Black and white",
  line: "Line",
  tint: "Tint",
  off: "Off",
};

/** How the region is shown on the picture. */
export const ShowAs = memo(function ShowAs() {
  const veil = useMasks((s) => s.veil);
  const tint = useMasks((s) => s.tint);
  return (
    <Box sx={{ display: "flex", gap: 0.75, alignItems: "center", mt: 1, flexWrap: "wrap" }}>
      <ToggleButtonGroup
        exclusive
        value={veil}
        aria-label="Region shown as"
        onChange={(_, v: Veil | null) => v && showAs(v)}
      >
        {Object.entries(SHOW).map(([k, v]) => (
          <ToggleButton key={k} value={k} sx={{ px: 0.75 }}>
            {v}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {veil === "tint" && (
        <input
          type="color"
          aria-label="Colour of the tint"
          value={tint}
          onChange={(e) => tintWith(e.target.value)}
          style={{ width: 34, height: 26, padding: 0, border: `1px solid ${look.line}`, background: "none" }}
        />
      )}
    </Box>
  );
});
