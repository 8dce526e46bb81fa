import type { Size, Specification, Watermark } from "../api/types";

/** A format as the server offers it. */
export interface Format {
  id: string;
  name: string;
  ending: string;
  lossy: boolean;
  watermarked: boolean;
}

export const SIZE_KINDS: { kind: Size["kind"]; name: string }[] = [
  { kind: "FULL", name: "Full size" },
  { kind: "LONG_EDGE", name: "Long edge" },
  { kind: "WITHIN", name: "Width and height at most" },
  { kind: "PRINT", name: "Print" },
];

/** Sharpening in the pixels that are delivered. */
export const SHARPNESS: { sharpness: Specification["sharpness"]; name: string }[] = [
  { sharpness: "NONE", name: "As on the bench" },
  { sharpness: "SCREEN", name: "Sharpened for screens" },
  { sharpness: "PRINT", name: "Sharpened for print" },
];

export const WATERMARK_PLACES: { place: Watermark["place"]; name: string }[] = [
  { place: "LOWER_RIGHT", name: "Lower right" },
  { place: "LOWER_LEFT", name: "Lower left" },
  { place: "UPPER_RIGHT", name: "Upper right" },
  { place: "UPPER_LEFT", name: "Upper left" },
  { place: "MIDDLE", name: "Middle" },
];

/** Sizes in words. */
export function sizeSaid({ kind, width, height, ppi }: Size): string {
  if (kind === "FULL") return "full size";
  if (kind === "LONG_EDGE") return `long edge ${width} px`;
  if (kind === "WITHIN") return `within ${width} × ${height} px`;
  return `${width} × ${height} cm at ${ppi} ppi`;
}

export const bytesSaid = (bytes: number) =>
  bytes < 1e6 ? `${Math.round(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** A specification in one line. */
export function saidOf(spec: Specification, formats: Format[], spaces: { id: string; name: string }[]) {
  const format = formats.find((f) => f.id === spec.format);
  const parts = [
    format?.name ?? spec.format,
    sizeSaid(spec.size),
    spaces.find((s) => s.id === spec.space)?.name ?? spec.space,
    format?.lossy && `quality ${spec.quality}`,
    spec.mostBytes > 0 && `at most ${bytesSaid(spec.mostBytes)}`,
    format?.lossy && spec.fullChroma && "colour at every pixel",
    spec.sharpness !== "NONE" && SHARPNESS.find((s) => s.sharpness === spec.sharpness)?.name.toLowerCase(),
    spec.watermark.text && `watermark “${spec.watermark.text}”`,
  ];
  return parts.filter(Boolean).join(", ");
}
