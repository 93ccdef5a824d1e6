import { AddressForm } from './AddressForm';
import type { TargetKind } from './target';

/** A web address. */
export const address: TargetKind = () => [
  {
    id: 'address',
    words: 'a web address …',
    note: 'made from what is known here',
    glyph: 'web',
    group: 'Elsewhere',
    Form: AddressForm,
  },
];
