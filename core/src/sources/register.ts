/** The register of sources that findings point to. The order of `rank` is the house order: the maker outranks all. */

export type SourceRank = 'maker' | 'plant' | 'published' | 'common practice' | 'from memory';

export type Source = { id: string; title: string; rank: SourceRank };

const SOURCES = {
  maker: { title: "Maker's sheet, typed in by hand", rank: 'maker' },
  plant: { title: 'House rule of the plant', rank: 'plant' },
  'iso-286': { title: 'ISO 286-1, tolerance grades and deviations (table from memory)', rank: 'published' },
  'iso-492': { title: 'ISO 492, bores of normal class (table from memory)', rank: 'published' },
  'iso-281': { title: 'ISO 281, rating life (from memory)', rank: 'published' },
  'iso-20816': { title: 'ISO 20816-3, zones of vibration (from memory)', rank: 'published' },
  'belt-practice': {
    title: 'Wedge-belt practice: tension by note and by force (from memory)',
    rank: 'from memory',
  },
  'o-ring-practice': { title: 'ISO 3601-2 family and common practice (from memory)', rank: 'from memory' },
  'iso-5753': {
    title: 'ISO 5753-1, radial clearance, spherical roller, tapered bore (table from memory)',
    rank: 'published',
  },
  'bearing-handbooks': {
    title: 'General bearing handbooks: reduction, drive-up, least residual (table from memory)',
    rank: 'published',
  },
  'iso-2982': { title: 'ISO 2982, adapter sleeve and lock-nut threads (from memory)', rank: 'published' },
  'iso-898': { title: 'ISO 898-1, proof and yield of bolts (from memory)', rank: 'published' },
  'sae-j429': { title: 'SAE J429, proof and yield of inch bolts (from memory)', rank: 'published' },
  'iso-3506': { title: 'ISO 3506-1, stainless bolts (from memory)', rank: 'published' },
  'astm-a193': { title: 'ASTM A193 grade B7 (from memory)', rank: 'published' },
  'vdi-2230': {
    title: 'VDI 2230-1, torque from thread geometry and friction (from memory)',
    rank: 'published',
  },
  'short-torque': { title: 'T = K·d·F, machine-design texts', rank: 'published' },
  'pump-standards': {
    title: 'Process-pump standards (API 610 and 682 family, from memory)',
    rank: 'from memory',
  },
  'iso-14253': {
    title: 'ISO 14253-1, later edition: 1.65 u at one-sided limits (from memory)',
    rank: 'published',
  },
  'alignment-practice': { title: 'Coupling tolerances by speed, common practice', rank: 'common practice' },
  'finish-convention': { title: 'Rq ≈ 1.11 Ra, a convention for a sine profile', rank: 'common practice' },
  lame: { title: 'Lamé, thick cylinders; any machine-design text', rank: 'published' },
  growth: {
    title: 'ΔL = α·L·ΔT, α of mild steel from Machinery’s Handbook (from memory)',
    rank: 'published',
  },
  'grease-table': { title: 'Thickener compatibility, from memory; ask the maker', rank: 'from memory' },
  'elastomer-guide': { title: 'Elastomers and fluids, general knowledge, from memory', rank: 'from memory' },
  gum: { title: 'GUM (JCGM 100) and ISO 14253-1, uncertainty in the decision', rank: 'published' },
  practice: { title: 'Common practice', rank: 'common practice' },
  geometry: { title: 'Geometry', rank: 'published' },
} as const satisfies Record<string, { title: string; rank: SourceRank }>;

export type SourceId = keyof typeof SOURCES;

/** Look a source up by its id. @example sourceOf('iso-286').rank // 'published' */
export function sourceOf(id: SourceId): Source {
  return { id, ...SOURCES[id] };
}

/** Every source, for the sheet's list. */
export function allSources(): Source[] {
  return (Object.keys(SOURCES) as SourceId[]).map(sourceOf);
}
