import { Box, Button, Typography } from "@mui/material";

const UNEXPECTED = "Something went wrong on this screen. What was saved is not lost.";

/** A screen that could not be drawn says so and offers to begin anew. */
export function Broken({ said = UNEXPECTED }: { said?: string }) {
  return (
    <Box role="alert" sx={{ p: 4, display: "grid", gap: 1.5, justifyItems: "start" }}>
      <Typography variant="h2">{said}</Typography>
      <Button variant="contained" onClick={() => location.reload()}>
        Load the page again
      </Button>
      <Button onClick={() => location.assign("/shoots")}>Go to the shoots</Button>
    </Box>
  );
}
