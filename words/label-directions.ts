import type { LabelDeparture } from '@sabor/core/shelf/label-directions';
import { WETNESS } from '@sabor/core/step/choices';
import { doseInWords } from './dose.ts';
import { rounded } from './numbers.ts';

/** Where a plan is otherwise than the label, in a sentence: "The label says 3–5 min, the plan 10." */
export function labelDepartureInWords(departure: LabelDeparture): string {
  switch (departure.setting) {
    case 'minutes': {
      const [from, to] = departure.asks;
      return `The label says ${from === to ? rounded(from) : `${rounded(from)}–${rounded(to)}`} min, the plan ${rounded(departure.planned)}.`;
    }
    case 'wetness':
      return `The label says ${departure.asks.map((one) => WETNESS[one].label).join(' or ')} hair, the plan ${WETNESS[departure.planned].label}.`;
    case 'dose': {
      const { from, to, measure } = departure.asks;
      const asks =
        from === to
          ? doseInWords({ kind: 'exact', amount: from, measure, per: 'head' })
          : doseInWords({ kind: 'range', from, to, measure, per: 'head' });
      return `The label says ${asks}, the plan ${doseInWords(departure.planned)}.`;
    }
    case 'rounds':
      return `The label says ${departure.asks} rounds, the plan ${departure.planned}.`;
    case 'cap':
      return 'The label says under a cap; the plan does not.';
    case 'heat':
      return departure.asks === 'with'
        ? 'The label says with heat, the plan without.'
        : 'The label says without heat; the plan warms it.';
  }
}
