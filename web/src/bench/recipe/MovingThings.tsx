import { Box, Button, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { data, server } from "../../api/client";
import type { SeveralFrames, Point, Thing, ViewSheet } from "../../api/types";
import { addRegion, newPart } from "../edits/regions";
import { AS_IT_LIES } from "../edits/geometry";
import { frameName } from "../frames";
import { firstShape } from "../parts";
import { settle } from "../state/gesture";
import { edit, useHistory } from "../state/history";
import { useView } from "../state/view";
import { FrameChooser } from "./choosers";
import { Word } from "./Word";

const MOST = 8;

function choose(ground: SeveralFrames, thing: Thing, frame: string) {
  const others = ground.chosen.filter((c) => c.at.x !== thing.at.x || c.at.y !== thing.at.y);
  edit((r) => void (r.ground = { ...ground, chosen: [...others, { at: thing.at, frame }] }));
  settle();
}

function showAsRegion() {
  const shape = firstShape("moving", "");
  if (!shape) return;
  addRegion("Moving things", newPart(shape));
  settle();
}

/** Each moving thing with the frame that it is taken from; another can be chosen. */
export function MovingThings({ ground }: { ground: SeveralFrames }) {
  const sheet = useView((s) => s.sheet);
  const shown = useHistory((s) =>
    s.recipe?.regions.some((r) => r.parts.some((p) => p.shape.kind === "moving")),
  );
  const id = sheet?.id ?? "";
  const things = useQuery({
    queryKey: ["moving", id, ground],
    queryFn: () =>
      data(
        server.POST("/api/views/{id}/moving", {
          params: { path: { id } },
          body: { ground, regions: [], passes: [], groups: [], geometry: AS_IT_LIES },
        }),
      ),
    placeholderData: (before) => before,
    enabled: !!id,
  });
  if (!sheet) return null;
  const all = things.data ?? [];
  return (
    <Box aria-label="Moving things" role="group" sx={{ mt: 0.5 }}>
      {things.data && all.length === 0 && <Typography color="text.secondary">Nothing moved.</Typography>}
      {all.slice(0, MOST).map((t, i) => (
        <Typography key={`${t.at.x} ${t.at.y}`} component="div">
          {i + 1}. {placed(t.at, sheet)}, {(100 * t.share).toFixed(t.share < 0.01 ? 2 : 1)} %, from{" "}
          <Word label={`Frame of moving thing ${i + 1}`} text={frameName(t.frame, sheet.frames)}>
            {(close) => (
              <FrameChooser
                value={t.frame}
                among={ground.frames}
                onPick={(frame) => {
                  choose(ground, t, frame);
                  close();
                }}
              />
            )}
          </Word>
        </Typography>
      ))}
      {all.length > MOST && (
        <Typography color="text.secondary">and {all.length - MOST} smaller ones</Typography>
      )}
      {!shown && all.length > 0 && (
        <Button onClick={showAsRegion} sx={{ mt: 0.5, px: 1, py: 0.1, fontSize: 12 }}>
          Show as a region
        </Button>
      )}
    </Box>
  );
}

/** Where in the picture a place lies, in words. */
function placed(at: Point, { width, height }: ViewSheet): string {
  const long = Math.max(width, height);
  const third = (v: number, names: string[]) => names[Math.min(2, Math.floor(v * 3))] ?? "";
  const across = third((at.x * long) / width, ["left", "middle", "right"]);
  const down = third((at.y * long) / height, ["upper", "", "lower"]);
  return [down, across].filter(Boolean).join(" ");
}
