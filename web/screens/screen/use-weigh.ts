import type { Wearer } from '@sabor/contract/wearer';
import { useChange } from '../../api/queries.ts';
import { put } from '../../http/http.ts';
import { useSay } from '../../ui/undo.tsx';

/** Weighs a rule for a wearer, with the way back. */
export function useWeigh(wearer: Wearer) {
  const say = useSay();
  const save = useChange(({ rule, weight }: { rule: string; weight: number }) =>
    put(`/wearers/${wearer.id}/rules/${rule}`, { weight }),
  );
  return (rule: string, weight: number) =>
    void save.mutateAsync({ rule, weight }).then(
      () =>
        say(
          weight === 0
            ? `Switched off for ${wearer.name}.`
            : weight === 1
              ? 'Back to its own weight.'
              : `Weighs double for ${wearer.name}.`,
          () => save.mutate({ rule, weight: 1 }),
        ),
      (error: Error) => say(error.message),
    );
}
