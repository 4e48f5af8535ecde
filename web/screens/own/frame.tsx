import { PERSON_ROLES } from '@sabor/core/access/people';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, Outlet, ScrollRestoration } from 'react-router';
import { useMe } from '../../api/queries.ts';
import { Coil } from '../../drawings/coil.tsx';
import { onLookStored, openLookBox } from '../../offline/look-box.ts';
import { KeptLine, SignedOutLine } from '../../ui/signed-out-line.tsx';

/** What stands around a rater’s and a wearer’s page: no bench, whose every part would tell what they are not to know. */
export function OwnFrame() {
  const person = useMe().data?.person;
  const client = useQueryClient();
  useEffect(() => {
    document.title = 'Sabor';
    onLookStored((looks) => client.setQueryData(['looks'], looks));
    // What an earlier visit could not send goes now.
    void openLookBox();
  }, [client]);
  return (
    <>
      <header className="border-b border-rule">
        <div className="page flex items-center justify-between gap-4 py-3">
          <Link
            to="/own"
            className="flex items-center gap-2 font-display text-2xl font-bold tracking-tight"
            aria-label="Sabor, to your page"
          >
            <Coil />
            sabor
          </Link>
          {person && (
            <span className="text-right text-sm">
              <span className="font-semibold">{person.name}</span>
              <span className="block text-soft">{PERSON_ROLES[person.role].label}</span>
            </span>
          )}
        </div>
      </header>
      <SignedOutLine />
      <KeptLine />
      <main className="page pt-6 pb-24">
        <Outlet />
      </main>
      <ScrollRestoration />
    </>
  );
}
