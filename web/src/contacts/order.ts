/** An order in which some have moved together, by so many places; they stay in their own order. */
export function shifted(order: string[], moved: string[], by: number): string[] {
  const goes = new Set(moved);
  const first = order.findIndex((v) => goes.has(v));
  if (first < 0) return order;
  const rest = order.filter((v) => !goes.has(v));
  const before = order.slice(0, first).filter((v) => !goes.has(v)).length;
  const at = Math.min(rest.length, Math.max(0, before + by));
  return [...rest.slice(0, at), ...order.filter((v) => goes.has(v)), ...rest.slice(at)];
}
