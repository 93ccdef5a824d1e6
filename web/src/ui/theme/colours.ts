/** Colours that are the same by day and by night: whose ground they bring along, or who stand on one. */
export const plain = {
  white: { value: '#FFFFFF' },
  onRail: {
    soft: { value: 'rgba(255, 255, 255, 0.8)' },
    shut: { value: 'rgba(255, 255, 255, 0.55)' },
    pointed: { value: 'rgba(255, 255, 255, 0.12)' },
  },
  onAmber: { value: '#20262E' },
  veil: { value: 'rgba(20, 24, 30, 0.5)' },
  haze: { value: 'rgba(20, 24, 30, 0.3)' },
};

/** Paper, plates, amber wires, by day and by night. */
export const themed = {
  paper: { value: { _light: '#FAF8F3', _dark: '#1B1F24' } },
  plate: { value: { _light: '#FFFFFF', _dark: '#262C33' } },
  ink: { value: { _light: '#20262E', _dark: '#E8E6E0' } },
  muted: { value: { _light: '#5C6370', _dark: '#A3A9B3' } },
  rule: { value: { _light: '#DDD6C9', _dark: '#3A424B' } },
  faint: { value: { _light: '#F1EDE4', _dark: '#2B323A' } },
  rail: { value: { _light: '#2B323B', _dark: '#12161A' } },
  amber: { value: { _light: '#D98200', _dark: '#F0A02A' } },
  amberText: { value: { _light: '#8F5500', _dark: '#F0A02A' } },
  amberSoft: { value: { _light: '#FBEBCF', _dark: '#4A3714' } },
  pine: { value: { _light: '#1F5B4E', _dark: '#7CC7B5' } },
  pineSoft: { value: { _light: '#E1EFEA', _dark: '#1F3B34' } },
  plum: { value: { _light: '#7A3E65', _dark: '#D7A3C4' } },
  plumSoft: { value: { _light: '#F3E5EE', _dark: '#42293A' } },
  brick: { value: { _light: '#AE3A2C', _dark: '#EF8A7C' } },
  brickSoft: { value: { _light: '#F9E3DF', _dark: '#4A2620' } },
  // Operator screens: grey ground, muted equipment, colour kept for what is abnormal.
  plant: {
    ground: { value: { _light: '#C8CAC6', _dark: '#22272A' } },
    panel: { value: { _light: '#D6D8D5', _dark: '#2B3134' } },
    edge: { value: { _light: '#B3B6B1', _dark: '#454C50' } },
    ink: { value: { _light: '#20262E', _dark: '#E4E6E2' } },
    soft: { value: { _light: '#4C5458', _dark: '#AEB6B8' } },
    bar: { value: { _light: '#6D767A', _dark: '#8E989B' } },
    trough: { value: { _light: '#BFC2BE', _dark: '#3A4144' } },
    band: { value: { _light: '#A9BCB0', _dark: '#3E5448' } },
    alarm: { value: { _light: '#8A4B00', _dark: '#FFB454' } },
    set: { value: { _light: '#1D3E75', _dark: '#9DBBF0' } },
  },
  // One hue, further from the ground for the higher rank, so that order is seen and not only colour.
  rank: {
    first: { value: { _light: '#D9CDB8', _dark: '#75654C' } },
    second: { value: { _light: '#B79A6A', _dark: '#9A8254' } },
    third: { value: { _light: '#6E5223', _dark: '#C7A262' } },
    fourth: { value: { _light: '#4A3513', _dark: '#EBC887' } },
  },
  ghost: { value: { _light: '#E4E0D7', _dark: '#31373E' } },
};

/** The colour of a token where a style cannot name it: in drawings. */
export function colour(token: string): string {
  const name = token.replaceAll(/[A-Z]/g, (c) => `-${c.toLowerCase()}`).replaceAll('.', '-');
  return `var(--chakra-colors-${name})`;
}
