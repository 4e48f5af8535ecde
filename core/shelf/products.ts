import type { Slot } from '../step/slots.ts';
import type { KeyOf } from '../vocabulary.ts';

/** Roles a product can play on a wash day; one product may have several. `slots` are where that role is at home. */
export const ROLES = {
  'pre-wash': { label: 'Pre-wash treatment', slots: ['pre-wash'] },
  shampoo: { label: 'Shampoo', slots: ['cleanse'] },
  'co-wash': { label: 'Conditioner wash', slots: ['cleanse'] },
  clarifier: { label: 'Clarifying wash', slots: ['cleanse'] },
  'scalp-care': { label: 'Scalp care', slots: ['pre-wash', 'cleanse', 'treat'] },
  treatment: { label: 'Protein or bond treatment', slots: ['treat'] },
  conditioner: { label: 'Rinse-out conditioner', slots: ['condition', 'detangle'] },
  mask: { label: 'Mask', slots: ['condition'] },
  'leave-in': { label: 'Leave-in', slots: ['leave-in', 'refresh'] },
  oil: { label: 'Oil', slots: ['pre-wash', 'emollient', 'break-cast', 'separate'] },
  cream: { label: 'Cream or custard', slots: ['emollient', 'hold'] },
  foam: { label: 'Mousse or foam', slots: ['hold', 'second-coat', 'refresh'] },
  gel: { label: 'Gel or jelly', slots: ['hold', 'second-coat', 'edges'] },
  spray: { label: 'Spray or mist', slots: ['refresh', 'leave-in'] },
  edge: { label: 'Edge wax', slots: ['edges'] },
} as const;
export type Role = KeyOf<typeof ROLES>;

/** Whether something used as these roles is used at a step of this slot. */
export const suitsSlot = (roles: readonly Role[], slot: Slot): boolean =>
  roles.some((role) => (ROLES[role].slots as readonly Slot[]).includes(slot));

export const LABEL_HOLDS = {
  none: { label: 'no hold' },
  light: { label: 'light' },
  medium: { label: 'medium' },
  strong: { label: 'strong' },
  silent: { label: 'not on the label' },
} as const;
export type LabelHold = KeyOf<typeof LABEL_HOLDS>;

/** What a product comes in. */
export const PACKAGINGS = {
  bottle: { label: 'bottle' },
  pump: { label: 'pump bottle' },
  tube: { label: 'tube' },
  jar: { label: 'jar' },
  spray: { label: 'spray bottle' },
  foamer: { label: 'foam pump' },
  dropper: { label: 'dropper' },
  sachet: { label: 'sachet' },
  bar: { label: 'bar' },
  can: { label: 'can' },
} as const;

/** How a price was come by. */
export const PRICE_KINDS = {
  full: { label: 'full price' },
  offer: { label: 'on offer' },
  'n-for-m': { label: 'several for less' },
  code: { label: 'with a code' },
} as const;

/** Heat limits a label can state, °C. Model assumption: nothing dries under 40, no tool for hair goes over 260. */
export const HEAT_LIMIT_C = { lowest: 40, highest: 260 } as const;

/** How the tester stands to a product; shown beside every verdict about it. */
export const STAKES = {
  bought: { label: 'bought', discloses: false },
  gift: { label: 'gift', discloses: true },
  paid: { label: 'paid partnership', discloses: true },
  code: { label: 'discount code', discloses: true },
  own: { label: 'own brand', discloses: true },
} as const;
export type Stake = KeyOf<typeof STAKES>;

/**
 * How the tester stands to several products at once: by any that was not bought, since that is what a reader must know; null
 * for none.
 */
export const stakeOfAll = (stakes: readonly Stake[]): Stake | null =>
  stakes.find((stake) => stake !== 'bought') ?? stakes[0] ?? null;

/** What a picture of a product shows. */
export const PICTURES_OF_PRODUCT = { bottle: { label: 'bottle' }, label: { label: 'label' } } as const;
