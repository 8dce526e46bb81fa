import { Box, Checkbox, FormControlLabel, TextField, Typography } from "@mui/material";
import type { CastShadow, Control, CoverPage, ViewCard } from "../api/types";
import { Choice } from "../kit/Choice";
import { Scale } from "../kit/Scale";
import { onPage, SHADOW, SHAPES } from "./page";

const COLOUR = "colour";

/** Everything about a cover that is no place on it. */
export function Panel({
  page,
  views,
  typefaces,
  controls,
  onPage: change,
  onSettle,
}: {
  page: CoverPage;
  views: ViewCard[];
  typefaces: { id: string; name: string }[];
  controls: { page: Control[]; shadow: Control[] };
  onPage: (to: CoverPage) => void;
  onSettle: () => void;
}) {
  const at = (to: Partial<CoverPage>) => {
    change({ ...page, ...to });
    onSettle();
  };
  const scale = (name: "zoom" | "across" | "down" | "size" | "relief") => (
    <OneScale
      control={controls.page.find((c) => c.name === name)}
      value={page[name]}
      onMove={(v) => change({ ...page, [name]: v })}
      onSettle={onSettle}
    />
  );
  const { shadow } = page;
  const shade = (name: "length" | "softness" | "depth") =>
    shadow && (
      <OneScale
        control={controls.shadow.find((c) => c.name === name)}
        value={shadow[name]}
        onMove={(v) => change({ ...page, shadow: { ...shadow, [name]: v } })}
        onSettle={onSettle}
      />
    );
  const named = views.map((v) => ({ id: v.id, name: v.name }));
  return (
    <Box
      component="aside"
      aria-label="The cover"
      sx={{ width: 300, flexShrink: 0, overflow: "auto", p: 2, borderRight: 1, borderColor: "divider" }}
    >
      <Box sx={{ display: "grid", gap: 1.5 }}>
        <Choice
          label="Page"
          value={page.format}
          options={Object.entries(SHAPES).map(([id, s]) => ({ id: id as CoverPage["format"], name: s.name }))}
          onChoose={(format) => at({ format, at: onPage(page.at, format) })}
        />
        <Choice label="Picture" value={page.view} options={named} onChoose={(view) => at({ view })} />
        {scale("zoom")}
        {scale("across")}
        {scale("down")}
        <Typography variant="h2" sx={{ mt: 1 }}>
          Lettering
        </Typography>
        <TextField
          size="small"
          multiline
          maxRows={6}
          sx={{ "& .MuiInputBase-multiline": { p: 0 } }}
          label="Words"
          value={page.text}
          onChange={(e) => change({ ...page, text: e.target.value })}
          onBlur={onSettle}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Choice label="Typeface" value={page.font} options={typefaces} onChoose={(font) => at({ font })} />
        {scale("size")}
        <Choice
          label="Filled with"
          value={page.fillView || COLOUR}
          options={[{ id: COLOUR, name: "A colour" }, ...named]}
          onChoose={(id) => at({ fillView: id === COLOUR ? "" : id })}
        />
        {!page.fillView && (
          <TextField
            size="small"
            type="color"
            label="Colour"
            value={page.colour}
            onChange={(e) => change({ ...page, colour: e.target.value })}
            onBlur={onSettle}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        )}
        {scale("relief")}
        <FormControlLabel
          label="Shadow, as the sun of the picture throws it"
          control={
            <Checkbox checked={!!shadow} onChange={(_, on) => at({ shadow: on ? begin(page) : undefined })} />
          }
        />
        {shadow && (
          <>
            <Typography color="text.secondary">
              Lay the line along a shadow of the picture: from the foot of what throws it to the tip
              {shadow.ground ? ", and the dashed line up to its top" : ""}.
            </Typography>
            <Choice
              label="Falls on"
              value={shadow.ground ? "ground" : "wall"}
              options={[
                { id: "ground", name: "The ground" },
                { id: "wall", name: "A wall behind" },
              ]}
              onChoose={(on) => at({ shadow: { ...shadow, ground: on === "ground" } })}
            />
            {shade("length")}
            {shade("softness")}
            {shade("depth")}
          </>
        )}
      </Box>
    </Box>
  );
}

/** A shadow that begins on the page, whatever its shape. */
function begin(page: CoverPage): CastShadow {
  const held = (at: CastShadow["foot"]) => onPage(at, page.format);
  return { ...SHADOW, foot: held(SHADOW.foot), tip: held(SHADOW.tip), top: held(SHADOW.top) };
}

function OneScale({
  control,
  value,
  onMove,
  onSettle,
}: {
  control: Control | undefined;
  value: number;
  onMove: (to: number) => void;
  onSettle: () => void;
}) {
  if (!control) return null;
  return (
    <Scale
      label={control.label}
      unit={control.unit}
      from={control.from}
      to={control.to}
      step={control.step}
      defaultValue={control.defaultValue}
      help={control.help}
      value={value}
      onMove={onMove}
      onSettle={onSettle}
    />
  );
}
