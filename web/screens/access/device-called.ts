const KINDS = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android.*Mobile/, 'Android phone'],
  [/Android/, 'Android tablet'],
  [/Macintosh/, 'Mac'],
  [/Windows/, 'Windows computer'],
  [/Linux/, 'Linux computer'],
] as const;

/** What a device would be called, by what its browser says of it: a first guess, to be changed. */
export const deviceCalled = (userAgent: string): string =>
  KINDS.find(([pattern]) => pattern.test(userAgent))?.[1] ?? 'A phone';
