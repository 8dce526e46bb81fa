import { Box, Button, Typography } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { tinykeys } from "tinykeys";
import { Link } from "react-router";
import { moment } from "../kit/dates";
import { look } from "../theme";
import type { Judging } from "./judging";
import { Rest } from "./Rest";

interface Seen {
  view: string;
  name: string;
  shootName: string;
  note: string;
  until: string;
  due: boolean;
}

const picture = (view: string, without: string) =>
  `/api/views/${view}/compare/picture?${new URLSearchParams({ without, edge: "2400" }).toString()}`;

/** One view after the other, alone on the screen; judged by a key or a press. */
export function Look({
  views,
  onJudge,
  onLeave,
}: {
  views: Seen[];
  onJudge: (judging: Omit<Judging, "views">, view: string) => void;
  onLeave: () => void;
}) {
  const [at, setAt] = useState(0);
  const [mirrored, setMirrored] = useState(false);
  const [before, setBefore] = useState(false);
  const [resting, setResting] = useState(false);
  const [drawn, setDrawn] = useState<string>();
  const whole = useRef<HTMLDivElement>(null);
  const seen = views[at];
  const next = () => (at + 1 < views.length ? setAt(at + 1) : onLeave());
  const judge = (judging: Omit<Judging, "views">) => {
    if (!seen) return;
    onJudge(judging, seen.view);
    next();
  };
  const keys = useRef({ judge, next, onLeave });
  useEffect(() => {
    keys.current = { judge, next, onLeave };
  });
  useEffect(() => {
    whole.current?.focus();
    const quiet = (act: () => void) => (e: KeyboardEvent) => {
      if (e.target instanceof HTMLElement && e.target.closest("[role=dialog]")) return;
      act();
    };
    const off = tinykeys(window, {
      m: quiet(() => setMirrored((was) => !was)),
      b: quiet(() => setBefore(true)),
      r: quiet(() => keys.current.judge({ judged: "READY" })),
      ArrowRight: quiet(() => setAt((was) => Math.min(was + 1, views.length - 1))),
      ArrowLeft: quiet(() => setAt((was) => Math.max(was - 1, 0))),
      Escape: quiet(() => keys.current.onLeave()),
    });
    const up = (e: KeyboardEvent) => e.key.toLowerCase() === "b" && setBefore(false);
    addEventListener("keyup", up);
    return () => {
      off();
      removeEventListener("keyup", up);
    };
  }, [views.length]);
  if (!seen) return null;
  const shown = picture(seen.view, before ? "all" : "");
  return (
    <Box
      ref={whole}
      tabIndex={-1}
      role="region"
      aria-label={`Second look at ${seen.name}`}
      sx={{
        position: "fixed",
        inset: 0,
        zIndex: "modal",
        display: "flex",
        flexDirection: "column",
        bgcolor: look.surround.grey,
        outline: "none",
      }}
    >
      <Box sx={{ flexGrow: 1, minHeight: 0, position: "relative", m: 3 }}>
        <img
          src={shown}
          alt={before ? `${seen.name}, the ground alone` : seen.name}
          draggable={false}
          onLoad={() => setDrawn(shown)}
          style={{
            position: "absolute",
            inset: 0,
            margin: "auto",
            maxWidth: "100%",
            maxHeight: "100%",
            transform: mirrored ? "scaleX(-1)" : undefined,
            visibility: drawn === shown ? "visible" : "hidden",
          }}
        />
        {drawn !== shown && (
          <Typography role="status" sx={{ color: look.white }}>
            The picture is being drawn …
          </Typography>
        )}
        {before && (
          <Typography sx={{ position: "absolute", left: 12, bottom: 12, px: 1, bgcolor: look.white }}>
            Before
          </Typography>
        )}
      </Box>
      <Box
        role="toolbar"
        aria-label="What is said of it"
        sx={{ display: "flex", alignItems: "center", gap: 1, px: 2, height: 48, bgcolor: look.card }}
      >
        <Box sx={{ flexGrow: 1, minWidth: 0 }}>
          <Typography noWrap>
            <b>{seen.name}</b>, {seen.shootName}; {at + 1} of {views.length},{" "}
            {seen.due ? "waits since" : "rests until"} {moment(seen.until)}
          </Typography>
          {seen.note && (
            <Typography noWrap color="text.secondary">
              {seen.note}
            </Typography>
          )}
        </Box>
        <Button aria-pressed={mirrored} onClick={() => setMirrored(!mirrored)} title="Key M">
          Mirror
        </Button>
        <Button
          aria-pressed={before}
          title="Hold B"
          onPointerDown={() => setBefore(true)}
          onPointerUp={() => setBefore(false)}
          onPointerLeave={() => setBefore(false)}
        >
          Before
        </Button>
        <Button
          onClick={() =>
            void (document.fullscreenElement
              ? document.exitFullscreen()
              : document.documentElement.requestFullscreen())
          }
        >
          Full screen
        </Button>
        <Button component={Link} to={`/views/${seen.view}`}>
          Open it on the bench
        </Button>
        <Button onClick={() => setResting(true)}>Let it rest …</Button>
        <Button onClick={() => judge({ judged: "WORK" })}>Needs work</Button>
        <Button variant="contained" title="Key R" onClick={() => judge({ judged: "READY" })}>
          It is ready
        </Button>
        <Button onClick={onLeave}>Leave</Button>
      </Box>
      {resting && (
        <Rest
          what={seen.name}
          onClose={() => setResting(false)}
          onRest={(until) => {
            setResting(false);
            judge({ judged: "REST", until });
          }}
        />
      )}
    </Box>
  );
}
