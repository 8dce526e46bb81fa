import { Box, Typography } from "@mui/material";
import { StageButton } from "../recipe/StageButton";
import { toldBy } from "../regions/found";
import { geometry, put, useBench } from "../store";

/** Switches the picture of casts on and off. */
export function CastMapButton() {
  const casts = useBench((s) => s.casts);
  const frames = useBench((s) => s.sheet!.frames);
  const pass = useBench((s) => s.recipe!.passes.find((p) => p.move.kind === "clear-casts")?.move);
  const show = () =>
    put({
      casts: casts
        ? undefined
        : // as the pass sees them; without one, as it would
          pass?.kind === "clear-casts"
          ? { source: pass.source, flash: pass.flash }
          : toldBy(frames),
    });
  return (
    <StageButton pressed={!!casts} onClick={show}>
      Cast map
    </StageButton>
  );
}

/** The colour of the light on each surface, over the picture. */
export function CastMap() {
  const shown = useBench((s) => !!s.casts && !s.moving && !s.before && !s.alone);
  return shown ? <Shown /> : null;
}

function Shown() {
  const s = useBench();
  if (!s.casts || !s.sheet) return null;
  const g = geometry(s);
  const query = new URLSearchParams({ source: s.casts.source, flash: s.casts.flash });
  return (
    <>
      <img
        src={`/api/views/${s.sheet.id}/casts?${query}`}
        alt="Cast map"
        draggable={false}
        onError={() => put({ casts: undefined, problem: "The casts of this view cannot be told so." })}
        style={{
          position: "absolute",
          left: g.ox,
          top: g.oy,
          width: g.w * g.scale,
          height: g.h * g.scale,
          pointerEvents: "none",
        }}
      />
      <Box sx={{ position: "absolute", left: 12, bottom: 12, bgcolor: "#fafafa", px: 1, py: 0.5 }}>
        <Typography variant="caption">
          The light on each surface, told by{" "}
          {s.casts.source === "FLASH" ? "the flash" : "near-neutral surfaces"}; twice as strong as it is. Grey
          is neutral.
        </Typography>
      </Box>
    </>
  );
}
