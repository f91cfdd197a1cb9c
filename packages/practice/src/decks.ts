import { allTrades, procedureFor, type StepDefinition } from '@fulcrant/core/job';
import { decide, randomFrom } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, expr, listOf, sameText, textKey } from '@fulcrant/core/messages';
import { MM_PER_INCH } from '@fulcrant/core/units';
import { type DeckId, type Drill, type Face, isDeck } from './drill.ts';
import { M } from './messages.ts';

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

/** Texts that say different things, each once. */
const unlike = (texts: readonly Text[]): Text[] => [...new Map(texts.map((t) => [textKey(t), t])).values()];

/** A number a word stands for, so that the same question is drawn the same way. */
const seedOf = (text: string): number => {
  let h = 2166136261;
  for (const c of text) h = Math.imul(h ^ (c.codePointAt(0) ?? 0), 16777619) >>> 0;
  return h || 1;
};

type Walk = { trade: string; name: Text; variant: string; steps: StepDefinition[] };
/** Every order of work there is, by trade and variant; its signature is no step to learn. */
const walks = (): Walk[] =>
  allTrades().flatMap((t) =>
    Object.entries(t.example.setups).map(([variant, setup]) => ({
      trade: t.id,
      name: listOf(t.words.offer, ', '),
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
      if (right.length < 3 || unlike(right).length < right.length) continue;
      const id = `order/${trade}/${variant}/${at}`;
      out.push({
        id,
        deck: 'order',
        form: 'row',
        ask: M.whichComesFirst({ name, variant }),
        pieces: shuffled(right, seedOf(id)),
        right,
        why: M.orderWorkJob({ right: listOf(right, ' → ') }),
      });
    }
    return out;
  });
}

/** What a step closes for good, among what other steps close. */
function doors(): Drill[] {
  const all = walks().flatMap((w) => w.steps.filter((s) => s.closes).map((s) => ({ ...w, step: s })));
  const words = unlike(all.map((d) => d.step.closes ?? ''));
  const seen = new Set<string>();
  return all.flatMap(({ trade, name, step }): Drill[] => {
    const right = step.closes ?? '';
    const id = `door/${trade}/${step.id}`;
    if (seen.has(id) || words.length < 3) return [];
    seen.add(id);
    const others = shuffled(
      words.filter((w) => !sameText(w, right)),
      seedOf(id),
    ).slice(0, 3);
    return [
      {
        id,
        deck: 'door',
        form: 'choice',
        ask: M.whatCanNoLongerDone({ name, title: step.title }),
        options: shuffled([right, ...others], seedOf(`${id}?`)),
        right,
        why: expr`“${step.title}”: ${right}`,
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
      const options = unlike(near.map((s) => s.title));
      const right = unlike(titles).filter((t) => options.some((o) => sameText(o, t)));
      const id = `stands/${trade}/${step.id}/${right.length}`;
      if (right.length < 1 || right.length === options.length || seen.has(id)) return [];
      seen.add(id);
      return [
        {
          id,
          deck: 'stands',
          form: 'several',
          ask: M.undoneWhichTheseOpenAgain({ name, variant, title: step.title }),
          options: shuffled(options, seedOf(id)),
          right,
          why: M.theyStandWhatMeasuredSomething({ right: listOf(right, ', ') }),
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
          {
            id,
            deck,
            form: 'choice',
            ask: expr`${name} (${variant}). ${ask}`,
            options: [...options],
            ...lesson,
          },
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
  const read = (face: Face, unit: string, right: number, within: number, why: Text): Drill => ({
    id,
    deck: 'gauge',
    form: 'number',
    face,
    unit,
    right,
    within,
    ask: M.whatDoesRead({ unit }),
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
        M.hundredDivisions001Mm,
      );
    }
    case 1: {
      const value = pick(2, 98, 1);
      return read(
        { kind: 'dial', divisions: 100, perDivision: 1, unit: 'thou', value },
        'thou',
        value,
        0.5,
        M.hundredDivisionsThousandthInchTurn,
      );
    }
    case 2: {
      const value = pick(12, 78, 0.05);
      return read(
        { kind: 'vernier', step: 0.05, value },
        'mm',
        value,
        0.025,
        M.wholeMillimetresLeftNoughtVernier,
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
        inches ? M.inText({ replace: b.toFixed(4).slice(2).replace(/0$/, '') }) : M.mm({ b: b.toFixed(2) }),
      );
      return {
        ...read(
          { kind: 'feelers', stamps },
          'mm',
          mm,
          inches ? 0.002 : 0.001,
          M.mm2({
            stamps: listOf(stamps, ' and '),
            inches: inches ? M.n254({ sum: sum.toFixed(4) }) : '',
            mm: mm.toFixed(3),
          }),
        ),
        ask: M.theseBladesTogetherGoSnug,
      };
    }
    default: {
      const value = pick(5, 24.9, 0.01);
      return read({ kind: 'micrometer', value }, 'mm', value, 0.005, M.millimetresAboveLineHalfBelow);
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
      ask: M.inchHowManyMm({ f }),
      why: M.n254Mm({ f, right: right.toFixed(2) }),
    };
  });

const SAID = { accept: 'accept', 'too-close': COMMON.tooCloseCall, reject: 'reject' } as const;

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
    ask: M.shaftBetweenMmMeasuresMm({
      lower: lower.toFixed(3),
      upper: upper.toFixed(3),
      value: value.toFixed(4),
      expanded: expanded.toFixed(4),
    }),
    options: Object.values(SAID),
    right: SAID[told],
    why:
      told === 'accept'
        ? M.insideMoreThanDoubt
        : told === 'reject'
          ? M.outsideMoreThanDoubt
          : M.nearerLimitThanDoubtFiner,
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
