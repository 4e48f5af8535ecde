export class Stop extends Error {
  constructor(problem: string, remedy: string);
  readonly remedy: string;
}
export function tell(error: unknown, name?: string): void;
export function stage(
  name: string,
  work: () => string | undefined | Promise<string | undefined>,
): Promise<void>;
export function tellNoMore(): void;
