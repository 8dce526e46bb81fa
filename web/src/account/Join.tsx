import { Button } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { data, server } from "../api/client";
import { Door } from "./Door";
import { ROLE } from "./roles";
import { Word } from "./Word";

/** Name, e-mail and password of somebody who comes for the first time. */
function useNewcomer(join: (who: { name: string; email: string; password: string }) => Promise<unknown>) {
  const [who, setWho] = useState({ name: "", email: "", password: "" });
  const [problem, setProblem] = useState<unknown>();
  return {
    problem,
    enter: async () => {
      setProblem(undefined);
      try {
        await data(server.GET("/api/session").catch(() => ({})));
        await join(who);
        location.assign("/shoots");
      } catch (p) {
        setProblem(p);
      }
    },
    words: (
      <>
        <Word kind="name" value={who.name} onChange={(name) => setWho({ ...who, name })} />
        <Word kind="email" value={who.email} onChange={(email) => setWho({ ...who, email })} />
        <Word kind="chosen" value={who.password} onChange={(password) => setWho({ ...who, password })} />
      </>
    ),
  };
}

/** The first start: whoever comes founds the studio. */
export function Found() {
  const [studio, setStudio] = useState("");
  const { problem, enter, words } = useNewcomer((who) =>
    data(server.POST("/api/first", { body: { studio, ...who } })),
  );
  return (
    <Door
      says="Nobody works here yet. Create your studio; you will be its owner."
      problem={problem}
      onEnter={enter}
    >
      <Word kind="studio" value={studio} onChange={setStudio} autoFocus />
      {words}
      <Button type="submit" variant="contained">
        Create the studio
      </Button>
    </Door>
  );
}

/** For somebody who follows an invitation. */
export function Join({ token }: { token: string }) {
  const path = { params: { path: { token } } };
  const bid = useQuery({
    queryKey: ["invitation", token],
    queryFn: () => data(server.GET("/api/invitations/{token}", path)),
    retry: false,
  });
  const { problem, enter, words } = useNewcomer((body) =>
    data(server.POST("/api/invitations/{token}", { ...path, body })),
  );
  return (
    <Door
      says={
        bid.data
          ? `${bid.data.by} invites you to ${bid.data.studio}, as ${ROLE[bid.data.role].name.toLowerCase()}.`
          : "An invitation to a studio."
      }
      problem={bid.error ?? problem}
      onEnter={enter}
    >
      {bid.data && (
        <>
          {words}
          <Button type="submit" variant="contained">
            Join
          </Button>
        </>
      )}
      {bid.error && (
        <Button href="/" variant="outlined">
          Sign in instead
        </Button>
      )}
    </Door>
  );
}
