import { Box, Button, Table, TableBody, TableCell, TableRow, Typography } from "@mui/material";
import type { ReactNode } from "react";
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

/** Lines of one sort under their title, each with its button; "Nothing." where there are none. */
function Lines({ title, children }: { title: string; children: ReactNode[] }) {
  return (
    <Sheet title={title}>
      {children.length === 0 && <Typography color="text.secondary">Nothing.</Typography>}
      <Table size="small" aria-label={title}>
        <TableBody>{children}</TableBody>
      </Table>
    </Sheet>
  );
}

/** Each line of a style, to be changed or left out. */
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
  const drop = (to: HouseStyle, label: string, name = "Leave out") =>
    onStyle && (
      <TableCell align="right">
        <Button aria-label={label} onClick={() => onStyle(to)}>
          {name}
        </Button>
      </TableCell>
    );
  return (
    <Box sx={{ display: "grid", gap: 2.5 }}>
      <Lines title="Moved from where it is proposed">
        {style.shifts.map((s) => {
          const number = numberOf(s, kinds);
          const label = `${number.kind}, ${number.label.toLowerCase()}`;
          const said = worded(s.by, number.step, number.unit);
          return (
            <TableRow key={label}>
              <TableCell>{label}</TableCell>
              <TableCell sx={{ width: 110 }}>
                {onStyle ? (
                  <NumberField
                    label={label}
                    said={said}
                    read={(text) => typedNumber(text, number.unit)}
                    onAccept={(by) =>
                      onStyle({ ...style, shifts: style.shifts.map((x) => (x === s ? { ...s, by } : x)) })
                    }
                    onDone={() => {}}
                  />
                ) : (
                  said
                )}
              </TableCell>
              {drop({ ...style, shifts: style.shifts.filter((x) => x !== s) }, `Leave out ${label}`)}
            </TableRow>
          );
        })}
      </Lines>
      <Lines title="Not proposed">
        {style.without.map((w) => {
          const name = kinds.find((k) => k.kind === w)?.name ?? w;
          return (
            <TableRow key={w}>
              <TableCell>{name}</TableCell>
              {drop(
                { ...style, without: style.without.filter((x) => x !== w) },
                `Propose ${name} again`,
                "Propose it again",
              )}
            </TableRow>
          );
        })}
      </Lines>
      <Lines title="Added">
        {style.added.map((p) => {
          const sentence = said(p, kinds);
          return (
            <TableRow key={p.id}>
              <TableCell>{sentence}</TableCell>
              {drop({ ...style, added: style.added.filter((x) => x !== p) }, `Leave out ${sentence}`)}
            </TableRow>
          );
        })}
      </Lines>
    </Box>
  );
}
