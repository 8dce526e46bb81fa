import { InputBase, Tooltip } from "@mui/material";
import { useState } from "react";
import { look } from "../theme";

/**
 * A number that is typed. Enter gives the keyboard back; what loses it is accepted; Esc restores; nonsense is
 * refused in place and changes nothing.
 */
export function NumberField({
  label,
  said,
  read,
  onAccept,
  onDone,
  onKey,
}: {
  label: string;
  /** The number as it stands, in words. */
  said: string;
  /** The number that a text means; nothing where it means none. */
  read: (text: string) => number | undefined;
  onAccept: (value: number) => void;
  /** Enter was pressed: something else takes the keyboard. */
  onDone: () => void;
  /** Keys up and down. */
  onKey?: (e: React.KeyboardEvent) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState(false);
  const number = typed === undefined ? undefined : read(typed);
  const nonsense = typed !== undefined && typed.trim() !== "" && number === undefined;
  const restore = () => {
    setTyped(undefined);
    setRefused(false);
  };
  const accept = () => {
    if (number !== undefined) onAccept(number);
    restore();
  };
  return (
    <Tooltip title={`${typed} is no number`} open={refused && nonsense}>
      <InputBase
        value={typed ?? said}
        onChange={(e) => setTyped(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={accept}
        onKeyDown={(e) => {
          if (e.key === "Enter" && nonsense) setRefused(true);
          else if (e.key === "Enter") onDone();
          // with nothing typed it is for what the field stands in
          if (e.key === "Escape" && typed === undefined) return;
          if (e.key === "Escape") restore();
          if (onKey && (e.key === "ArrowUp" || e.key === "ArrowDown")) onKey(e);
          else e.stopPropagation();
        }}
        inputProps={{ "aria-label": label, "aria-invalid": nonsense }}
        sx={{
          border: `1px solid ${nonsense ? look.alarm : look.line}`,
          bgcolor: look.white,
          height: 22,
          "& input": { textAlign: "right", p: "0 5px", fontSize: 13 },
        }}
      />
    </Tooltip>
  );
}
