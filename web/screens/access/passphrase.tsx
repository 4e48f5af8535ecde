import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/inputs.tsx';
import type { Change } from './screen.tsx';

/** The words that guard the list: said once a visit where there are some, set where there are none. */
export function Passphrase({
  isGuarded,
  said,
  say,
  change,
}: {
  isGuarded: boolean;
  said: string;
  say: (words: string) => void;
  change: Change;
}) {
  const [next, setNext] = useState('');
  return (
    <section aria-labelledby="guard">
      <h2 id="guard" className="text-xl">
        Passphrase
      </h2>
      <p className="mt-1 mb-3 text-soft">
        {isGuarded
          ? 'Type it to let somebody in. Shutting somebody out needs none.'
          : 'Whoever sits at this machine can let a device in. With a passphrase, only who knows it can.'}
      </p>
      {isGuarded ? (
        <div className="flex flex-wrap items-end gap-3">
          <TextField label="The passphrase" secret value={said} onChange={say} />
          <Button
            disabled={said === ''}
            onClick={async () => {
              if (await change('PUT', '/access/passphrase', { passphrase: null })) say('');
            }}
          >
            Take it away
          </Button>
        </div>
      ) : (
        <form
          className="flex flex-wrap items-end gap-3"
          noValidate
          onSubmit={async (event) => {
            event.preventDefault();
            if (await change('PUT', '/access/passphrase', { passphrase: next })) {
              say(next);
              setNext('');
            }
          }}
        >
          <TextField label="A passphrase, some words long" secret value={next} onChange={setNext} />
          <Button type="submit" disabled={next === ''}>
            Set it
          </Button>
        </form>
      )}
    </section>
  );
}
