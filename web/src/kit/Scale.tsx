import { Box, Tooltip, Typography } from "@mui/material";
import { useDrag } from "@use-gesture/react";
import { memo, useCallback, useEffect, useLayoutEffect, useRef } from "react";
import { look } from "../theme";
import { entered, factor, within, worded } from "./numbers";
import { NumberField } from "./NumberField";
import { useRest } from "./rest";

export interface ScaleProps {
  label: string;
  unit: string;
  from: number;
  to: number;
  step: number;
  defaultValue: number;
  /** Where it changes nothing. A share about 1 is shown as so much more or less. */
  neutral?: number;
  /** Pixels of the shape that it belongs to, so that a typed percentage of it is understood too. */
  shape?: () => number | undefined;
  /** The colour that a value stands for. */
  colour?: (value: number) => string;
  help?: string;
  value: number;
  /** Called while the value moves. */
  onMove: (value: number) => void;
  /** Called once when the gesture is over. */
  onSettle: () => void;
}

/** A scale is only drawn anew where what it shows has changed, whoever draws what it stands in. */
export function Scale(props: ScaleProps) {
  const latest = useRef(props);
  useLayoutEffect(() => {
    latest.current = props;
  });
  const onMove = useCallback((v: number) => latest.current.onMove(v), []);
  const onSettle = useCallback(() => latest.current.onSettle(), []);
  const shape = useCallback(() => latest.current.shape?.(), []);
  return <Drawn {...props} onMove={onMove} onSettle={onSettle} shape={shape} />;
}

/**
 * One number of a pass: drag, wheel, arrow keys (Shift coarse, Alt fine), typed number, double click for
 * its default.
 */
const Drawn = memo(function Drawn({
  label,
  unit,
  from,
  to,
  step,
  defaultValue,
  neutral,
  shape,
  colour,
  help,
  value,
  onMove,
  onSettle,
}: ScaleProps) {
  const track = useRef<HTMLDivElement>(null);
  const rest = useRest(500);
  const about1 = factor({ unit, neutral, to });
  const shown = about1 ? "±%" : unit;
  const said = worded(value, step, shown, from < 0);

  const put = (v: number) => {
    const rounded = Math.round(v / step) * step;
    onMove(within(Number(rounded.toFixed(6)), from, to));
  };
  const soon = () => rest(onSettle);
  const nudge = (by: number) => {
    put(value + by);
    soon();
  };
  const drag = useDrag(
    ({ xy: [x], last, event }) => {
      event.preventDefault();
      const box = track.current?.getBoundingClientRect();
      if (!box) return;
      put(from + ((x - box.left) / box.width) * (to - from));
      if (last) onSettle();
    },
    { filterTaps: false, pointer: { capture: true, keys: false } },
  );
  const wheel = useRef((_: number) => {});
  useLayoutEffect(() => {
    wheel.current = (sign) => nudge(sign * step);
  });
  useEffect(() => {
    const el = track.current;
    if (!el) return;
    const turn = (e: WheelEvent) => {
      e.preventDefault();
      wheel.current(e.deltaY < 0 ? 1 : -1);
    };
    el.addEventListener("wheel", turn, { passive: false });
    return () => el.removeEventListener("wheel", turn);
  }, []);

  const keys = (e: React.KeyboardEvent) => {
    const size = e.shiftKey ? step * 10 : e.altKey ? step / 5 : step;
    const by = {
      ArrowRight: size,
      ArrowUp: size,
      ArrowLeft: -size,
      ArrowDown: -size,
      PageUp: step * 10,
      PageDown: -step * 10,
    }[e.key];
    if (by === undefined && e.key !== "Home" && e.key !== "End") return;
    e.preventDefault();
    e.stopPropagation();
    if (by === undefined) {
      put(e.key === "Home" ? from : to);
      soon();
    } else if (e.altKey) {
      onMove(within(value + by, from, to));
      soon();
    } else {
      nudge(by);
    }
  };
  const read = (text: string) => {
    const size = unit === "px" && text.trim().endsWith("%") ? shape?.() : undefined;
    const share = size && entered(text, "%", value / size);
    return size && share !== undefined ? share * size : entered(text, shown, value);
  };
  const place = (100 * (value - from)) / (to - from);
  const origin = about1 ? 1 : 0;
  const zero = from < origin && to > origin ? (100 * (origin - from)) / (to - from) : 0;

  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: "92px 1fr 68px", alignItems: "center", gap: 1, height: 26 }}
    >
      <Tooltip title={help ?? ""} placement="left">
        <Typography component="span" sx={{ lineHeight: "13px" }}>
          {label}
          {colour && <Swatch of={colour(value)} />}
        </Typography>
      </Tooltip>
      <Box
        ref={track}
        {...drag()}
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuemin={from}
        aria-valuemax={to}
        aria-valuenow={value}
        aria-valuetext={said}
        onKeyDown={keys}
        onDoubleClick={() => {
          onMove(defaultValue);
          onSettle();
        }}
        sx={{ height: 22, position: "relative", touchAction: "none", cursor: "ew-resize" }}
      >
        <Box
          sx={{ position: "absolute", left: 0, right: 0, top: 14, borderTop: `1px solid ${look.strong}` }}
        />
        <Box
          sx={{
            position: "absolute",
            left: 0,
            right: 0,
            top: 9,
            height: 5,
            background: colour
              ? `linear-gradient(90deg, ${band(colour, from, to)})`
              : `repeating-linear-gradient(90deg, #aaa 0 1px, transparent 1px calc((100% - 1px) / 6))`,
          }}
        />
        <Box
          sx={{
            position: "absolute",
            top: 13,
            height: 3,
            bgcolor: colour ? "transparent" : look.amberFill,
          }}
          style={{ left: `${Math.min(place, zero)}%`, width: `${Math.abs(place - zero)}%` }}
        />
        <Box
          sx={{
            position: "absolute",
            top: 8,
            width: 9,
            height: 13,
            bgcolor: look.ink,
            clipPath: "polygon(50% 0, 100% 40%, 100% 100%, 0 100%, 0 40%)",
          }}
          style={{ left: `calc(${place}% - 4.5px)` }}
        />
      </Box>
      <NumberField
        label={`${label}, number`}
        said={said}
        read={read}
        onAccept={(v) => {
          onMove(within(v, from, to));
          onSettle();
        }}
        onDone={() => track.current?.focus()}
        onKey={keys}
      />
    </Box>
  );
});

function Swatch({ of }: { of: string }) {
  return (
    <Box
      component="span"
      data-testid="swatch"
      sx={{
        display: "inline-block",
        width: 12,
        height: 12,
        ml: 0.75,
        mb: "-2px",
        border: `1px solid ${look.strong}`,
      }}
      style={{ backgroundColor: of }}
    />
  );
}

/** The colours along a scale. */
function band(colour: (value: number) => string, from: number, to: number): string {
  return Array.from({ length: 13 }, (_, i) => colour(from + (i / 12) * (to - from))).join(", ");
}
