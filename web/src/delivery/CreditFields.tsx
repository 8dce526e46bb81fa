import { Box, TextField, Typography } from "@mui/material";
import type { OrderCredits } from "../api/types";
import { Sheet } from "../kit/Sheet";

const WORDS = [
  { word: "creator", label: "Creator" },
  { word: "copyright", label: "Copyright" },
  { word: "caption", label: "Caption" },
  { word: "property", label: "Property" },
] as const;

/** What all files say of themselves. */
export function CreditFields({
  credits,
  onCredits,
}: {
  credits: OrderCredits;
  onCredits: (to: Partial<OrderCredits>) => void;
}) {
  return (
    <Sheet title="Credits in the files">
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
        {WORDS.map(({ word, label }) => (
          <TextField
            key={word}
            size="small"
            label={label}
            value={credits[word] ?? ""}
            onChange={(e) => onCredits({ [word]: e.target.value })}
          />
        ))}
      </Box>
      <TextField
        size="small"
        label="Keywords, with commas between"
        value={(credits.keywords ?? []).join(",")}
        onChange={(e) => onCredits({ keywords: e.target.value.split(",") })}
      />
      <Typography variant="caption">
        Written as IPTC and XMP, beside camera, lens and exposure of the anchor frame and the source type
        (composite of several captures).
      </Typography>
    </Sheet>
  );
}
