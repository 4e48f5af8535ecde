/** What somebody may do with Sabor from another device. */
export const PERSON_ROLES = {
  tester: { label: 'tester', says: 'may do everything but let devices in, and fetch or read backups' },
  helper: {
    label: 'helper',
    says: 'conducts wash days, rates, takes photographs and prepares blind bottles; sees the key of a blind trial',
  },
  rater: {
    label: 'rater',
    says: 'rates the hair that waits to be looked at, and hears nothing of what was used on it',
  },
  wearer: {
    label: 'wearer',
    says: 'looks at their own hair, sees and takes away their own pictures, gives consent and withdraws it',
  },
} as const;
export type PersonRole = keyof typeof PERSON_ROLES;

/** Who has a page of their own, and sees no other. */
export const hasOwnPage = (role: PersonRole): boolean => role === 'rater' || role === 'wearer';

/** Letters and digits of a one-time code: none that is read or heard as another. Source: Crockford, Base 32. */
export const CODE_LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
/** As many of them as one code has: 50 bits. */
export const CODE_LENGTH = 10;
/** How long a code is good, minutes. */
export const CODE_MINUTES = 5;
/** How long a device stays signed in, days. */
export const SESSION_DAYS = 90;

/** A code as it is compared: what is often typed for another is that one, blanks and hyphens are nothing. Null where it is none. */
export function codeFrom(typed: string): string | null {
  const code = typed.toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1');
  return code.length === CODE_LENGTH && [...code].every((letter) => CODE_LETTERS.includes(letter))
    ? code
    : null;
}

/** A code as it is read from a screen: in two groups. */
export const codeShown = (code: string): string =>
  `${code.slice(0, CODE_LENGTH / 2)}-${code.slice(CODE_LENGTH / 2)}`;
