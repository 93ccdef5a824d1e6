import { useCallback, useMemo, useState } from 'react';
import type { KeptDraft, View } from '../api/client';

interface Begun {
  version?: string;
  values: Record<string, string>;
}

/** What is typed on a form, and what its fields were when that was begun: kept whatever comes in later. */
export function useForm(view: View, draft: KeptDraft | undefined) {
  const [begun, setBegun] = useState<Begun>(() => begin(view, draft));
  const [values, setValues] = useState<Record<string, string>>(draft?.values ?? {});

  const type = useCallback(
    (field: string, value: string) =>
      setValues((v) => (value === (begun.values[field] ?? '') ? omit(v, field) : { ...v, [field]: value })),
    [begun],
  );
  /** Goes on with what was typed elsewhere, or starts from what is saved. */
  const restart = useCallback((from: View, with_?: KeptDraft) => {
    setBegun(begin(from, with_));
    setValues(with_?.values ?? {});
  }, []);

  const base = useMemo(
    () => Object.fromEntries(Object.keys(values).map((k) => [k, begun.values[k] ?? ''])),
    [values, begun],
  );
  const form = useMemo(() => ({ values, base, version: begun.version }), [values, base, begun]);
  return { form, values, type, restart, dirty: Object.keys(values).length > 0 };
}

export type FormHands = ReturnType<typeof useForm>;

function begin(view: View, draft?: KeptDraft): Begun {
  const now = Object.fromEntries(view.elements.flatMap((e) => (e.field ? [[e.field.path, e.field.value]] : [])));
  if (!draft) return { version: view.record?.version, values: now };
  return { version: draft.version || view.record?.version, values: { ...now, ...draft.base } };
}

function omit(from: Record<string, string>, key: string) {
  const { [key]: _, ...rest } = from;
  return rest;
}
