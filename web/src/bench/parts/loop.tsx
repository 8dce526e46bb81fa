import { readPath, simplified, writePath } from "../tools/path";
import { dragTool, longEdge } from "../tools/tool";
import { closed, type PartUi } from "./part";

/** Loop: drawn freehand in one drag. */
const tool = () =>
  dragTool((from, to, all) =>
    all.length > 3 && all.some((p) => p !== from.point)
      ? { kind: "loop", path: writePath(simplified([...all, to.point], 0.7 / longEdge())) }
      : undefined,
  );

export const loop: PartUi<"loop"> = {
  kind: "loop",
  name: "Loop",
  title: () => "Loop",
  draw: { key: "L", how: "Draw round it in one go; Alt takes away.", tool },
  lines: (shape) => [closed(readPath(shape.path))],
};
