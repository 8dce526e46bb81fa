import { Box, Button, Typography } from "@mui/material";
import type { Pass } from "../api/types";
import { namesIn } from "../bench/named";
import { sentenceText } from "../bench/sentence";
import { toggled } from "../kit/selection";
import { Tick } from "../kit/Tick";
import { look } from "../theme";
import type { Source } from "../api/source";
import type { What } from "./what";

/** What can be carried over, stage by stage, each pass as its sentence. */
export function Wanted({
  source,
  what,
  onChange,
}: {
  source: Source;
  what: What;
  onChange: (to: What) => void;
}) {
  const recipe = source.recipe.data?.recipe;
  const kinds = source.kinds.data ?? [];
  const frames = source.sheet.data?.frames ?? [];
  const kindOf = (p: Pass) => kinds.find((k) => k.kind === p.move.kind);
  const passes = recipe?.passes ?? [];
  const stages = [...new Set(passes.map((p) => kindOf(p)?.stage ?? ""))].filter((s) => s !== "");
  const said = (p: Pass) => {
    const kind = kindOf(p);
    const region = recipe?.regions.find((r) => r.id === p.where.region)?.name;
    return (kind && sentenceText(kind, p, namesIn(p, kind, frames, region))) ?? "";
  };
  return (
    <Box
      component="section"
      aria-label="Choose what to carry over"
      sx={{ border: 1, borderColor: "divider", bgcolor: look.card, px: 1.75, py: 1.25 }}
    >
      <Box sx={{ display: "flex", gap: 0.75, alignItems: "center" }}>
        <Typography variant="h2" sx={{ flexGrow: 1 }}>
          Choose what to carry over
        </Typography>
        <Button
          onClick={() => onChange({ passes: passes.map((p) => p.id), ground: true, geometry: what.geometry })}
        >
          All passes
        </Button>
        <Button onClick={() => onChange({ passes: [], ground: false, geometry: false })}>Nothing</Button>
      </Box>
      <Stage name="Ground">
        <Tick
          label="The ground, of the frames there"
          on={what.ground}
          onChange={(ground) => onChange({ ...what, ground })}
        />
      </Stage>
      {stages.map((stage) => (
        <Stage key={stage} name={stage}>
          {passes
            .filter((p) => kindOf(p)?.stage === stage)
            .map((p) => (
              <Tick
                key={p.id}
                label={said(p) + (p.on ? "" : " (off)")}
                on={what.passes.includes(p.id)}
                onChange={() => onChange({ ...what, passes: toggled(what.passes, p.id) })}
              />
            ))}
        </Stage>
      ))}
      <Stage name="Crop and upright">
        <Tick
          label="How the picture lies and is cut"
          on={what.geometry}
          onChange={(geometry) => onChange({ ...what, geometry })}
        />
      </Stage>
      <Typography variant="caption" component="div" sx={{ mt: 1 }}>
        Frames are matched by what they are for and by their exposure. Panes, lamps and what moves are found
        anew; drawn regions come along by place, to be looked at. A region that is there already stays.
      </Typography>
    </Box>
  );
}

function Stage({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <Box sx={{ borderTop: 1, borderColor: "divider", mt: 0.75, pt: 0.5 }}>
      <Typography variant="h3">{name}</Typography>
      <Box sx={{ display: "flex", flexDirection: "column", "& .MuiFormControlLabel-root": { mr: 0 } }}>
        {children}
      </Box>
    </Box>
  );
}
