import { Box, Button, Dialog, Typography } from "@mui/material";

/** Asks before something that is easily regretted. */
export function Question({
  open,
  title,
  text,
  yes,
  no,
  onYes,
  onClose,
}: {
  open: boolean;
  title: string;
  text: string;
  /** What will happen. */
  yes: string;
  /** What happens else. */
  no: string;
  onYes: () => void;
  onClose: () => void;
}) {
  return (
    <Dialog open={open} onClose={onClose} slotProps={{ paper: { "aria-label": title } }}>
      <Box sx={{ p: 2.5, width: 440 }}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          {title}
        </Typography>
        <Typography sx={{ mb: 2 }}>{text}</Typography>
        <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end" }}>
          <Button onClick={onClose}>{no}</Button>
          <Button
            variant="contained"
            onClick={() => {
              onClose();
              onYes();
            }}
          >
            {yes}
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
