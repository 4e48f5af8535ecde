import { SLOTS } from '@sabor/core/step/slots';
import { doseInWords } from '@sabor/words/dose';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useKey, useTrial } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { Caution, Failed, Heading, Loading } from '../../ui/states.tsx';

/** Labels for plain bottles, and the key that the helper alone sees. */
export function CodesScreen() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  const [helper, setHelper] = useState(false);
  const key = useKey(id);
  if (trial.isPending || key.isPending) return <Loading what="the codes" />;
  if (trial.isLoadingError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (key.isLoadingError) return <Failed error={key.error} retry={key.refetch} />;
  return (
    <>
      <Heading
        kicker={
          <Link className="underline underline-offset-4" to={`/trials/${id}`}>
            {trial.data.question}
          </Link>
        }
        title="Code labels"
        actions={<Button onClick={() => print()}>Print this sheet</Button>}
      >
        A helper fills plain bottles by weight, sticks one code on each, and keeps the key. The tester leaves
        the room.
      </Heading>
      <section aria-label="Labels" className="flex flex-wrap gap-6">
        {key.data.map(({ code }) => (
          <p
            key={code}
            className="figure flex h-40 w-64 flex-col items-center justify-center rounded-tag border-2 border-dashed border-ink text-6xl"
          >
            {code}
            <span className="mt-1 font-sans text-sm text-soft">for wash days of this trial only</span>
          </p>
        ))}
      </section>
      <section className="mt-10 max-w-3xl print:break-before-page" aria-labelledby="key">
        <h2 id="key" className="text-xl">
          The key
        </h2>
        {helper ? (
          <table className="mt-2 w-full text-left">
            <thead className="text-soft">
              <tr>
                <th scope="col">Code</th>
                <th scope="col">Option</th>
                <th scope="col">Fill with</th>
              </tr>
            </thead>
            <tbody>
              {key.data.map(({ code, name, fills }) => (
                <tr key={code} className="border-t border-rule align-top">
                  <td className="figure text-2xl">{code}</td>
                  <td className="font-semibold">{name}</td>
                  <td>
                    {fills.map(({ slot, product, dose }) => (
                      <span key={slot} className="block">
                        {SLOTS[slot].label}: {product ?? 'no product'}, {doseInWords(dose)} each time
                      </span>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <>
            <p className="mb-3">
              Only for the helper who fills the bottles. Whoever rates must not see it: the trial would no
              longer be blind.
            </p>
            <Button onClick={() => setHelper(true)}>I am the helper: show the key</Button>
          </>
        )}
      </section>
      <div className="mt-8 max-w-3xl print:hidden">
        <Caution>
          Keep the original bottles, their lists and their dates at hand. On any itch or rash stop, open the
          key, and ask a doctor; the label’s cautions stand for what is in the plain bottle too.
        </Caution>
      </div>
    </>
  );
}
