import { defineSlotRecipe } from '@chakra-ui/react';

/* How the few composed parts look: dialogs, drawers, menus and boxes that open from a button. */

const layer = (name: string) => `calc({zIndex.${name}} + var(--layer-index, 0))`;

const shade = {
  bg: 'veil',
  position: 'fixed',
  inset: '0',
  zIndex: `calc(${layer('modal')} - 1)`,
} as const;
const across = {
  display: 'flex',
  position: 'fixed',
  inset: '0',
  zIndex: layer('modal'),
  overscrollBehaviorY: 'none',
} as const;
const sheet = {
  display: 'flex',
  flexDirection: 'column',
  position: 'relative',
  width: '100%',
  outline: '0',
  zIndex: layer('modal'),
  bg: 'plate',
  color: 'ink',
  boxShadow: 'lg',
} as const;
const foot = {
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'flex-end',
  gap: '12px',
  px: '24px',
  pt: '8px',
  pb: '16px',
} as const;
const appears = { animation: 'fade-in 150ms' };

export const slotRecipes = {
  dialog: defineSlotRecipe({
    slots: ['backdrop', 'positioner', 'content', 'header', 'title', 'body', 'footer'],
    base: {
      backdrop: { ...shade, _open: appears },
      positioner: { ...across, justifyContent: 'center', alignItems: 'flex-start' },
      // One with a title is about the project; one without holds a screen.
      content: {
        ...sheet,
        bg: 'paper',
        mx: 'auto',
        my: '64px',
        borderRadius: '4px',
        _open: appears,
        '&[data-told]': { bg: 'plate', borderTopWidth: '6px', borderColor: 'amber' },
      },
      header: { display: 'flex', gap: '8px', px: '24px', pt: '24px', pb: '4px' },
      title: { fontSize: 'head', fontWeight: '800', lineHeight: '1.5' },
      body: { flex: '1', pt: '6px', fontSize: 'text', '[data-told] > &': { px: '24px', pt: '8px', pb: '24px' } },
      footer: { ...foot, '[data-told] > &': { justifyContent: 'flex-start', flexWrap: 'wrap' } },
    },
    variants: {
      placement: { top: {}, center: { positioner: { alignItems: 'center' }, content: { my: 'auto' } } },
      scrollBehavior: {
        inside: {
          positioner: { overflow: 'hidden' },
          content: { maxH: 'calc(100% - 120px)' },
          body: { overflow: 'auto' },
        },
        outside: { positioner: { overflow: 'auto', pointerEvents: 'auto' } },
      },
    },
    defaultVariants: { placement: 'top', scrollBehavior: 'outside' },
  }),
  drawer: defineSlotRecipe({
    slots: ['backdrop', 'positioner', 'content', 'body', 'footer'],
    base: {
      backdrop: { ...shade, _open: appears },
      positioner: { ...across, justifyContent: 'flex-end', alignItems: 'stretch' },
      content: {
        ...sheet,
        bg: 'paper',
        borderLeftWidth: '6px',
        borderColor: 'amber',
        maxW: '672px',
        maxH: '100dvh',
        _open: { animation: 'from-right 150ms' },
      },
      body: { flex: '1', pt: '6px', fontSize: 'text', overflow: 'auto' },
      footer: foot,
    },
  }),
  menu: defineSlotRecipe({
    slots: ['content', 'item'],
    base: {
      content: {
        outline: '0',
        bg: 'plate',
        color: 'ink',
        borderWidth: '1px',
        borderColor: 'ink',
        borderRadius: '4px',
        boxShadow: 'lg',
        zIndex: layer('popover'),
        minW: '128px',
        maxH: 'var(--available-height)',
        p: '6px',
        overflowX: 'hidden',
        overflowY: 'auto',
        _open: appears,
      },
      item: {
        display: 'flex',
        alignItems: 'center',
        gap: '8px',
        width: '100%',
        px: '8px',
        py: '6px',
        borderRadius: '3px',
        textAlign: 'start',
        cursor: 'pointer',
        userSelect: 'none',
        outline: '0',
        _highlighted: { bg: 'amberSoft' },
      },
    },
  }),
  popover: defineSlotRecipe({
    slots: ['content'],
    base: {
      content: {
        display: 'flex',
        flexDirection: 'column',
        position: 'relative',
        width: 'min(calc(100dvw - 16px), 320px)',
        maxH: 'var(--available-height)',
        bg: 'plate',
        color: 'ink',
        borderWidth: '1px',
        borderColor: 'ink',
        borderRadius: '4px',
        boxShadow: 'lg',
        zIndex: layer('popover'),
        outline: '0',
        _open: appears,
      },
    },
  }),
};
