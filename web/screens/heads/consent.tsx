import type { Consents } from '@sabor/contract/consent';
import type { Wearer } from '@sabor/contract/wearer';
import { useState } from 'react';
import { useChange } from '../../api/queries.ts';
import { useConsents } from '../../api/verdicts.ts';
import { put } from '../../http/http.ts';
import { ConsentLines } from '../../ui/consent-lines.tsx';
import { Fold } from '../../ui/fold.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { Failed, Loading } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';

/** What the wearer said to pictures; written down by the tester, where the wearer has no device of their own. */
export function HeadConsent({ wearer }: { wearer: Wearer }) {
  return (
    <div className="mt-6">
      <Fold late summary="Consent to pictures">
        <Answers wearer={wearer} />
      </Fold>
    </div>
  );
}

function Answers({ wearer }: { wearer: Wearer }) {
  const path = `/wearers/${wearer.id}/consents`;
  const consents = useConsents(wearer.id);
  const [by, setBy] = useState(wearer.guardian ?? wearer.name);
  const say = useSay();
  const save = useChange((body: { about: string; yes: boolean; by: string }) => put<Consents>(path, body));
  if (consents.isLoadingError) return <Failed error={consents.error} retry={consents.refetch} part />;
  if (!consents.data) return <Loading what="what was agreed to" />;
  return (
    <>
      <p className="mb-3 text-sm text-soft">
        Each answer stays on record; the latest counts.
        {wearer.underAge && ' In what is published, the guardian’s second yes is asked for as well.'}
      </p>
      <TextField label="Who says it" value={by} onChange={setBy} />
      <ConsentLines
        consents={consents.data}
        answer={(about, yes) =>
          void save.mutateAsync({ about, yes, by }).then(
            () => say('That is on record.'),
            (error: Error) => say(error.message),
          )
        }
      />
    </>
  );
}
