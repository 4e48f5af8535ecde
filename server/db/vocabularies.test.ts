import { CONSENTS } from '@sabor/core/access/consents';
import { PERSON_ROLES } from '@sabor/core/access/people';
import { ANGLES } from '@sabor/core/basin/angles';
import { CAME_FROM, FASTENED } from '@sabor/core/basin/came-from';
import { CLIPS } from '@sabor/core/basin/clip';
import { IDEAS } from '@sabor/core/basin/ideas';
import { ACCEPTED, STYLES_MEANT } from '@sabor/core/basin/style-meant';
import { SCENARIOS, WEATHER_SOURCES } from '@sabor/core/climate/places';
import { MEASURES } from '@sabor/core/doses/measures';
import { FELT } from '@sabor/core/felt/felt';
import { CARE } from '@sabor/core/hair/care-kinds';
import { HAIR_EVENTS } from '@sabor/core/hair/history';
import { MEASURE_KINDS } from '@sabor/core/hair/measured/kinds';
import { POROSITY_TESTS } from '@sabor/core/hair/porosity/tests';
import { DAMAGE, DENSITIES, PATTERNS, POROSITIES, STRANDS } from '@sabor/core/hair/traits';
import { AVOIDED, CUTS, DISLIKES, PARTINGS, SCALPS, SCHOOLS, WISHES } from '@sabor/core/hair/wishes';
import { PLACES, SIDES } from '@sabor/core/hair/zones';
import { EVENT_CAME, EVENT_HOW, EVENTS, WEAR_ENDS } from '@sabor/core/outcomes/events';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { PARTS_OF_DAY, STAGES } from '@sabor/core/outcomes/stages';
import { LABEL_HOLDS, ROLES, STAKES } from '@sabor/core/shelf/products';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from '@sabor/core/step/choices';
import { MARK_REASONS, MARKS, PAUSE_REASONS, SKIP_REASONS } from '@sabor/core/step/marks';
import { SLOTS } from '@sabor/core/step/slots';
import { DESIGNS } from '@sabor/core/trial/designs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../testing/bench.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const quoted = (definition: string) => [...definition.matchAll(/'([^']+)'/g)].map(([, key]) => key!).sort();

describe('the database knows the words that core knows', () => {
  it.each(
    Object.entries({
      role: ROLES,
      person_role: PERSON_ROLES,
      consent: CONSENTS,
      label_hold: LABEL_HOLDS,
      stake: STAKES,
      porosity: POROSITIES,
      density: DENSITIES,
      strand: STRANDS,
      pattern: PATTERNS,
      place: PLACES,
      damage: DAMAGE,
      cut: CUTS,
      parting: PARTINGS,
      school: SCHOOLS,
      dislike: DISLIKES,
      avoided: AVOIDED,
      wish: WISHES,
      scalp: SCALPS,
      weather_source: WEATHER_SOURCES,
      scenario: SCENARIOS,
      side: SIDES,
      slot: SLOTS,
      measure: MEASURES,
      wetness: WETNESS,
      technique: TECHNIQUES,
      tool: TOOLS,
      heat: HEATS,
      outcome: OUTCOMES,
      stage: STAGES,
      event_kind: EVENTS,
      wear_end: WEAR_ENDS,
      porosity_test: POROSITY_TESTS,
      design: DESIGNS,
      hair_event: HAIR_EVENTS,
      measure_kind: MEASURE_KINDS,
      care: CARE,
      mark: MARKS,
      mark_reason: MARK_REASONS,
      pause_reason: PAUSE_REASONS,
      felt: FELT,
      part_of_day: PARTS_OF_DAY,
      event_as: EVENT_HOW,
      event_came: EVENT_CAME,
      came_from: CAME_FROM,
      fastened: FASTENED,
      skip_reason: SKIP_REASONS,
      idea: IDEAS,
      style_meant: STYLES_MEANT,
      angle: ANGLES,
      clip_kind: CLIPS,
    }),
  )('%s', async (name, vocabulary) => {
    const { rows } = await bench.db.query<{ definition: string }>(
      'select pg_get_constraintdef(c.oid) as definition from pg_constraint c join pg_type t on t.oid = c.contypid where t.typname = $1',
      [`${name}_key`],
    );
    expect(quoted(rows[0]!.definition)).toEqual(Object.keys(vocabulary).sort());
  });

  it('what is accepted for a style', async () => {
    const { rows } = await bench.db.query<{ definition: string }>(
      "select pg_get_constraintdef(oid) as definition from pg_constraint where conname = 'wash_day_accepts_check'",
    );
    expect(quoted(rows[0]!.definition)).toEqual(Object.keys(ACCEPTED).sort());
  });

  it('readings are of a rated outcome or a curl’s resting length', async () => {
    const { rows } = await bench.db.query<{ definition: string }>(
      "select pg_get_constraintdef(oid) as definition from pg_constraint where conname = 'reading_outcome_check'",
    );
    expect(quoted(rows[0]!.definition)).toEqual([...Object.keys(OUTCOMES), 'resting-length'].sort());
  });
});
