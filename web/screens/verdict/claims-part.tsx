import type { ProposedClaim } from '@sabor/core/verdict/claims';
import { CLAIM_STATES, type ClaimState, type ClaimVerdict } from '@sabor/core/verdict/words-of-verdict';
import { claimFactInWords } from '@sabor/words/verdict-card';
import { useState } from 'react';
import { useSettings } from '../../api/queries.ts';
import { Button } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { TextField } from '../../ui/inputs.tsx';
import { showTemperature } from '../../ui/show.ts';

/** Each claim of the label, what became of it, and what that rests on. */
export function ClaimsPart({
  value,
  change,
  proposed,
  problem,
}: {
  value: readonly ClaimVerdict[];
  change: (to: ClaimVerdict[]) => void;
  proposed: ReadonlyMap<string, ProposedClaim>;
  problem: (path: string) => string | undefined;
}) {
  const settings = useSettings();
  const [claim, setClaim] = useState('');
  const set = (i: number, to: Partial<ClaimVerdict>) =>
    change(value.map((one, j) => (i === j ? { ...one, ...to } : one)));
  const known = value.some((one) => one.claim.toLowerCase() === claim.trim().toLowerCase());
  return (
    <div className="space-y-4">
      {value.length === 0 && <p className="text-soft">The label claims nothing that is on record.</p>}
      <ul className="space-y-4">
        {value.map((one, i) => {
          const found = proposed.get(one.claim);
          return (
            <li key={one.claim} className="border-b border-rule pb-3">
              <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
                <span className="font-semibold">“{one.claim}”</span>
                <InlineChoice<ClaimState>
                  label="came to"
                  value={one.state}
                  onChange={(state) => set(i, { state })}
                  options={(Object.keys(CLAIM_STATES) as ClaimState[]).map(
                    (key) => [key, CLAIM_STATES[key].label] as const,
                  )}
                />
              </div>
              <p className="text-sm text-soft">
                {found
                  ? `By what was read: ${CLAIM_STATES[found.state].label}. ${claimFactInWords(found.fact, (celsius) => showTemperature(celsius, settings))}`
                  : 'Sabor reads nothing that speaks to this one: it is yours to judge.'}
              </p>
              <TextField
                label="What it rests on"
                value={one.because}
                onChange={(because) => set(i, { because })}
                error={problem(`claims.${i}.because`)}
              />
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label="Another claim, as the label has it"
          value={claim}
          onChange={setClaim}
          error={known ? 'This claim stands here already.' : problem('claims')}
        />
        <Button
          disabled={claim.trim() === '' || known}
          onClick={() => {
            change([...value, { claim: claim.trim(), state: 'not-tested', because: '', proposed: null }]);
            setClaim('');
          }}
        >
          Add the claim
        </Button>
      </div>
    </div>
  );
}
