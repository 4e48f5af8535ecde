import type { OwnBoard } from '@sabor/contract/board';
import type { Board } from '@sabor/core/board/board';
import { Link } from 'react-router';

const WAITING: Record<OwnBoard['waiting'][number]['why'], string> = {
  running: 'not over yet',
  blind: 'still blind',
  unopened: 'its fairness check is still to be judged',
  'compares nothing': 'it compares no two things',
};

/** Trials that are not on the board, and why. */
export function Waiting({ own }: { own: OwnBoard }) {
  if (own.waiting.length === 0) return null;
  return (
    <section aria-labelledby="waiting" className="mt-8">
      <h2 id="waiting" className="text-lg">
        Not on the board
      </h2>
      <ul className="text-soft">
        {own.waiting.map(({ id, question, why }) => (
          <li key={id}>
            <Link className="underline underline-offset-4" to={`/trials/${id}`}>
              “{question}”
            </Link>
            : {WAITING[why]}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Trials that stay out of the column that orders, and why. */
export function LeftOut({ board }: { board: Board }) {
  if (board.out.length === 0) return null;
  return (
    <section aria-labelledby="out" className="mt-8">
      <h2 id="out" className="text-lg">
        Left out
      </h2>
      <ul className="text-soft">
        {board.out.map(({ id, question, why }) => (
          <li key={id}>
            <Link className="underline underline-offset-4" to={`/trials/${id}/compare`}>
              “{question}”
            </Link>
            : {why === 'broken' ? 'its fairness check found it broken for this column' : 'weakened'}
          </li>
        ))}
      </ul>
    </section>
  );
}
