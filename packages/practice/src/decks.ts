import { allTrades, procedureFor, type StepDefinition } from '@fulcrant/core/job';
import { decide, randomFrom } from '@fulcrant/core/judgement';
import { MM_PER_INCH } from '@fulcrant/core/units';
import { type DeckId, type Drill, type Face, isDeck } from './drill.ts';

/** How many steps an order is put right of at once. */
const PIECES = 5;
/** How many gauges, fractions and verdicts there are to meet: each is a card of its own. */
const GAUGES = 40;
/** Blades of a set, by their stamps. */
const BLADES_MM = [0.05, 0.08, 0.1, 0.15, 0.2, 0.25, 0.3, 0.4];
const BLADES_IN = [0.0015, 0.002, 0.003, 0.004, 0.005, 0.006, 0.008, 0.01];
const VERDICTS = 24;

/** A list in an order a seed fixes, never the one it came in where it can be helped. */
export function shuffled<T>(list: readonly T[], seed: number): T[] {
  const random = randomFrom(seed);
  for (let look = 0; look < 8; look++) {
    const out = [...list];
    for (let i = out.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1));
      [out[i], out[j]] = [out[j] as T, out[i] as T];
    }
    if (list.length < 2 || out.some((x, i) => x !== list[i])) return out;
  }
  return [...list].reverse();
}

/** A number a word stands for, so that the same question is drawn the same way. */
const seedOf = (text: string): number => {
  let h = 2166136261;
  for (const c of text) h = Math.imul(h ^ (c.codePointAt(0) ?? 0), 16777619) >>> 0;
  return h || 1;
};

type Walk = { trade: string; name: string; variant: string; steps: StepDefinition[] };
/** Every order of work there is, by trade and variant; its signature is no step to learn. */
const walks = (): Walk[] =>
  allTrades().flatMap((t) =>
    Object.entries(t.example.setups).map(([variant, setup]) => ({
      trade: t.id,
      name: t.words.offer.join(', '),
      variant,
      steps: procedureFor(setup).steps.filter((s) => !s.kind.signs),
    })),
  );

/** Stretches of an order of work, each step with its own title. */
function orders(): Drill[] {
  return walks().flatMap(({ trade, name, variant, steps }) => {
    const titles = steps.map((s) => s.title);
    const out: Drill[] = [];
    for (let at = 0; at + 3 <= titles.length; at += PIECES - 1) {
      const right = titles.slice(at, at + PIECES);
      if (right.length < 3 || new Set(right).size < right.length) continue;
      const id = `order/${trade}/${variant}/${at}`;
      out.push({
        id,
        deck: 'order',
        form: 'row',
        ask: `${name} (${variant}): which comes first?`,
        pieces: shuffled(right, seedOf(id)),
        right,
        why: `The order of work of this job: ${right.join(' → ')}.`,
      });
    }
    return out;
  });
}

/** What a step closes for good, among what other steps close. */
function doors(): Drill[] {
  const all = walks().flatMap((w) => w.steps.filter((s) => s.closes).map((s) => ({ ...w, step: s })));
  const words = [...new Set(all.map((d) => d.step.closes ?? ''))];
  const seen = new Set<string>();
  return all.flatMap(({ trade, name, step }): Drill[] => {
    const right = step.closes ?? '';
    const id = `door/${trade}/${step.id}`;
    if (seen.has(id) || words.length < 3) return [];
    seen.add(id);
    const others = shuffled(
      words.filter((w) => w !== right),
      seedOf(id),
    ).slice(0, 3);
    return [
      {
        id,
        deck: 'door',
        form: 'choice',
        ask: `${name}: what can no longer be done once “${step.title}” is begun?`,
        options: shuffled([right, ...others], seedOf(`${id}?`)),
        right,
        why: `“${step.title}”: ${right}`,
      },
    ];
  });
}

/** Which steps open again when one is undone: those that stand on it, and those that stand on these. */
export function opensAgain(steps: readonly StepDefinition[], undone: string): string[] {
  const open = new Set([undone]);
  for (const s of steps) if (s.standsOn?.some((x) => open.has(x))) open.add(s.id);
  open.delete(undone);
  return [...open];
}

function standing(): Drill[] {
  const seen = new Set<string>();
  return walks().flatMap(({ trade, name, variant, steps }) =>
    steps.flatMap((step): Drill[] => {
      const again = opensAgain(steps, step.id);
      const titles = again.map((id) => steps.find((s) => s.id === id)?.title ?? id);
      const at = steps.indexOf(step);
      const near = steps.slice(Math.max(0, at - 3), at + 8).filter((s) => s !== step);
      const options = [...new Set(near.map((s) => s.title))];
      const right = [...new Set(titles)].filter((t) => options.includes(t));
      const id = `stands/${trade}/${step.id}/${right.length}`;
      if (right.length < 1 || right.length === options.length || seen.has(id)) return [];
      seen.add(id);
      return [
        {
          id,
          deck: 'stands',
          form: 'several',
          ask: `${name} (${variant}): “${step.title}” is undone. Which of these open again?`,
          options: shuffled(options, seedOf(id)),
          right,
          why: `They stand on it: ${right.join(', ')}. What was measured on something that has moved is not known any more.`,
        },
      ];
    }),
  );
}

/** What the steps of every job have to teach, each thing once. */
function lessons(): Drill[] {
  const seen = new Set<string>();
  return walks().flatMap(({ trade, name, variant, steps }) =>
    steps.flatMap((step) =>
      (step.learn ?? []).flatMap(({ id: own, deck, ask, options, ...lesson }): Drill[] => {
        const id = `${deck}/${trade}/${own}`;
        if (seen.has(id) || !isDeck(deck)) return [];
        seen.add(id);
        return [
          { id, deck, form: 'choice', ask: `${name} (${variant}). ${ask}`, options: [...options], ...lesson },
        ];
      }),
    ),
  );
}

/** A gauge drawn somewhere a seed fixes; read to half of what it is divided into. */
function gauge(n: number): Drill {
  const random = randomFrom(7919 * (n + 1));
  const pick = (least: number, most: number, step: number) =>
    Number((least + step * Math.floor((random() * (most - least)) / step)).toFixed(4));
  const id = `gauge/${n}`;
  const read = (face: Face, unit: string, right: number, within: number, why: string): Drill => ({
    id,
    deck: 'gauge',
    form: 'number',
    face,
    unit,
    right,
    within,
    ask: `What does it read, in ${unit}?`,
    why,
  });
  switch (n % 5) {
    case 0: {
      const value = pick(0.02, 0.98, 0.01);
      return read(
        { kind: 'dial', divisions: 100, perDivision: 0.01, unit: 'mm', value },
        'mm',
        value,
        0.005,
        'A hundred divisions of 0.01 mm to a turn; between two of them half is told.',
      );
    }
    case 1: {
      const value = pick(2, 98, 1);
      return read(
        { kind: 'dial', divisions: 100, perDivision: 1, unit: 'thou', value },
        'thou',
        value,
        0.5,
        'A hundred divisions of a thousandth of an inch to a turn: the number is thou, not hundredths of a millimetre.',
      );
    }
    case 2: {
      const value = pick(12, 78, 0.05);
      return read(
        { kind: 'vernier', step: 0.05, value },
        'mm',
        value,
        0.025,
        'Whole millimetres left of the nought of the vernier, then the line of it that meets one of the rule.',
      );
    }
    case 3: {
      // Two blades of an inch set together: said in mm, as the sheet asks for it.
      const inches = n % 2 === 1;
      const set = inches ? BLADES_IN : BLADES_MM;
      const blades = shuffled(set, 31 * (n + 1))
        .slice(0, 2)
        .sort((a, b) => a - b);
      const sum = blades.reduce((a, b) => a + b, 0);
      const mm = Number((inches ? sum * MM_PER_INCH : sum).toFixed(3));
      const stamps = blades.map((b) =>
        inches ? `.${b.toFixed(4).slice(2).replace(/0$/, '')} in` : `${b.toFixed(2)} mm`,
      );
      return {
        ...read(
          { kind: 'feelers', stamps },
          'mm',
          mm,
          inches ? 0.002 : 0.001,
          `${stamps.join(' and ')}${inches ? `: ${sum.toFixed(4)} in × 25.4` : ''} = ${mm.toFixed(3)} mm.`,
        ),
        ask: 'These blades together go, snug. How wide is the gap, in mm?',
      };
    }
    default: {
      const value = pick(5, 24.9, 0.01);
      return read(
        { kind: 'micrometer', value },
        'mm',
        value,
        0.005,
        'Millimetres above the line, a half below it where it shows, and hundredths on the drum: fifty to a turn.',
      );
    }
  }
}

/** Fractions of an inch a shaft or a bolt is called by. */
const FRACTIONS = [
  '1/16',
  '1/8',
  '3/16',
  '1/4',
  '5/16',
  '3/8',
  '7/16',
  '1/2',
  '9/16',
  '5/8',
  '11/16',
  '3/4',
  '7/8',
  '1 7/16',
  '1 15/16',
  '2 7/16',
  '2 15/16',
  '3 7/16',
];
const fractions = (): Drill[] =>
  FRACTIONS.map((f) => {
    const [whole, part] = f.includes(' ') ? f.split(' ') : ['0', f];
    const [a = '0', b = '1'] = (part ?? '0/1').split('/');
    const right = (Number(whole) + Number(a) / Number(b)) * MM_PER_INCH;
    return {
      id: `fraction/${f}`,
      deck: 'fraction',
      form: 'number',
      face: null,
      unit: 'mm',
      right: Number(right.toFixed(4)),
      // To a tenth: what picks the spanner, or the bearing for the shaft.
      within: 0.06,
      ask: `${f} inch: how many mm?`,
      why: `${f} × 25.4 = ${right.toFixed(2)} mm.`,
    };
  });

const SAID = { accept: 'accept', 'too-close': 'too close to call', reject: 'reject' } as const;

/** A value, its doubt and its limits: judged by the same rule the sheets are. */
function verdict(n: number): Drill {
  const random = randomFrom(104_729 * (n + 1));
  const nominal = [50, 60, 80, 90, 120][n % 5] ?? 60;
  const upper = nominal;
  const lower = Number((nominal - ([0.025, 0.03, 0.035, 0.046][n % 4] ?? 0.03)).toFixed(3));
  const u = [0.001, 0.002, 0.003][n % 3] ?? 0.002;
  const where = [-0.5, -0.1, 0.05, 0.5, 0.92, 1.03, 1.5][n % 7] ?? 0.5;
  const value = Number((lower + where * (upper - lower) + 0.0005 * (random() - 0.5)).toFixed(4));
  const { verdict: told, expanded } = decide(value, u, { lower, upper });
  return {
    id: `verdict/${n}`,
    deck: 'verdict',
    form: 'choice',
    ask: `A shaft between ${lower.toFixed(3)} and ${upper.toFixed(3)} mm measures ${value.toFixed(4)} ± ${expanded.toFixed(4)} mm. What is it?`,
    options: Object.values(SAID),
    right: SAID[told],
    why:
      told === 'accept'
        ? 'Inside by more than its doubt.'
        : told === 'reject'
          ? 'Outside by more than its doubt.'
          : 'Nearer to a limit than its doubt: a finer gauge or more readings decide, not the wish.',
  };
}

let made: Drill[] | null = null;
/** Every drill there is today, from the trades and the tables as they stand. */
export function allDrills(): readonly Drill[] {
  made ??= [
    ...orders(),
    ...doors(),
    ...standing(),
    ...lessons(),
    ...Array.from({ length: GAUGES }, (_, n) => gauge(n)),
    ...fractions(),
    ...Array.from({ length: VERDICTS }, (_, n) => verdict(n)),
  ];
  return made;
}

export const drillsOf = (deck: DeckId): Drill[] => allDrills().filter((d) => d.deck === deck);
