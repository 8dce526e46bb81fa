/** Endings of files that hold pictures which can be taken in. */
const PICTURES = new Set([
  ...["jpg", "jpeg", "png", "tif", "tiff", "dng"],
  // raw files as cameras name them; the server tells by their content which it can read
  ...["3fr", "arw", "cr2", "cr3", "crw", "dcr", "erf", "iiq", "kdc", "mef", "mos", "mrw", "nef", "nrw"],
  ...["orf", "pef", "raf", "raw", "rw2", "rwl", "srw", "x3f"],
]);

export const ACCEPTED = [...PICTURES].map((e) => `.${e}`).join(",");

/** The files that are pictures, and how many of the others there were. Hidden files count as neither. */
export function sorted(files: File[]): { pictures: File[]; others: number } {
  const seen = files.filter((f) => !f.name.startsWith("."));
  const pictures = seen.filter((f) => PICTURES.has(f.name.split(".").pop()?.toLowerCase() ?? ""));
  return { pictures, others: seen.length - pictures.length };
}

/** SHA-256 of a file in hexadecimal; nothing where the browser does not offer it (pages without TLS). */
export async function sha256(file: Blob): Promise<string | undefined> {
  if (!crypto.subtle || file.size > 512e6) return undefined;
  const digest = await crypto.subtle.digest("SHA-256", await file.arrayBuffer());
  return [...new Uint8Array(digest)].map((b) => b.toString(16).padStart(2, "0")).join("");
}

/** A size in words. */
export function size(bytes: number): string {
  return bytes < 1e6
    ? `${Math.ceil(bytes / 1e3)} kB`
    : bytes < 1e9
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${(bytes / 1e9).toFixed(2)} GB`;
}

/** A time in words. */
export function lasting(seconds: number): string {
  if (!Number.isFinite(seconds)) return "…";
  if (seconds < 60) return `${Math.max(1, Math.round(seconds))} s`;
  const minutes = Math.round(seconds / 60);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
