/**
 * The rooms of the house and the arrows between them: what each may import from, itself aside. A room with `rooms` inside
 * says the same of those; files that lie in its `hall` may be used by all of them, and files directly in it (its front:
 * where things are put together) may use any. Arrows never run in a circle.
 */
export interface Room {
  to: readonly string[];
  rooms?: Readonly<Record<string, Room>>;
  hall?: readonly string[];
}

const leaf = (...to: string[]): Room => ({ to });

export const HOUSE: Readonly<Record<string, Room>> = {
  core: {
    to: [],
    hall: ['vocabulary.ts', 'random.ts', 'middle.ts'],
    rooms: {
      units: leaf(),
      photo: leaf('basin', 'inference'),
      'made-up': leaf('basin', 'photo'),
      table: leaf(),
      time: leaf(),
      outcomes: leaf('time'),
      calendar: leaf('hair', 'time'),
      trial: leaf('time'),
      inference: leaf('trial'),
      doses: leaf('inference'),
      climate: leaf('outcomes', 'time', 'units'),
      hair: leaf('inference', 'outcomes', 'time', 'units'),
      step: leaf('doses', 'hair'),
      shelf: leaf('doses', 'step', 'table', 'time'),
      routine: leaf('shelf', 'step'),
      basin: leaf('doses', 'step', 'time'),
      ingredients: leaf('hair', 'shelf', 'step', 'time'),
      felt: leaf('outcomes', 'step'),
      fairness: leaf('basin', 'climate', 'felt', 'outcomes', 'shelf', 'step', 'time'),
      board: leaf('compare', 'doses', 'felt', 'inference', 'outcomes', 'step', 'trial'),
      verdict: leaf('board', 'compare', 'doses', 'felt', 'hair', 'ingredients', 'outcomes', 'step', 'trial'),
      compare: leaf(
        'basin',
        'felt',
        'hair',
        'inference',
        'outcomes',
        'photo',
        'shelf',
        'step',
        'time',
        'trial',
      ),
    },
  },
  contract: leaf('core'),
  reading: leaf('contract', 'core'),
  words: leaf('contract', 'core'),
  demo: leaf('contract', 'core'),
  server: {
    to: ['contract', 'core', 'reading', 'words'],
    rooms: {
      http: leaf(),
      db: leaf('http'),
      devices: leaf(),
      fuzz: leaf('testing'),
      testing: leaf('db', 'http'),
      resources: {
        to: ['db', 'devices', 'http'],
        rooms: {
          settings: leaf(),
          shelf: leaf(),
          wearers: leaf(),
          routines: leaf(),
          recipes: leaf('routines'),
          screening: leaf(),
          search: leaf(),
          verdicts: leaf(),
          board: leaf('hair-files', 'screening', 'settings', 'shelf', 'trials', 'wearers'),
          'trial-package': leaf('board', 'trials'),
          reports: leaf('photographs'),
          usual: leaf('shelf', 'trials', 'wash-days', 'wearers'),
          'patch-tests': leaf('routines'),
          'hair-files': leaf('patch-tests'),
          calendar: leaf('hair-files', 'patch-tests', 'shelf'),
          scale: leaf(),
          backup: leaf('settings'),
          weather: leaf(),
          'wash-days': leaf('patch-tests', 'routines', 'weather'),
          memos: leaf(),
          photographs: leaf('wash-days'),
          trials: leaf('routines', 'wash-days', 'wearers'),
          today: leaf(
            'hair-files',
            'patch-tests',
            'settings',
            'shelf',
            'trials',
            'verdicts',
            'wash-days',
            'weather',
          ),
        },
      },
    },
  },
  web: {
    to: ['contract', 'core', 'reading', 'words'],
    rooms: {
      http: leaf(),
      workers: leaf(),
      devices: leaf('http'),
      offline: leaf('http'),
      api: leaf('http', 'offline', 'workers'),
      ui: leaf('api', 'http'),
      drawings: leaf('api', 'ui'),
      screens: {
        to: ['api', 'devices', 'drawings', 'http', 'offline', 'ui', 'workers'],
        rooms: {
          worn: leaf('weather'),
          'check-in': leaf('worn'),
          board: leaf('report'),
          verdict: leaf(),
          report: leaf(),
          compare: leaf(),
          data: leaf(),
          patches: leaf(),
          heads: leaf('patches'),
          panel: leaf(),
          routines: leaf(),
          screen: leaf(),
          shelf: leaf('memos', 'verdict'),
          'side-by-side': leaf(),
          today: leaf('memos'),
          weather: leaf(),
          photographs: leaf('worn'),
          trials: leaf('memos', 'patches', 'screen'),
          'wash-day': leaf('memos', 'weather', 'worn'),
          'lay-out': leaf('wash-day'),
          'wash-days': leaf(),
          calendar: leaf(),
          help: leaf(),
          memos: leaf(),
          'light-table': leaf(),
          'photo-bench': leaf(),
        },
      },
    },
  },
};

/** Packages a room must do without: core computes only, words only speak, and the wire knows neither side. */
export const KEPT_OUT: Readonly<Record<string, RegExp>> = {
  core: /^(node:|react|express|pg$|valibot|date-fns|@tanstack)/,
  words: /^(node:|react|express|pg$|valibot|@tanstack)/,
  contract: /^(node:|react|express|pg$|@tanstack)/,
  reading: /^(node:|react|express|pg$|valibot|@tanstack)/,
  web: /^(node:|express|pg$|pino)/,
  server: /^(react|@tanstack|radix-ui)/,
  demo: /^(node:|react|express|pg$)/,
};
