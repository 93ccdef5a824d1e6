import { createSystem, defaultBaseConfig, defineGlobalStyles } from '@chakra-ui/react';
import { serializeStyles } from '@emotion/serialize';
import { compile, middleware, prefixer, serialize, stringify } from 'stylis';
import { dense } from './dense';
import { drawn } from './drawn';
import { faces } from './faces';
import { config } from './theme';

// What stands in every page: resets, tokens as variables, classes of what a screen has dozens of.

const globalCss = defineGlobalStyles({
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
  ...drawn,
  ...faces,
  'input:is([type=checkbox], [type=radio])': { accentColor: '{colors.pine}', width: '16px', height: '16px' },
  '*:focus-visible': { outline: '2px solid', outlineColor: 'amber', outlineOffset: '2px' },
  '@media (prefers-reduced-motion: reduce)': {
    '&, & *': { transition: 'none !important', animation: 'none !important' },
  },
});

/**
 * Gives it as text, for the build (vite.config.ts): worked out by the library in the page it took a fifth of what is
 * computed before a screen is drawn.
 */
export function baseCss(): string {
  const system = createSystem(defaultBaseConfig, { ...config, preflight: true, globalCss });
  // Which layer goes before which is said by the first who names them.
  return serialize(
    compile(`${system.layers.atRule}${serializeStyles([system._global]).styles}`),
    middleware([prefixer, stringify]),
  );
}
