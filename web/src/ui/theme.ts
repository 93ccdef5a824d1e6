import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import { dense } from './dense';
import { faces } from './faces';
import { slotRecipes } from './recipes';

/**
 * Paper, plates, amber wires: wayfinding signs in a station. Only what is used stands here, without
 * the library's own tokens, looks and resets for each element: those weighed a tenth of the first
 * load, and a fifth of the time in which a large form is drawn.
 */
const config = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html)',
  globalCss: {
    html: {
      '--global-font-body': 'fonts.body',
      '--global-font-mono': 'fonts.mono',
      '--global-color-border': 'colors.rule',
    },
    '*::placeholder': { color: 'muted' },
    '*::selection': { bg: 'amberSoft' },
    'html, body': { bg: 'paper', color: 'ink', fontSize: '15px', lineHeight: '1.4' },
    '#root': { minHeight: '100dvh' },
    ...dense,
    ...faces,
    'input[type=checkbox]': { accentColor: '{colors.pine}', width: '16px', height: '16px' },
    '*:focus-visible': { outline: '2px solid', outlineColor: 'amber', outlineOffset: '2px' },
    '@media (prefers-reduced-motion: reduce)': {
      '&, & *': { transition: 'none !important', animation: 'none !important' },
    },
  },
  theme: {
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    keyframes: {
      'fade-in': { from: { opacity: '0' }, to: { opacity: '1' } },
      'from-right': { from: { translate: '100% 0' }, to: { translate: '0 0' } },
    },
    slotRecipes,
    tokens: {
      sizes: { full: { value: '100%' } },
      zIndex: {
        docked: { value: 10 },
        dropdown: { value: 1000 },
        overlay: { value: 1300 },
        modal: { value: 1400 },
        popover: { value: 1500 },
        toast: { value: 1700 },
        tooltip: { value: 1800 },
      },
      shadows: {
        md: { value: '0 4px 8px rgba(20, 24, 30, 0.12), 0 0 1px rgba(20, 24, 30, 0.3)' },
        lg: { value: '0 8px 16px rgba(20, 24, 30, 0.12), 0 0 1px rgba(20, 24, 30, 0.3)' },
      },
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

export const system = createSystem(defaultBaseConfig, config);
