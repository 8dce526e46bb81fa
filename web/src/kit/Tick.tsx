import { Checkbox, FormControlLabel } from "@mui/material";

/** Something that is so or not. */
export function Tick({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <FormControlLabel
      control={<Checkbox checked={on} onChange={(e) => onChange(e.target.checked)} />}
      label={label}
    />
  );
}
