/**
 * How arms are told apart: by name, marker shape and line as well as hue. Every pair of hues stays apart for
 * colour-blind eyes, on a light ground as on a dark one (tested), and none is one of the tones that mean held, due or stop.
 */
const STYLES = [
  { light: '#2B4BA8', dark: '#7F9BFF', dash: [], marker: '●', point: 'circle' },
  { light: '#8A8410', dark: '#D8D044', dash: [7, 4], marker: '▲', point: 'triangle' },
  { light: '#B06FDB', dark: '#D9AEF7', dash: [2, 3], marker: '■', point: 'rect' },
  { light: '#1F9E96', dark: '#46CFC5', dash: [10, 3, 2, 3], marker: '◆', point: 'rectRot' },
  { light: '#7A4A2E', dark: '#C98B63', dash: [4, 2], marker: '✚', point: 'cross' },
  { light: '#14181F', dark: '#EEF2F8', dash: [1, 4], marker: '✱', point: 'star' },
] as const;

/** `hue` is the right one of the two wherever CSS reads it; a canvas has to choose. */
export const ARM_STYLES = STYLES.map((style) => ({
  ...style,
  hue: `light-dark(${style.light}, ${style.dark})`,
}));

export const armStyle = (arm: number) => ARM_STYLES[arm % ARM_STYLES.length]!;
