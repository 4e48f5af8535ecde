import type { Evidence } from '@sabor/core/verdict/evidence';
import type { Against } from '@sabor/core/verdict/words-of-verdict';
import { Link } from 'react-router';
import { Fold } from '../../ui/fold.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import type { Judged } from './judged.ts';

/** What a trial would have set it beside. */
const ANOTHER = { product: 'product of its step', line: 'whole line', way: 'way of its step' } as const;

const SAYS: readonly (readonly [Against['says'] | '', string])[] = [
  ['', 'nothing said'],
  ['better', 'better than it'],
  ['as good', 'as good as it'],
  ['worse', 'not as good as it'],
];

/** How what is judged compares with what trials set beside it, in the tester's words. */
export function AgainstPart({
  value,
  change,
  judged,
  wearerId,
  evidence,
  nameOf,
}: {
  value: readonly Against[];
  change: (to: Against[]) => void;
  judged: Judged;
  wearerId: string;
  evidence: Evidence | null;
  nameOf: (key: string) => string;
}) {
  const { kind } = judged.subject;
  return (
    <Fold summary="How it compares, if you want to say so">
      <ul className="space-y-2">
        {(evidence?.versus ?? []).map(({ productId }) => (
          <li key={productId}>
            <InlineChoice
              label={nameOf(productId)}
              value={value.find((one) => one.productId === productId)?.says ?? ''}
              onChange={(says) =>
                change([
                  ...value.filter((one) => one.productId !== productId),
                  ...(says === '' ? [] : [{ productId, says }]),
                ])
              }
              options={SAYS}
            />
          </li>
        ))}
      </ul>
      {(evidence?.versus ?? []).length === 0 && (
        <p className="text-soft">No trial on this head set it beside another {ANOTHER[kind]}.</p>
      )}
      {kind !== 'way' && (
        <p className="text-sm text-soft">
          “As good as” is a question of its own:{' '}
          <Link
            className="underline underline-offset-4"
            to={`/trials/new/plan?wearer=${wearerId}&products=${[kind === 'line' ? '' : judged.id, kind === 'line' ? '' : value.find(({ says }) => says === 'as good')?.productId].filter(Boolean).join(',')}`}
          >
            plan the trial that asks it
          </Link>
          .
        </p>
      )}
    </Fold>
  );
}
