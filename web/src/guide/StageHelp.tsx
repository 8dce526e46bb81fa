import { Box, Button, Dialog, Typography } from "@mui/material";
import { useState } from "react";
import { PageView } from "./PageView";
import { pageOf } from "./pages";

/** The page of the field guide about a stage, over the bench. */
export function StageHelp({ stage }: { stage: string }) {
  const [open, setOpen] = useState(false);
  const page = pageOf(stage);
  if (!page) return null;
  return (
    <>
      <Button
        aria-label={`Field guide: ${page.title}`}
        sx={{ px: 0.75, lineHeight: "16px" }}
        onClick={() => setOpen(true)}
      >
        ?
      </Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        maxWidth={false}
        slotProps={{ paper: { "aria-label": page.title } }}
      >
        <Box sx={{ p: 2.5, width: 660 }}>
          <Typography variant="h1" sx={{ mb: 1.5 }}>
            {page.title}
          </Typography>
          <PageView page={page} />
          <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end", mt: 2 }}>
            <Button component="a" href="/guide" target="_blank" rel="noopener">
              All pages
            </Button>
            <Button variant="contained" onClick={() => setOpen(false)}>
              Try it
            </Button>
          </Box>
        </Box>
      </Dialog>
    </>
  );
}
