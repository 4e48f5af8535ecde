/** What a wearer is asked to agree to. Until something is said, pictures are taken, and stand in a report, as agreed by word of mouth. */
export const CONSENTS = {
  pictures: {
    label: 'Pictures and films are taken',
    says: 'Photographs and short films of the head are taken and kept.',
    without: 'No more are taken. Those that are there stay until they are taken away.',
  },
  publishing: {
    label: 'Pictures may be shown to others',
    says: 'Pictures may stand in a report, or leave Sabor in a part of its data.',
    without: 'None stands in a report or leaves Sabor from here on.',
  },
} as const;
export type ConsentKind = keyof typeof CONSENTS;
