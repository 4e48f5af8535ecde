/**
 * How arms are told apart: by name, marker shape and line as well as hue. Every pair of hues stays apart for
 * colour-blind eyes (tested), and none is one of the tones that mean held, due or stop.
 */
export const ARM_STYLES = [
  { hue: '#2B4BA8', dash: [], marker: '●', point: 'circle' },
  { hue: '#8A8410', dash: [7, 4], marker: '▲', point: 'triangle' },
  { hue: '#B06FDB', dash: [2, 3], marker: '■', point: 'rect' },
  { hue: '#1F9E96', dash: [10, 3, 2, 3], marker: '◆', point: 'rectRot' },
  { hue: '#7A4A2E', dash: [4, 2], marker: '✚', point: 'cross' },
  { hue: '#14181F', dash: [1, 4], marker: '✱', point: 'star' },
] as const;

export const armStyle = (arm: number) => ARM_STYLES[arm % ARM_STYLES.length]!;
