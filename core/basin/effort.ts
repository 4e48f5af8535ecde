/** How hard a wash day was, in five words each, least first; one tap. Our own wording, no source. */
export const EFFORT = {
  strain: {
    label: 'Effort for arms and back',
    words: ['none', 'a little', 'some', 'much', 'never again'],
  },
  patience: { label: 'Patience it took', words: ['none needed', 'a little', 'some', 'much', 'ran out'] },
} as const;
export type Effort = keyof typeof EFFORT;
