import { Box, Popover } from "@mui/material";
import { useState, type ReactNode } from "react";
import type { Pass } from "../../api/types";
import { look } from "../../theme";
import { hover } from "../state/masks";

export type Tint = "plain" | "amount" | "region";

const LINE: Record<Tint, string> = {
  plain: `1px dotted ${look.soft}`,
  amount: `2px solid ${look.amberFill}`,
  region: `2px solid ${look.slateFill}`,
};

/** A word of a sentence that is a control: it opens its own small editor where it stands. */
export function Word({
  text,
  label,
  tint = "plain",
  over,
  children,
}: {
  text: string;
  label: string;
  tint?: Tint;
  /** Where the pass works: shown on the picture while the pointer or the keyboard is on the word. */
  over?: Pass["where"];
  children: (close: () => void) => ReactNode;
}) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const close = () => setAt(null);
  const show = () => over?.region && hover(over.region, over.outside);
  const hide = () => over?.region && hover("");
  return (
    <>
      <Box
        component="button"
        aria-label={`${label}: ${text}`}
        aria-haspopup="dialog"
        onPointerEnter={show}
        onPointerLeave={hide}
        onFocus={show}
        onBlur={hide}
        onClick={(e: React.MouseEvent<HTMLElement>) => {
          e.stopPropagation();
          setAt(e.currentTarget);
        }}
        sx={{
          font: "inherit",
          color: "inherit",
          background: "none",
          border: 0,
          borderBottom: LINE[tint],
          p: 0,
          cursor: "pointer",
          borderRadius: 0,
          textAlign: "left",
        }}
      >
        {text}
      </Box>
      {at && (
        <Popover
          open
          anchorEl={at}
          onClose={close}
          slotProps={{ paper: { role: "dialog", "aria-label": label } }}
          anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
          onClick={(e) => e.stopPropagation()}
        >
          {children(close)}
        </Popover>
      )}
    </>
  );
}
