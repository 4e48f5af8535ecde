import type { BackupState, NightlyBackup } from '@sabor/contract/backup';
import { useState } from 'react';
import { useBackups, useChange } from '../../api/queries.ts';
import { post, put, sendFile } from '../../http/http.ts';
import { Button } from '../../ui/button.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { useGoOn } from '../../ui/go-on.ts';
import { TextField } from '../../ui/inputs.tsx';
import { showMoment } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';

const megabytes = (bytes: number) =>
  bytes < 100_000 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;

/** Reads a backup into an empty Sabor. */
export function BringIn() {
  const say = useSay();
  const leave = useGoOn();
  const state = useBackups();
  const [error, setError] = useState<string | undefined>();
  const bring = useChange((file: File) => sendFile('/import', file));
  const read = (file: File | undefined) => {
    if (!file) return;
    setError(undefined);
    const goOn = leave();
    bring.mutate(file, {
      onSuccess: () => {
        say('The backup is imported.');
        goOn('/');
      },
      onError: (problem) => setError(problem.message),
    });
  };
  const full = state.data?.empty === false;
  return (
    <section aria-labelledby="import">
      <h2 id="import" className="text-xl">
        Import
      </h2>
      <p className="mt-1 mb-3 text-soft">
        A backup goes into an empty Sabor, whole or not at all. Older ones, in JSON, are read too.
      </p>
      {full ? (
        <p>
          This Sabor holds data already. Start one with another folder to read a backup:{' '}
          <code className="text-sm">SABOR_DATA=&lt;folder&gt; npm start -- --empty</code>
        </p>
      ) : (
        <FileField
          label="Backup file"
          error={error}
          accept=".zip,.json,application/zip,application/json"
          disabled={bring.isPending}
          onChoose={read}
        />
      )}
      {bring.isPending && <p role="status">Importing …</p>}
    </section>
  );
}

function Standing({ nightly }: { nightly: NightlyBackup }) {
  if (nightly.folder === null) return <p>No folder chosen: nothing is backed up by itself.</p>;
  return (
    <>
      <p role="status">
        {nightly.last
          ? `Last written ${showMoment(nightly.last.at)}, ${megabytes(nightly.last.bytes)}, read back and found the same. ${nightly.kept} kept.`
          : 'Nothing written yet. The first comes tonight after three.'}
      </p>
      {nightly.problem && (
        <p role="alert" className="font-semibold text-brick">
          {nightly.problem}
        </p>
      )}
    </>
  );
}

/** The nightly backup: its folder, how it stands, and one at once. */
export function Nightly() {
  const state = useBackups();
  const [typed, setTyped] = useState<string | null>(null);
  const choose = useChange((folder: string | null) => put<NightlyBackup>('/backups', { folder }));
  const now = useChange(() => post<NightlyBackup>('/backups/now'));
  if (!state.data) return null;
  const { nightly } = state.data satisfies BackupState;
  const folder = typed ?? nightly.folder ?? '';
  return (
    <section aria-labelledby="nightly" className="space-y-3">
      <h2 id="nightly" className="text-xl">
        Every night
      </h2>
      <p className="text-soft">
        A backup after three at night while Sabor runs, else at its next start. The last seven nights are
        kept, and the first of each month for a year. Each is read into an empty Sabor beside this one and
        compared before it counts.
      </p>
      <form
        className="space-y-3"
        onSubmit={(e) => {
          e.preventDefault();
          choose.mutate(folder.trim() === '' ? null : folder.trim(), { onSuccess: () => setTyped(null) });
        }}
      >
        <TextField
          label="Folder for backups"
          hint="On another disk than the data, if you can. Empty for none."
          placeholder="/media/backup/sabor"
          value={folder}
          onChange={setTyped}
          error={choose.isError ? choose.error.message : undefined}
        />
        <Button type="submit" disabled={choose.isPending || typed === null}>
          Save folder
        </Button>
      </form>
      <Standing nightly={nightly} />
      {nightly.folder !== null && (
        <Button onClick={() => now.mutate(undefined)} disabled={now.isPending}>
          {now.isPending ? 'Backing up …' : 'Back up now'}
        </Button>
      )}
      {now.isError && (
        <p role="alert" className="font-semibold text-brick">
          {now.error.message}
        </p>
      )}
    </section>
  );
}
