import type { TrialDetail } from '@sabor/contract/trial-record';
import { useChange } from '../../api/queries.ts';
import { post } from '../../http/http.ts';
import { ReasonDialog } from '../../ui/reason-dialog.tsx';

export function EndTrial({ trial }: { trial: TrialDetail }) {
  const end = useChange((reason: string) => post(`/trials/${trial.id}/end`, { reason }));
  return (
    <ReasonDialog
      trigger="End the trial early"
      title="End this trial early?"
      label="Why it ends"
      send={end.mutateAsync}
    >
      It will be read as it stands, described without a p, and take no more wash days.
    </ReasonDialog>
  );
}
