import { sampleTrial } from '@sabor/reading/sample-trial';
import { mainInWords } from '@sabor/words/main-result';
import { counted } from '@sabor/words/numbers';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { useShelf, useTrial, useWearer } from '../../api/queries.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { Failed, Loading, Nothing } from '../../ui/states.tsx';
import { Compared } from './screen.tsx';

/** A planned trial played through with made-up ratings, to see what its comparison will look like. Nothing is stored. */
export function SampleScreen() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  const shelf = useShelf();
  const wearer = useWearer(trial.data?.wearerId ?? 'new');
  const [now] = useState(Date.now);
  const [seed, setSeed] = useState(1);
  const sample = useMemo(
    () => (trial.data && wearer.data ? sampleTrial(trial.data, wearer.data, seed, now) : null),
    [trial.data, wearer.data, seed, now],
  );
  if (trial.isLoadingError) return <Failed error={trial.error} retry={trial.refetch} />;
  if (shelf.isLoadingError) return <Failed error={shelf.error} retry={shelf.refetch} />;
  if (!trial.data || !shelf.data || !wearer.data) return <Loading what="the plan" />;
  const back = `/trials/${trial.data.id}`;
  if (!sample)
    return (
      <Nothing whole title="No sample for this plan" action={<ButtonLink to={back}>Open trial</ButtonLink>}>
        Sample ratings play trials that compare options by a rating.
      </Nothing>
    );
  const { better, worse, points } = sample.truth;
  return (
    <>
      <section
        aria-label="Sample ratings"
        className="mb-6 flex flex-wrap items-center justify-between gap-x-6 gap-y-3 rounded-tag border-2 border-dashed border-mango bg-sheet p-4"
      >
        <p className="max-w-2xl">
          <strong>Sample ratings: made up, and stored nowhere.</strong> They were made so that {better} is{' '}
          {counted(points, 'point')} better than {worse} in {mainInWords(trial.data.primary).word}. See
          whether {counted(trial.data.washDays, 'wash day')} bring it out.
        </p>
        <div className="flex flex-wrap gap-3">
          <ButtonLink look="main" to={back}>
            Take the sample away
          </ButtonLink>
          <Button onClick={() => setSeed(seed + 1)}>Another sample</Button>
        </div>
      </section>
      <Compared trial={sample.trial} products={shelf.data.products} wearer={wearer.data} sample />
    </>
  );
}
