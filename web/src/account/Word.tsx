import { TextField } from "@mui/material";

/** What is asked of somebody at the door. */
const KINDS = {
  name: { label: "Your name", type: "text", autoComplete: "name" },
  studio: { label: "Name of the studio", type: "text", autoComplete: "organization" },
  email: { label: "E-mail", type: "email", autoComplete: "username" },
  password: { label: "Password", type: "password", autoComplete: "current-password" },
  chosen: { label: "Password, 10 characters or more", type: "password", autoComplete: "new-password" },
};

export function Word({
  kind,
  value,
  onChange,
  autoFocus,
}: {
  kind: keyof typeof KINDS;
  value: string;
  onChange: (to: string) => void;
  autoFocus?: boolean;
}) {
  return (
    <TextField
      {...KINDS[kind]}
      size="small"
      required
      autoFocus={autoFocus}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      slotProps={{ htmlInput: { maxLength: 200 } }}
    />
  );
}
