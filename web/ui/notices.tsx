import { useState } from 'react';
import { canNotify, setNotices, wantsNotices } from '../devices/notify.ts';
import { Button } from './button.tsx';

/** Whether this device reminds while Sabor lies open on it in the background. */
export function Notices() {
  const [on, setOn] = useState(wantsNotices);
  const [refused, setRefused] = useState(false);
  if (!canNotify())
    return <p className="text-soft">This browser shows no notices. Let your own calendar remind you.</p>;
  return (
    <>
      <p className="mb-2 text-soft">
        While Sabor lies open here in the background, it tells when a check-in, a wash day or a step’s time
        has come. Phones put pages to sleep: what must not be missed belongs in your own calendar too.
      </p>
      <Button
        aria-pressed={on}
        onClick={async () => {
          const now = await setNotices(!on);
          setRefused(!on && !now);
          setOn(now);
        }}
      >
        {on ? 'Stop reminding on this device' : 'Remind me on this device'}
      </Button>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-brick">
          The browser does not let Sabor show notices. Allow them for this address in its settings.
        </p>
      )}
    </>
  );
}
