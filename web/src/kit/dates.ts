/** A day in words: 7 December 2026. */
export const day = (at: string) => new Date(at).toLocaleDateString("en-GB", { dateStyle: "long" });

/** A day and its minute, short. */
export const moment = (at: string) =>
  new Date(at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });

/** A time to come, as short as it can be told apart: the hour where it is near, else the day. */
export function soon(at: string): string {
  const then = new Date(at);
  return then.getTime() - Date.now() < 24 * 3_600_000
    ? then.toLocaleTimeString("en-GB", { timeStyle: "short" })
    : then.toLocaleDateString("en-GB", { day: "numeric", month: "short" });
}
