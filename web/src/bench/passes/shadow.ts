import { begin } from "./begin";
import type { PassUi } from "./pass";

export const shadow: PassUi = { kind: "shadow", add: begin({ name: "Shadow", tool: "loop", joins: true }) };
