import { ToggleButton, ToggleButtonGroup } from "@mui/material";
import type { ShapeOf } from "../../api/types";
import { CurveField } from "../../kit/CurveField";
import { backdrop } from "../histogram";
import { useViewport } from "../state/viewport";
import { LookLine } from "./lines";
import type { EditorProps, PartUi } from "./part";

type Band = ShapeOf<"tone-band">;

const TONES = { LIGHTS: "Lights", DARKS: "Darks", MIDTONES: "Midtones", CURVE: "Curve" };

/** A curve on which each tone keeps its own share. */
const STRAIGHT = [
  { x: 0, y: 0 },
  { x: 0.5, y: 0.5 },
  { x: 1, y: 1 },
];

/** The sRGB code of a tone in stops below white (IEC 61966-2-1). */
function codeOf(stops: number): number {
  const light = 2 ** stops;
  return light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;
}

function title(band: Band): string {
  if (band.tones === "CURVE") return "Curve over the tones";
  const less = band.less >= 1 ? ` less ${Number(band.less.toFixed(2))}` : "";
  return `${TONES[band.tones]} ${Number(band.exponent.toFixed(2))}${less}`;
}

function Editor({ shape, onChange, onMove, onSettle }: EditorProps<"tone-band">) {
  const light = useViewport((s) => s.histogram?.light);
  return (
    <>
      <LookLine look={shape.look} live onPick={(look) => onChange({ look })} />
      <ToggleButtonGroup
        exclusive
        value={shape.tones}
        aria-label="Which tones"
        onChange={(_, tones: Band["tones"] | null) =>
          tones &&
          onChange({ tones, curve: tones === "CURVE" && shape.curve.length < 2 ? STRAIGHT : shape.curve })
        }
        sx={{ my: 0.5 }}
      >
        {Object.entries(TONES).map(([k, v]) => (
          <ToggleButton key={k} value={k}>
            {v}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {shape.tones === "CURVE" && (
        <CurveField
          label="Curve over the tones"
          points={shape.curve}
          height={92}
          from={0}
          to={1}
          step={0.01}
          apart={0.01}
          ticks={[25, 50, 75].map((n) => ({ at: n / 100, name: `${n} %` }))}
          axes={["tone", "share"]}
          backdrop={backdrop(light, codeOf)}
          said={(p) => `tone ${Math.round(p.x * 100)} %, share ${Math.round(p.y * 100)} %`}
          onMove={(curve) => onMove({ curve })}
          onSettle={onSettle}
        />
      )}
    </>
  );
}

export const toneBand: PartUi<"tone-band"> = {
  kind: "tone-band",
  name: "Tone band",
  title,
  found: () => ({ kind: "tone-band", look: { from: "GROUND", frame: "" }, tones: "LIGHTS", curve: [] }),
  Editor,
  hides: (band, control) => band.tones === "CURVE" && ["exponent", "less"].includes(control),
};
