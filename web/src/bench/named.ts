import type { Frame, Kind, Pass } from "../api/types";
import { frameName } from "./frames";

/** A pass's choices and frames, by their names. */
export const choices = (pass: Pass) => pass.move as unknown as Record<string, string>;

/** A closed choice in words. */
export const plain = (option: string) => option.toLowerCase().replaceAll("_", " ");

/** Where something works, in words. */
export function whereWords(where: Pass["where"], name: string | undefined): string {
  if (!name) return "the whole picture";
  return where.outside ? `all but ${name}` : name;
}

/** The words of what is no number in a pass's sentence, by its name. */
export function namesIn(pass: Pass, kind: Kind, frames: Frame[], region: string | undefined) {
  return (name: string) => {
    if (name === "region") return whereWords(pass.where, region);
    const value = choices(pass)[name] ?? "";
    if (kind.frames.includes(name)) return value ? frameName(value, frames) : "nothing";
    return plain(value);
  };
}
