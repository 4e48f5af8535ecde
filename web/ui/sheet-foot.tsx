import { Button, ButtonLink } from './button.tsx';
import { ClashPanel } from './clash.tsx';
import type { Clash } from './draft.ts';
import { SheetProblems } from './states.tsx';

/** The foot of a sheet: what is wrong with it, and the ways out of it. */
export function SheetFoot({
  draft,
  save,
  another,
  back,
}: {
  draft: {
    problems: readonly { path: string; message: string }[];
    saving: boolean;
    dirty: boolean;
    discard: () => void;
    clash: Clash | null;
  };
  save: string;
  /** What saves and begins the next one; the form's `submitter` then has the value `another`. */
  another?: string | undefined;
  back: { to: string; label: string };
}) {
  return (
    <div className="mt-6 space-y-4">
      <ClashPanel clash={draft.clash} />
      <SheetProblems problems={draft.problems} />
      <div className="flex flex-wrap gap-3">
        <Button look="main" type="submit" disabled={draft.saving}>
          {save}
        </Button>
        {another && (
          <Button type="submit" value="another" disabled={draft.saving}>
            {another}
          </Button>
        )}
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
