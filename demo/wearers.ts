import type { Traits } from '@sabor/core/hair/traits';
import type { Cut, Parting } from '@sabor/core/hair/wishes';
import { type Place, STANDARD_ZONES } from '@sabor/core/hair/zones';
import { demoId } from './ids.ts';

type OwnTraits = Partial<Traits>;

export interface DemoWearer {
  key: string;
  name: string;
  underAge: boolean;
  guardian: string | null;
  lengthMm: number;
  traits: Traits;
  cut: Cut;
  parting: Parting;
  places: Partial<Record<Place, OwnTraits>>;
  curls: {
    key: string;
    name: string;
    place: Place;
    side: 'left' | 'right';
    stretchedMm: number;
    restingMm: number;
  }[];
  note: string;
}

export const WEARERS: readonly DemoWearer[] = [
  {
    key: 'ines',
    name: 'Ines Falkenrath',
    underAge: false,
    guardian: null,
    lengthMm: 340,
    traits: { porosity: 'medium', density: 'high', strand: 'medium', pattern: '3B', damage: 'none' },
    cut: 'layered',
    parting: 'left',
    places: {
      hairline: { porosity: 'high', strand: 'fine', damage: 'marked' },
      ends: { porosity: 'high', damage: 'slight' },
      nape: { pattern: '3A' },
    },
    curls: [
      { key: 'crown', name: 'Crown curl', place: 'crown', side: 'left', stretchedMm: 330, restingMm: 205 },
      { key: 'side', name: 'Ear curl', place: 'side', side: 'right', stretchedMm: 310, restingMm: 190 },
      { key: 'back', name: 'Collar curl', place: 'back', side: 'left', stretchedMm: 345, restingMm: 215 },
    ],
    note: 'Plays the lead; eight shows a week under hot lamps, salt air at the stage door.',
  },
  {
    key: 'tomasz',
    name: 'Tomasz Adeyinka-Holm',
    underAge: false,
    guardian: null,
    lengthMm: 220,
    traits: { porosity: 'low', density: 'medium', strand: 'coarse', pattern: '4A', damage: 'none' },
    cut: 'undercut',
    parting: 'none',
    places: { fringe: { porosity: 'medium' } },
    curls: [
      { key: 'crown', name: 'Crown curl', place: 'crown', side: 'right', stretchedMm: 215, restingMm: 92 },
      { key: 'nape', name: 'Nape curl', place: 'nape', side: 'left', stretchedMm: 190, restingMm: 88 },
    ],
    note: 'Dances; sweats through every second act. Undercut on both sides at the nape.',
  },
  {
    key: 'pip',
    name: 'Pip Marlowe-Okoro',
    underAge: true,
    guardian: 'Dede Okoro',
    lengthMm: 410,
    traits: { porosity: 'low', density: 'low', strand: 'fine', pattern: '2C', damage: 'slight' },
    cut: 'one-length',
    parting: 'middle',
    places: { ends: { porosity: 'medium' }, fringe: { pattern: '2B' } },
    curls: [
      { key: 'side', name: 'Ear wave', place: 'side', side: 'left', stretchedMm: 400, restingMm: 322 },
      { key: 'back', name: 'Back wave', place: 'back', side: 'right', stretchedMm: 420, restingMm: 345 },
    ],
    note: 'Understudy, fifteen. Short sessions, nothing near the eyes.',
  },
  {
    key: 'maren',
    name: 'Maren Castell-Yoon',
    underAge: false,
    guardian: null,
    lengthMm: 380,
    traits: { porosity: 'medium', density: 'medium', strand: 'medium', pattern: '3A', damage: 'none' },
    cut: 'layered',
    parting: 'right',
    places: { ends: { porosity: 'high' } },
    curls: [
      { key: 'crown', name: 'Crown curl', place: 'crown', side: 'right', stretchedMm: 370, restingMm: 265 },
    ],
    note: 'Stage manager; in the wings all evening, hair pinned back only for the get-out.',
  },
  {
    key: 'dario',
    name: 'Dario Benavent-Luce',
    underAge: false,
    guardian: null,
    lengthMm: 180,
    traits: { porosity: 'high', density: 'high', strand: 'coarse', pattern: '3C', damage: 'slight' },
    cut: 'tapered',
    parting: 'none',
    places: {},
    curls: [
      { key: 'crown', name: 'Crown curl', place: 'crown', side: 'left', stretchedMm: 175, restingMm: 88 },
    ],
    note: 'Sings the second lead. Lightened for last season’s part, growing out.',
  },
  {
    key: 'oluchi',
    name: 'Oluchi Brandvold',
    underAge: false,
    guardian: null,
    lengthMm: 260,
    traits: { porosity: 'low', density: 'high', strand: 'fine', pattern: '4B', damage: 'none' },
    cut: 'rounded',
    parting: 'middle',
    places: { hairline: { strand: 'fine', density: 'low' } },
    curls: [
      { key: 'crown', name: 'Crown curl', place: 'crown', side: 'left', stretchedMm: 255, restingMm: 98 },
    ],
    note: 'Wardrobe; wears a bonnet at work and nothing heavy at the hairline.',
  },
];

export const wearerId = (key: string): string => demoId(`wearer ${key}`);
export const zoneId = (wearer: string, place: string, side: string): string =>
  demoId(`zone ${wearer} ${place} ${side}`);
export const curlId = (wearer: string, curl: string): string => demoId(`curl ${wearer} ${curl}`);

/** The zone rows of one wearer, whole-head traits left unset unless the place has its own. */
export function zoneRows(wearer: DemoWearer) {
  const rows = STANDARD_ZONES.map(({ place, side }, position) => ({
    id: zoneId(wearer.key, place, side),
    wearer_id: wearerId(wearer.key),
    place: place as string,
    side: side as string,
    own_name: null as string | null,
    porosity: wearer.places[place]?.porosity ?? null,
    density: wearer.places[place]?.density ?? null,
    strand: wearer.places[place]?.strand ?? null,
    pattern: wearer.places[place]?.pattern ?? null,
    damage: wearer.places[place]?.damage ?? null,
    note: '',
    position,
  }));
  if (wearer.key === 'tomasz')
    rows.push({
      id: zoneId('tomasz', 'own', 'both'),
      wearer_id: wearerId('tomasz'),
      place: 'own',
      side: 'both',
      own_name: 'Undercut',
      porosity: null,
      density: 'low',
      strand: null,
      pattern: null,
      damage: null,
      note: 'Clipped to 9 mm every fortnight.',
      position: rows.length,
    });
  return rows;
}

/** Places that are rated in the demo's trials; each side of each counts once. */
export const RATED_PLACES: readonly Place[] = ['hairline', 'crown', 'side', 'back'];
