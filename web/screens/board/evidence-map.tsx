import type { Board } from '@sabor/core/board/board';
import { counted } from '@sabor/words/numbers';
import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';

const SIZE = { width: 480, height: 300, radius: 104 };

/** Which things met in which trials: a thread between two that stood side by side, the thicker the more wash days. */
export function EvidenceMap({
  board: { nodes, met },
  nameOf,
  open,
}: {
  board: Board;
  nameOf: (node: string) => string;
  open: (a: string, b: string) => void;
}) {
  const keys = nodes.map(({ node }) => node);
  const [picked, setPicked] = useState<readonly [string, string]>([keys[0] ?? '', keys[1] ?? '']);
  const place = new Map(
    nodes.map(({ node }, i) => {
      const turn = (2 * Math.PI * i) / nodes.length - Math.PI / 2;
      return [
        node,
        {
          x: SIZE.width / 2 + SIZE.radius * 1.15 * Math.cos(turn),
          y: SIZE.height / 2 + SIZE.radius * Math.sin(turn),
          side: Math.cos(turn),
        },
      ];
    }),
  );
  const pairs = (nodes.length * (nodes.length - 1)) / 2;
  return (
    <section aria-labelledby="met">
      <h2 id="met" className="text-xl">
        Who met whom
      </h2>
      <p className="mb-2 text-soft">
        {met.length} of {counted(pairs, 'pair')} stood side by side in a trial; the others are known through
        them, more loosely, or not at all.
      </p>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="w-full max-w-lg overflow-visible"
        aria-hidden="true"
      >
        {met.map(({ a, b, washDays }) => (
          <line
            key={`${a} ${b}`}
            x1={place.get(a)!.x}
            y1={place.get(a)!.y}
            x2={place.get(b)!.x}
            y2={place.get(b)!.y}
            stroke="var(--color-leaf)"
            strokeOpacity=".55"
            strokeWidth={Math.min(9, 1 + washDays / 4)}
            strokeLinecap="round"
          />
        ))}
        {nodes.map(({ node }) => {
          const { x, y, side } = place.get(node)!;
          const name = nameOf(node);
          return (
            <g key={node}>
              <circle cx={x} cy={y} r="6" fill="var(--color-ink)" />
              <text
                x={x + (side > 0.3 ? 11 : side < -0.3 ? -11 : 0)}
                y={y + (Math.abs(side) > 0.3 ? 4 : y < SIZE.height / 2 ? -12 : 22)}
                textAnchor={side > 0.3 ? 'start' : side < -0.3 ? 'end' : 'middle'}
                fontSize="13"
                fill="var(--color-ink)"
              >
                {name.length > 22 ? `${name.slice(0, 21)}…` : name}
              </text>
            </g>
          );
        })}
      </svg>
      <ul className="sr-only">
        {met.map(({ a, b, trials, washDays }) => (
          <li key={`${a} ${b}`}>
            {nameOf(a)} and {nameOf(b)}: {counted(trials.length, 'trial')}, {counted(washDays, 'wash day')}
          </li>
        ))}
      </ul>
      {keys.length > 1 && (
        <div className="no-print flex flex-wrap items-center gap-3">
          {([0, 1] as const).map((i) => (
            <InlineChoice
              key={i}
              label={i === 0 ? 'How is' : 'known against'}
              value={picked[i]}
              onChange={(node) => setPicked(i === 0 ? [node, picked[1]] : [picked[0], node])}
              options={keys.map((node) => [node, nameOf(node)] as const)}
            />
          ))}
          <Button disabled={picked[0] === picked[1]} onClick={() => open(...picked)}>
            Open the pair
          </Button>
        </div>
      )}
    </section>
  );
}
