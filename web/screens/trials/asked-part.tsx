import type { TrialInput } from '@sabor/contract/trial';
import { FELT, FELT_KEYS, type Felt, USUALLY_ASKED, usuallyAsked } from '@sabor/core/felt/felt';
import { Fold } from '../../ui/fold.tsx';
import { TicksField } from '../../ui/inputs.tsx';

/** Readings that a check-in can ask for, beside those at the steps. */
const AT_CHECK_INS = FELT_KEYS.filter((key) => FELT[key].stages.some((stage) => stage !== 'before'));

/** What check-ins of this trial ask for in words; unless the tester chooses, what suits the steps under test. */
export function AskedPart({
  value,
  set,
  problem,
}: {
  value: TrialInput;
  set: (asked: Felt[]) => void;
  problem: (path: string) => string | undefined;
}) {
  const usual = usuallyAsked(value.plan.filter(({ part }) => part === 'tested').map(({ slot }) => slot));
  const chosen = value.asked ?? [];
  return (
    <section aria-labelledby="asked" className="space-y-3">
      <h2 id="asked" className="text-xl">
        What check-ins ask in words
      </h2>
      <p className="text-soft">
        {chosen.length > 0
          ? `${chosen.map((key) => FELT[key].label).join(', ')}.`
          : usual.length > 0
            ? `Unless you choose: ${usual.map((key) => FELT[key].label.toLowerCase()).join(', ')}.`
            : 'Nothing unless you choose.'}{' '}
        {chosen.length > USUALLY_ASKED
          ? `${chosen.length} are chosen: more than ${USUALLY_ASKED} make every check-in longer.`
          : 'Every other reading stays one tap away.'}
      </p>
      <Fold summary="Choose what is asked" wrong={problem('asked') !== undefined}>
        <TicksField<Felt>
          legend="Ask for"
          options={Object.fromEntries(AT_CHECK_INS.map((key) => [key, { label: FELT[key].label }]))}
          value={chosen}
          onChange={set}
          error={problem('asked')}
        />
      </Fold>
    </section>
  );
}
