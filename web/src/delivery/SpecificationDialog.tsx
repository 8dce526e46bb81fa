import { Box, Button, Checkbox, FormControlLabel, TextField } from "@mui/material";
import { useState, type ReactNode } from "react";
import type { Size, Specification, Watermark } from "../api/types";
import { Choice } from "../kit/Choice";
import { Asking } from "../kit/Asking";
import { Said } from "../kit/Said";
import { useSpecificationChange } from "./useSpecifications";
import { SHARPNESS, SIZE_KINDS, WATERMARK_PLACES, type Format } from "./words";

/** Numbers that a kind of size begins with. */
const STARTS: Record<Size["kind"], Size> = {
  FULL: { kind: "FULL", width: 0, height: 0, ppi: 0 },
  LONG_EDGE: { kind: "LONG_EDGE", width: 3000, height: 0, ppi: 0 },
  WITHIN: { kind: "WITHIN", width: 1600, height: 1200, ppi: 0 },
  PRINT: { kind: "PRINT", width: 30, height: 20, ppi: 300 },
};

/** One specification: what its files are like and how they are named. */
export function SpecificationDialog({
  id,
  from,
  formats,
  spaces,
  onKept,
  onClose,
}: {
  /** Of the one that is changed; nothing for a new one. */
  id?: string;
  from: Specification;
  formats: Format[];
  spaces: { id: Specification["space"]; name: string }[];
  onKept: (id: string) => void;
  onClose: () => void;
}) {
  const [spec, setSpec] = useState(from);
  const { keep, remove } = useSpecificationChange();
  const format = formats.find((f) => f.id === spec.format);
  const lossy = format?.lossy ?? false;
  const put = (to: Partial<Specification>) => setSpec({ ...spec, ...to });
  const enter = async () => {
    onKept((await keep.mutateAsync({ id, body: spec })).id);
    onClose();
  };
  return (
    <Asking
      title={id ? `Change ${from.name}` : "Add a specification"}
      width={560}
      onClose={onClose}
      onEnter={() => {
        enter().catch(() => {});
      }}
      buttons={
        <>
          {id && (
            <Button
              onClick={() => {
                remove.mutateAsync(id).then(onClose, () => {});
              }}
            >
              Remove it
            </Button>
          )}
          <Box sx={{ flexGrow: 1 }} />
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained">
            {id ? "Keep the change" : "Add it"}
          </Button>
        </>
      }
    >
      <Said problem={keep.error ?? remove.error} />
      <TextField
        autoFocus={!id}
        size="small"
        label="Name"
        value={spec.name}
        onChange={(e) => put({ name: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <SizeFields size={spec.size} onSize={(size) => put({ size })} />
      <Row>
        <Choice
          label="Format"
          value={spec.format}
          options={formats.map((f) => ({ id: f.id, name: f.name }))}
          onChoose={(format) => put({ format })}
        />
        <Choice
          label="Colour space"
          value={spec.space}
          options={spaces}
          onChoose={(space) => put({ space })}
        />
      </Row>
      <Row>
        <NumberWord
          label="Quality"
          value={spec.quality}
          disabled={!lossy}
          onNumber={(quality) => put({ quality })}
        />
        <NumberWord
          label="At most, kB (0: any)"
          value={spec.mostBytes / 1000}
          onNumber={(kB) => put({ mostBytes: Math.round(kB * 1000) })}
        />
        <FormControlLabel
          disabled={!lossy}
          control={<Checkbox checked={spec.fullChroma} onChange={(_, fullChroma) => put({ fullChroma })} />}
          label="Colour at every pixel (4:4:4)"
        />
      </Row>
      <Choice
        label="Sharpening"
        value={spec.sharpness}
        options={SHARPNESS.map((s) => ({ id: s.sharpness, name: s.name }))}
        onChoose={(sharpness) => put({ sharpness })}
      />
      <WatermarkFields
        mark={spec.watermark}
        disabled={format?.watermarked === false}
        onMark={(watermark) => put({ watermark })}
      />
      <TextField
        size="small"
        label="Name pattern"
        value={spec.pattern}
        onChange={(e) => put({ pattern: e.target.value })}
        helperText="{view}, {shoot}, {n} for the number in the set, {size} and {date} are filled in."
      />
    </Asking>
  );
}

function Row({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ display: "grid", gridAutoFlow: "column", gap: 1.5, alignItems: "center" }}>{children}</Box>
  );
}

function WatermarkFields({
  mark,
  disabled,
  onMark,
}: {
  mark: Watermark;
  disabled: boolean;
  onMark: (to: Watermark) => void;
}) {
  return (
    <>
      <TextField
        size="small"
        label="Watermark"
        placeholder="none"
        disabled={disabled && !mark.text}
        value={mark.text}
        onChange={(e) => onMark({ ...mark, text: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      {mark.text && (
        <Row>
          <Choice
            label="Its place"
            value={mark.place}
            options={WATERMARK_PLACES.map((p) => ({ id: p.place, name: p.name }))}
            onChoose={(place) => onMark({ ...mark, place })}
          />
          <NumberWord
            label="Size, %"
            value={percent(mark.size)}
            onNumber={(p) => onMark({ ...mark, size: p / 100 })}
          />
          <NumberWord
            label="Strength, %"
            value={percent(mark.strength)}
            onNumber={(p) => onMark({ ...mark, strength: p / 100 })}
          />
        </Row>
      )}
    </>
  );
}

const percent = (share: number) => Math.round(share * 1000) / 10;

function SizeFields({ size, onSize }: { size: Size; onSize: (to: Size) => void }) {
  const unit = size.kind === "PRINT" ? "cm" : "px";
  const both = size.kind === "WITHIN" || size.kind === "PRINT";
  return (
    <Row>
      <Choice
        label="Size"
        value={size.kind}
        options={SIZE_KINDS.map((k) => ({ id: k.kind, name: k.name }))}
        onChoose={(kind) => onSize(STARTS[kind])}
      />
      {size.kind !== "FULL" && (
        <NumberWord
          label={both ? `Width, ${unit}` : "Long edge, px"}
          value={size.width}
          onNumber={(width) => onSize({ ...size, width })}
        />
      )}
      {both && (
        <NumberWord
          label={`Height, ${unit}`}
          value={size.height}
          onNumber={(height) => onSize({ ...size, height })}
        />
      )}
      {size.kind === "PRINT" && (
        <NumberWord label="ppi" value={size.ppi} onNumber={(ppi) => onSize({ ...size, ppi })} />
      )}
    </Row>
  );
}

function NumberWord({
  label,
  value,
  disabled,
  onNumber,
}: {
  label: string;
  value: number;
  disabled?: boolean;
  onNumber: (to: number) => void;
}) {
  return (
    <TextField
      size="small"
      type="number"
      label={label}
      value={value}
      disabled={disabled}
      onChange={(e) => onNumber(Number(e.target.value))}
      slotProps={{ htmlInput: { min: 0, step: "any" } }}
    />
  );
}
