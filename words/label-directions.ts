import { LABEL_WAYS, type LabelDeparture, type labelWay } from '@sabor/core/shelf/label-directions';
import { WETNESS } from '@sabor/core/step/choices';
import { doseInWords } from './dose.ts';
import { capital, rounded } from './numbers.ts';

/** Where `side` is otherwise than the label, as a phrase. */
function phrase(departure: LabelDeparture, side: string): string {
  switch (departure.setting) {
    case 'minutes': {
      const [from, to] = departure.asks;
      return `the label says ${from === to ? rounded(from) : `${rounded(from)}–${rounded(to)}`} min, ${side} ${rounded(departure.planned)}`;
    }
    case 'wetness':
      return `the label says ${departure.asks.map((one) => WETNESS[one].label).join(' or ')} hair, ${side} ${WETNESS[departure.planned].label}`;
    case 'dose': {
      const { from, to, measure } = departure.asks;
      const asks =
        from === to
          ? doseInWords({ kind: 'exact', amount: from, measure, per: 'head' })
          : doseInWords({ kind: 'range', from, to, measure, per: 'head' });
      return `the label says ${asks}, ${side} ${doseInWords(departure.planned)}`;
    }
    case 'rounds':
      return `the label says ${departure.asks} rounds, ${side} ${departure.planned}`;
    case 'cap':
      return `the label says under a cap, ${side} without`;
    case 'heat':
      return departure.asks === 'with'
        ? `the label says with heat, ${side} without`
        : `the label says without heat, ${side} with`;
  }
}

/** Where a plan is otherwise than the label, in a sentence: "The label says 3–5 min, the plan 10." */
export const labelDepartureInWords = (departure: LabelDeparture): string =>
  `${capital(phrase(departure, 'the plan'))}.`;

/** How a step stood to its label, with its reason: "own way (the label says 3–5 min, this wash 10)". */
export function labelWayInWords({ way, departures }: ReturnType<typeof labelWay>): string {
  const { label } = LABEL_WAYS[way];
  return departures.length === 0
    ? label
    : `${label} (${departures.map((one) => phrase(one, 'this wash')).join('; ')})`;
}
