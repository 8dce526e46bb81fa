import { Box } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import { look } from "../theme";

const DRAWN = { width: "100%", height: "100%", objectFit: "cover", display: "block" } as const;

/**
 * A view's picture, which opens it. While the pointer rests on its word, or B is held on it, the ground
 * alone is shown: how it was before any pass.
 */
export function ContactPicture({ view, name }: { view: string; name: string }) {
  const [before, setBefore] = useState(false);
  const [asked, setAsked] = useState(false);
  const show = (to: boolean) => {
    setBefore(to);
    if (to) setAsked(true);
  };
  const key = (to: boolean) => (e: { key: string; ctrlKey: boolean }) => {
    if (e.key.toLowerCase() === "b" && !e.ctrlKey) show(to);
  };
  return (
    <Box
      component={Link}
      to={`/views/${view}`}
      data-contact={view}
      aria-label={`Open ${name}`}
      draggable={false}
      onKeyDown={key(true)}
      onKeyUp={key(false)}
      onBlur={() => setBefore(false)}
      sx={{
        display: "block",
        position: "relative",
        height: "100%",
        "&:hover [data-word]": { opacity: 1 },
        "&:focus-visible": { outlineOffset: -3, outlineWidth: 3 },
      }}
    >
      <Box component="img" src={`/api/views/${view}/cover`} alt={name} draggable={false} sx={DRAWN} />
      {asked && (
        <Box
          component="img"
          src={`/api/views/${view}/compare/picture?without=all&edge=720`}
          alt=""
          draggable={false}
          sx={{ ...DRAWN, position: "absolute", inset: 0, visibility: before ? "visible" : "hidden" }}
        />
      )}
      <Box
        component="span"
        aria-hidden
        data-word
        onPointerEnter={() => show(true)}
        onPointerLeave={() => show(false)}
        sx={{
          position: "absolute",
          right: 8,
          top: 8,
          px: 0.75,
          bgcolor: before ? look.amberFill : look.white,
          color: look.ink,
          opacity: before ? 1 : 0,
        }}
      >
        Before
      </Box>
    </Box>
  );
}
