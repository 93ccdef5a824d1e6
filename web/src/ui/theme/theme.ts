import { createSystem, defaultBaseConfig, defineConfig, type SystemContext } from '@chakra-ui/react';
import { plain, themed } from './colours';
import { slotRecipes } from './recipes';

/**
 * Paper, plates, amber wires: wayfinding signs in a station. Only what is used stands here, without
 * the library's own tokens, looks and resets for each element: those weighed a tenth of the first
 * load, and a fifth of the time in which a large form is drawn.
 */
export const config = defineConfig({
  preflight: false, // what stands in every page is written when the client is built: base.ts
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html)',
  theme: {
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    keyframes: {
      'fade-in': { from: { opacity: '0' }, to: { opacity: '1' } },
      'from-right': { from: { translate: '100% 0' }, to: { translate: '0 0' } },
    },
    slotRecipes,
    tokens: {
      colors: plain,
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
        sm: { value: '0 1px 3px rgba(32, 38, 46, 0.12)' },
        md: { value: '0 4px 8px rgba(20, 24, 30, 0.12), 0 0 1px rgba(20, 24, 30, 0.3)' },
        lg: { value: '0 8px 16px rgba(20, 24, 30, 0.12), 0 0 1px rgba(20, 24, 30, 0.3)' },
        drawer: { value: '0 0 24px rgba(32, 38, 46, 0.28)' },
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
      colors: themed,
    },
  },
});

export const system: SystemContext = { ...createSystem(defaultBaseConfig, config), _global: [] };
