import { momentAt, type Outage, type OutageNetwork, type Piece, type Placed } from '@fulcrant/core/outage';
import { whenIn } from '@fulcrant/core/sheet';
import { say } from '@fulcrant/core/units';
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import PDFDocument from 'pdfkit';
import { csvOf } from './csv.ts';
import { fonts } from './fonts.ts';
import { M } from './messages.ts';

type Told = { outage: Outage; net: OutageNetwork; placed: readonly Placed[]; zone: string };

const names = (outage: Outage, units: readonly string[]): string =>
  units.map((u) => outage.crew.find((c) => c.id === u)?.name ?? u).join(', ');
const stamp = (at: string): DateArray => {
  const d = new Date(at);
  return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
};

/** The pieces of a plan as calendar events; of one of the crew, or of all. Times go out in UTC: no clock change can move them. */
export function outageEvents(
  { outage, net, placed }: Told,
  id: string,
  who: string | null,
): EventAttributes[] {
  return placed.flatMap((p): EventAttributes[] => {
    const piece = net.pieces.get(p.id);
    if (!piece || piece.waits || piece.state === 'done' || (who !== null && !p.units.includes(who)))
      return [];
    return [
      {
        uid: `${id}-${p.id.replace(/[^\w-]/g, '-')}@fulcrant`,
        title: `${piece.job.machine}, ${piece.job.position}: ${say(piece.name, 'mm')}`,
        description: [names(outage, p.units), ...piece.tools].filter(Boolean).join(', '),
        start: stamp(momentAt(outage, p.start)),
        startInputType: 'utc',
        startOutputType: 'utc',
        end: stamp(momentAt(outage, p.finish)),
        endInputType: 'utc',
        endOutputType: 'utc',
        productId: 'fulcrant',
      },
    ];
  });
}

/** @returns the calendar file’s text; an empty calendar where nothing is planned */
export function outageCalendar(told: Told, id: string, who: string | null): string {
  const name = who ? `${told.outage.name}: ${names(told.outage, [who])}` : told.outage.name;
  const events = outageEvents(told, id, who);
  if (events.length === 0)
    return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:fulcrant', 'END:VCALENDAR', ''].join('\r\n');
  const made = createEvents(events, { calName: name, productId: 'fulcrant' });
  if (made.error || !made.value) throw made.error ?? new Error('The calendar could not be written.');
  return made.value;
}

/** A plan as a table: a piece a line, times by the plant’s clock. */
export function outageCsv({ outage, net, placed, zone }: Told): string {
  const when = whenIn(zone);
  return csvOf(
    placed.flatMap((p) => {
      const piece = net.pieces.get(p.id);
      if (!piece) return [];
      return [
        {
          machine: piece.job.machine,
          position: piece.job.position,
          piece: piece.name,
          start: when(momentAt(outage, p.start)),
          finish: when(momentAt(outage, p.finish)),
          hands: names(outage, p.units),
          tools: piece.tools.join(', '),
          state: piece.state,
          minutes: Math.round(piece.duration.likely),
          sheets: piece.duration.sheets,
        },
      ];
    }),
  );
}

const SIZES = { A3: 'A3', A4: 'A4', LETTER: 'LETTER' } as const;
export type Paper = keyof typeof SIZES;
const MM = 72 / 25.4;

/** The board on paper, a sheet a day: a lane a fitter, to scale in time, the wall where it stands. */
export async function outagePdf({ outage, net, placed, zone }: Told, size: Paper): Promise<Buffer> {
  const doc = new PDFDocument({
    size: SIZES[size],
    layout: 'landscape',
    margin: 0,
    info: { Title: outage.name },
    autoFirstPage: false,
  });
  for (const [name, font] of Object.entries(fonts())) doc.registerFont(name, font as never);
  const parts: Buffer[] = [];
  doc.on('data', (b: Buffer) => parts.push(b));
  const ended = new Promise<void>((done) => doc.on('end', () => done()));
  const when = whenIn(zone);
  const work = placed.filter((p) => net.pieces.has(p.id));
  // Days by the plant’s clock: a sheet for each on which anything is done.
  const dayOf = (minutes: number) => when(momentAt(outage, minutes)).slice(0, 10);
  const days = [...new Set(work.map((p) => dayOf(p.start)))].sort();
  for (const day of days) {
    doc.addPage();
    const [w, h] = [doc.page.width, doc.page.height];
    const [left, top, right] = [38 * MM, 22 * MM, w - 10 * MM];
    const mine = work.filter(
      (p) => dayOf(p.start) === day || (p.start < (firstOf(day) ?? 0) && dayOf(p.finish) === day),
    );
    const from = Math.min(...mine.map((p) => p.start));
    const to = Math.max(from + 60, ...mine.map((p) => p.finish));
    const [f, t] = [Math.floor(from / 60) * 60, Math.ceil(Math.min(to, from + 1440) / 60) * 60];
    const x = (m: number) => left + ((right - left) * (Math.min(Math.max(m, f), t) - f)) / (t - f);
    doc
      .font('label')
      .fontSize(16)
      .fillColor('#000')
      .text(outage.name, 10 * MM, 8 * MM, { lineBreak: false });
    doc
      .font('text')
      .fontSize(9)
      .text(say(M.timesPlantsClock({ day, zone }), 'mm'), 10 * MM, 15 * MM, { lineBreak: false });
    const lanes = outage.crew;
    const high = Math.min(18 * MM, (h - top - 16 * MM) / Math.max(1, lanes.length));
    for (let m = f; m <= t; m += 60) {
      doc
        .lineWidth(0.3)
        .moveTo(x(m), top)
        .lineTo(x(m), top + high * lanes.length)
        .stroke('#bbb');
      doc
        .font('mono')
        .fontSize(6.5)
        .fillColor('#444')
        .text(when(momentAt(outage, m)).slice(11), x(m) + 1, top - 8, { lineBreak: false });
    }
    lanes.forEach((c, i) => {
      const y = top + i * high;
      doc
        .lineWidth(0.4)
        .moveTo(10 * MM, y)
        .lineTo(right, y)
        .stroke('#888');
      doc
        .font('label')
        .fontSize(11)
        .fillColor('#000')
        .text(c.name, 10 * MM, y + 2 * MM, { width: left - 11 * MM, height: 12, ellipsis: true });
      for (const p of mine.filter((q) => q.units.includes(c.id))) {
        const piece = net.pieces.get(p.id) as Piece;
        const [a, b] = [x(p.start), x(p.finish)];
        if (b <= a) continue;
        const [y1, tall] = [y + 1.2 * MM, high - 2.4 * MM];
        // Done is solid, as on the screen; what lies over something else hides it.
        doc.lineWidth(0.8).rect(a, y1, b - a, tall);
        doc.fillAndStroke(piece.state === 'done' ? '#000' : '#fff', '#000');
        if (piece.state !== 'done' && b - a > 14) {
          doc
            .save()
            .rect(a, y1, b - a, tall)
            .clip();
          doc
            .font('text')
            .fontSize(6.5)
            .fillColor('#000')
            .text(`${piece.job.machine}, ${piece.job.position}\n${say(piece.name, 'mm')}`, a + 1.5, y1 + 2, {
              width: b - a - 3,
              height: tall,
            });
          doc.restore();
        }
      }
    });
    const wall = net.wall;
    if (wall >= f && wall <= t)
      doc
        .lineWidth(2.4)
        .moveTo(x(wall), top - 3 * MM)
        .lineTo(x(wall), top + high * lanes.length)
        .stroke('#000');
  }
  if (days.length === 0) {
    doc.addPage();
    doc
      .font('label')
      .fontSize(16)
      .text(outage.name, 10 * MM, 8 * MM);
    doc
      .font('text')
      .fontSize(11)
      .text(say(M.nothingPlannedYet, 'mm'), 10 * MM, 18 * MM);
  }
  doc.end();
  await ended;
  return Buffer.concat(parts);

  /** The first minute of work of a day. */
  function firstOf(day: string): number | undefined {
    return work.filter((p) => dayOf(p.start) === day).map((p) => p.start)[0];
  }
}
