import { Box, Typography } from "@mui/material";
import { useRef } from "react";
import type { Control, Pass } from "../../api/types";
import { NumberField } from "../../kit/NumberField";
import { entered, within } from "../../kit/numbers";
import { Scale } from "../../kit/Scale";
import { changePass, moveControl, numbers } from "../edits/passes";
import { move, settle } from "../state/gesture";
import { kelvin, mired } from "../words";

/** A hue as it looks at one lightness and saturation (CSS Color 4, lch). */
const hue = (degrees: number) => `lch(65% 48 ${degrees})`;

/** One control of a pass, drawn from the catalogue. */
export function NumberEditor({ pass, control }: { pass: Pass; control: Control }) {
  const value = numbers(pass)[control.name] ?? control.defaultValue;
  const move = (v: number) => moveControl(pass, control.name, v);
  return (
    <>
      <Scale
        {...control}
        colour={control.name === "hue" ? hue : undefined}
        value={value}
        onMove={move}
        onSettle={settle}
      />
      {control.unit === "mired" && <Kelvin control={control} value={value} onMove={move} />}
    </>
  );
}

/** The same shift as the light that it makes neutral, in kelvin. */
function Kelvin({
  control,
  value,
  onMove,
}: {
  control: Control;
  value: number;
  onMove: (warmer: number) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  return (
    <Box
      ref={box}
      tabIndex={-1}
      sx={{ display: "grid", gridTemplateColumns: "1fr 68px", alignItems: "center", gap: 1, height: 24 }}
    >
      <Typography variant="caption" sx={{ textAlign: "right" }}>
        neutral at
      </Typography>
      <NumberField
        label={`${control.label}, neutral at`}
        said={`${kelvin(value)} K`}
        read={(text) => {
          const k = entered(text, "K", Number(kelvin(value)));
          return k && k > 0 ? within(Math.round(mired(k)), control.from, control.to) : undefined;
        }}
        onAccept={(v) => {
          onMove(v);
          settle();
        }}
        onDone={() => box.current?.focus()}
      />
    </Box>
  );
}

export function StrengthEditor({ pass }: { pass: Pass }) {
  return (
    <Scale
      label="Strength"
      unit="%"
      from={0}
      to={1}
      step={0.01}
      defaultValue={1}
      value={pass.strength}
      onMove={(strength) => {
        move(pass.id);
        changePass(pass.id, { strength });
      }}
      onSettle={settle}
    />
  );
}
