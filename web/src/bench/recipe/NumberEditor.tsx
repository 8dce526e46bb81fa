import { Typography } from "@mui/material";
import type { Control, Pass } from "../../api/types";
import { Scale } from "../../kit/Scale";
import { changePass, moveControl, numbers } from "../edits/passes";
import { move, settle } from "../state/gesture";
import { kelvin } from "../words";

/** One control of a pass, drawn from the catalogue. */
export function NumberEditor({ pass, control }: { pass: Pass; control: Control }) {
  const value = numbers(pass)[control.name] ?? control.defaultValue;
  return (
    <>
      <Scale
        {...control}
        value={value}
        onMove={(v) => moveControl(pass, control.name, v)}
        onSettle={settle}
      />
      {control.unit === "mired" && value !== 0 && (
        <Typography variant="caption" component="div" sx={{ textAlign: "right", mt: -0.5 }}>
          neutral at {kelvin(value)} K
        </Typography>
      )}
    </>
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
