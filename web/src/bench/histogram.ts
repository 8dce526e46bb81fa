/** Stops below white at which histograms begin. */
export const FROM = -10;

/** The greatest count of a histogram, its two ends apart, which hold all that lies beyond. */
export function topOf(bins: number[]): number {
  return Math.max(...bins.slice(1, -1), 1);
}

/**
 * A histogram as a backdrop: place along an axis and height from 0 to 1.
 *
 * @param along the axis' value of a tone in stops below white
 */
export function backdrop(
  bins: number[] | undefined,
  along: (stops: number) => number = (s) => s,
): [number, number][] {
  if (!bins) return [];
  const top = topOf(bins);
  return bins.map((v, i) => [along(FROM * (1 - i / bins.length)), Math.min(1, Math.sqrt(v / top))]);
}
