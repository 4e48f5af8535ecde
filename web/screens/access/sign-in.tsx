import type { SignedIn } from '@sabor/contract/access';
import { codeFrom } from '@sabor/core/access/people';
import { useEffect, useRef, useState } from 'react';
import { deviceName, post, setDeviceName } from '../../http/http.ts';
import { isHosted } from '../../http/place.ts';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { deviceCalled } from './device-called.ts';

/** Where a device signs in with the code that the laptop shows; one that came by the code is let in by it. */
export function SignInScreen() {
  const [code, setCode] = useState(() => location.hash.slice(1));
  const [called, setCalled] = useState(() => deviceCalled(navigator.userAgent));
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    document.title = 'Sign in · Sabor';
    // The code is of no use to whoever reads the history of this browser.
    history.replaceState(history.state, '', '/sign-in');
  }, []);
  const signIn = async (by = code) => {
    setBusy(true);
    setProblem(null);
    try {
      const signedIn = { code: by, device: deviceName().replaceAll(/[^\w -]/g, ''), called };
      setDeviceName((await post<SignedIn>('/sign-in', signedIn)).device);
      location.replace('/welcome');
    } catch (error) {
      setProblem((error as Error).message);
      setBusy(false);
    }
  };
  const begin = useRef(signIn);
  begin.current = signIn;
  const scanned = useRef(codeFrom(code) !== null);
  useEffect(() => {
    if (scanned.current) void begin.current();
    scanned.current = false;
    // Another code that is scanned while this page is open.
    const next = () => {
      const by = location.hash.slice(1);
      if (codeFrom(by) === null) return;
      setCode(by);
      history.replaceState(history.state, '', '/sign-in');
      void begin.current(by);
    };
    addEventListener('hashchange', next);
    return () => removeEventListener('hashchange', next);
  }, []);
  return (
    <main className="page max-w-md py-10">
      <h1 className="text-3xl">Sign in to Sabor</h1>
      <p className="mt-2 text-soft">
        {isHosted()
          ? 'Whoever keeps this Sabor gives you a link or a code for this device. It is good for five minutes.'
          : 'On the laptop, “Let my phone in” shows a code for this device. It is good for five minutes.'}
      </p>
      {problem && (
        <p role="alert" className="mt-4 font-semibold text-brick">
          {problem}
        </p>
      )}
      <form
        className="mt-6 space-y-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void signIn();
        }}
      >
        <TextField label="The code" value={code} onChange={setCode} />
        <TextField label="This device is called" value={called} onChange={setCalled} />
        <Button type="submit" look="main" className="min-h-16 w-full text-lg" disabled={busy || code === ''}>
          {busy ? 'Signing in …' : 'Sign in'}
        </Button>
      </form>
      {!isHosted() && (
        <p className="mt-8 text-sm text-soft">
          The browser warned of a certificate it does not know?{' '}
          <a className="underline underline-offset-4" href="/sabor-authority.crt">
            This is Sabor’s own
          </a>
          ; how to make it known is told once you are in. Compare its fingerprint with the one on the laptop.
        </p>
      )}
    </main>
  );
}
