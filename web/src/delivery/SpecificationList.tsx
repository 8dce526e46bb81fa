import { Box, Button, Checkbox, FormControlLabel, Typography } from "@mui/material";
import { useState } from "react";
import type { KeptSpecification, Specification } from "../api/types";
import { toggled } from "../kit/selection";
import { Sheet } from "../kit/Sheet";
import { SpecificationDialog } from "./SpecificationDialog";
import { useSpecifications } from "./useSpecifications";
import { saidOf } from "./words";

/** A start for one that is made anew. */
const NEW: Specification = {
  name: "",
  size: { kind: "LONG_EDGE", width: 3000, height: 0, ppi: 0 },
  format: "JPEG",
  space: "SRGB",
  quality: 90,
  fullChroma: false,
  mostBytes: 0,
  sharpness: "NONE",
  pattern: "{view}-{size}",
  watermark: { text: "", place: "LOWER_RIGHT", size: 0.03, strength: 0.5 },
};

/** What is delivered by: the studio's specifications, chosen and changed. */
export function SpecificationList({
  chosen,
  onChosen,
}: {
  chosen: string[];
  onChosen: (to: string[]) => void;
}) {
  const { kept, formats, spaces } = useSpecifications();
  const [open, setOpen] = useState<{ id?: string; specification: Specification }>();
  return (
    <Sheet title="Specifications">
      <Box>
        {kept.map((k: KeptSpecification) => (
          <Box key={k.id} sx={{ display: "flex", alignItems: "center", gap: 1, py: 0.25 }}>
            <FormControlLabel
              sx={{ flexGrow: 1, m: 0 }}
              control={
                <Checkbox
                  checked={chosen.includes(k.id)}
                  onChange={() => onChosen(toggled(chosen, k.id))}
                  slotProps={{ input: { "aria-label": k.specification.name } }}
                />
              }
              label={
                <>
                  <Typography sx={{ fontWeight: 600 }}>{k.specification.name}</Typography>
                  <Typography variant="caption" sx={{ display: "block" }}>
                    {saidOf(k.specification, formats, spaces)}
                  </Typography>
                </>
              }
            />
            <Button aria-label={`Change ${k.specification.name}`} onClick={() => setOpen(k)}>
              Change
            </Button>
          </Box>
        ))}
      </Box>
      <Box>
        <Button onClick={() => setOpen({ specification: NEW })}>Add a specification</Button>
      </Box>
      {open && (
        <SpecificationDialog
          key={open.id ?? "new"}
          id={open.id}
          from={open.specification}
          formats={formats}
          spaces={spaces}
          onKept={(id) => {
            if (!chosen.includes(id)) onChosen([...chosen, id]);
          }}
          onClose={() => setOpen(undefined)}
        />
      )}
    </Sheet>
  );
}
