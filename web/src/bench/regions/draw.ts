import type { Tool } from "../store";

/** Tools that draw a part on the stage, with what to do. */
export const DRAW: { tool: Tool; name: string; key: string; how: string }[] = [
  {
    tool: "outline",
    name: "Outline",
    key: "O",
    how: "Click points; Enter or the first point closes, Esc leaves, Alt takes away.",
  },
  { tool: "loop", name: "Loop", key: "L", how: "Draw round it in one go; Alt takes away." },
  {
    tool: "ramp",
    name: "Ramp",
    key: "R",
    how: "Drag from where it is full to where it ends; Shift keeps it level.",
  },
  { tool: "ellipse", name: "Ellipse", key: "E", how: "Drag from the centre outwards; Shift makes a circle." },
  { tool: "panel", name: "Panel", key: "Y", how: "Drag from corner to corner; then move each corner." },
  {
    tool: "brush",
    name: "Brush",
    key: "K",
    how: "Paint; Alt takes away, Shift draws straight from the last end.",
  },
  { tool: "similar-colour", name: "Similar", key: "U", how: "Click the place whose colour is wanted." },
  {
    tool: "colour-band",
    name: "Colours",
    key: "I",
    how: "Click a colour; each further click adds one. Esc leaves.",
  },
];
