import { CUTS, type Cut, PARTINGS, type Parting } from '@sabor/core/hair/wishes';
import { type Place, type Side, zoneLabel } from '@sabor/core/hair/zones';
import type { KeyboardEvent } from 'react';
import { CROWN_CAP, CUT_LINES, PARTING_LINES, ZONE_SHAPES } from './head-shape.ts';

export interface MapZone {
  id: string;
  place: Place;
  side: Side;
  ownName: string | null;
}

export interface ZoneLook {
  /** What is written in the zone. */
  text?: string;
  /** What a screen reader says after the zone's name. */
  says?: string;
  fill?: string;
  chosen?: boolean;
  faint?: boolean;
}

const VIEWS = [
  { key: 'above', label: 'from above' },
  { key: 'behind', label: 'from behind' },
] as const;

/**
 * The head as two plain drawings with its zones. With `onChoose` the zones are buttons (tap, Enter or space); without,
 * the map only shows. Own zones follow as labels under the drawings.
 */
export function HeadMap({
  zones,
  look,
  onChoose,
  label,
  className = '',
  parting = null,
  cut = null,
}: {
  zones: readonly MapZone[];
  look: (zone: MapZone) => ZoneLook;
  onChoose?: (zone: MapZone) => void;
  label: string;
  className?: string;
  /** Drawn from above as a line, when there is one. */
  parting?: Parting | null;
  /** Drawn from behind as the line the lengths end in. */
  cut?: Cut | null;
}) {
  const own = zones.filter((zone) => zone.place === 'own');
  const press = (zone: MapZone) => (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    onChoose?.(zone);
  };
  return (
    <div role="group" aria-label={label} className={className}>
      <div className="flex gap-2">
        {VIEWS.map((view) => (
          <figure key={view.key} className="min-w-0 flex-1" style={{ font: 'inherit' }}>
            <svg
              viewBox="10 4 180 216"
              className="block w-full select-none"
              role="group"
              aria-label={`Head ${view.label}`}
            >
              {view.key === 'above' ? (
                <g
                  aria-hidden="true"
                  fill="none"
                  stroke="var(--color-ink)"
                  strokeOpacity=".35"
                  strokeWidth="1.5"
                >
                  <path d="M93 19 Q100 7 107 19" />
                  <path d="M26 102 q-9 10 0 22" />
                  <path d="M174 102 q9 10 0 22" />
                </g>
              ) : (
                <path
                  aria-hidden="true"
                  d={CROWN_CAP}
                  fill="none"
                  stroke="var(--color-ink)"
                  strokeOpacity=".3"
                  strokeDasharray="3 3"
                />
              )}
              {ZONE_SHAPES.filter((shape) => shape.view === view.key).map((shape) => {
                const zone = zones.find((known) => known.place === shape.place && known.side === shape.side);
                if (!zone) return null;
                const { text, says, fill, chosen, faint } = look(zone);
                const buttons = onChoose
                  ? {
                      role: 'button',
                      tabIndex: 0,
                      'aria-pressed': chosen ?? false,
                      onClick: () => onChoose(zone),
                      onKeyDown: press(zone),
                    }
                  : { role: 'img' };
                return (
                  <g
                    key={zone.id}
                    aria-label={`${zoneLabel(zone)}${says ? `: ${says}` : ''}`}
                    className={onChoose ? 'group cursor-pointer outline-none' : ''}
                    {...buttons}
                  >
                    <path
                      d={shape.path}
                      fill={fill ?? 'var(--color-sheet)'}
                      fillOpacity={faint ? 0.35 : 1}
                      stroke={chosen ? 'var(--color-hibiscus)' : 'var(--color-ink)'}
                      strokeOpacity={chosen ? 1 : 0.45}
                      strokeWidth={chosen ? 3.5 : 1.2}
                      strokeLinejoin="round"
                      className="group-focus-visible:stroke-hibiscus group-focus-visible:stroke-[4]"
                    />
                    {text && (
                      <text
                        x={shape.at.x}
                        y={shape.at.y + 4}
                        textAnchor="middle"
                        className="pointer-events-none fill-ink font-semibold"
                        fontSize={text.length > 4 ? 9.5 : 12}
                      >
                        {text}
                      </text>
                    )}
                  </g>
                );
              })}
              {view.key === 'above' && parting && parting !== 'none' && (
                <g aria-hidden="true">
                  <path
                    d={PARTING_LINES[parting]}
                    className="pointer-events-none"
                    fill="none"
                    stroke="var(--color-ink)"
                    strokeWidth="3"
                    strokeLinecap="round"
                    strokeDasharray="1 6"
                  />
                </g>
              )}
              {view.key === 'behind' && cut && (
                <g aria-hidden="true">
                  <path
                    d={CUT_LINES[cut]}
                    className="pointer-events-none"
                    fill="none"
                    stroke="var(--color-ink)"
                    strokeOpacity=".7"
                    strokeWidth="2"
                    strokeLinecap="round"
                    strokeDasharray="7 5"
                  />
                </g>
              )}
            </svg>
            <figcaption className="text-center text-sm text-soft">
              {view.label}
              {view.key === 'above' && parting && parting !== 'none' && `, parted ${PARTINGS[parting].label}`}
              {view.key === 'behind' && cut && `, cut ${CUTS[cut].label}`}
            </figcaption>
          </figure>
        ))}
      </div>
      {own.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-2">
          {own.map((zone) => {
            const { text, says, fill, chosen } = look(zone);
            const inside = (
              <>
                {zoneLabel(zone)} {text && <span className="figure">{text}</span>}
              </>
            );
            const shape = `inline-flex min-h-10 items-center gap-2 rounded-tag border px-3 ${chosen ? 'border-2 border-hibiscus' : 'border-ink/40'}`;
            return (
              <li key={zone.id}>
                {onChoose ? (
                  <button
                    type="button"
                    aria-pressed={chosen ?? false}
                    aria-label={`${zoneLabel(zone)}${says ? `: ${says}` : ''}`}
                    className={shape}
                    style={{ background: fill }}
                    onClick={() => onChoose(zone)}
                  >
                    {inside}
                  </button>
                ) : (
                  <span className={shape} style={{ background: fill }}>
                    {inside}
                  </span>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
