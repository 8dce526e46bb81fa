import { useDrag } from "@use-gesture/react";
import { ARROWS } from "../../kit/arrows";
import { look } from "../../theme";
import { changeGeometry, GEOMETRY } from "../edits/geometry";
import { Held, Square, stepOf } from "../stage/Held";
import { usePlace } from "../stage/place";
import { bare, move, settle, useGesture } from "../state/gesture";
import { recipe, useHistory } from "../state/history";
import { useLay } from "../state/lay";
import { fullSize } from "../state/view";
import { keptBox, pulledBox, type Box } from "./box";

const SIDES: [name: string, sides: [number, number], cursor: string][] = [
  ["upper left corner", [-1, -1], "nwse-resize"],
  ["upper edge", [0, -1], "ns-resize"],
  ["upper right corner", [1, -1], "nesw-resize"],
  ["right edge", [1, 0], "ew-resize"],
  ["lower right corner", [1, 1], "nwse-resize"],
  ["lower edge", [0, 1], "ns-resize"],
  ["lower left corner", [-1, 1], "nesw-resize"],
  ["left edge", [-1, 0], "ew-resize"],
];

/** Puts a rectangle into the recipe; what reaches beyond the picture is held within it. */
function put(box: Box) {
  const ratio = recipe()?.geometry.crop.ratio ?? 0;
  changeGeometry({ crop: { ratio, ...box } });
}

/** What is kept of the picture, over all that there is: its sides and corners are pulled. */
export function CropOver() {
  const cutting = useLay((s) => s.cutting);
  return cutting ? <Frame /> : null;
}

function Frame() {
  const { ox, oy, scale, long, w, h } = usePlace();
  const lay = useLay((s) => s.lay);
  const kept = useLay((s) => s.kept);
  const hidden = useGesture((s) => bare(s) && s.worked !== GEOMETRY);
  const crop = useHistory((s) => s.recipe?.geometry.crop);
  const moving = useGesture((s) => s.moving);
  const now = moving && crop && crop.width > 0 ? crop : keptBox(kept, fullSize());
  const ratio = crop?.ratio ?? 0;
  const k = long * scale;
  const drag = useDrag(
    ({ args: [sides], movement: [mx, my], event, first, last, tap, memo }) => {
      event.stopPropagation();
      if (tap) return;
      const from = first ? { ...now } : (memo as Box);
      move(GEOMETRY);
      put(pulledBox(from, sides as [number, number], mx / k, my / k, ratio));
      if (last) settle();
      return from;
    },
    { pointer: { capture: true, keys: false }, filterTaps: true },
  );
  const keys = (sides: [number, number]) => (e: React.KeyboardEvent) => {
    const by = ARROWS[e.key];
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    const px = stepOf(e) / k;
    move(GEOMETRY);
    put(pulledBox(now, sides, by[0] * px, by[1] * px, ratio));
    settle();
  };
  if (hidden) return null;
  const x = ox + (now.left - (lay?.left ?? 0)) * k;
  const y = oy + (now.top - (lay?.top ?? 0)) * k;
  const width = now.width * k;
  const height = now.height * k;
  return (
    <svg
      data-testid="crop"
      style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}
    >
      <path
        d={`M${ox},${oy}h${w * scale}v${h * scale}h${-w * scale}z M${x},${y}v${height}h${width}v${-height}z`}
        fill={look.surround.grey}
        opacity={0.72}
      />
      <Held>
        <g
          {...drag([0, 0])}
          tabIndex={0}
          role="button"
          aria-label="Move what is kept"
          onKeyDown={keys([0, 0])}
          style={{ pointerEvents: "all", cursor: "move", touchAction: "none" }}
        >
          <rect x={x} y={y} width={Math.max(1, width)} height={Math.max(1, height)} fill="transparent" />
        </g>
      </Held>
      <rect x={x} y={y} width={width} height={height} fill="none" stroke="#222" strokeWidth={3} />
      <rect x={x} y={y} width={width} height={height} fill="none" stroke="#fff" />
      {[1, 2].map((n) => (
        <path
          key={n}
          d={`M${x + (n * width) / 3},${y}v${height}M${x},${y + (n * height) / 3}h${width}`}
          stroke="#fff"
          opacity={0.5}
        />
      ))}
      <Held>
        {SIDES.map(([name, sides, cursor]) => {
          const cx = x + ((sides[0] + 1) / 2) * width;
          const cy = y + ((sides[1] + 1) / 2) * height;
          return (
            <g
              key={name}
              {...drag(sides)}
              tabIndex={0}
              role="button"
              aria-label={`Crop, ${name}`}
              onKeyDown={keys(sides)}
              style={{ pointerEvents: "all", cursor, touchAction: "none" }}
            >
              <Square x={cx} y={cy} fill="#fff" />
            </g>
          );
        })}
      </Held>
    </svg>
  );
}
