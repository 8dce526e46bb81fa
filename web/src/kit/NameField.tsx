import { InputBase } from "@mui/material";
import { useRef } from "react";
import { look } from "../theme";

/**
 * A name in place. Enter keeps it and gives the keyboard back, as does leaving it; Esc restores; one of
 * nothing but spaces changes nothing.
 */
export function NameField({
  label,
  name,
  onName,
  framed = false,
}: {
  label: string;
  name: string;
  onName: (to: string) => void;
  framed?: boolean;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <InputBase
      key={name}
      inputRef={field}
      defaultValue={name}
      onBlur={(e) => {
        const to = e.target.value.trim();
        if (to && to !== name) onName(to);
        else e.target.value = name;
      }}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === "Escape" && field.current) field.current.value = name;
        if (e.key === "Enter" || e.key === "Escape") field.current?.blur();
      }}
      inputProps={{ "aria-label": label, maxLength: 200 }}
      sx={{
        flexGrow: 1,
        font: "inherit",
        fontWeight: 600,
        ...(framed && { border: `1px solid ${look.line}`, bgcolor: look.white, px: 0.75 }),
      }}
    />
  );
}
