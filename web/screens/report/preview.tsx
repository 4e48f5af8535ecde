import { type Block, figureColumns, type Report } from '@sabor/words/report/blocks';
import { drawingSvg } from '@sabor/words/report/drawings';
import { useMemo } from 'react';

/** A report as it will look, part by part. */
export function Preview({ report }: { report: Report }) {
  return (
    <article
      aria-label="Preview"
      className="rounded-md border border-rule bg-sheet p-6 print:border-0 print:p-0"
    >
      <h2 className="font-display text-2xl font-bold">{report.title}</h2>
      <p className="mb-3 text-soft">{report.about}</p>
      {report.blocks.map((block, i) => (
        <Part key={i} block={block} />
      ))}
      <p className="mt-6 border-l-4 border-mango pl-4">{report.disclosure}</p>
    </article>
  );
}

function Part({ block }: { block: Block }) {
  switch (block.kind) {
    case 'heading':
      return block.level === 2 ? (
        <h3 className="mt-6 mb-1 text-xl">{block.text}</h3>
      ) : (
        <h4 className="mt-3 font-semibold">{block.text}</h4>
      );
    case 'text':
      return <p className="mb-1 whitespace-pre-line">{block.text}</p>;
    case 'list':
      return (
        <ul className="my-1 list-disc pl-5">
          {block.items.map((item) => (
            <li key={item}>{item}</li>
          ))}
        </ul>
      );
    case 'table': {
      const figures = figureColumns(block);
      const set = (i: number) => (figures[i] ? 'py-1 px-3 text-right' : 'py-1 pr-3 text-left');
      return (
        <div className="my-2 overflow-x-auto" tabIndex={0} role="region" aria-label={block.caption}>
          <table className="w-full text-sm">
            <caption className="text-left text-soft">{block.caption}</caption>
            <thead>
              <tr className="border-b border-rule">
                {block.head.map((cell, i) => (
                  <th key={cell} scope="col" className={set(i)}>
                    {cell}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map(([first, ...rest]) => (
                <tr key={first} className="border-b border-rule align-top">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {first}
                  </th>
                  {rest.map((cell, i) => (
                    <td key={`${cell} ${i}`} className={set(i + 1)}>
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      );
    }
    case 'drawing':
      return <Drawing block={block} />;
    case 'picture':
      return (
        <figure className="my-3">
          <img
            alt={block.caption}
            src={`/api/photographs/${block.photographId}/image`}
            className="max-h-96 rounded-md"
          />
          <figcaption className="text-sm text-soft">{block.caption}</figcaption>
        </figure>
      );
  }
}

/** A drawing shown as a picture of itself, so that nothing in it is read as the page's own. */
function Drawing({ block }: { block: Extract<Block, { kind: 'drawing' }> }) {
  const source = useMemo(() => {
    const svg = drawingSvg(block.drawing);
    return svg && `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  }, [block.drawing]);
  return (
    <figure className="my-3">
      {source && <img alt={block.says} src={source} className="w-full max-w-2xl" />}
      <figcaption className="text-sm text-soft">{block.says}</figcaption>
    </figure>
  );
}
