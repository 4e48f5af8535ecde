import { CLEAR_FROM, isWeak, PRIOR } from '@sabor/core/hair/porosity/reading';
import { outcomesOf, POROSITY_TESTS, type PorosityTestKind } from '@sabor/core/hair/porosity/tests';
import { showShare } from '../../ui/show.ts';

/** The model's own assumptions, shown beside what is read from them. */
export function ModelTable() {
  return (
    <details className="mt-5">
      <summary className="cursor-pointer text-sm font-semibold">
        What Sabor assumes (model assumptions, not measured)
      </summary>
      <p className="mt-2 text-sm text-soft">
        Before any test: low {showShare(PRIOR[0])}, medium {showShare(PRIOR[1])}, high {showShare(PRIOR[2])}.
        A class is named from {showShare(CLEAR_FROM)}. Tests are taken to err independently. How often each
        result turns up:
      </p>
      <div className="overflow-x-auto">
        <table className="mt-2 w-full text-left text-sm">
          <thead className="text-soft">
            <tr className="border-b border-rule">
              <th scope="col">Test</th>
              <th scope="col">Result</th>
              <th scope="col" className="text-right">
                low
              </th>
              <th scope="col" className="text-right">
                medium
              </th>
              <th scope="col" className="text-right">
                high
              </th>
            </tr>
          </thead>
          <tbody>
            {(Object.keys(POROSITY_TESTS) as PorosityTestKind[]).flatMap((kind) =>
              outcomesOf(kind).map(([key, { label, chance }], i) => (
                <tr key={`${kind} ${key}`} className={i === 0 ? 'border-t border-rule' : ''}>
                  <th scope="row" className="pr-2 font-semibold">
                    {i === 0 ? `${POROSITY_TESTS[kind].label}${isWeak(kind) ? ' (weak)' : ''}` : ''}
                  </th>
                  <td className="pr-2">{label}</td>
                  {chance.map((share, porosity) => (
                    <td key={porosity} className="text-right">
                      {showShare(share)}
                    </td>
                  ))}
                </tr>
              )),
            )}
          </tbody>
        </table>
      </div>
    </details>
  );
}
