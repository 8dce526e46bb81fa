import { Checkbox } from "@mui/material";
import type { Probe, ProbeReading } from "../../api/types";
import { signed } from "../../kit/numbers";

type Lab = { l: number; a: number; b: number };

const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** The surfaces of the board: the mean of each one's probes, and how far they lie apart. */
export function SurfaceRows({
  probes,
  readings,
  base,
  chosen,
  onChoose,
}: {
  probes: Probe[];
  readings: ProbeReading[];
  base: Lab | undefined;
  chosen: string[];
  onChoose: (ids: string[], on: boolean) => void;
}) {
  const names = [...new Set(probes.map((p) => p.surface).filter((n): n is string => !!n))];
  return (
    <>
      {names.map((name) => {
        const own = probes.filter((p) => p.surface === name);
        const read = readings.filter((r) => own.some((p) => p.id === r.id));
        const labs = read.flatMap((r): Lab[] => (r.reading ? [r.reading.lab] : []));
        if (labs.length === 0) return null;
        const l = mean(labs.map((lab) => lab.l));
        const a = mean(labs.map((lab) => lab.a));
        const b = mean(labs.map((lab) => lab.b));
        const apart = Math.max(...labs.map((lab) => Math.hypot(lab.l - l, lab.a - a, lab.b - b)));
        const differences = read.map((r) => r.difference).filter((d): d is number => d !== undefined);
        return (
          <tr key={name} aria-label={`Surface ${name}`} style={{ borderTop: "1px solid #bbb" }}>
            <td>
              <Checkbox
                size="small"
                sx={{ p: 0 }}
                checked={own.every((p) => chosen.includes(p.id))}
                onChange={(_, on) =>
                  onChoose(
                    own.map((p) => p.id),
                    on,
                  )
                }
                slotProps={{ input: { "aria-label": `Choose surface ${name}` } }}
              />
            </td>
            <td colSpan={3} style={{ textAlign: "left" }}>
              {name}, mean of {labs.length}
            </td>
            <td>{l.toFixed(1)}</td>
            <td>{signed(a)}</td>
            <td>{signed(b)}</td>
            <td title="How far its probes lie from their mean">{apart.toFixed(1)}</td>
            <td>{base ? signed(l - base.l) : "–"}</td>
            <td>{base ? signed(a - base.a) : "–"}</td>
            <td>{base ? signed(b - base.b) : "–"}</td>
            <td>{differences.length > 0 ? mean(differences).toFixed(1) : "–"}</td>
            <td />
          </tr>
        );
      })}
    </>
  );
}
