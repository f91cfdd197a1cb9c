import { allSkills } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { momentAt, type Outage, supposed, toolKey, type WhatIf } from '@fulcrant/core/outage';
import { useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

type Kind = WhatIf['kind'];
const KINDS: ReadonlyArray<readonly [Kind, Text]> = [
  ['ill', M.oneCrewAway],
  ['late', M.toolComesLate],
  ['drop', M.jobLeftOut],
  ['wall', M.wallMoves],
  ['one more', M.oneMoreHand],
  ['another', M.oneMoreTool],
  ['longer', M.hourLongerEachShift],
];

/** Something that might happen: planned beside, told in words, adopted or thrown away. */
export function WhatIfPanel({
  outage,
  now,
  busy,
  onTry,
}: {
  outage: Outage;
  now: number;
  zone: string;
  busy: boolean;
  onTry: (title: string, next: Outage) => void;
}) {
  const say = useSay();
  const [kind, setKind] = useState<Kind>('ill');
  const [what, setWhat] = useState('');
  const [hours, setHours] = useState('24');
  const [fault, setFault] = useState<Text | null>(null);
  const list: ReadonlyArray<readonly [string, string]> =
    kind === 'ill'
      ? outage.crew.map((c) => [c.id, c.name])
      : kind === 'late' || kind === 'another'
        ? outage.tools.map((t) => [toolKey(t), toolKey(t)])
        : kind === 'drop'
          ? outage.jobs.map((j) => [j.key, `${j.machine}, ${j.position}`])
          : kind === 'one more'
            ? allSkills().map((s) => [s, s])
            : [];
  const timed = kind === 'ill' || kind === 'late' || kind === 'wall';
  const go = () => {
    const h = Number(hours.replace(',', '.'));
    if (timed && !(Number.isFinite(h) && Math.abs(h) <= 24 * 60 && h !== 0))
      return setFault(say(M.howManyHoursNumberExample));
    if (list.length > 0 && !list.some(([v]) => v === what)) return setFault(say(M.chooseFromListFirst));
    setFault(null);
    const from = momentAt(outage, now);
    const till = momentAt(outage, now + 60 * h);
    const said = list.find(([v]) => v === what)?.[1] ?? '';
    const asked: [string, WhatIf] = {
      ill: [say(M.awayH({ said, h })), { kind: 'ill', who: what, from, to: till }],
      late: [say(M.notBeforeHFromNow({ said, h })), { kind: 'late', tool: what, until: till }],
      drop: [say(M.without({ said })), { kind: 'drop', job: what }],
      wall: [
        say(M.wallH({ h: Math.abs(h), h2: h > 0 ? 'later' : 'sooner' })),
        { kind: 'wall', to: new Date(Date.parse(outage.endsAt) + h * 3_600_000).toISOString() },
      ],
      'one more': [say(M.oneMore2({ said })), { kind: 'one more', skill: what }],
      longer: [say(M.hourLongerEachShift2), { kind: 'longer', minutes: 60 }],
      another: [say(M.another2({ said })), { kind: 'another', tool: what }],
    }[kind] as [string, WhatIf];
    if (asked[1].kind === 'ill' && h < 0) return setFault(say(M.awayFromNowNumberHours));
    onTry(say(M.whatIf({ asked: asked[0] })), supposed(outage, asked[1]));
  };
  return (
    <div
      className="grid max-w-4xl items-end gap-x-6 gap-y-3 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_8rem_auto]"
      data-what-if
    >
      <div>
        <span className="kicker">{say(M.whatIf2)}</span>
        <Choice
          label={say(M.whatIf2)}
          value={kind}
          options={KINDS}
          onChange={(k) => {
            setKind(k);
            setWhat('');
          }}
        />
      </div>
      {list.length > 0 ? (
        <div>
          <span className="kicker">{say(M.which)}</span>
          <Choice label={say(M.which)} value={what} options={list} onChange={setWhat} />
        </div>
      ) : (
        <span />
      )}
      {timed ? (
        <TextField label={say(M.hours)} value={hours} onText={setHours} inputMode="decimal" />
      ) : (
        <span />
      )}
      <Button weight="solid" disabled={busy} onClick={go}>
        {say(M.try)}
      </Button>
      {fault && (
        <div className="md:col-span-4">
          <Fault>
            <Words of={fault} />
          </Fault>
        </div>
      )}
    </div>
  );
}
