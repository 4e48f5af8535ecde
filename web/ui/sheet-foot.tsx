import { Button, ButtonLink } from './button.tsx';
import { SheetProblems } from './states.tsx';

/** The foot of a sheet: what is wrong with it, and the ways out of it. */
export function SheetFoot({
  draft,
  save,
  back,
}: {
  draft: {
    problems: readonly { path: string; message: string }[];
    saving: boolean;
    dirty: boolean;
    discard: () => void;
  };
  save: string;
  back: { to: string; label: string };
}) {
  return (
    <div className="mt-6 space-y-4">
      <SheetProblems problems={draft.problems} />
      <div className="flex flex-wrap gap-3">
        <Button look="main" type="submit" disabled={draft.saving}>
          {save}
        </Button>
        <ButtonLink to={back.to}>{back.label}</ButtonLink>
        {draft.dirty && (
          <Button look="quiet" onClick={draft.discard}>
            Discard what I typed
          </Button>
        )}
      </div>
    </div>
  );
}
