import { Box } from "@mui/material";
import type { SurfaceRow, SurfaceTable } from "../api/types";
import { signed } from "../kit/numbers";
import { look } from "../theme";

type Lab = SurfaceRow["cells"][number]["lab"];

/** A colour as CSS shows it. */
const css = ({ l, a, b }: Lab) => `lab(${l.toFixed(1)} ${a.toFixed(2)} ${b.toFixed(2)})`;

/** Difference from the common colour above which a surface is seen to be another one. */
const SEEN = 1.5;

/** Surfaces down, views across: each with its colour and how far it lies from what they have in common. */
export function Table({ table }: { table: SurfaceTable }) {
  return (
    <Box
      component="table"
      aria-label="Surfaces over the set"
      sx={{
        width: "100%",
        borderCollapse: "collapse",
        bgcolor: look.white,
        "& th, & td": { border: `1px solid ${look.line}`, p: 1, textAlign: "left", verticalAlign: "top" },
        "& th": { fontWeight: 600 },
      }}
    >
      <thead>
        <tr>
          <th scope="col">Surface</th>
          {table.views.map((v) => (
            <th key={v.view} scope="col">
              <Box
                component="img"
                src={`/api/views/${v.view}/cover`}
                alt=""
                sx={{
                  width: "100%",
                  minWidth: 112,
                  maxWidth: 168,
                  aspectRatio: "3/2",
                  objectFit: "cover",
                  display: "block",
                  mb: 0.5,
                }}
              />
              {v.name}
              <Box sx={{ fontWeight: 400, color: look.soft }}>{state(v, table)}</Box>
            </th>
          ))}
          <th scope="col">In common</th>
        </tr>
      </thead>
      <tbody>
        {table.surfaces.map((s) => (
          <tr key={s.name}>
            <th scope="row">{s.name}</th>
            {table.views.map((v) => {
              const cell = s.cells.find((c) => c.view === v.view);
              return (
                <td key={v.view}>{cell ? <Colour lab={cell.lab} apart={s.common && cell.apart} /> : "–"}</td>
              );
            })}
            <td>{s.common ? <Colour lab={s.common} /> : "one view alone"}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** How a view stands in the set. */
function state(view: SurfaceTable["views"][number], { surfaces }: SurfaceTable): string {
  if (!view.read) return "changed, read it again";
  if (view.levelled) return "levelled";
  const shares = surfaces.some((s) => s.common && s.cells.some((c) => c.view === view.view));
  return shares ? "not levelled" : "shares no surface";
}

function Colour({ lab, apart }: { lab: Lab; apart?: number }) {
  return (
    <>
      <Box sx={{ bgcolor: css(lab), height: 26, border: `1px solid ${look.line}`, mb: 0.5 }} />
      L* {lab.l.toFixed(1)}, a* {signed(lab.a)}, b* {signed(lab.b)}
      {apart !== undefined && (
        <Box sx={{ fontWeight: apart > SEEN ? 600 : 400, color: apart > SEEN ? look.alarm : look.soft }}>
          ΔE {apart.toFixed(1)}
        </Box>
      )}
    </>
  );
}
