import { readReadingsTable } from '@fulcrant/core/forms';
import type { Instrument } from '@fulcrant/core/instruments';
import type { EventDataOf, JobState } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import Papa from 'papaparse';
import { useState } from 'react';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

type Act = { type: 'reading.taken'; data: EventDataOf<'reading.taken'> };
type Props = {
  open: boolean;
  onClose: () => void;
  state: JobState;
  step: string;
  title: Text;
  gauges: Instrument[];
  gauge: Instrument | null;
  actAll: (acts: Act[]) => Promise<Array<Text | null>>;
};
type Looked = ReturnType<typeof readReadingsTable> & { name: string };

/** A file larger than this is no survey typed by hand. */
const BYTES_MOST = 1_000_000;

/** A survey typed in a spreadsheet: looked through row by row before anything of it is stored. */
export function ImportDialog({ open, onClose, state, step, title, gauges, gauge, actAll }: Props) {
  const say = useSay();
  const { unit } = useSettings();
  const [looked, setLooked] = useState<Looked | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const [refused, setRefused] = useState<string[]>([]);
  const close = () => {
    setLooked(null);
    setFault(null);
    setRefused([]);
    onClose();
  };
  const look = async (file: File | undefined) => {
    setLooked(null);
    setRefused([]);
    setFault(null);
    if (!file) return;
    if (file.size > BYTES_MOST) return setFault(say(M.fileTooLargeTableReadings));
    const parsed = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), {
      skipEmptyLines: false,
    });
    setLooked({
      ...readReadingsTable(parsed.data, { state, step, unit, gauges, gauge }),
      name: file.name,
    });
  };
  const take = async () => {
    if (!looked) return;
    const said = await actAll(looked.readings.map((r) => ({ type: 'reading.taken' as const, data: r.data })));
    const not = said.flatMap((s, i) => (s ? [say(M.line({ line: looked.readings[i]?.line, s }))] : []));
    if (not.length === 0) close();
    else setRefused(not);
  };
  return (
    <Dialog open={open} onClose={close} title={say(M.readingsFromFile({ title }))} wide>
      <div className="flex flex-col gap-3">
        <p className="m-0">
          {say(M.csvAsSpreadsheetSavesFirst)} <em>{say(M.placeValue)}</em>
          {say(M.or)} <em>{say(M.stationAngleValue)}</em>
          {say(M.or)} <em>{say(M.angle)}</em> {say(M.thenColumnStationColumn)} <em>{say(M.unit)}</em>{' '}
          {say(M.or2)} <em>{say(COMMON.gauge)}</em>{' '}
          {say(M.mayStandBesideWithoutThem({ unit, gauge: gauge ? `“${gauge.name}”` : M.gaugeHand }))}
        </p>
        <label className="flex flex-col gap-1">
          <span className="kicker">{say(M.file)}</span>
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            onChange={(e) => void look(e.target.files?.[0])}
            className="min-h-12"
          />
        </label>
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        {looked && (
          <>
            {looked.faults.length > 0 && (
              <ul className="m-0 list-none border-t border-rule p-0" aria-label={say(M.rowsFaults)}>
                {looked.faults.map((f) => (
                  <li
                    key={`${f.line}-${textKey(f.message)}`}
                    className="border-b border-faint py-1.5"
                    data-bad-row={f.line}
                  >
                    <strong className="font-label text-lg">{say(M.line2({ line: f.line }))}</strong>{' '}
                    <Words of={f.message} />
                  </li>
                ))}
              </ul>
            )}
            {refused.map((r) => (
              <Fault key={r}>{r}</Fault>
            ))}
            <div className="flex flex-wrap items-center gap-3">
              <Button
                weight="solid"
                disabled={looked.readings.length === 0}
                onClick={() => void take()}
                data-import
              >
                {looked.faults.length > 0
                  ? say(M.takeGood({ count: looked.readings.length }))
                  : say(M.takeAll({ count: looked.readings.length }))}
              </Button>
              <Button onClick={close}>{say(COMMON.cancel)}</Button>
            </div>
          </>
        )}
      </div>
    </Dialog>
  );
}
