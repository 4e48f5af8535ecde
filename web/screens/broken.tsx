import { useRouteError } from 'react-router';
import { Button, ButtonLink } from '../ui/button.tsx';
import { Nothing } from '../ui/states.tsx';

/** A page that is not there, or a screen that failed: a sentence and a way on. */
export function Broken({ lost = false }: { lost?: boolean }) {
  const error = useRouteError();
  // An unknown page stands in the frame, which is a main of its own; a broken one stands alone.
  const Part = lost ? 'div' : 'main';
  return (
    <Part className="mx-auto max-w-3xl p-8">
      <Nothing
        whole
        title={lost ? 'There is no such page.' : 'This screen could not be shown.'}
        action={
          <div className="flex gap-3">
            <ButtonLink look="main" to="/">
              To Today
            </ButtonLink>
            {!lost && <Button onClick={() => location.reload()}>Load it again</Button>}
          </div>
        }
      >
        {lost
          ? 'The link may be old.'
          : error
            ? 'What was saved is safe. Loading it again usually helps.'
            : null}
      </Nothing>
    </Part>
  );
}
