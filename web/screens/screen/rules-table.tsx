import type { Wearer } from '@sabor/contract/wearer';
import { SCHOOLS } from '@sabor/core/hair/wishes';
import { alwaysOn, EFFECTS } from '@sabor/core/ingredients/judge/rule';
import { useHairFile } from '../../api/queries.ts';
import { useWorked } from '../../api/worked.ts';
import { ChoiceField } from '../../ui/inputs.tsx';
import { screeningWorker } from '../../workers/screening.ts';
import { useWeigh } from './use-weigh.ts';

const WEIGHTS = {
  '0': { label: 'off' },
  '0.5': { label: 'half' },
  '1': { label: 'as it is' },
  '2': { label: 'double' },
} as const;

/** Every rule Sabor judges by, with its school and source, and this wearer's own weight of it. */
export function RulesTable({ wearer }: { wearer: Wearer }) {
  const file = useHairFile(wearer.id);
  const weigh = useWeigh(wearer);
  const rules = useWorked('rules', [], () => screeningWorker().rules());
  const weights = file.data?.ruleWeights ?? {};
  const changed = Object.keys(weights).length;
  return (
    <details className="mt-8">
      <summary className="min-h-10 cursor-pointer py-2 font-semibold">
        Every rule{rules.data && `, ${rules.data.length} of them`}
        {changed > 0 && `; ${changed} changed for ${wearer.name}`}
      </summary>
      <ul className="mt-2">
        {(rules.data ?? [])
          .toSorted((a, b) => Number(b.id in weights) - Number(a.id in weights))
          .map(({ id, says, effect, strength, schools, source }) => (
            <li
              key={id}
              className="flex flex-wrap items-center gap-x-6 border-b border-rule py-1.5 text-[0.95rem]"
            >
              <span className="min-w-0 flex-1 basis-96">
                {says.replace('{what}', '…')}
                <span className="block text-sm text-soft">
                  {EFFECTS[effect].label}
                  {effect !== 'note' && !alwaysOn(effect) && `, strength ${strength} of 3`} ·{' '}
                  {schools ? schools.map((school) => SCHOOLS[school].label).join(', ') : 'everybody’s'} ·{' '}
                  {source}
                </span>
              </span>
              {alwaysOn(effect) ? (
                <span className="text-sm text-soft">always on</span>
              ) : (
                <ChoiceField
                  label={<span className="sr-only">Weight of: {says.replace('{what}', '…')}</span>}
                  options={WEIGHTS}
                  value={String(weights[id] ?? 1) as keyof typeof WEIGHTS}
                  onChange={(key) => key && weigh(id, Number(key))}
                />
              )}
            </li>
          ))}
      </ul>
    </details>
  );
}
