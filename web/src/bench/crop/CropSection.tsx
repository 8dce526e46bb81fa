import { Box, MenuItem, MenuList, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { data, server } from "../../api/client";
import type { Geometry } from "../../api/types";
import { NumberField } from "../../kit/NumberField";
import { amount, typedNumber } from "../../kit/numbers";
import { Scale } from "../../kit/Scale";
import { AS_IT_LIES, moveGeometry, setGeometry, type GeometryNumber } from "../edits/geometry";
import { Propose } from "../recipe/Propose";
import { Section } from "../recipe/Section";
import { StageButton, StageButtons } from "../recipe/StageButton";
import { Word } from "../recipe/Word";
import { settle } from "../state/gesture";
import { take, useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { cut, useLay } from "../state/lay";
import { fullSize } from "../state/view";
import { keptBox, pulledBox, RATIOS, ratioWords, withRatio, type Box as Kept } from "./box";
import { forgetLines } from "./lines";

/** How the finished picture lies on the anchor's: straightened, upright, cut; always to be changed again. */
export function CropSection() {
  const geometry = useHistory((s) => s.recipe?.geometry);
  const controls = useQuery({
    queryKey: ["geometry"],
    queryFn: () => data(server.GET("/api/catalogue/geometry")),
    staleTime: Infinity,
  });
  const cutting = useLay((s) => s.cutting);
  const lines = useHand((s) => s.tool === "line");
  useEffect(
    () => () => {
      if (useLay.getState().cutting) cut(false);
    },
    [],
  );
  if (!geometry) return null;
  return (
    <Section name="Crop and upright">
      <StageButtons>
        <StageButton pressed={cutting} onClick={() => cut(!cutting)}>
          Crop
        </StageButton>
        <StageButton
          pressed={lines}
          onClick={() => {
            forgetLines();
            take({ tool: lines ? "look" : "line", draft: [] });
          }}
        >
          Straighten by lines
        </StageButton>
        <Propose stage="Upright" name="Set upright" />
        <Propose stage="Level" name="Lay level" />
        <StageButton onClick={() => setGeometry({ ...AS_IT_LIES, focal: geometry.focal })}>
          As the camera saw it
        </StageButton>
      </StageButtons>
      <Typography component="div" sx={{ mt: 0.75 }}>
        Keep <Ratio geometry={geometry} />
        {geometry.crop.ratio > 0 && geometry.crop.ratio !== 1 && (
          <>
            {" "}
            <StageButton onClick={() => pick(geometry, 1 / geometry.crop.ratio)}>
              The other way round
            </StageButton>
          </>
        )}
        {geometry.crop.width > 0 && (
          <>
            {", placed by hand "}
            <StageButton
              onClick={() => setGeometry({ crop: { ...AS_IT_LIES.crop, ratio: geometry.crop.ratio } })}
            >
              Keep all there is
            </StageButton>
          </>
        )}
      </Typography>
      <Sides geometry={geometry} />
      {controls.data?.map((c) => (
        <Scale
          key={c.name}
          {...c}
          value={geometry[c.name as GeometryNumber]}
          onMove={(v) => moveGeometry(c.name as GeometryNumber, v)}
          onSettle={settle}
        />
      ))}
      {geometry.why && (
        <Typography variant="caption" component="div" sx={{ mt: 0.75 }}>
          {geometry.why}
        </Typography>
      )}
    </Section>
  );
}

/** Cuts to a ratio of width over height; 0 for none. */
function pick({ crop }: Geometry, ratio: number) {
  const box = keptBox(useLay.getState().kept, fullSize());
  if (ratio === 0) setGeometry({ crop: crop.width > 0 ? { ...crop, ratio } : AS_IT_LIES.crop });
  else if (crop.width > 0) setGeometry({ crop: { ratio, ...withRatio(box, ratio) } });
  else setGeometry({ crop: { ...AS_IT_LIES.crop, ratio } });
}

function Ratio({ geometry }: { geometry: Geometry }) {
  const { crop } = geometry;
  return (
    <Word label="Ratio" text={ratioWords(crop)}>
      {(close) => (
        <MenuList autoFocus aria-label="Ratios">
          <MenuItem
            onClick={() => {
              pick(geometry, 0);
              close();
            }}
          >
            {crop.width > 0 ? "free" : "as it is"}
          </MenuItem>
          {RATIOS.map(([name, ratio]) => (
            <MenuItem
              key={name}
              selected={crop.ratio === ratio}
              onClick={() => {
                pick(geometry, ratio);
                close();
              }}
            >
              {name}
            </MenuItem>
          ))}
        </MenuList>
      )}
    </Word>
  );
}

const SIDES: [label: string, side: keyof Kept][] = [
  ["Left", "left"],
  ["Top", "top"],
  ["Width", "width"],
  ["Height", "height"],
];

/** Where what is kept lies, in pixels at full size. */
function Sides({ geometry }: { geometry: Geometry }) {
  const kept = useLay((s) => s.kept);
  const size = fullSize();
  const box = keptBox(kept, size);
  const accept = (side: keyof Kept, px: number) => {
    const by = px / size.long - box[side];
    const sides: [number, number] = side === "width" ? [1, 0] : side === "height" ? [0, 1] : [0, 0];
    const dx = side === "left" || side === "width" ? by : 0;
    const dy = side === "top" || side === "height" ? by : 0;
    const { ratio } = geometry.crop;
    setGeometry({ crop: { ratio, ...pulledBox(box, sides, dx, dy, ratio) } });
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "repeat(4, 1fr)", gap: 0.75, mt: 0.5 }}>
      {SIDES.map(([label, side]) => (
        <Box key={side}>
          <Typography variant="caption">{label}</Typography>
          <NumberField
            label={`${label}, pixels`}
            said={amount(Math.round(box[side] * size.long), 1, "", false)}
            read={(text) => typedNumber(text, "px")}
            onAccept={(px) => accept(side, px)}
            onDone={() => (document.activeElement as HTMLElement | null)?.blur()}
          />
        </Box>
      ))}
    </Box>
  );
}
