/** A shared tool: its name, how many, and what range where it has one, N·m. */
type Tool = {
  name: string;
  count: number;
  least?: number | null | undefined;
  most?: number | null | undefined;
};

/** What a shared tool is called among others: by its name, and its range where one is written. */
export const toolKey = (t: Pick<Tool, 'name' | 'least' | 'most'>): string =>
  (t.least ?? t.most ?? null) === null ? t.name : `${t.name} ${t.least ?? 0}–${t.most ?? '…'} N·m`;

/** Does it reach a torque, N·m? One without a range is taken to reach any; so is a torque nobody has said. */
const reachesTorque = (t: Tool, nm: number | undefined): boolean =>
  nm === undefined || ((t.least ?? 0) <= nm && nm <= (t.most ?? Number.POSITIVE_INFINITY));

/**
 * The shared tool a piece takes, of those an outage has: one whose range holds the torque, the narrowest of them, so that the wide ones
 * are free for what else needs them; `unknown` where the outage has none of the name, `short` where none of them reaches.
 */
export function toolFor(
  outage: { tools: readonly Tool[] },
  name: string,
  nm: number | undefined,
): Tool | 'unknown' | 'short' {
  const named = outage.tools.filter((t) => t.name === name);
  if (named.length === 0) return 'unknown';
  const width = (t: Tool) => (t.most ?? Number.POSITIVE_INFINITY) - (t.least ?? 0);
  const fit = named.filter((t) => reachesTorque(t, nm)).sort((a, b) => width(a) - width(b));
  return fit.find((t) => t.count > 0) ?? fit[0] ?? 'short';
}
