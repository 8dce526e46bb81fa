import { Button } from "@mui/material";
import { useState } from "react";
import { data, server } from "../api/client";
import { Door } from "./Door";
import { Word } from "./Word";

/** For those who have an account. */
export function SignIn({ onSigned }: { onSigned: () => void }) {
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<unknown>();
  const enter = async () => {
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
    <Door says="Bracketed frames of rooms, blended and balanced." problem={problem} onEnter={enter}>
      <Word kind="email" value={email} onChange={setEmail} autoFocus />
      <Word kind="password" value={password} onChange={setPassword} />
      <Button type="submit" variant="contained">
        Sign in
      </Button>
    </Door>
  );
}
