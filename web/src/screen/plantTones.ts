/** Colours of operator screens: grey ground, muted equipment, colour kept for what is abnormal. */
export const plantTones = {
  ground: '#C8CAC6',
  panel: '#D6D8D5',
  edge: '#B3B6B1',
  ink: '#20262E',
  soft: '#4C5458',
  bar: '#6D767A',
  trough: '#BFC2BE',
  band: '#A9BCB0',
  alarm: '#8A4B00',
  set: '#1D3E75',
};
