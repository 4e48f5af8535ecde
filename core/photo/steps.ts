/**
 * What was found in a picture step by step, kept so that the same picture asked anew is not read from its start: a step whose
 * grounds are the very ones of last time gives what it gave then. Of each step the last result alone is kept. Nothing that is
 * given away here may be changed by who gets it.
 */
export class Steps {
  private readonly kept = new Map<string, { grounds: readonly unknown[]; result: unknown }>();

  take<T>(step: string, grounds: readonly unknown[], work: () => T): T {
    const last = this.kept.get(step);
    if (last?.grounds.every((ground, i) => Object.is(ground, grounds[i]))) return last.result as T;
    const result = work();
    this.kept.set(step, { grounds, result });
    return result;
  }
}
