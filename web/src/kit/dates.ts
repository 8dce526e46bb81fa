/** A day in words: 7 December 2026. */
export const day = (at: string) => new Date(at).toLocaleDateString("en-GB", { dateStyle: "long" });

/** A day and its minute, short. */
export const moment = (at: string) =>
  new Date(at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
