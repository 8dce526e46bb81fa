import { begin } from "./begin";
import type { PassUi } from "./pass";

/** What is looped generously, and looked for within. */
export const looped: PassUi[] = [
  { kind: "shadow", name: "Shadow" },
  { kind: "reflections", name: "Reflection" },
].map(({ kind, name }) => ({ kind, add: begin({ name, tool: "loop", joins: true }) }));
