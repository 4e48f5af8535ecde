import type { VerdictSaid } from '@sabor/contract/verdict';
import { CAUSES, CLAIM_STATES } from '@sabor/core/verdict/words-of-verdict';
import {
  againstInWords,
  besideInWords,
  factsInWords,
  forWhomInWords,
  restsInWords,
  versusInWords,
} from '@sabor/words/verdict-card';
import { useNameOfThing } from '../../api/things.ts';
import { showDate } from '../../ui/show.ts';

/** One saying of a verdict, with all that stands beside it. */
export function VerdictCard({
  said,
  isWay,
  earlier = false,
}: {
  said: VerdictSaid;
  /** It is about a way of doing it, not about something one buys. */
  isWay: boolean;
  earlier?: boolean;
}) {
  const nameOf = useNameOfThing();
  const { content, rests, stake, beside, cause, causeNote, at, edition } = said;
  const facts = factsInWords(content, rests, isWay);
  return (
    <article className={earlier ? 'text-soft' : ''}>
      <p className="text-sm text-soft">
        Said {showDate(at)}
        {cause === 'first' && !causeNote ? '' : `, ${CAUSES[cause].label}`}
        {causeNote && `: ${causeNote}`}
        {edition && ` · edition ${edition}`}
      </p>
      <p className="my-1 flex flex-wrap items-baseline gap-x-4">
        <span className="font-display text-4xl font-bold">
          {content.score === null ? '–' : content.score}
          <span className="text-lg font-normal text-soft"> of 10</span>
        </span>
      </p>
      {content.why && <p className="max-w-prose whitespace-pre-line">{content.why}</p>}
      {beside.length > 0 && (
        <ul className="my-2 max-w-prose border-l-4 border-mango pl-4">
          {beside.map((one) => (
            <li key={JSON.stringify(one)}>{besideInWords(one)}</li>
          ))}
        </ul>
      )}
      <ul className="my-2">
        {forWhomInWords(content.forWhom).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {facts.length > 0 && (
        <dl className="my-2 grid max-w-2xl grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
          {facts.map(([what, value]) => (
            <div key={what} className="contents">
              <dt className="text-soft">{what}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
      )}
      {againstInWords(content.against, nameOf).map((sentence) => (
        <p key={sentence} className="my-2">
          {sentence}
        </p>
      ))}
      {content.claims.length > 0 && (
        <table className="my-3 w-full max-w-2xl text-left">
          <caption className="sr-only">Claims of the label</caption>
          <tbody>
            {content.claims.map(({ claim, state, because }) => (
              <tr key={claim} className="border-b border-rule align-top">
                <th scope="row" className="py-1 pr-3 font-normal">
                  “{claim}”
                </th>
                <td className="py-1 pr-3 font-semibold whitespace-nowrap">{CLAIM_STATES[state].label}</td>
                <td className="py-1 text-sm text-soft">{because}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {content.open.length > 0 && (
        <ul className="my-2">
          {content.open.map(({ what, due }) => (
            <li key={`${what} ${due}`}>
              Still open, to look at {showDate(due)}: {what}
            </li>
          ))}
        </ul>
      )}
      <ul className="mt-3 border-t border-rule pt-2 text-sm text-soft" aria-label="What it rests on">
        {[...restsInWords(rests, stake), ...(rests ? versusInWords(rests, nameOf) : [])].map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </article>
  );
}
