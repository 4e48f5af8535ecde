import type { Memo, MemoDone } from '@sabor/contract/memo';
import { MEMO_ABOUT, type MemoAbout } from '@sabor/core/basin/memo';
import { Link } from 'react-router';
import { useChange, useMemos } from '../../api/queries.ts';
import { put, remove } from '../../http/http.ts';
import { boxMemo, memoAgain, unboxMemo, useMemoBox } from '../../offline/memo-box.ts';
import { Button } from '../../ui/button.tsx';
import { showDate, showTime } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';
import { lengthOf } from './length.ts';

/** Notes: of one thing, all of them; or those that still wait, wherever they belong. */
export function Memos({ of }: { of?: { kind: MemoAbout; id: string } }) {
  const memos = useMemos();
  const box = useMemoBox();
  const shown = (memos.data ?? []).filter(({ about, doneAt }) =>
    of ? about?.kind === of.kind && about.id === of.id : doneAt === null,
  );
  const going = box.filter(({ memo: { about } }) => !of || (about?.kind === of.kind && about.id === of.id));
  if (shown.length === 0 && going.length === 0) return null;
  return (
    <section aria-labelledby="memos">
      <h2 id="memos" className="mb-2 text-xl">
        Notes
      </h2>
      <ul className="divide-y divide-rule border-y border-rule">
        {going.map(({ memo, refused, kept }) => (
          <li key={memo.id} className="py-3">
            <p>{memo.words || `Voice memo, ${lengthOf(memo.seconds ?? 0)}`}</p>
            <p className="text-sm text-soft">
              {refused ??
                (kept
                  ? 'Kept on this device; it goes as soon as the server answers.'
                  : 'This device could not keep it: leave this page open until it is sent.')}
            </p>
            {refused !== null && (
              <div className="flex gap-4">
                <Button onClick={() => memoAgain(memo.id)}>Try again</Button>
                <Button look="quiet" onClick={() => void unboxMemo(memo.id)}>
                  Discard it
                </Button>
              </div>
            )}
          </li>
        ))}
        {shown.map((memo) => (
          <MemoRow key={memo.id} memo={memo} named={!of} />
        ))}
      </ul>
    </section>
  );
}

function MemoRow({ memo, named }: { memo: Memo; named: boolean }) {
  const say = useSay();
  const mark = useChange((to: MemoDone) => put<Memo[]>(`/memos/${memo.id}/done`, to));
  const drop = useChange(() => remove(`/memos/${memo.id}`));
  const { about, sound } = memo;
  const takeAway = async () => {
    // Its sound is held until it is certain that nobody wants it back.
    const blob = sound ? await (await fetch(`/api/memos/${memo.id}/sound`)).blob() : null;
    await drop.mutateAsync(undefined);
    const { id, at, words } = memo;
    say('The note is removed.', () =>
      boxMemo(
        {
          id,
          at,
          words,
          about: about && { kind: about.kind, id: about.id },
          seconds: sound?.seconds ?? null,
        },
        blob,
      ),
    );
  };
  const name = memo.words || 'voice memo';
  return (
    <li className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2 py-3">
      <div className="min-w-0 flex-1 basis-64">
        {memo.words && <p className="whitespace-pre-line break-words">{memo.words}</p>}
        {sound && (
          // biome-ignore lint/a11y/useMediaCaption: a voice memo has none; its length is said beside it
          <audio
            controls
            preload="none"
            className="my-1 w-full max-w-sm"
            aria-label={`Voice memo, ${lengthOf(sound.seconds)}`}
            src={`/api/memos/${memo.id}/sound`}
          />
        )}
        <p className="text-sm text-soft">
          {showDate(memo.at)} {showTime(memo.at)}
          {sound && ` · ${lengthOf(sound.seconds)} by voice`}
          {named && about && (
            <>
              {' · '}
              <Link className="underline underline-offset-4" to={`${MEMO_ABOUT[about.kind].page}${about.id}`}>
                {about.name}
                {about.on && `, ${showDate(about.on)}`}
              </Link>
            </>
          )}
        </p>
      </div>
      <div className="flex gap-3">
        {memo.doneAt === null && (
          <Button
            onClick={() =>
              mark
                .mutateAsync({ done: true })
                .then(() => say('The note is done.', () => mark.mutateAsync({ done: false })))
            }
          >
            Done<span className="sr-only">: {name}</span>
          </Button>
        )}
        <Button look="quiet" onClick={() => void takeAway().catch((problem: Error) => say(problem.message))}>
          Remove<span className="sr-only">: {name}</span>
        </Button>
      </div>
    </li>
  );
}
