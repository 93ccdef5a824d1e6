import type { Ref } from 'react';
import type { RailView } from '../api/client';
import { RailFrame } from './rails/RailFrame';
import { ScreenSheet } from './ScreenSheet';

/** A screen between its rails, where it has any. */
export function RailedSheet({ rails, headingRef }: { rails?: RailView[]; headingRef?: Ref<HTMLHeadingElement> }) {
  const sheet = <ScreenSheet headingRef={headingRef} />;
  return rails?.length ? <RailFrame rails={rails}>{sheet}</RailFrame> : sheet;
}
