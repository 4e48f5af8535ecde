import type { Market } from './formula.ts';

/** A substance that a market's law keeps out of cosmetics. */
export interface Ban {
  market: Market;
  /** INCI names. */
  names: readonly string[];
  /** Since when, as ISO date or year; null where it always was. */
  since: string | null;
  /** Whether it is kept out of everything, or of what stays on. */
  of: 'all' | 'leave-on';
  act: string;
  /** Whether act and date were looked up; what was not is marked "unchecked" on screen. */
  checked: boolean;
}

/** Substances prohibited in the EU that still turn up on labels. None of the acts or dates was looked up. */
export const BANS: readonly Ban[] = [
  {
    market: 'eu',
    names: ['Zinc Pyrithione', 'Butylphenyl Methylpropional'],
    since: '2022-03-01',
    of: 'all',
    act: 'Regulation (EU) 2021/1902',
    checked: false,
  },
  {
    market: 'eu',
    names: ['Hydroxyisohexyl 3-Cyclohexene Carboxaldehyde'],
    since: '2021-08-23',
    of: 'all',
    act: 'Regulation (EU) 2017/1410',
    checked: false,
  },
  {
    market: 'eu',
    names: [
      'Quaternium-15',
      'Formaldehyde',
      'Methylene Glycol',
      'Cyclotetrasiloxane',
      'Boric Acid',
      'Sodium Borate',
      'Sodium Perborate',
    ],
    since: '2019',
    of: 'all',
    act: 'Regulation (EU) 2019/831',
    checked: false,
  },
  {
    market: 'eu',
    names: ['Isopropylparaben', 'Isobutylparaben', 'Phenylparaben', 'Benzylparaben', 'Pentylparaben'],
    since: '2014-10-30',
    of: 'all',
    act: 'Regulation (EU) No 358/2014',
    checked: false,
  },
  {
    market: 'eu',
    names: ['Diethanolamine', 'Coal Tar', 'Selenium Sulfide'],
    since: null,
    of: 'all',
    act: 'Annex II of Regulation (EC) No 1223/2009',
    checked: false,
  },
  {
    market: 'eu',
    names: ['Benzisothiazolinone', 'Octylisothiazolinone'],
    since: null,
    of: 'all',
    act: 'Annex V of Regulation (EC) No 1223/2009, which does not list them',
    checked: false,
  },
  {
    market: 'eu',
    names: ['Methylchloroisothiazolinone'],
    since: '2015-07-16',
    of: 'leave-on',
    act: 'Regulation (EU) No 1003/2014',
    checked: false,
  },
  {
    market: 'eu',
    names: ['Methylisothiazolinone'],
    since: '2017-02-12',
    of: 'leave-on',
    act: 'Regulation (EU) 2016/1198',
    checked: false,
  },
];

const byName = new Map<string, Ban[]>();
for (const ban of BANS) for (const name of ban.names) byName.set(name, [...(byName.get(name) ?? []), ban]);

/** The bans an ingredient is under, in any market. */
export const bansOf = (name: string): readonly Ban[] => byName.get(name) ?? [];

/** How an act is cited on screen. */
export const cited = ({ act, checked }: Pick<Ban, 'act' | 'checked'>): string =>
  checked ? act : `${act}; unchecked`;
