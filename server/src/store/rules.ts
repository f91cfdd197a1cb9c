declare const __FULCRANT_RULES__: string | undefined;

/** The rules that judge here: the release, and a fingerprint of core's sources as they were built. A signed sheet carries it. */
export const RULES: string = typeof __FULCRANT_RULES__ === 'string' ? __FULCRANT_RULES__ : '0.2.0+unbuilt';

/** The zone the plant's clocks stand in; the machine's own where nothing is said. */
export const PLANT_ZONE: string =
  process.env.FULCRANT_ZONE ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
