import { lookAgain, unboxLook, useLookBox } from '../../offline/look-box.ts';
import { Button } from '../../ui/button.tsx';

/** How far what was rated here has come: on its way, kept here alone, or not taken and why. */
export function OwnSent() {
  const box = useLookBox();
  if (box.length === 0) return null;
  const waiting = box.filter(({ refused }) => refused === null);
  const unkept = waiting.some(({ kept }) => !kept);
  return (
    <div role="status" aria-label="What is sent" className="mb-4 text-sm">
      {waiting.length > 0 && (
        <p className="font-semibold text-mango-deep">
          {waiting.length === 1 ? 'One answer' : `${waiting.length} answers`} on the way.{' '}
          {unkept
            ? 'This browser keeps nothing: leave the page open until all is sent.'
            : 'What cannot be sent now stays here and goes by itself later.'}
        </p>
      )}
      {box.map(({ id, refused }) =>
        refused === null ? null : (
          <p key={id} className="font-semibold text-mango-deep">
            Not taken: {refused}{' '}
            <Button look="quiet" onClick={() => lookAgain(id)}>
              Try again
            </Button>
            <Button look="quiet" onClick={() => void unboxLook(id)}>
              Leave it out
            </Button>
          </p>
        ),
      )}
    </div>
  );
}
