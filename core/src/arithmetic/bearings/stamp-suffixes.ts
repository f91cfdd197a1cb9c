/** What a suffix of a rolling bearing's designation tells of. */
export type SuffixOf =
  | { of: 'taper'; ratio: 12 | 30 }
  | { of: 'class'; name: 'C1' | 'C2' | 'CN' | 'C3' | 'C4' | 'C5' }
  | { of: 'cage'; kind: 'brass' | 'steel' | 'polymer' }
  | { of: 'design' }
  | { of: 'groove' }
  | { of: 'seals'; count: 1 | 2 }
  | { of: 'accuracy' }
  | { of: 'stabilised' }
  | { of: 'grease' }
  | { of: 'vibrating' };

const taper = (ratio: 12 | 30): SuffixOf => ({ of: 'taper', ratio });
const cage = (kind: 'brass' | 'steel' | 'polymer'): SuffixOf => ({ of: 'cage', kind });
const seals = (count: 1 | 2): SuffixOf => ({ of: 'seals', count });
const DESIGN: SuffixOf = { of: 'design' };

type Rule = readonly [pattern: RegExp, told: (match: RegExpExecArray) => SuffixOf[]];

/**
 * Suffixes as they are written behind the number, the longer before the shorter: they are met run together as often as apart.
 * Source: ISO 5753-1 for the clearance groups, ISO 492 for the accuracy; all others common suffixes of rolling bearings, from memory.
 */
const RULES: readonly Rule[] = [
  [/^K30/, () => [taper(30)]],
  // A combined suffix: accuracy class 6 or 5 with a clearance group.
  [/^P([56])([1-5])(?!\d)/, (m) => [{ of: 'accuracy' }, { of: 'class', name: `C${m[2]}` as 'C3' }]],
  [/^P[0-6]X?(?!\d)/, () => [{ of: 'accuracy' }]],
  [/^C0[2-8](?!\d)/, () => [{ of: 'accuracy' }]],
  [/^C([1-5])[HLMP]?(?![\dA-Z])/, (m) => [{ of: 'class', name: `C${m[1]}` as 'C3' }]],
  [/^C([1-5])(?!\d)/, (m) => [{ of: 'class', name: `C${m[1]}` as 'C3' }]],
  [/^CN[HLM]?/, () => [{ of: 'class', name: 'CN' }]],
  [/^C0(?!\d)/, () => [{ of: 'class', name: 'CN' }]],
  [/^W(20|26|33|33X|45A|64|77)(?!\d)X?/, (m) => (m[1] === '64' ? [{ of: 'grease' }] : [{ of: 'groove' }])],
  [/^E?F80\d?(?!\d)/, () => [{ of: 'vibrating' }]],
  [/^E4(?!\d)/, () => [{ of: 'groove' }]],
  [/^W(507|513|525)(?!\d)/, () => [{ of: 'groove' }]],
  [/^(?:2RSR|2RS1|2RS2|2RS5|2RS|2CS\d?|2LS|2RZ|2Z|ZZ|DDU|LLU|LLB|VV)(?!\d)/, () => [seals(2)]],
  [/^(?:RSR|RS1|RS2|RS5|RS|CS\d?|LS|RZ|Z)(?![A-Z\d])/, () => [seals(1)]],
  [/^(?:VA40[0-9]|VA991|VG114|T41[AB D]?|UM[0-9]*)(?!\d)/, () => [{ of: 'vibrating' }]],
  [/^(?:VT\d{3}|GEM\d|MT\d\d|LT\d?|HT\d\d?|WT)(?!\d)/, () => [{ of: 'grease' }]],
  [/^S[0-4](?!\d)/, () => [{ of: 'stabilised' }]],
  [/^S11(?!\d)/, () => [{ of: 'stabilised' }]],
  [/^(?:TVPB|TVP|TVH|TNG|TN9|TN)(?!\d)/, () => [cage('polymer')]],
  [/^EXQ/, () => [DESIGN]],
  [/^XL/, () => [DESIGN]],
  // Letters of the inner design that tell the cage too.
  [/^E?CAM(?=K|[^A-Z]|$)/, () => [cage('brass')]],
  [/^E?CA[CF]?(?!\d)/, () => [cage('brass')]],
  [/^E?CCJA?(?![A-Z])/, () => [cage('steel')]],
  [/^CC[XJ]?(?!\d)/, () => [cage('steel')]],
  [/^E1[AB]?(?!\d)/, () => [DESIGN]],
  [/^E2(?!\d)/, () => [DESIGN]],
  [/^E?(?:MB1?|MAC|MA|M)(?!\d)/, () => [cage('brass')]],
  [/^E?(?:JPA|JP|JA|J)(?!\d)/, () => [cage('steel')]],
  [/^E?Y(?!\d)/, () => [cage('brass')]],
  [/^F(?:A|1)?(?!\d)/, () => [cage('steel')]],
  [
    /^(?:EA|ED|EM|EH|EG|EF|RHR|RHA|RH|BD|BS|CD|B|D|E|H|R)(?=K|C[0-5N]|W\d|E4|M|J|TN|[^A-Z\d]|$)/,
    () => [DESIGN],
  ],
  [/^(?:C(?=K)|E(?=S))/, () => [DESIGN]],
  [/^K(?!\d)/, () => [taper(12)]],
  [/^S(?=$|[^A-Z\d]|K|C\d)/, () => [{ of: 'groove' }]],
];

/** What a row of suffixes tells, and what of it is not understood, as it stands. Separated or run together, in any order and case. */
export function readSuffixes(text: string): { told: SuffixOf[]; unknown: string[] } {
  const told: SuffixOf[] = [];
  const unknown: string[] = [];
  for (const piece of text.toUpperCase().split(/[\s\-/.,+_]+/)) {
    let rest = piece;
    const found: SuffixOf[] = [];
    while (rest !== '') {
      const rule = RULES.find(([pattern]) => pattern.test(rest));
      const match = rule?.[0].exec(rest);
      if (!rule || !match) break;
      found.push(...rule[1](match));
      rest = rest.slice(match[0].length);
    }
    told.push(...found);
    if (rest !== '') unknown.push(rest);
  }
  return { told, unknown };
}
