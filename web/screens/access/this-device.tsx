import { useState } from 'react';
import { post } from '../../http/http.ts';
import { home, isHosted } from '../../http/place.ts';
import { forgetThisDevice, sheetsBegun } from '../../offline/forget.ts';
import { Button } from '../../ui/button.tsx';
import { useChecks } from './checks.ts';

const HOW = { yes: 'works', no: 'does not work yet', coming: 'is on its way here' } as const;

/** What works on a device that was let in, how the rest can, and the way out. */
export function ThisDevice() {
  const checks = useChecks();
  const [problem, setProblem] = useState<string | null>(null);
  const begun = sheetsBegun();
  const missing = checks?.some(({ works }) => works === 'no') ?? false;
  return (
    <>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <section aria-labelledby="checks">
          <h2 id="checks" className="text-xl">
            What works here
          </h2>
          {checks === null ? (
            <p role="status" className="mt-2 text-soft">
              Trying …
            </p>
          ) : (
            <ul className="mt-2 space-y-2">
              {checks.map(({ key, label, works, without }) => (
                <li key={key} className="border-l-4 border-rule pl-3">
                  <span className="font-semibold">{label}</span>{' '}
                  <span className={works === 'yes' ? 'text-leaf' : 'text-mango-deep'}>{HOW[works]}</span>
                  {works === 'no' && <p className="text-sm text-soft">{without}</p>}
                </li>
              ))}
            </ul>
          )}
        </section>
        {missing && !isHosted() && <Trust />}
      </div>
      <section aria-labelledby="leave" className="mt-10">
        <h2 id="leave" className="text-xl">
          Leave this device
        </h2>
        <p className="mt-1 mb-3 max-w-2xl text-soft">
          Signs it out, and takes away what Sabor keeps on it, except what has not reached {home()} yet.
          {begun > 0 &&
            ` What was begun here in ${begun === 1 ? 'a sheet' : `${begun} sheets`} and not saved goes with it.`}
        </p>
        {problem && (
          <p role="alert" className="mb-2 font-semibold text-brick">
            {problem}
          </p>
        )}
        <Button
          onClick={async () => {
            try {
              await post('/sign-out', {});
              await forgetThisDevice();
              location.replace('/sign-in');
            } catch (error) {
              setProblem((error as Error).message);
            }
          }}
        >
          Sign out
        </Button>
      </section>
    </>
  );
}

/** How a phone comes to know Sabor's certificate, on either kind. */
function Trust() {
  const isApple = /iPhone|iPad/.test(navigator.userAgent);
  const apple = (
    <ol className="mt-2 list-decimal space-y-1 pl-6">
      <li>
        <a className="underline underline-offset-4" href="/sabor-authority.crt">
          Fetch the certificate
        </a>{' '}
        with Safari and allow the profile.
      </li>
      <li>Settings, Profile downloaded: install it, and compare the fingerprint with the laptop’s.</li>
      <li>Settings, General, About, Certificate Trust Settings: switch “Sabor of …” on.</li>
    </ol>
  );
  const android = (
    <ol className="mt-2 list-decimal space-y-1 pl-6">
      <li>
        <a className="underline underline-offset-4" href="/sabor-authority.crt">
          Fetch the certificate
        </a>{' '}
        and keep the file.
      </li>
      <li>Settings, search for “CA certificate”: install the file, and compare its fingerprint.</li>
      <li>Close the browser whole and open this address again.</li>
    </ol>
  );
  return (
    <section aria-labelledby="trust">
      <h2 id="trust" className="text-xl">
        Make the certificate known, in three steps
      </h2>
      <p className="mt-1 text-soft">
        The rest works once this phone trusts the laptop. The certificate can stand for machines on networks
        like your own alone, for no place out there; take it from the phone again when you are done with
        Sabor. Menus are called otherwise here and there.
      </p>
      <h3 className="mt-3 text-lg">{isApple ? 'iPhone and iPad' : 'Android'}</h3>
      {isApple ? apple : android}
      <details className="mt-3">
        <summary className="cursor-pointer font-semibold">
          {isApple ? 'On Android' : 'On iPhone and iPad'}
        </summary>
        {isApple ? android : apple}
      </details>
    </section>
  );
}
