import loadHighs from 'highs';
import { NO_TRAITS } from '../core/hair/traits.ts';
import { INGREDIENTS } from '../core/ingredients/dictionary.ts';
import { readFormula } from '../core/ingredients/formula.ts';
import { RULES } from '../core/ingredients/judge/rules/all.ts';
import { type ScreenFor, screenFormulas } from '../core/ingredients/judge/screen.ts';
import { parseLabel } from '../core/ingredients/label/parse-label.ts';
import { piecesOf } from '../core/ingredients/label/sections.ts';
import { shareIntervals } from '../core/ingredients/shares/intervals.ts';
import { seededRandom, shuffled } from '../core/random.ts';

const random = seededRandom(9);
const names = INGREDIENTS.map(({ name }) => name);
/** Made-up labels of twenty names each. */
const LABELS = Array.from(
  { length: 400 },
  () => `Ingredients: Aqua, ${shuffled(names, random).slice(0, 19).join(', ')}`,
);

const whom: ScreenFor = {
  roles: ['gel'],
  parts: [
    {
      where: null,
      traits: { ...NO_TRAITS, porosity: 'medium', strand: 'medium', pattern: '3B', density: 'high' },
    },
    {
      where: 'front hairline',
      traits: { ...NO_TRAITS, porosity: 'high', strand: 'fine', pattern: '3B', density: 'high' },
    },
  ],
  history: ['colour'],
  stretch: 'protein',
  child: false,
  hardWater: true,
  scalp: [],
  wantsHold: true,
  dislikes: ['crunch'],
  avoided: [{ ingredient: 'Limonene', why: 'allergy' }],
  dewPointC: 12,
  school: 'wash-off',
  market: 'eu',
  weights: {},
};

function seconds(work: () => void, least = 1): number {
  work();
  const began = performance.now();
  let times = 0;
  while (performance.now() - began < least * 1000) {
    work();
    times++;
  }
  return (performance.now() - began) / 1000 / times;
}

const line = (what: string, ours: string, ratio: number, peer: string) =>
  console.log(
    `${what.padEnd(54)} ${ours.padStart(10)}   ${ratio.toFixed(ratio < 10 ? 2 : 0).padStart(7)} × ${peer}`,
  );

/** Reading and judging labels, against splitting them alone, and intervals against a general solver. */
export async function benchScreening(): Promise<void> {
  const judge = screenFormulas(whom, RULES);
  const whole = seconds(() => {
    for (const label of LABELS) judge(readFormula(parseLabel(label).items, { leaveOn: true }));
  });
  const split = seconds(() => {
    for (const label of LABELS) piecesOf(label);
  });
  line(
    'labels parsed, shares read, screened',
    `${(LABELS.length / whole).toFixed(0)}/s`,
    split / whole,
    'splitting them at commas',
  );

  const formulas = LABELS.slice(0, 300).map((label) =>
    readFormula(parseLabel(label).items, { leaveOn: true }),
  );
  let dew = 0;
  const judged = seconds(() => {
    dew = (dew + 1) % 25;
    const again = screenFormulas({ ...whom, dewPointC: dew }, RULES);
    for (const formula of formulas) again(formula);
  });
  line(
    '300 products judged again by the dew-point slider',
    `${(judged * 1000).toFixed(1)} ms`,
    16.7 / 1000 / judged,
    'a frame of 1/60 s',
  );

  const highs = await loadHighs();
  const chain = Array.from({ length: 12 }, (_, i) => ({ low: 0, high: i === 7 ? 0.6 : 100 }));
  const exact = seconds(() => void shareIntervals(chain));
  const solver = seconds(() => {
    for (let k = 0; k <= chain.length; k++)
      for (let j = 0; j < chain.length; j++)
        for (const sense of ['Maximize', 'Minimize']) {
          const order = Array.from(
            { length: Math.max(0, k - 1) },
            (_, i) => ` o${i}: x${i} - x${i + 1} >= 0`,
          ).join('\n');
          const bounds = chain
            .map(({ low, high }, i) =>
              i < k
                ? ` ${Math.max(1, low)} <= x${i} <= ${Math.max(1, high)}`
                : ` ${low} <= x${i} <= ${Math.min(1, high)}`,
            )
            .join('\n');
          const sum = chain.map((_, i) => `x${i}`).join(' + ');
          highs.solve(
            `${sense}\n obj: x${j}\nSubject To\n s: ${sum} = 100\n${order}\nBounds\n${bounds}\nEnd`,
            { output_flag: false },
          );
        }
  }, 0.2);
  line(
    'share intervals of a list of 12',
    `${(1 / exact).toFixed(0)}/s`,
    solver / exact,
    'HiGHS, one programme a place and end',
  );
}
