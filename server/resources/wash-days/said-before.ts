import type { HeardTap } from '@sabor/contract/taps';
import type { Client } from '../../db/pool.ts';

type Of<K extends HeardTap['kind']> = Extract<HeardTap, { kind: K }>;

/** A tap as it is on record. One that the bench left may say less than a phone's. */
interface Said {
  id: string;
  ms: number;
  kind: HeardTap['kind'];
  body: Record<string, unknown>;
}

/** What a tap is about, by which a later one about the same replaces it; null where each stands for itself. */
function subject(tap: HeardTap): Record<string, unknown> | null {
  switch (tap.kind) {
    case 'pause':
      return { pauseId: tap.pauseId };
    case 'mark':
      return { markId: tap.markId };
    case 'idea':
      return { ideaId: tap.ideaId };
    case 'in-hand':
      return { stepId: tap.stepId, quality: tap.quality };
    case 'weighing':
      return { stepId: tap.stepId, phase: tap.phase };
    default:
      return null;
  }
}

/** The taps of one wash day that stand, whatever order they came in: what counts is the latest moment, then the id. */
export class SaidBefore {
  private readonly said: Said[];
  private constructor(said: Said[]) {
    this.said = said;
  }

  static async of(client: Client, washDayId: string): Promise<SaidBefore> {
    const { rows } = await client.query<Omit<Said, 'ms'> & { at: string }>(
      'select id, at, kind, body from wash_tap where wash_day_id = $1 and refused is null',
      [washDayId],
    );
    return new SaidBefore(rows.map(({ at, ...tap }) => ({ ...tap, ms: Date.parse(at) })));
  }

  add({ id, at, kind, ...body }: HeardTap): void {
    this.said.push({ id, ms: Date.parse(at), kind, body });
  }

  private after<T>(tap: Pick<HeardTap, 'id' | 'at'>, kind: HeardTap['kind'], of: (said: Said) => T): T[] {
    const ms = Date.parse(tap.at);
    return this.said
      .filter((one) => one.kind === kind && (one.ms > ms || (one.ms === ms && one.id > tap.id)))
      .map(of);
  }

  /** Fields of what a tap sets that a later one on the same thing has already said. */
  fieldsSince(tap: Of<'step'> | Of<'day'>): Set<string> {
    const stepId = tap.kind === 'step' ? tap.stepId : undefined;
    return new Set(
      this.after(tap, tap.kind, ({ body }) =>
        body.stepId === stepId ? Object.keys(body.set as object) : [],
      ).flat(),
    );
  }

  private laterOf(tap: Of<'event'>) {
    return this.after(tap, 'event', ({ body }) => body).filter(({ eventId }) => eventId === tap.eventId);
  }

  /** Details of an event that no later tap about it has said again, and whether there is any later one. */
  ownOfEvent(tap: Of<'event'>) {
    const {
      id: _id,
      at: _at,
      kind: _kind,
      eventId: _event,
      event: _what,
      on: _on,
      gone: _gone,
      ...said
    } = tap;
    const later = this.laterOf(tap);
    const fields = new Set(later.flatMap(Object.keys));
    return {
      fields: Object.fromEntries(Object.entries(said).filter(([field]) => !fields.has(field))) as typeof said,
      overtaken: later.length > 0,
    };
  }

  /** Whether a later tap about the same has already been heard. */
  overtakes(tap: HeardTap): boolean {
    if (tap.kind === 'event') {
      const later = this.laterOf(tap);
      return later.length > 0 && (tap.gone || later.some(({ gone }) => gone === true));
    }
    const about = subject(tap);
    if (about === null) return false;
    return this.after(tap, tap.kind, ({ body }) =>
      Object.entries(about).every(([key, value]) => body[key] === value),
    ).includes(true);
  }

  /** What no later tap of the same look has said again: its readings, and whether its moment, note and rater still count. */
  ownOf(tap: Of<'rate'>) {
    const later = this.after(tap, 'rate', ({ body }) => body as Partial<Of<'rate'>>).filter(
      ({ stage, day, part }) =>
        stage === tap.stage && (day ?? null) === tap.day && (part ?? 'first') === tap.part,
    );
    const key = ({ outcome, zoneId }: { outcome: string; zoneId: string | null }) => `${outcome} ${zoneId}`;
    const rated = new Set(later.flatMap(({ ratings }) => (ratings ?? []).map(key)));
    const word = ({ quality, zoneId }: { quality: string; zoneId: string | null }) => `${quality} ${zoneId}`;
    const worded = new Set(later.flatMap(({ felt }) => (felt ?? []).map(word)));
    return {
      ratings: tap.ratings.filter((rating) => !rated.has(key(rating))),
      felt: tap.felt.filter((one) => !worded.has(word(one))),
      overtaken: {
        look: later.length > 0,
        note: later.some(({ note }) => note !== undefined),
        rater: later.some(({ rater }) => rater !== undefined),
      },
    };
  }

  /** Whether a step was taken out by a tap, so that others about it have nothing to hold on to. */
  tookOut(stepId: string): boolean {
    return this.said.some(({ kind, body }) => kind === 'take-out' && body.stepId === stepId);
  }

  /** Whether the routine was ended after the moment of this tap. */
  finishedAfter(tap: Pick<HeardTap, 'id' | 'at'>): boolean {
    return this.after(tap, 'finish', () => true).length > 0;
  }

  /** What was said last of each step's status. */
  private lastStatus(): Map<string, Said> {
    const last = new Map<string, Said>();
    for (const one of this.said) {
      if (one.kind !== 'step' || !Object.hasOwn(one.body.set as object, 'status')) continue;
      const stepId = one.body.stepId as string;
      const known = last.get(stepId);
      if (!known || one.ms > known.ms || (one.ms === known.ms && one.id > known.id)) last.set(stepId, one);
    }
    return last;
  }

  /** Whether a saying of a status leaves its step waiting, no end of the routine having come after it. */
  private leavesWaiting({ id, ms, body }: Said): boolean {
    const { status } = body.set as { status: string };
    return status === 'waiting' && !this.finishedAfter({ id, at: new Date(ms).toISOString() });
  }

  /** Whether a step was taken up again after every end of the routine. */
  takenUpAgain(stepId: string): boolean {
    const last = this.lastStatus().get(stepId);
    return last !== undefined && this.leavesWaiting(last);
  }

  /** Steps that were taken up again after this end of the routine, and that no later one has passed over. */
  waitingAfter(tap: Of<'finish'>): string[] {
    const ms = Date.parse(tap.at);
    return [...this.lastStatus()].flatMap(([stepId, one]) => {
      const later = one.ms > ms || (one.ms === ms && one.id > tap.id);
      return later && this.leavesWaiting(one) ? [stepId] : [];
    });
  }
}
