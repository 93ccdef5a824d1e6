import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';
import { dense } from './dense';

/** Paper, plates, amber wires: wayfinding signs in a station. */
const config = defineConfig({
  globalCss: {
    'html, body': { bg: 'paper', color: 'ink', fontSize: '15px', lineHeight: '1.4' },
    '#root': { minHeight: '100dvh' },
    ...dense,
    'input[type=checkbox]': { accentColor: '{colors.pine}', width: '16px', height: '16px' },
    '*:focus-visible': { outline: '2px solid', outlineColor: 'amber', outlineOffset: '2px' },
    '@media (prefers-reduced-motion: reduce)': {
      '&, & *': { transition: 'none !important', animation: 'none !important' },
    },
  },
  theme: {
    tokens: {
      fonts: {
        body: { value: "'Overpass Variable', sans-serif" },
        heading: { value: "'Overpass Variable', sans-serif" },
        mono: { value: "'Overpass Mono Variable', monospace" },
      },
      fontSizes: {
        note: { value: '13px' },
        text: { value: '15px' },
        head: { value: '18px' },
        title: { value: '24px' },
      },
    },
    semanticTokens: {
      colors: {
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
        ghost: { value: { _light: '#E4E0D7', _dark: '#31373E' } },
      },
    },
  },
});

export const system = createSystem(defaultConfig, config);
