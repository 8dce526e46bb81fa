import type { Numbered } from "../../api/types";
import { lineTool } from "../crop/lines";
import { DRAWN } from "../parts";
import { defaultsOf } from "../parts/part";
import { lookTool, probeTool } from "./look";
import type { Tool } from "./tool";

/** One tool for each part that is drawn, and those for looking and for probes. */
export function toolsOf(partKinds: Numbered[]): Record<string, Tool | undefined> & { look: Tool } {
  const drawn = DRAWN.flatMap((p) =>
    p.draw ? [[p.kind, p.draw.tool(defaultsOf(partKinds, p.kind))] as const] : [],
  );
  return { look: lookTool(), probe: probeTool(), line: lineTool(), ...Object.fromEntries(drawn) };
}
