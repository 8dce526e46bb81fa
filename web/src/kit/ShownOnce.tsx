import { Box, Button, TextField } from "@mui/material";

/** A link that is told only once, to be copied. */
export function ShownOnce({ link }: { link: string }) {
  const whole = `${location.origin}${link}`;
  return (
    <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
      <TextField
        size="small"
        fullWidth
        label="Send this link; it is shown only now"
        value={whole}
        slotProps={{ htmlInput: { readOnly: true } }}
        onFocus={(e) => e.target.select()}
      />
      <Button onClick={() => void navigator.clipboard.writeText(whole)}>Copy</Button>
    </Box>
  );
}
