import { Box, Button, Table, TableBody, TableCell, TableRow, Typography } from "@mui/material";
import type { HouseStyle, Kind, Pass } from "../api/types";
import { sentenceText } from "../bench/sentence";
import { NumberField } from "../kit/NumberField";
import { typedNumber, worded } from "../kit/numbers";
import { Sheet } from "../kit/Sheet";

type Shift = HouseStyle["shifts"][number];

/** The number of a kind that a shift moves. */
function numberOf(shift: Shift, kinds: Kind[]) {
  const kind = kinds.find((k) => k.kind === shift.kind);
  const control = kind?.controls.find((c) => c.name === shift.control);
  return {
    kind: kind?.name ?? shift.kind,
    label: control?.label ?? "Strength",
    unit: control?.unit ?? "%",
    step: control?.step ?? 0.01,
  };
}

/** A region that first versions find, by its id. */
const place = (id: string) => (id.charAt(0).toUpperCase() + id.slice(1)).replaceAll("-", " ");

function said(pass: Pass, kinds: Kind[]): string {
  const kind = kinds.find((k) => k.kind === pass.move.kind);
  if (!kind) return pass.move.kind;
  const values = pass.move as unknown as Record<string, string | number>;
  const { region, outside } = pass.where;
  const where = region ? (outside ? `all but ${place(region)}` : place(region)) : "the whole picture";
  return sentenceText(kind, pass, (name) =>
    name === "region"
      ? where
      : String(values[name] ?? "")
          .toLowerCase()
          .replaceAll("_", " "),
  );
}

/** What a style does, each line to be changed or left out. */
export function StyleSheet({
  style,
  kinds,
  onStyle,
}: {
  style: HouseStyle;
  kinds: Kind[];
  /** Not there for those who may not. */
  onStyle?: (to: HouseStyle) => void;
}) {
  const drop = (label: string, to: HouseStyle) =>
    onStyle && (
      <TableCell align="right">
        <Button aria-label={`Leave out ${label}`} onClick={() => onStyle(to)}>
          Leave out
        </Button>
      </TableCell>
    );
  return (
    <Box sx={{ display: "grid", gap: 2.5 }}>
      <Sheet title="Moved from where it is proposed">
        {style.shifts.length === 0 && <Typography color="text.secondary">Nothing.</Typography>}
        <Table size="small" aria-label="Moved from where it is proposed">
          <TableBody>
            {style.shifts.map((s) => {
              const number = numberOf(s, kinds);
              const label = `${number.kind}, ${number.label.toLowerCase()}`;
              return (
                <TableRow key={label}>
                  <TableCell>{label}</TableCell>
                  <TableCell sx={{ width: 110 }}>
                    {onStyle ? (
                      <NumberField
                        label={label}
                        said={worded(s.by, number.step, number.unit)}
                        read={(text) => typedNumber(text, number.unit)}
                        onAccept={(by) =>
                          onStyle({ ...style, shifts: style.shifts.map((x) => (x === s ? { ...s, by } : x)) })
                        }
                        onDone={() => {}}
                      />
                    ) : (
                      worded(s.by, number.step, number.unit)
                    )}
                  </TableCell>
                  {drop(label, { ...style, shifts: style.shifts.filter((x) => x !== s) })}
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </Sheet>
      <Sheet title="Not proposed">
        {style.without.length === 0 && <Typography color="text.secondary">Nothing.</Typography>}
        <Table size="small" aria-label="Not proposed">
          <TableBody>
            {style.without.map((w) => {
              const name = kinds.find((k) => k.kind === w)?.name ?? w;
              return (
                <TableRow key={w}>
                  <TableCell>{name}</TableCell>
                  {onStyle && (
                    <TableCell align="right">
                      <Button
                        onClick={() => onStyle({ ...style, without: style.without.filter((x) => x !== w) })}
                      >
                        Propose it again
                      </Button>
                    </TableCell>
                  )}
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </Sheet>
      <Sheet title="Added">
        {style.added.length === 0 && <Typography color="text.secondary">Nothing.</Typography>}
        <Table size="small" aria-label="Added">
          <TableBody>
            {style.added.map((p) => {
              const sentence = said(p, kinds);
              return (
                <TableRow key={p.id}>
                  <TableCell>{sentence}</TableCell>
                  {drop(sentence, { ...style, added: style.added.filter((x) => x !== p) })}
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </Sheet>
    </Box>
  );
}
