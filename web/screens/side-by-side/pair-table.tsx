import type { Run, RunStep } from '@sabor/core/fairness/run';
import { alignSteps } from '@sabor/core/fairness/step-differences';
import { SLOTS } from '@sabor/core/step/slots';
import { sideInWords } from '@sabor/words/fairness';
import { capital, temperature } from '@sabor/words/numbers';
import { stepInWords } from '@sabor/words/step';
import type { Voice } from '@sabor/words/voice';

/** Two wash days' steps set beside each other, the same ones on one line. */
export function PairTable({ a, b, voice }: { a: Run; b: Run; voice: Voice }) {
  const degrees = (x: number | null) => (x === null ? unknown : temperature(x, voice.units.temperature));
  const told = ({ settings, code }: RunStep) => {
    const words = stepInWords(code === null ? settings : { ...settings, productId: null }, voice, {
      between: ' · ',
    });
    return code === null ? words : [`Code ${code}`, words].filter(Boolean).join(' · ');
  };
  const lines = alignSteps(a.steps, b.steps).map((pair) => {
    const [x, y] = [pair.a === null ? null : a.steps[pair.a]!, pair.b === null ? null : b.steps[pair.b]!];
    const [left, right] = [x && told(x), y && told(y)];
    return {
      slot: (x ?? y)!.slot,
      left,
      right,
      same: left === right,
      tested: x?.part === 'tested' || y?.part === 'tested',
    };
  });
  const ground: [string, string | null, string | null][] = [
    ['Dew point', degrees(a.dewPointC), degrees(b.dewPointC)],
    ['Wind up to', metres(a.windMs), metres(b.windMs)],
    ['Outdoors a day', hours(a.outdoorHours), hours(b.outdoorHours)],
    ['Residue at the start', grams(a.buildUp), grams(b.buildUp)],
  ];
  const all = [
    ...lines.map(({ slot, ...line }) => ({ ...line, what: SLOTS[slot].label })),
    ...ground.map(([what, left, right]) => ({
      what,
      left,
      right,
      same: left === right && left !== unknown,
      tested: false,
    })),
  ];
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Steps and ground">
      <table className="w-full text-left text-[0.95rem]">
        <thead>
          <tr>
            <td />
            <th scope="col" className="px-2 pb-1">
              {capital(sideInWords(a.side))}
            </th>
            <th scope="col" className="px-2 pb-1">
              {capital(sideInWords(b.side))}
            </th>
          </tr>
        </thead>
        <tbody>
          {all.map(({ what, left, right, same, tested }, i) => (
            <tr key={i} className={`border-t border-rule ${same ? 'bg-leaf-pale/60' : ''}`}>
              <th scope="row" className="py-1 pr-2 align-top font-semibold">
                {what}
                {tested && <span className="block text-sm font-normal text-hibiscus">under test</span>}
              </th>
              {[left, right].map((text, side) => (
                <td
                  key={side}
                  className={`px-2 py-1 align-top ${text === null ? 'text-soft' : same ? '' : 'font-semibold'}`}
                >
                  {text === null ? 'not done' : text || 'done'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const unknown = 'not known';
const metres = (x: number | null) => (x === null ? unknown : `${x.toFixed(1)} m/s`);
const hours = (x: number | null) => (x === null ? unknown : `${x.toFixed(1)} h`);
const grams = (x: number | null) => (x === null ? unknown : `${x.toFixed(2)} g`);
