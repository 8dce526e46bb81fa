import { Box, InputBase, Tooltip, Typography } from "@mui/material";
import { useDrag } from "@use-gesture/react";
import { memo, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { look } from "../theme";
import { entered, within, worded } from "./numbers";

export interface ScaleProps {
  label: string;
  unit: string;
  from: number;
  to: number;
  step: number;
  defaultValue: number;
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
  return <Drawn {...props} onMove={onMove} onSettle={onSettle} />;
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
  help,
  value,
  onMove,
  onSettle,
}: ScaleProps) {
  const track = useRef<HTMLDivElement>(null);
  const settle = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState(false);
  const said = worded(value, step, unit, from < 0);

  const put = (v: number) => {
    const rounded = Math.round(v / step) * step;
    onMove(within(Number(rounded.toFixed(6)), from, to));
  };
  const soon = () => {
    clearTimeout(settle.current);
    settle.current = setTimeout(onSettle, 500);
  };
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
  const number = typed === undefined ? undefined : entered(typed, unit, value);
  const nonsense = typed !== undefined && typed.trim() !== "" && number === undefined;
  const accept = () => {
    if (number !== undefined) {
      onMove(within(number, from, to));
      onSettle();
    }
    restore();
  };
  const restore = () => {
    setTyped(undefined);
    setRefused(false);
  };
  const place = (100 * (value - from)) / (to - from);
  const zero = from < 0 && to > 0 ? (100 * -from) / (to - from) : 0;

  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: "92px 1fr 68px", alignItems: "center", gap: 1, height: 26 }}
    >
      <Tooltip title={help ?? ""} placement="left">
        <Typography component="span" sx={{ lineHeight: "13px" }}>
          {label}
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
            background: `repeating-linear-gradient(90deg, #aaa 0 1px, transparent 1px calc((100% - 1px) / 6))`,
          }}
        />
        <Box
          sx={{
            position: "absolute",
            top: 13,
            height: 3,
            bgcolor: look.amberFill,
            left: `${Math.min(place, zero)}%`,
            width: `${Math.abs(place - zero)}%`,
          }}
        />
        <Box
          sx={{
            position: "absolute",
            top: 8,
            left: `calc(${place}% - 4.5px)`,
            width: 9,
            height: 13,
            bgcolor: look.ink,
            clipPath: "polygon(50% 0, 100% 40%, 100% 100%, 0 100%, 0 40%)",
          }}
        />
      </Box>
      <Tooltip title={`${typed} is no number`} open={refused && nonsense}>
        <InputBase
          value={typed ?? said}
          onChange={(e) => setTyped(e.target.value)}
          onFocus={(e) => e.target.select()}
          onBlur={accept}
          onKeyDown={(e) => {
            if (e.key === "Enter" && nonsense) setRefused(true);
            // the keyboard goes back to the scale and the bench; what loses it is accepted
            else if (e.key === "Enter") track.current?.focus();
            // with nothing typed it is for what the scale stands in
            if (e.key === "Escape" && typed === undefined) return;
            if (e.key === "Escape") restore();
            if (e.key === "ArrowUp" || e.key === "ArrowDown") keys(e);
            else e.stopPropagation();
          }}
          inputProps={{ "aria-label": `${label}, number`, "aria-invalid": nonsense }}
          sx={{
            border: `1px solid ${nonsense ? look.alarm : look.line}`,
            bgcolor: look.white,
            height: 22,
            "& input": { textAlign: "right", p: "0 5px", fontSize: 13 },
          }}
        />
      </Tooltip>
    </Box>
  );
});
