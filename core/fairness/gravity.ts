/** What a difference does to a comparison of one outcome, worst first. */
export const GRAVITIES = {
  breaks: { label: 'breaks', says: 'the outcome cannot be compared while this differs' },
  weakens: { label: 'weakens', says: 'it may explain a part of a difference' },
  note: { label: 'note', says: 'worth knowing; it hardly explains a difference' },
} as const;
export type Gravity = keyof typeof GRAVITIES;
