/** Today as 2026-12-01, the form dates of gauges and checks are kept in. */
export const today = (): string => new Date().toISOString().slice(0, 10);
