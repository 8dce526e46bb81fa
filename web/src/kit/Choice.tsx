import { MenuItem, TextField } from "@mui/material";

/** One of several, chosen from a list; its label stands over it, or is only read aloud. */
export function Choice<K extends string | number>({
  label,
  hideLabel = false,
  value,
  options,
  onChoose,
  width,
}: {
  label: string;
  hideLabel?: boolean;
  value: K | undefined;
  options: { id: K; name: string }[];
  onChoose: (to: K) => void;
  width?: number;
}) {
  return (
    <TextField
      select
      size="small"
      label={hideLabel ? undefined : label}
      value={options.some((o) => o.id === value) ? value : ""}
      onChange={(e) => onChoose(e.target.value as K)}
      slotProps={hideLabel ? { select: { SelectDisplayProps: { "aria-label": label } } } : undefined}
      sx={{ width }}
    >
      {options.map((o) => (
        <MenuItem key={o.id} value={o.id}>
          {o.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
