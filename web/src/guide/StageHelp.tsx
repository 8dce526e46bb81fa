import { Button } from "@mui/material";
import { useState } from "react";
import { Asking } from "../kit/Asking";
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
      <Asking
        title={page.title}
        width={660}
        open={open}
        onClose={() => setOpen(false)}
        buttons={
          <>
            <Button component="a" href="/guide" target="_blank" rel="noopener">
              All pages
            </Button>
            <Button variant="contained" onClick={() => setOpen(false)}>
              Try it
            </Button>
          </>
        }
      >
        <PageView page={page} />
      </Asking>
    </>
  );
}
