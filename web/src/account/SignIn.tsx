import { Box, Button, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { data, server } from "../api/client";
import { Mark } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";

/** The door. */
export function SignIn({ onSigned }: { onSigned: () => void }) {
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<unknown>();
  const enter = async (e: React.FormEvent) => {
    e.preventDefault();
    setProblem(undefined);
    try {
      await data(server.GET("/api/session").catch(() => ({})));
      await data(server.POST("/api/session", { body: { email, password } }));
      onSigned();
    } catch (p) {
      setProblem(p);
    }
  };
  return (
    <Box sx={{ height: "100%", display: "grid", placeItems: "center", bgcolor: look.surround.grey }}>
      <Box
        component="form"
        onSubmit={(e) => void enter(e)}
        sx={{
          width: 340,
          bgcolor: "background.paper",
          border: `1px solid ${look.ink}`,
          p: 3,
          display: "grid",
          gap: 2,
        }}
      >
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
          <Mark />
          <Typography variant="h1">Illuminar</Typography>
        </Box>
        <Typography color="text.secondary">Bracketed frames of rooms, blended and balanced.</Typography>
        <Said problem={problem} />
        <TextField
          label="E-mail"
          size="small"
          type="email"
          autoComplete="username"
          required
          value={email}
          onChange={(e) => setEmail(e.target.value)}
          autoFocus
        />
        <TextField
          label="Password"
          size="small"
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
        <Button type="submit" variant="contained">
          Sign in
        </Button>
      </Box>
    </Box>
  );
}
