import { memo, type Ref } from 'react';
import type { RailView } from '../api/client';
import { RailFrame } from './rails/RailFrame';
import { ScreenSheet } from './ScreenSheet';

interface RailedProps {
  rails?: RailView[];
  headingRef?: Ref<HTMLHeadingElement>;
}

/** A screen between its rails, where it has any. */
export const RailedSheet = memo(function RailedSheet({ rails, headingRef }: RailedProps) {
  const sheet = <ScreenSheet headingRef={headingRef} />;
  return rails?.length ? <RailFrame rails={rails}>{sheet}</RailFrame> : sheet;
});
