import { describe, expect, it } from 'vitest';
import { readNumber } from '../../table/read-number.ts';
import { dateOrderOf, readMoment } from '../../time/read-moment.ts';
import { COLUMNS, type Columns, guessColumns, isHeader, missingColumn } from './columns.ts';
import { orderInFile, readTable } from './read-table.ts';

const wall = (year: number, month: number, day: number, hour: number, minute = 0) => ({
  wall: { year, month, day, hour, minute },
});

describe('numbers of a weather file', () => {
  it.each([
    ['21.5', 21.5],
    ['21,5', 21.5],
    [' −3,0 ', -3],
    ['-3.0', -3],
    ['+4', 4],
    ['12.4 °C', 12.4],
    ['81 %', 81],
    ['5.5m/s', 5.5],
  ])('%s is %s', (cell, value) => {
    expect(readNumber(cell)).toBe(value);
  });

  it.each(['', '-', 'NA', 'null', '///', '-9999', '9999.0', 'NaN'])('“%s” says there is no value', (cell) => {
    expect(readNumber(cell)).toBeNull();
  });

  it.each(['warm', '1.2.3', '12:30', '1,234,5', '--3'])('“%s” is no number', (cell) => {
    expect(readNumber(cell)).toBeUndefined();
  });
});

describe('dates and times of a weather file', () => {
  it.each([
    ['2026-11-03 14:00', wall(2026, 11, 3, 14)],
    ['2026-11-03T14:05:59', wall(2026, 11, 3, 14, 5)],
    ['2026/1/3 4:00', wall(2026, 1, 3, 4)],
    ['03.11.2026 14:00', wall(2026, 11, 3, 14)],
    ['25/12/2025 23:15', wall(2025, 12, 25, 23, 15)],
    ['12/25/2025 11:15 PM', wall(2025, 12, 25, 23, 15)],
    ['12/25/25 12 AM', wall(2025, 12, 25, 0)],
    ['3 Nov 2026 09:00', wall(2026, 11, 3, 9)],
    ['November 3, 2026 9:00 am', wall(2026, 11, 3, 9)],
    ['2026-12-31 24:00', wall(2027, 1, 1, 0)],
    ['2026-11-03 14h', wall(2026, 11, 3, 14)],
  ])('%s', (cell, read) => {
    expect(readMoment(cell, null, null)).toEqual(read);
  });

  it('reads what carries its own offset as a moment', () => {
    const moment = Date.UTC(2026, 10, 3, 13);
    for (const cell of [
      '2026-11-03T13:00Z',
      '2026-11-03T14:00+01:00',
      '2026-11-03 08:00:00 -0500',
      String(moment / 1000),
    ])
      expect(readMoment(cell, null, null), cell).toEqual({ moment });
  });

  it('reads a date and a time from two columns', () => {
    expect(readMoment('03/04/2026', '0630', 'dmy')).toEqual(wall(2026, 4, 3, 6, 30));
    expect(readMoment('03/04/2026', '06:30', 'mdy')).toEqual(wall(2026, 3, 4, 6, 30));
  });

  it('asks where day and month could be either way round, and only there', () => {
    expect(readMoment('03/04/2026 10:00', null, null)).toMatchObject({
      problem: expect.stringContaining('either way'),
    });
    expect(readMoment('03/03/2026 10:00', null, null)).toEqual(wall(2026, 3, 3, 10));
    expect(readMoment('13/04/2026 10:00', null, 'mdy')).toEqual(wall(2026, 4, 13, 10));
  });

  it.each([
    ['2026-02-30 10:00', 'no such day'],
    ['2026-13-01 10:00', 'no such day'],
    ['2026-02-03 25:00', 'no such time'],
    ['2026-02-03 13:00 pm', 'no such time'],
    ['2026-02-03', 'time of day is missing'],
    ['yesterday', 'no date'],
    ['2026-02-03 soon', 'no time of day'],
  ])('refuses %s', (cell, says) => {
    expect(readMoment(cell, null, 'dmy')).toMatchObject({ problem: expect.stringContaining(says) });
  });

  it('tells the order of a whole file', () => {
    expect(dateOrderOf(['03/04/2026', '25/04/2026'])).toBe('dmy');
    expect(dateOrderOf(['03/04/2026', '04/25/2026'])).toBe('mdy');
    expect(dateOrderOf(['25/04/2026', '04/25/2026'])).toBe('mixed');
    expect(dateOrderOf(['03/04/2026', '04/05/2026'])).toBe('either');
    expect(dateOrderOf(['2026-04-03', '03.04.2026'])).toBeNull();
  });
});

describe('columns of a weather file', () => {
  it('are guessed from their headings, each once, with their units', () => {
    expect(
      guessColumns(['Time', 'Temp (°F)', 'Dew Pt °F', 'RH', 'Wind dir', 'Wind mph', 'Gust mph', 'Rain']),
    ).toEqual(['moment', 'temperature-f', 'dew-point-f', 'humidity', null, 'wind-mph', 'gust-mph', null]);
    expect(guessColumns(['date', 'time', 'temperature_c', 'relative_humidity', 'wind_speed_kmh'])).toEqual([
      'date',
      'time',
      'temperature-c',
      'humidity',
      'wind-kmh',
    ]);
    expect(guessColumns(['Temperature', 'Feels like', 'Soil temperature'])).toEqual([
      'temperature-c',
      null,
      null,
    ]);
  });

  it('tell headings from values', () => {
    expect(isHeader(['time', 'temp', ''])).toBe(true);
    expect(isHeader(['2026-11-03 14:00', '12,5', '80'])).toBe(false);
    expect(isHeader(['', ''])).toBe(false);
  });

  it('say what is still missing, or given twice', () => {
    const full: Columns = ['moment', 'temperature-c', 'humidity'];
    expect(missingColumn(full)).toBeNull();
    expect(missingColumn(['date', 'temperature-c', 'humidity'])).toContain('time of day');
    expect(missingColumn(['moment', 'humidity'])).toContain('temperature');
    expect(missingColumn(['moment', 'temperature-c'])).toContain('humidity or the dew point');
    expect(missingColumn(['moment', 'temperature-c', 'temperature-f', 'humidity'])).toContain('Two columns');
  });

  it('bring every unit to °C and m/s (definitions of the mile, knot and Fahrenheit degree)', () => {
    expect(COLUMNS['temperature-f'].toSi(50)).toBeCloseTo(10, 10);
    expect(COLUMNS['wind-kn'].toSi(10)).toBeCloseTo(5.1444, 4);
    expect(COLUMNS['wind-mph'].toSi(10)).toBeCloseTo(4.4704, 10);
    expect(COLUMNS['gust-kmh'].toSi(36)).toBeCloseTo(10, 10);
  });
});

describe('a weather file', () => {
  const columns: Columns = ['moment', 'temperature-c', 'humidity', 'wind-kmh'];
  const shape = { columns, order: null, timeZone: 'Europe/Paris', firstLine: 2 };

  it('is read in the place’s time zone, in order of time', () => {
    const { taken, refused, gaps } = readTable(
      [
        ['2026-11-03 15:00', '12,4', '80', '18'],
        ['2026-11-03 14:00', '12.0', '81', ''],
      ],
      shape,
    );
    expect(taken).toEqual([
      { at: '2026-11-03T13:00:00.000Z', temperatureC: 12, humidity: 81, windMs: null, gustMs: null },
      { at: '2026-11-03T14:00:00.000Z', temperatureC: 12.4, humidity: 80, windMs: 5, gustMs: null },
    ]);
    expect([refused, gaps]).toEqual([[], []]);
  });

  it('takes what it can and tells the rest row by row', () => {
    const { taken, refused } = readTable(
      [
        ['2026-11-03 14:00', '12', '80', '0'],
        ['2026-11-03 14:00', '12', '80', '0'],
        ['2026-11-03 15:00', '61', '80', '0'],
        ['2026-11-03 16:00', '12', '101', '0'],
        ['2026-11-03 17:00', '', '80', '0'],
        ['2026-11-03 18:00', '12', '', '0'],
        ['2026-11-03 19:00', 'mild', '80', '0'],
        ['', '', '', ''],
        ['nonsense', '12', '80', '0'],
        ['2026-11-03 20:00', '12', '80', '900'],
        ['2026-11-03 21:00', '12', '80'],
      ],
      shape,
    );
    expect(taken.map(({ at }) => at.slice(11, 13))).toEqual(['13', '20']);
    expect(refused).toEqual([
      { line: 3, reason: 'The same hour as line 2; the first was taken.' },
      { line: 4, reason: '61 °C is no air temperature. Is the column in the other unit, °F or °C?' },
      { line: 5, reason: '101 % is no relative humidity.' },
      { line: 6, reason: 'The temperature is missing.' },
      { line: 7, reason: 'Humidity and dew point are both missing.' },
      { line: 8, reason: '“mild” is no number.' },
      { line: 10, reason: 'This is no date Sabor can read.' },
      { line: 11, reason: '250 m/s is no wind. Check the unit of the column.' },
    ]);
  });

  it('takes humidity from the dew point, and refuses one over the air', () => {
    const { taken, refused } = readTable(
      [
        ['2026-11-03 14:00', '68', '50'],
        ['2026-11-03 15:00', '50', '68'],
      ],
      { ...shape, columns: ['moment', 'temperature-f', 'dew-point-f'] },
    );
    // 20 °C with a dew point of 10 °C: 12.28 / 23.38 hPa by printed tables.
    expect(taken[0]!.humidity).toBeCloseTo(52.5, 0);
    expect(refused[0]!.reason).toContain('dew point cannot lie above');
  });

  it('lives through both clock changes', () => {
    const row = (time: string) => [time, '10', '80', '0'];
    const autumn = readTable(
      ['01:00', '02:00', '02:00', '03:00'].map((t) => row(`2026-10-25 ${t}`)),
      shape,
    );
    expect(autumn.taken.map(({ at }) => at.slice(0, 16))).toEqual([
      '2026-10-24T23:00',
      '2026-10-25T00:00',
      '2026-10-25T01:00',
      '2026-10-25T02:00',
    ]);
    expect(autumn.gaps).toEqual([]);
    const spring = readTable(
      ['01:00', '02:00', '03:00'].map((t) => row(`2026-03-29 ${t}`)),
      shape,
    );
    expect(spring.taken).toHaveLength(2);
    expect(spring.refused[0]!.reason).toContain('Clocks went forward');
  });

  it('names the hours that are missing', () => {
    const hours = [0, 1, 2, 3, 7, 8].map((h) => [`2026-11-03T0${h}:00Z`, '10', '80', '0']);
    expect(readTable(hours, shape).gaps).toEqual([
      { from: '2026-11-03T03:00:00.000Z', to: '2026-11-03T07:00:00.000Z', missing: 3 },
    ]);
  });

  it('reads two date formats in one file, and asks only for what is open', () => {
    const rows = [
      ['25/10/2025 10:00', '10', '80', '0'],
      ['10/26/2025 10:00', '10', '80', '0'],
      ['2025-10-27 10:00', '10', '80', '0'],
      ['03/04/2025 10:00', '10', '80', '0'],
    ];
    expect(orderInFile(rows, columns)).toBe('mixed');
    const open = readTable(rows, shape);
    expect(open.taken).toHaveLength(3);
    expect(open.refused).toEqual([{ line: 5, reason: expect.stringContaining('Say which comes first') }]);
    expect(readTable(rows, { ...shape, order: 'dmy' }).taken[0]!.at).toBe('2025-04-03T08:00:00.000Z');
  });
});
