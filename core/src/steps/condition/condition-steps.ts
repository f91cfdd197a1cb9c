import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { gate } from '../gate.ts';
import { beltStep } from './belts.ts';
import { boxBoreStep } from './box-bore.ts';
import { boxFaceStep } from './box-face.ts';
import { MEASURE_TITLE, MEASURES, type Measure } from './condition.ts';
import { couplingStep } from './coupling.ts';
import { diameters } from './diameters.ts';
import { envelopeStep } from './envelope.ts';
import { finishStep } from './finish.ts';
import { housingsStep } from './housings.ts';
import { playStep } from './play.ts';
import { runoutStep } from './runout.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';
import { softFootStep } from './soft-foot.ts';

const SHAFT_LOOKS: GateItem[] = [
  {
    id: 'burrs',
    group: 'Shaft',
    ask: 'No burr, nick or sharp edge left where an O-ring or sleeve slides; no flat filed.',
  },
  { id: 'nail', group: 'Shaft', ask: 'A fingernail along the shaft catches on no step.' },
  {
    id: 'fretting',
    group: 'Shaft',
    ask: 'No fretting and no worn track; if there is one, its depth is measured next.',
  },
  {
    id: 'taped',
    group: 'Shaft',
    ask: 'Keyways, threads and steps are taped before anything passes over them.',
    kind: 'machine',
  },
];
const BOX_LOOKS: GateItem[] = [
  { id: 'box', group: 'Box', ask: 'The box is clean and clear along its whole depth.' },
  {
    id: 'face',
    group: 'Box',
    ask: 'The gasket face has no scratch across it, no remains of the last gasket.',
  },
];

type Told = Omit<StepDefinition<ShaftSetup>, 'id' | 'title'>;

const STEPS: Record<Measure, Told> = {
  look: {
    kind: gate,
    guide: 'Clean first, then look and feel. What is found is dressed before anything is measured.',
    caution: 'Solvent wipes burn; no flame, gloves on.',
    items: SHAFT_LOOKS,
  },
  shaft: {
    kind: diameters,
    guide: 'Micrometer square to the shaft, at each station and angle of the seat.',
  },
  finish: {
    kind: finishStep,
    guide: 'The tester’s stylus along the shaft, across the lay; on the face, radially.',
  },
  runout: {
    kind: runoutStep,
    guide: 'Indicator square to the shaft, base firm; zero, then turn to each angle and back.',
    caution: 'Turn by hand only. Keep sleeves and rag clear of the shaft.',
  },
  play: {
    kind: playStep,
    repeatWord: 'Put right',
    guide: 'Indicator on the shaft end: push, pull. Then beside the seal: release, lift.',
    caution: 'Lift with a lever on the shaft itself, never with fingers under it.',
  },
  face: {
    kind: boxFaceStep,
    itemsFirst: true,
    guide: 'Indicator clamped on the shaft, plunger on the face; turn the shaft, it held one way.',
    items: [
      {
        id: 'held',
        group: 'Float',
        ask: 'The shaft is pushed one way and held there through the whole turn.',
      },
    ],
  },
  bore: {
    kind: boxBoreStep,
    guide: 'Indicator on the shaft, plunger on the bore or register; angles from the top.',
  },
  envelope: {
    kind: envelopeStep,
    guide: 'Depth and bore gauges in the clean box, against the seal’s sheet.',
  },
  softfoot: {
    kind: softFootStep,
    guide: 'All bolts tight; loosen one foot at a time, read its rise or feel its gap, tighten it again.',
    caution: 'No fingers under a foot.',
    repeatWord: 'Shimmed',
  },
  housings: {
    kind: housingsStep,
    repeatWord: 'Moved',
    guide: 'Straightedge, wire or laser along the shaft: offsets at the near and far side of each housing.',
  },
  coupling: {
    kind: couplingStep,
    guide: 'Both shafts turned together; looking from the driver: top, right, bottom, left.',
    caution: 'Isolation stays on. Coupling guard back before anything runs.',
    repeatWord: 'Moved',
  },
  belts: {
    kind: beltStep,
    guide: 'Shaft turned by hand a few times first, so that both strands lie alike; then each belt.',
    caution: 'Isolation stays on; no fingers between belt and pulley. Guard back before anything runs.',
    repeatWord: 'Tensioned',
  },
};

/** Measures that come last before anything turns; all others come before a part goes on. */
export const LAST_MEASURES: readonly string[] = ['softfoot', 'housings', 'coupling', 'belts'];

/** The measures a setup asks for, in the order of the work, as steps. */
export function conditionSteps(setup: ShaftSetup): StepDefinition<ShaftSetup>[] {
  const { measures } = conditionOf(setup);
  const box = measures.some((m) => m === 'face' || m === 'bore' || m === 'envelope');
  return MEASURES.filter((m) => measures.includes(m)).map((m) => ({
    id: m,
    title: m === 'shaft' ? 'Shaft' : MEASURE_TITLE[m],
    ...STEPS[m],
    ...(m === 'look' && box ? { items: [...SHAFT_LOOKS, ...BOX_LOOKS] } : {}),
  }));
}
