import { HeadMap, type MapZone } from '../../drawings/head-map.tsx';
import { valueTint } from '../../drawings/tint.ts';

const button = 'min-h-11 rounded-tag border border-ink/30 bg-sheet px-3 disabled:opacity-50';

/** The head with what each zone is rated, and which zones the next number is for. */
export function ZonesPart({
  label,
  zones,
  counting,
  chosen,
  ratingOf,
  choose,
}: {
  /** What is rated. */
  label: string;
  zones: readonly MapZone[];
  /** The zones that count in the trial. */
  counting: readonly string[];
  chosen: readonly string[];
  ratingOf: (zoneId: string) => number | null;
  choose: (zones: readonly string[]) => void;
}) {
  const unrated = counting.filter((zoneId) => ratingOf(zoneId) === null);
  /** The first tap on a zone asks for it alone; more are added. */
  const toggle = ({ id }: MapZone) =>
    choose(
      chosen.length === counting.length && chosen.length > 1
        ? [id]
        : chosen.includes(id)
          ? chosen.filter((known) => known !== id)
          : [...chosen, id],
    );
  return (
    <section aria-label={`${label} by zone`}>
      <HeadMap
        className="mx-auto max-w-[17rem] sm:max-w-md"
        label={`${label}: choose zones`}
        zones={zones}
        look={({ id }) => {
          const value = ratingOf(id);
          return {
            text: value === null ? (counting.includes(id) ? '·' : '') : String(value),
            says: `${value === null ? 'not rated' : value}${counting.includes(id) ? '' : ', does not count in this trial'}`,
            chosen: chosen.includes(id),
            faint: !counting.includes(id),
            ...(value === null ? {} : { fill: valueTint(value) }),
          };
        }}
        onChoose={toggle}
      />
      <div className="mt-2 flex flex-wrap justify-center gap-2">
        <button type="button" className={button} onClick={() => choose(counting)}>
          All that count
        </button>
        <button
          type="button"
          className={button}
          disabled={unrated.length === 0}
          onClick={() => choose(unrated)}
        >
          Not yet rated: {unrated.length}
        </button>
        <button type="button" className={button} onClick={() => choose([])}>
          None
        </button>
      </div>
    </section>
  );
}
