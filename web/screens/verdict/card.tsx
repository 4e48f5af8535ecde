import type { VerdictSaid } from '@sabor/contract/verdict';
import { STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { BUY_AGAIN, CAUSES, CLAIM_STATES } from '@sabor/core/verdict/words-of-verdict';
import { doseInWords } from '@sabor/words/dose';
import { besideInWords, forWhomInWords, restsInWords, versusInWords } from '@sabor/words/verdict-card';
import { useShelf } from '../../api/queries.ts';
import { showDate, showMoney } from '../../ui/show.ts';

const SAYS = { better: 'better than', 'as good': 'as good as', worse: 'not as good as' } as const;

/** One saying of a verdict, with all that stands beside it. */
export function VerdictCard({ said, earlier = false }: { said: VerdictSaid; earlier?: boolean }) {
  const shelf = useShelf();
  const nameOf = (productId: string) =>
    shelf.data?.products.find(({ id }) => id === productId)?.name ??
    shelf.data?.lines.find(({ id }) => id === productId)?.name ??
    'a product that was removed';
  const { content, rests, stake, beside, cause, causeNote, at, edition } = said;
  const facts: [string, string][] = [
    ...(content.amount ? [['Amount that worked', doseInWords(content.amount)] as [string, string]] : []),
    ...(content.buyAgain
      ? [
          [
            'Would buy again',
            `${BUY_AGAIN[content.buyAgain].label}${content.buyWhy ? `: ${content.buyWhy}` : ''}`,
          ] as [string, string],
        ]
      : []),
    ...(content.style ? [['Best for', STYLES_MEANT[content.style].label] as [string, string]] : []),
    ...(rests?.costPerWash != null && rests.currency
      ? [['A wash, all products', showMoney(rests.costPerWash, rests.currency)] as [string, string]]
      : []),
    ...(rests?.costPerGoodDay != null && rests.currency
      ? [['A good day', showMoney(rests.costPerGoodDay, rests.currency)] as [string, string]]
      : []),
    ...(
      [
        ['Effort', content.effort],
        ['Scent and feel', content.feel],
        ['Packaging', content.packaging],
        ['Try next', content.next],
      ] as [string, string][]
    ).filter(([, words]) => words !== ''),
  ];
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
      {content.against.length > 0 && (
        <p className="my-2">
          Said to be{' '}
          {content.against.map(({ productId, says }) => `${SAYS[says]} ${nameOf(productId)}`).join(', ')}.
        </p>
      )}
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
