import { describe, expect, it } from 'vitest';
import { groundDifferences } from './ground-differences.ts';
import type { Run } from './run.ts';
import { gift, inWords, run, second } from './runs.fixture.ts';

/** What sets two runs apart, each as its key, its size and its sentence. */
const between = (a: Partial<Run>, b: Partial<Run>) =>
  groundDifferences(run(a), second(b)).map((one) => [one.key, one.size, inWords(one)]);

describe('what differs on the ground', () => {
  // One row a difference: a number just large enough on the second day, one just too small, and what is then told.
  it.each([
    ['windMs', 6, 5.9, 'wind', 3, 'Wind up to 3 m/s on wash day 1, 6 m/s on wash day 2.'],
    ['outdoorHours', 3, 2.9, 'outdoors', 1, '2 h a day outdoors on wash day 1, 3 h on wash day 2.'],
    [
      'buildUp',
      0.65,
      0.64,
      'build-up',
      0.25,
      'Wash day 1 began with 0.4 g of residue on the hair, wash day 2 with 0.65 g.',
    ],
    [
      'protein',
      0.15,
      0.14,
      'protein',
      0.15,
      'Wash day 1 began with 0 g of protein on the hair, wash day 2 with 0.15 g.',
    ],
  ] as const)('%s is told from its threshold on', (field, enough, tooLittle, key, size, sentence) => {
    expect(between({}, { [field]: enough })).toEqual([[key, expect.closeTo(size, 9), sentence]]);
    expect(between({}, { [field]: tooLittle })).toEqual([]);
    expect(between({ [field]: null }, { [field]: enough })).toEqual([]);
    expect(between({ [field]: enough }, { [field]: null })).toEqual([]);
    expect(between({ [field]: enough }, { [field]: enough })).toEqual([]);
  });

  it('hours outdoors may come from the arm, wind may not', () => {
    const ofArm = (arm: string) =>
      groundDifferences(run(), second({ arm, windMs: 9, outdoorHours: 9 })).map(
        ({ kind, ofArm }) => `${kind} ${ofArm}`,
      );
    expect(ofArm('a')).toEqual(['wind false', 'outdoors false']);
    expect(ofArm('b')).toEqual(['wind false', 'outdoors true']);
  });

  it('air is told where its band is another and a degree lies between', () => {
    expect(between({ dewPointC: 9 }, { dewPointC: 17 })).toEqual([
      [
        'dew-point',
        8,
        'The air was easy on curls on wash day 1 (dew point 9 °C) and humid on wash day 2 (17 °C).',
      ],
    ]);
    expect(between({ dewPointC: 15.6 }, { dewPointC: 16.5 })).toEqual([]);
    expect(between({ dewPointC: 15.6 }, { dewPointC: 16.6 })).toHaveLength(1);
    expect(between({ dewPointC: null }, { dewPointC: 17 })).toEqual([]);
    expect(between({ dewPointC: 17 }, { dewPointC: null })).toEqual([]);
  });

  it('another head is told', () => {
    expect(between({}, { wearerId: 'x' })).toEqual([
      ['head', 1, 'Wash day 1 and wash day 2 are on two heads.'],
    ]);
  });

  it('care and changes are counted in days since the last of each', () => {
    expect(between({ since: { bleach: 40, clarify: 3 } }, { since: { bleach: 33, clarify: 3 } })).toEqual([
      ['state bleach', 7, 'Bleached 40 days before wash day 1, 33 days before wash day 2.'],
    ]);
    const never = [
      'state colour',
      Number.POSITIVE_INFINITY,
      'Coloured never before wash day 1, 2 days before wash day 2.',
    ];
    expect(between({ since: {} }, { since: { colour: 2 } })).toEqual([never]);
    expect(between({ since: { colour: 2 } }, { since: {} })).toEqual([
      [never[0], never[1], 'Coloured 2 days before wash day 1, never before wash day 2.'],
    ]);
    expect(groundDifferences(run(), second({ since: {} }))[0]!.detail).toBe('clarify');
  });

  it('bottles are told apart from sixty days on, where both days used one', () => {
    expect(between({}, { bottleDays: { gel: 80 } })).toEqual([
      ['bottle gel', 60, 'GEL had been open 20 days on wash day 1, 80 on wash day 2.'],
    ]);
    expect(between({}, { bottleDays: { gel: 79 } })).toEqual([]);
    expect(between({}, { bottleDays: {} })).toEqual([]);
    expect(between({ bottleDays: {} }, { bottleDays: { gel: 80 } })).toEqual([]);
  });

  it('another day of judging is told where both were judged', () => {
    expect(between({}, { judgedOn: 4 })).toEqual([
      ['judged', 1, 'Wash day 1 was judged on day 2, wash day 2 on day 4.'],
    ]);
    expect(between({ judgedOn: null }, {})).toEqual([]);
    expect(between({}, { judgedOn: null })).toEqual([]);
  });

  it('a wash day that was written down later is told, whichever it was', () => {
    expect(between({}, { enteredLater: true })).toEqual([
      ['entered-later', 1, 'Told at the basin on wash day 1, entered later on wash day 2.'],
    ]);
    expect(between({ enteredLater: true }, {})[0]![2]).toBe(
      'Told at the basin on wash day 2, entered later on wash day 1.',
    );
    expect(between({ enteredLater: true }, { enteredLater: true })).toEqual([]);
  });

  it('another style that was meant is told; where shaping is under test, as the option’s own', () => {
    const meant = (styleMeant: Run['styleMeant'], to: Partial<Run> = {}) => ({ styleMeant, ...to });
    expect(between(meant('wash-and-go'), meant('twist-out'))).toEqual([
      ['style-meant', 1, 'Meant to be worn as: wash and go on wash day 1, twist-out on wash day 2.'],
    ]);
    expect(between(meant('wash-and-go'), meant(null))).toEqual([]);
    const shaped = (part: 'tested' | 'held', arm: string) => ({
      ...meant(arm === 'a' ? 'wash-and-go' : 'twist-out'),
      arm,
      steps: run().steps.map((step) => (step.slot === 'dry' ? { ...step, part } : step)),
    });
    const ofArm = (part: 'tested' | 'held', arm: string) =>
      groundDifferences(
        { ...run(), ...shaped(part, 'a') },
        second({ ...shaped(part, arm), styleMeant: 'coils' }),
      ).find(({ kind }) => kind === 'style-meant')!.ofArm;
    expect(ofArm('tested', 'b')).toBe(true);
    expect(ofArm('held', 'b')).toBe(false);
    expect(ofArm('tested', 'a')).toBe(false);
  });

  it('nights uncovered count; nights protected only where one side had none', () => {
    const slept = (n: number, bonnet: number) => ({ events: { 'bonnet-missed': n, bonnet } });
    expect(between(slept(1, 2), slept(3, 0))).toEqual([
      ['sleep', 2, '1 night uncovered on wash day 1, 3 nights on wash day 2.'],
    ]);
    expect(between(slept(0, 3), slept(0, 1))).toEqual([]);
    expect(between(slept(0, 1), slept(0, 0))).toEqual([
      ['sleep protected', 1, '1 night protected on wash day 1, 0 nights on wash day 2.'],
    ]);
    expect(between(slept(0, 0), slept(0, 2))).toEqual([
      ['sleep protected', 2, '0 nights protected on wash day 1, 2 nights on wash day 2.'],
    ]);
  });

  it('halves of one wash day are told apart by any night', () => {
    const right = { ...second({ events: { bonnet: 2 } }), washDayId: 'd1' };
    expect(groundDifferences(run(), right).map(({ key }) => key)).toEqual(['sleep protected']);
    expect(groundDifferences(run(), { ...right, events: { bonnet: 1 } })).toEqual([]);
  });

  it('what happened in wear is counted on each side', () => {
    expect(between({ events: { bonnet: 1, rain: 1 } }, { events: { bonnet: 1, rain: 3, hat: 1 } })).toEqual([
      ['event rain', 2, expect.stringMatching(/: once on wash day 1, 3 times on wash day 2\.$/)],
      ['event hat', 1, expect.stringMatching(/: not on wash day 1, once on wash day 2\.$/)],
    ]);
    const [rain] = groundDifferences(run(), second({ events: { bonnet: 1, rain: 1 } }));
    expect(rain).toMatchObject({ kind: 'event', detail: 'rain', ofArm: false });
    // A spot refresh is an answer to the hair, not a thing that happened to it.
    expect(between({}, { events: { bonnet: 1, 'spot-refresh': 2 } })).toEqual([]);
  });

  it('who rated, who was blind, and what was given are told with their names', () => {
    expect(between({}, { rater: 'Wim' })).toEqual([
      ['rater', 1, 'Rated by the tester on wash day 1, by Wim on wash day 2.'],
    ]);
    expect(between({ rater: 'Wim' }, {})[0]![2]).toBe(
      'Rated by Wim on wash day 1, by the tester on wash day 2.',
    );
    expect(between({}, { blind: false })[0]![2]).toBe('Rated blind on wash day 1, not on wash day 2.');
    expect(between({ blind: false }, {})[0]![2]).toBe('Rated blind on wash day 2, not on wash day 1.');
    expect(between({}, { arm: 'b', stakes: [gift('foam')] })[0]![2]).toBe(
      'Wash day 1: all bought; wash day 2: FOAM, gift.',
    );
    expect(between({ stakes: [{ productId: 'gel', stake: 'paid' }] }, { arm: 'b' })[0]![2]).toBe(
      'Wash day 1: GEL, paid partnership; wash day 2: all bought.',
    );
    expect(between({ stakes: [{ productId: 'gel', stake: 'paid' }] }, {})).toEqual([]);
  });
});
