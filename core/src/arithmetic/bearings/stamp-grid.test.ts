import { describe, expect, it } from 'vitest';
import { readStamp } from './stamp.ts';

/**
 * Designations as they stand on rings and boxes, with what each tells: bore, taper (0 cylindrical, ? left open), class (? left open),
 * cage (b brass, s steel, p polymer, - not told), groove or holes (g or -), seals, then what is not understood.
 * Written from general knowledge of designation systems (bores ISO 15, clearance groups ISO 5753-1, common suffixes), from memory.
 */
const GRID = `
22205 | 25 0 CN - - 0
22205 K | 25 12 CN - - 0
22206 E | 30 0 CN - - 0
22206 EK | 30 12 CN - - 0
22207EK/C3 | 35 12 C3 - - 0
22208 EKC3 | 40 12 C3 - - 0
22208 CCK/W33 | 40 12 CN s g 0
22209 CCK/C3W33 | 45 12 C3 s g 0
22210 k c3 | 50 12 C3 - - 0
22210kc3 | 50 12 C3 - - 0
22211 EK/C4 | 55 12 C4 - - 0
22212-E-K | 60 12 CN - - 0
22212-E1-K-C3 | 60 12 C3 - - 0
22213 E1K | 65 12 CN - - 0
22213E1KC3 | 65 12 C3 - - 0
22214 MBK | 70 12 CN b - 0
22214 MBW33 | 70 0 CN b g 0
22215 EKW33C3 | 75 12 C3 - g 0
22215 C3 EK | 75 12 C3 - - 0
22216 CAK/W33 | 80 12 CN b g 0
22216CAKW33C3 | 80 12 C3 b g 0
22217 CAW33 | 85 0 CN b g 0
22218 K C3 | 90 12 C3 - - 0
22218K/C3 | 90 12 C3 - - 0
22218 C3 | 90 0 C3 - - 0
22219 EKJ | 95 12 CN s - 0
22220 | 100 0 CN - - 0
22220 K | 100 12 CN - - 0
22220K | 100 12 CN - - 0
22220 KC3 | 100 12 C3 - - 0
22220kc3 | 100 12 C3 - - 0
22220 C3 K | 100 12 C3 - - 0
22220 EK/C3 | 100 12 C3 - - 0
22220 EAKE4 | 100 12 CN - g 0
22220EAKE4C3 | 100 12 C3 - g 0
22220 CDKE4C3 | 100 12 C3 - g 0
22220-E1-XL-K | 100 12 CN - - 0
22220-E1-XL-K-C4 | 100 12 C4 - - 0
22220 CCK/C2 | 100 12 C2 s - 0
22220 CCK/CN | 100 12 CN s - 0
22220 CCK/P53 | 100 12 C3 s - 0
22220 CCK/P63W33 | 100 12 C3 s g 0
22220 P5 K | 100 12 CN - - 0
22220 CCK/C08 | 100 12 CN s - 0
22220 EKTVPB | 100 12 CN p - 0
22220E1KTVPBC3 | 100 12 C3 p - 0
22220 EK/VA405 | 100 12 CN - - 0
22220 EF800 | 100 0 CN - - 0
22220 EMKW33C5 | 100 12 C5 b g 0
22220 EK QX7 | 100 12 CN - - 0 QX7
22220 K C3 XX | 100 12 C3 - - 0 XX
22222 EJK | 110 12 CN s - 0
22222 EJW33C3 | 110 0 C3 s g 0
22224 CCK/C3W33 | 120 12 C3 s g 0
22226 CCK/W33 | 130 12 CN s g 0
22228 CAMKE4C3S11 | 140 12 C3 b g 0
22230 CCK/C3W33 | 150 12 C3 s g 0
22232 CACK/W33 | 160 12 CN b g 0
22234 MK | 170 12 CN b - 0
22236 K/C4 | 180 12 C4 - - 0
22238 MBKC3 | 190 12 C3 b - 0
22240 CCK/W33 | 200 12 CN s g 0
22244 K | 220 12 CN - - 0
22248 CACK/C3W33 | 240 12 C3 b g 0
22252 K | 260 12 CN - - 0
22256 CA/W33 | 280 0 CN b g 0
22260 K/C3 | 300 12 C3 - - 0
22264 K | 320 12 CN - - 0
21304 CC | 20 0 CN s - 0
21307 K | 35 12 CN - - 0
21310 EK | 50 12 CN - - 0
21316 EK/C3 | 80 12 C3 - - 0
22308 E | 40 0 CN - - 0
22308 EK | 40 12 CN - - 0
22311 EK/C4 | 55 12 C4 - - 0
22315 EKW33 | 75 12 CN - g 0
22316 CCK/W33 | 80 12 CN s g 0
22320 EKC4 | 100 12 C4 - - 0
22320 MAC4F80 | 100 0 C4 b - 0
22324 CCKJW33C4 | 120 12 C4 s g 0
22328 CCK/C4W33 | 140 12 C4 s g 0
22330 K C3 W33 | 150 12 C3 - g 0
22334 CCJA/W33VA405 | 170 0 CN s g 0
22340 CAK/C3W33 | 200 12 C3 b g 0
23022 K | 110 12 CN - - 0
23024 CCK/W33 | 120 12 CN s g 0
23030 CCK/C3W33 | 150 12 C3 s g 0
23036 ESK | 180 12 CN - g 0
23040 CCK/W33 | 200 12 CN s g 0
23044 MBKC3 | 220 12 C3 b - 0
23052 K MB C4 | 260 12 C4 b - 0
23060 CAK/W33 | 300 12 CN b g 0
23080 K | 400 12 CN - - 0
23096 K/C3 | 480 12 C3 - - 0
230/500 K | 500 12 CN - - 0
230/500 CAK/C3W33 | 500 12 C3 b g 0
230/530 | 530 0 CN - - 0
230 / 560 K C4 | 560 12 C4 - - 0
23120 K | 100 12 CN - - 0
23122 CCK/C3W33 | 110 12 C3 s g 0
23130 KMB | 150 12 CN b - 0
23134 CCK/W33 | 170 12 CN s g 0
23140 K C3 | 200 12 C3 - - 0
23148 CC/W33 | 240 0 CN s g 0
23156 CACK | 280 12 CN b - 0
23218 CCK/W33 | 90 12 CN s g 0
23220 CC/W33 | 100 0 CN s g 0
23224 CKC3 | 120 12 C3 - - 0
23228 CCK/C3 | 140 12 C3 s - 0
23236 K | 180 12 CN - - 0
23944 CCK/W33 | 220 12 CN s g 0
239/600 K | 600 12 CN - - 0
23856 K | 280 12 CN - - 0
24024 CC | 120 0 CN s - 0
24024 K30 | 120 30 CN - - 0
24028 CCK30/W33 | 140 30 CN s g 0
24030 CCK30/C3W33 | 150 30 C3 s g 0
24036 EK30 | 180 30 CN - - 0
24040 K | 200 ? CN - - 0
24120 MBK30C3 | 100 30 C3 b - 0
24122 CCK30W33C3 | 110 30 C3 s g 0
24132 CCK30/W33 | 160 30 CN s g 0
24136 K30 C4 | 180 30 C4 - - 0
24144 CCK30/W33 | 220 30 CN s g 0
24144CCK30W33 | 220 30 CN s g 0
24148 CC K30 | 240 30 CN s - 0
24156 ECAK30/W33 | 280 30 CN b g 0
241/500 K30 | 500 30 CN - - 0
248/800 K30 | 800 30 CN - - 0
249/1000 K30 | 1000 30 CN - - 0
1205 | 25 0 CN - - 0
1206 K | 30 12 CN - - 0
1207 K/C3 | 35 12 C3 - - 0
1208 EKTN9 | 40 12 CN p - 0
1209 EKTN9/C3 | 45 12 C3 p - 0
1210 K | 50 12 CN - - 0
1212 KTVC3 | 60 12 ? - - 0 TVC3
1218 KMC3 | 90 12 C3 b - 0
1220 K | 100 12 CN - - 0
1222 M | 110 0 CN b - 0
1308 ETN9 | 40 0 CN p - 0
1310 K TVH C3 | 50 12 C3 p - 0
2206 2RS | 30 0 CN - - 2
2207 E-2RS1KTN9 | 35 12 CN p - 2
2208 K-2RS | 40 12 CN - - 2
2209-K-2RS-TVH-C3 | 45 12 C3 p - 2
2210 E-2RS1 | 50 0 CN - - 2
2216 K M | 80 12 CN b - 0
2308 K | 40 12 CN - - 0
2311 K/C3 | 55 12 C3 - - 0
2316 M | 80 0 CN b - 0
22214 2CS5K/VT143 | 70 12 CN - - 2
22216 E-2CS5 | 80 0 CN - - 2
22210-2CSK | 50 12 CN - - 2
BS2-2215-2RSK | 75 12 CN - - 2 BS2
AH 22220 K | 100 12 CN - - 0 AH
22220 E5K9 | 100 ? CN - - 0 E5K9
22220 K C9 | 100 12 ? - - 0 C9
22220 K C3 C4 | 100 12 ? - - 0
`;
const CAGE = { brass: 'b', steel: 's', polymer: 'p' } as const;

describe('the stamp, over a grid of designations', () => {
  const rows = GRID.trim()
    .split('\n')
    .map((line) => line.split('|').map((part) => part.trim()) as [string, string]);

  it('is long enough to mean something', () => {
    expect(rows.length).toBeGreaterThanOrEqual(120);
    expect(new Set(rows.map(([d]) => d)).size).toBe(rows.length);
  });

  it.each(rows)('%s tells %s', (designation, wanted) => {
    const s = readStamp(designation);
    if (!s) throw new Error('not read');
    const told = [
      s.boreMm,
      s.bore === 'cylindrical' ? 0 : (s.bore ?? '?'),
      s.clearanceClass ?? '?',
      s.cage === null ? '-' : CAGE[s.cage],
      s.groove ? 'g' : '-',
      s.seals,
      ...s.unknown,
    ].join(' ');
    expect(told).toBe(wanted);
  });

  it.each(rows)(
    '%s is read alike in small letters, and with its suffixes in another order',
    (designation) => {
      const at = readStamp(designation);
      expect(readStamp(designation.toLowerCase())).toEqual(at);
      const apart = /^(\S*\d{4,5}) ((?:[A-Z0-9]+ )+[A-Z0-9]+)$/.exec(designation);
      if (!apart) return;
      const [, number = '', suffixes = ''] = apart;
      expect(readStamp(`${number} ${suffixes.split(' ').reverse().join(' ')}`)).toEqual(at);
    },
  );
});
