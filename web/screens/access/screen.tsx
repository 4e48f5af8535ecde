import type { Access, Invitation } from '@sabor/contract/access';
import { CODE_MINUTES, PERSON_ROLES, type PersonRole } from '@sabor/core/access/people';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { v7 } from 'uuid';
import { resource, useWearers } from '../../api/queries.ts';
import { guarded } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { showDate } from '../../ui/show.ts';
import { Failed, Heading, Loading } from '../../ui/states.tsx';
import { Lately } from './lately.tsx';
import { Passphrase } from './passphrase.tsx';
import { Qr } from './qr.tsx';

type Person = Access['people'][number];
/** Changes who may come in, and shows what the server then says. */
export type Change = (
  method: 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
) => Promise<Access | null>;

/** The laptop's side of letting other devices in: the door, the people, their devices. */
export function AccessScreen() {
  const client = useQueryClient();
  const query = resource<Access>('/access');
  // Who came in meanwhile shows by itself.
  const access = useQuery({ ...query, refetchInterval: 3000 });
  const heads = useWearers();
  const [passphrase, setPassphrase] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [invited, setInvited] = useState<{ person: Person; invitation: Invitation } | null>(null);
  if (access.isPending) return <Loading what="who may come in" />;
  if (access.isLoadingError) return <Failed error={access.error} retry={access.refetch} />;
  const { open, trouble, addresses, fingerprint, people, guarded: isGuarded } = access.data;
  const ask = async <T,>(
    method: 'PUT' | 'POST' | 'DELETE',
    path: string,
    body?: unknown,
  ): Promise<T | null> => {
    setProblem(null);
    try {
      return await guarded<T>(method, path, passphrase, body);
    } catch (error) {
      setProblem((error as Error).message);
      return null;
    }
  };
  const change: Change = async (method, path, body) => {
    const now = await ask<Access>(method, path, body);
    if (now) client.setQueryData(query.queryKey, now);
    return now;
  };
  const invite = async (person: Person) => {
    const invitation = await ask<Invitation>('POST', `/people/${person.id}/invitations`, {});
    if (invitation) setInvited({ person, invitation });
  };
  return (
    <>
      <Heading title="Let my phone in">
        A phone conducts the wash day with wet hands, takes the photographs and rates. It reaches Sabor over
        your own network alone; nothing goes anywhere else.
      </Heading>
      {problem && (
        <p role="alert" className="mb-4 font-semibold text-brick">
          {problem}
        </p>
      )}
      <div className="grid gap-x-12 gap-y-10 lg:grid-cols-2">
        <div className="space-y-8">
          <section aria-labelledby="door">
            <h2 id="door" className="text-xl">
              The door
            </h2>
            <p className="mt-1 mb-3 text-soft">
              {open
                ? 'Other devices on your network reach Sabor, and see nothing but a page to sign in until you let them in.'
                : 'Shut: Sabor answers on this machine alone, and nobody signs in.'}
            </p>
            <Button
              look={open ? 'plain' : 'main'}
              onClick={() => {
                setInvited(null);
                void change('PUT', '/access/open', { open: !open });
              }}
            >
              {open ? 'Shut the door' : 'Open the door'}
            </Button>
            {open && trouble && (
              <p role="alert" className="mt-3 font-semibold text-brick">
                {trouble}
              </p>
            )}
            {open && addresses.length > 0 && (
              <dl className="mt-3 text-sm">
                <dt className="text-soft">Where devices come to</dt>
                {addresses.map((address) => (
                  <dd key={address} className="figure font-semibold break-all">
                    {address}
                  </dd>
                ))}
                <dt className="mt-2 text-soft">Its certificate, as a phone shows it (SHA-256)</dt>
                <dd className="figure text-xs break-all">{fingerprint}</dd>
              </dl>
            )}
          </section>
          <Passphrase isGuarded={isGuarded} said={passphrase} say={setPassphrase} change={change} />
          <Lately />
        </div>
        <section aria-labelledby="people">
          <h2 id="people" className="text-xl">
            Who may come in
          </h2>
          <ul className="mt-3 space-y-4">
            {people.map((person) => (
              <li key={person.id} className="rounded-tag border border-rule p-3">
                <div className="flex flex-wrap items-baseline justify-between gap-2">
                  <h3 className="text-lg">
                    {person.name}{' '}
                    <span className="font-sans text-sm font-normal text-soft">
                      {PERSON_ROLES[person.role].label}
                      {person.wearerId &&
                        `, ${heads.data?.find(({ id }) => id === person.wearerId)?.name ?? 'of a head that is gone'}`}
                    </span>
                  </h3>
                  <span className="flex flex-wrap gap-2">
                    <Button
                      look={open && people.length === 1 && invited === null ? 'main' : 'plain'}
                      disabled={!open || addresses.length === 0}
                      onClick={() => void invite(person)}
                    >
                      Let a device in<span className="sr-only"> for {person.name}</span>
                    </Button>
                    <Button look="quiet" onClick={() => void change('DELETE', `/people/${person.id}`)}>
                      Strike out<span className="sr-only"> {person.name}</span>
                    </Button>
                  </span>
                </div>
                {invited?.person.id === person.id && (
                  <Invited
                    invitation={invited.invitation}
                    used={person.devices.some(
                      ({ seenAt }) =>
                        seenAt !== null &&
                        Date.parse(seenAt) > Date.parse(invited.invitation.expiresAt) - CODE_MINUTES * 60_000,
                    )}
                    close={() => setInvited(null)}
                  />
                )}
                <Devices person={person} change={change} />
              </li>
            ))}
          </ul>
          <NewPerson change={change} isFirst={people.length === 0} />
        </section>
      </div>
    </>
  );
}

/** The code to be scanned or typed, for as long as it is good. */
function Invited({
  invitation,
  used,
  close,
}: {
  invitation: Invitation;
  /** A device has come in by it. */
  used: boolean;
  close: () => void;
}) {
  const ends = Date.parse(invitation.expiresAt);
  const [left, setLeft] = useState(() => ends - Date.now());
  const [link, setLink] = useState(0);
  useEffect(() => {
    const timed = setInterval(() => setLeft(ends - Date.now()), 1000);
    return () => clearInterval(timed);
  }, [ends]);
  if (used)
    return (
      <p role="status" className="mt-3 font-semibold text-leaf">
        A device came in by this code. It is spent.
      </p>
    );
  if (left <= 0)
    return (
      <p role="status" className="mt-3 text-mango-deep">
        This code is over. Make a new one with “Let a device in”.
      </p>
    );
  const text = invitation.links[link]!;
  const seconds = Math.ceil(left / 1000);
  return (
    <div className="mt-3 grid gap-4 sm:grid-cols-[16rem_1fr]">
      <Qr text={text} label="Code to scan with the phone’s camera" />
      <div className="space-y-2 text-sm">
        <p>
          Scan it with the phone’s own camera, on the same network, and open the address it shows. The phone
          warns of a certificate it does not know: go on; the next page tells how to make it known.
        </p>
        <p>
          Or open <span className="figure font-semibold break-all">{text.replace(/\/sign-in#.*/, '')}</span>{' '}
          there and type
        </p>
        <p className="figure text-2xl font-semibold tracking-wider">{invitation.code}</p>
        <p role="timer">
          Good for one device, and for {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}{' '}
          more.
        </p>
        {invitation.links.length > 1 && (
          <Button
            look="quiet"
            className="-ml-2"
            onClick={() => setLink((link + 1) % invitation.links.length)}
          >
            Another address of this machine
          </Button>
        )}
        <Button look="quiet" className="-ml-2" onClick={close}>
          Put the code away
        </Button>
      </div>
    </div>
  );
}

function Devices({ person, change }: { person: Person; change: Change }) {
  if (person.devices.length === 0) return <p className="mt-2 text-sm text-soft">No device yet.</p>;
  return (
    <ul className="mt-2 divide-y divide-rule text-sm">
      {person.devices.map(({ id, name, seenAt, signedInUntil }) => (
        <li key={id} className="flex flex-wrap items-center justify-between gap-x-4 py-1">
          <span>
            <span className="font-semibold">{name}</span>{' '}
            <span className="text-soft">
              {seenAt && `seen ${showDate(seenAt.slice(0, 10))}, `}
              {signedInUntil
                ? `signed in until ${showDate(signedInUntil.slice(0, 10))}`
                : 'has to sign in again'}
            </span>
          </span>
          <span className="flex gap-2">
            {signedInUntil && (
              <Button look="quiet" onClick={() => void change('DELETE', `/devices/${id}/session`)}>
                Sign out<span className="sr-only"> {name}</span>
              </Button>
            )}
            <Button look="quiet" onClick={() => void change('DELETE', `/devices/${id}`)}>
              Strike out<span className="sr-only"> {name}</span>
            </Button>
          </span>
        </li>
      ))}
    </ul>
  );
}

function NewPerson({ change, isFirst }: { change: Change; isFirst: boolean }) {
  const [name, setName] = useState('');
  const [role, setRole] = useState<PersonRole>('tester');
  const [head, setHead] = useState<string | null>(null);
  const heads = (useWearers().data ?? []).filter(({ archivedAt }) => archivedAt === null);
  return (
    <form
      className="mt-4 grid gap-3 sm:grid-cols-[1fr_10rem_auto] sm:items-end"
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        const wearerId = role === 'wearer' ? head : null;
        if (await change('PUT', `/people/${v7()}`, { name, role, wearerId })) setName('');
      }}
    >
      <TextField label={isFirst ? 'Your name' : 'Somebody else'} value={name} onChange={setName} />
      <ChoiceField
        label="What they may do"
        value={role}
        onChange={(to) => to && setRole(to)}
        options={(Object.keys(PERSON_ROLES) as PersonRole[]).map((key) => ({
          key,
          label: PERSON_ROLES[key].label,
        }))}
      />
      <Button type="submit" look={isFirst ? 'main' : 'plain'}>
        Add
      </Button>
      {role === 'wearer' && (
        <ChoiceField
          label="Whose head"
          value={head}
          onChange={setHead}
          options={heads.map(({ id, name: called }) => ({ key: id, label: called }))}
        />
      )}
      <p className="text-sm text-soft sm:col-span-3">
        A {PERSON_ROLES[role].label} {PERSON_ROLES[role].says}.
      </p>
    </form>
  );
}
