import { describe, expect, it } from 'vitest';
import { readReports, splitReports } from './metar.ts';

const now = Date.parse('2026-11-25T13:00:00Z');
const one = (report: string, month: string | null = null) => readReports(report, month, now)[0]!;

/* The code form: WMO-No. 306, Vol. I.1, FM 15 METAR; the first two reports are the examples of ICAO Annex 3, table A3-2,
   and the remark group that of FMH-1, 12.7.2 d; all from memory. */
describe('METAR', () => {
  it('reads the published routine report, with wind in m/s', () => {
    const { reading } = one(
      'METAR YUDO 221630Z 24004MPS 0600 R12/1000U DZ FG SCT010 OVC020 17/16 Q1018 BECMG TL1700 0800 FG BECMG AT1800 9999 NSW',
    );
    expect(reading).toMatchObject({
      at: '2026-11-22T16:30:00.000Z',
      temperatureC: 17,
      windMs: 4,
      gustMs: null,
    });
    expect(reading!.humidity).toBeCloseTo(93.8, 0);
  });

  it('reads the published special report, with gusts in knots', () => {
    const { reading } = one('SPECI YUDO 151115Z 05025G37KT 3000 1200NE +TSRA BKN005CB 25/22 Q1008');
    expect(reading).toMatchObject({
      at: '2026-11-15T11:15:00.000Z',
      temperatureC: 25,
      windMs: 12.9,
      gustMs: 19,
    });
  });

  it('takes km/h for what they are', () => {
    expect(one('METAR YUDO 221630Z 24015KMH 0600 17/16 Q1018').reading!.windMs).toBe(4.2);
  });

  it('reads minus signs, CAVOK, variable and calm wind', () => {
    expect(one('METAR YUDO 041220Z VRB02KT CAVOK M04/M12 Q1031').reading).toMatchObject({
      temperatureC: -4,
      windMs: 1,
    });
    expect(one('METAR YUDO 041220Z 00000KT CAVOK 09/M01 Q1020=').reading).toMatchObject({
      temperatureC: 9,
      windMs: 0,
    });
    expect(one('METAR YUDO 041220Z 24012G25MPS 200V280 9999 M00/M01 Q0998').reading).toMatchObject({
      windMs: 12,
      gustMs: 25,
    });
  });

  it('reads tenths of a degree from the remarks', () => {
    const { reading } = one('KYDO 041151Z AUTO 31008KT 10SM CLR 03/M02 A3012 RMK AO2 SLP201 T00261015');
    expect(reading!.temperatureC).toBe(2.6);
    // Dew point −1.5 °C over water: 5.46 / 7.36 hPa.
    expect(reading!.humidity).toBeCloseTo(74.3, 0);
  });

  it('leaves the wind out when its group is missing or dashed', () => {
    expect(one('METAR YUDO 041220Z /////KT //// // ////// 07/05 Q1002').reading).toMatchObject({
      windMs: null,
    });
    expect(one('METAR YUDO 041220Z 9999 FEW020 07/05 Q1002').reading).toMatchObject({
      windMs: null,
      temperatureC: 7,
    });
  });

  it.each([
    ['METAR YUDO 041220Z 24012KT 9999 FEW020 12/', 'cut off'],
    ['METAR YUDO 041220Z 24012', 'cut off'],
    ['METAR YUDO 0412', 'does not begin'],
    ['METAR YUDO 041220Z NIL', 'NIL'],
    ['TAF YUDO 221100Z 2212/2312 24004MPS 8000', 'forecast'],
    ['hello world', 'does not begin'],
    ['METAR YUDO 991220Z 24012KT 12/09', 'no such day'],
    ['METAR YUDO 042520Z 24012KT 12/09', 'no such day or time'],
    ['METAR YUDO 041220Z 24012KT 09/12 Q1002', 'above the air temperature'],
  ])('%s gives no reading and says why', (report, says) => {
    const { reading, says: said } = one(report);
    expect(reading).toBeNull();
    expect(said).toContain(says);
  });

  it('takes the newest month that fits, or the one given', () => {
    expect(one('YUDO 261220Z 24012KT 07/05').reading!.at).toBe('2026-10-26T12:20:00.000Z');
    expect(one('YUDO 311220Z 24012KT 07/05').reading!.at).toBe('2026-10-31T12:20:00.000Z');
    expect(one('YUDO 261220Z 24012KT 07/05', '2025-02').reading!.at).toBe('2025-02-26T12:20:00.000Z');
    expect(one('YUDO 301220Z 24012KT 07/05', '2025-02').says).toContain('no such day or time in 2025-02');
    expect(one('YUDO 281220Z 24012KT 07/05', '2026-11').says).toContain('future');
  });

  it('splits a paste into its reports, over lines and equals signs', () => {
    expect(
      splitReports(
        'METAR YUDO 221630Z 24004MPS 0600\n  17/16 Q1018=\nMETAR YUDO 221700Z 17/16=METAR YUDO 221730Z 17/16=',
      ),
    ).toHaveLength(3);
    expect(splitReports('YUDO 221630Z 17/16\nYUDO 221700Z 17/16\nnonsense\n\n')).toEqual([
      'YUDO 221630Z 17/16',
      'YUDO 221700Z 17/16 nonsense',
    ]);
    expect(splitReports('nonsense\nYUDO 221700Z 17/16')).toHaveLength(2);
  });

  it('takes a correction over what it corrects, and the first of two that are the same', () => {
    const [first, second] = readReports('YUDO 221630Z 17/16=\nMETAR COR YUDO 221630Z 15/14=', null, now);
    expect(first).toMatchObject({ reading: null, says: 'Corrected by another report here.' });
    expect(second!.reading!.temperatureC).toBe(15);
    const twice = readReports('YUDO 221630Z 17/16=\nYUDO 221630Z 17/16=', null, now);
    expect(twice.map(({ reading }) => reading !== null)).toEqual([true, false]);
  });
});
