import type { Consents } from '@sabor/contract/consent';
import { CONSENTS, type ConsentKind } from '@sabor/core/access/consents';
import { Button } from './button.tsx';
import { showDate } from './show.ts';

/** What was said to pictures of a head, each with the two answers there are. */
export function ConsentLines({
  consents,
  answer,
}: {
  consents: Consents;
  answer: (about: ConsentKind, yes: boolean) => unknown;
}) {
  return (
    <ul className="mt-3 space-y-4">
      {(Object.keys(CONSENTS) as ConsentKind[]).map((about) => {
        const { label, says, without } = CONSENTS[about];
        const said = consents[about];
        return (
          <li
            key={about}
            className={`border-l-4 pl-4 ${said?.yes === false ? 'border-mango' : 'border-rule'}`}
          >
            <p className="font-semibold">{label}</p>
            <p className="text-sm text-soft">{said?.yes === false ? without : says}</p>
            <p className="my-1 text-sm">
              {said
                ? `${said.by} said ${said.yes ? 'yes' : 'no'} on ${showDate(said.at.slice(0, 10))}.`
                : 'Nothing is written down yet.'}
            </p>
            <span className="flex gap-2">
              <Button disabled={said?.yes === true} onClick={() => void answer(about, true)}>
                Yes<span className="sr-only"> to “{label}”</span>
              </Button>
              <Button disabled={said?.yes === false} onClick={() => void answer(about, false)}>
                No<span className="sr-only"> to “{label}”</span>
              </Button>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
