import { Settings, type SettingsChange } from '@sabor/contract/settings';
import { LENGTH_UNITS, TEMPERATURE_UNITS, VOLUME_UNITS } from '@sabor/core/units/preferences';
import { useState } from 'react';
import * as v from 'valibot';
import { useChange, useSettings, useTrials } from '../../api/queries.ts';
import { patch } from '../../http/http.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { ChoiceField, TextField } from '../../ui/inputs.tsx';
import { Heading } from '../../ui/states.tsx';
import { BringIn, Nightly } from './backups.tsx';
import { PartOfIt } from './part.tsx';

const link = 'underline decoration-rule decoration-2 underline-offset-4 hover:decoration-hibiscus';

export function DataScreen() {
  return (
    <>
      <Heading title="Data">Everything is yours, on your own machine, in open formats.</Heading>
      <div className="grid gap-x-12 gap-y-10 lg:grid-cols-2">
        <Export />
        <div className="space-y-10">
          <OtherDevices />
          <BringIn />
          <Nightly />
          <Units />
        </div>
      </div>
    </>
  );
}

function OtherDevices() {
  return (
    <section aria-labelledby="devices">
      <h2 id="devices" className="text-xl">
        Phones and other devices
      </h2>
      <p className="mt-1 mb-3 text-soft">
        By itself Sabor answers on this machine alone. A phone on your own network can be let in, and shut out
        again.
      </p>
      <ButtonLink to="/phone">Let my phone in</ButtonLink>
    </section>
  );
}

function Export() {
  const trials = useTrials();
  return (
    <section aria-labelledby="export">
      <h2 id="export" className="text-xl">
        Export
      </h2>
      <p className="mt-1 mb-3 text-soft">
        Everything in one zip: a CSV a table and the photographs as they are, described for other programs (a
        Frictionless data package). It is the backup too. A trial’s readings also come alone, one reading a
        row, and a finished one whole, with scripts in R and Python that compute its result again.
      </p>
      <p>
        <a className={`${link} font-semibold`} href="/api/backup.zip" download>
          Everything, as one zip
        </a>
      </p>
      <PartOfIt />
      <h3 className="mt-5 text-base font-semibold">Trial by trial</h3>
      <ul className="mt-1 space-y-1">
        {trials.data
          ?.filter((trial) => trial.washDaysDone > 0)
          .map((trial) => (
            <li key={trial.id}>
              <a className={link} href={`/api/trials/${trial.id}/readings.csv`} download>
                Readings: {trial.question}
              </a>
              {trial.endedAt !== null && !trial.masked && (
                <>
                  {' · '}
                  <a
                    className={link}
                    href={`/api/trials/${trial.id}/package.zip`}
                    aria-label={`All of it for a statistician: ${trial.question}`}
                    download
                  >
                    all of it
                  </a>
                </>
              )}
            </li>
          ))}
      </ul>
    </section>
  );
}

function Units() {
  const settings = useSettings();
  const save = useChange((change: SettingsChange) => patch('/settings', change));
  const [currency, setCurrency] = useState<string | null>(null);
  const set = save.mutate;
  const typed = currency ?? settings.currency;
  const wrong = v.safeParse(Settings, { ...settings, currency: typed }).success
    ? undefined
    : 'Give the currency as three letters, such as EUR.';
  return (
    <section aria-labelledby="units" className="space-y-4">
      <h2 id="units" className="text-xl">
        Units
      </h2>
      <div className="grid gap-4 sm:grid-cols-2">
        <ChoiceField
          label="Volumes in"
          options={VOLUME_UNITS}
          value={settings.volume}
          onChange={(key) => key && set({ volume: key })}
        />
        <ChoiceField
          label="Lengths in"
          options={LENGTH_UNITS}
          value={settings.length}
          onChange={(key) => key && set({ length: key })}
        />
        <ChoiceField
          label="Temperatures in"
          options={TEMPERATURE_UNITS}
          value={settings.temperature}
          onChange={(key) => key && set({ temperature: key })}
        />
        <TextField
          label="Currency for new products"
          value={typed}
          error={wrong}
          onChange={(text) => {
            const next = text.toUpperCase();
            setCurrency(next);
            if (/^[A-Z]{3}$/.test(next)) set({ currency: next });
          }}
        />
      </div>
      {save.isError && (
        <p role="alert" className="font-semibold text-brick">
          {save.error.message}
        </p>
      )}
    </section>
  );
}
