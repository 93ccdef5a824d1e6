import { useCallback, useEffect, useMemo, useState } from 'react';
import {
  type Given,
  type KeptDraft,
  type PressResult,
  Refused,
  type Shown,
  type ThenPress,
  type Title,
  type View,
} from '../api/client';
import { type Arrangement, type Pressed, type ScreenHands, ScreenProvider } from '../screen/context';
import { RailFrame } from '../screen/rails/RailFrame';
import { useDrawers } from '../screen/rails/useDrawers';
import { ScreenSheet } from '../screen/ScreenSheet';
import { later } from '../ui/later';
import { useSteady } from '../ui/useSteady';
import { calls } from './calls';
import { DraftNotes } from './DraftNotes';
import { FormKeys } from './FormKeys';
import { Said } from './Said';
import { useDraftKeeper } from './useDraftKeeper';
import { useForm } from './useForm';
import { useLooks } from './useLooks';
import { usePress } from './usePress';
import { useSpot } from './useSpot';
import type { TrailHands } from './useTrail';
import type { Unsaved } from './useUnsaved';
import { useWays } from './useWays';
import { useWork } from './useWork';

const QuestionDialog = later(async () => (await import('./QuestionDialog')).QuestionDialog);

interface UsedScreenProps {
  project: string;
  trail: TrailHands;
  shown: Shown;
  view: View;
  depth: number; // 0: the place itself; else the dialog or drawer over it
  draft: KeptDraft | undefined;
  others: KeptDraft[];
  unsaved: Unsaved;
  given: Given | undefined;
  onGiven: (given: Given | undefined) => void;
  then: ThenPress | undefined; // the press that follows on a dialog that came back
  onThen: (then: ThenPress | undefined) => void;
  onPressed: (element: string) => void;
  headingRef?: React.Ref<HTMLHeadingElement>;
}

/** One screen in use: what is typed on it, its presses, and the questions they ask. */
export function UsedScreen(props: UsedScreenProps) {
  const { project, trail, shown, view, depth, draft, unsaved, given, onGiven, then, onThen, onPressed } = props;
  const at = useMemo(() => ({ trail: shown.trail, n: shown.n, depth }), [shown.trail, shown.n, depth]);
  const [titles, setTitles] = useState<Record<string, Title>>({});
  const [adding, setAdding] = useState<string>();
  const { form, values, type, restart, dirty } = useForm(view, draft);
  const keeps = view.mode === 'edit' || view.mode === 'add';
  const keeper = useDraftKeeper({ project, at, keeps, form, known: draft?.id });
  const call = useMemo(() => calls(project, at), [project, at]);
  const looks = useLooks({
    project,
    at,
    view,
    onElements: (changed) => trail.setShown((s) => s && put(s, depth, changed)),
  });

  const onResult = useCallback(
    (result: PressResult) => {
      const next = depth === 0 ? result.shown?.view : result.shown?.overlays?.[depth - 1]?.view;
      if (result.forgot) {
        keeper.settle();
        if (next && next.screen === view.screen) restart(next);
      }
      if (result.forgot || result.kind === 'moved') unsaved.register(depth, undefined);
      setAdding(result.choose?.adding ? result.choose.list : undefined);
      if (result.given) onGiven(result.given);
      if (result.then) onThen(result.then);
    },
    [depth, view.screen, keeper.settle, restart, unsaved.register, onGiven, onThen],
  );
  const flush = useCallback(() => {
    void keeper.flush();
    void looks.flush();
  }, [keeper.flush, looks.flush]);
  const drawers = useDrawers();
  const press = usePress({
    project,
    trail,
    form,
    depth,
    chosen: looks.chosen,
    onSend: flush,
    onResult,
    at: call,
    drawer: drawers.put,
  });

  // A dialog came to a record for one of the fields here.
  useEffect(() => {
    if (given?.depth !== depth) return;
    setTitles((t) => ({ ...t, [given.field]: { key: given.key, title: given.title } }));
    type(given.field, given.key);
    onGiven(undefined);
  }, [given, depth, type, onGiven]);

  // A dialog that was opened from here came back: what opened it says what follows.
  useEffect(() => {
    if (then?.depth !== depth) return;
    onThen(undefined);
    const { element, depth: _, ...aim } = then;
    void press.press({ id: element }, aim);
  }, [then, depth, onThen, press.press]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: whatever is shown next, unsaved work here is to be asked about
  useEffect(() => {
    const keep = () => keeper.flush();
    const forget = async () => {
      await call.keepDraft({});
      keeper.settle();
    };
    unsaved.register(depth, dirty ? { keep, forget } : undefined);
    return () => unsaved.register(depth, undefined);
  }, [dirty, depth, shown, call]);

  useSpot(view.place.spot, `${shown.trail}.${shown.n}.${depth}`);
  useWays({
    view,
    place: `${shown.trail}.${shown.n}.${view.screen}`,
    active: depth === (shown.overlays?.length ?? 0),
    press: press.press,
    onLeft: (way) => press.left(at, way, shown.release),
  });
  const tell = (e: unknown) => {
    if (!(e instanceof Refused)) throw e;
    press.setSaid({ words: `${e.problem.what} ${e.problem.then ?? ''}`, bad: true });
  };
  const showing = async (answer: () => Promise<Shown>): Promise<Shown | undefined> => {
    try {
      const next = await trail.insist(answer);
      trail.show(next);
      return next;
    } catch (e) {
      tell(e);
      return undefined;
    }
  };
  const onAddParent = useSteady((f: string) => void showing(() => call.addParent(f)));
  const onPress = useSteady<Parameters<ScreenHands['onPress']>, Promise<Pressed>>((element, aim) => {
    onPressed(element.id);
    return press.press(element, aim);
  });
  const onArrange = useSteady((change: Arrangement) => void showing(() => call.arrange(change)));
  const onType = useSteady(type);
  const work = useWork({ call, keepLook: looks.keep, titles, adding, setAdding, onAddParent, screen: view.screen });
  const hands = useMemo(
    (): ScreenHands => ({
      view,
      base: `/use/${project}`,
      pictures: `/api/project-pictures/${project}/`,
      onType,
      onPress,
      onArrange,
      more: call.more,
      titles: call.titles,
      trend: call.trend,
      drawers,
      work,
    }),
    [view, project, onType, onPress, onArrange, call, drawers, work],
  );
  const typed = useMemo(() => ({ values, errors: press.errors }), [values, press.errors]);
  const adopt = async (next: Shown | undefined) => {
    if (!next) return;
    const layer = depth === 0 ? next : next.overlays?.[depth - 1];
    if (!layer) return;
    keeper.adopt(layer.draft);
    restart(layer.view, layer.draft);
  };
  /** Takes over a draft and puts what stands here in its stead. */
  const keepOwn = async (next: Shown | undefined) => {
    if (!next) return;
    keeper.adopt((depth === 0 ? next : next.overlays?.[depth - 1])?.draft);
    await keeper.flush();
  };
  return (
    <ScreenProvider hands={hands} typed={typed} busy={press.busy}>
      <DraftNotes
        draft={draft}
        others={props.others}
        dirty={dirty}
        taken={keeper.taken}
        onTake={(id) => void showing(() => call.takeDraft(id)).then(adopt)}
        onForget={(id) => void showing(() => call.forgetDraft(id)).then(adopt)}
        onTakeBack={(as) =>
          void showing(() => call.takeDraft(keeper.takeBack() ?? '')).then(as === 'there' ? adopt : keepOwn)
        }
      />
      <FormKeys dirty={dirty} leave={(go) => unsaved.leave(depth, go)}>
        {depth === 0 && view.rails?.length ? (
          <RailFrame rails={view.rails}>
            <ScreenSheet headingRef={props.headingRef} />
          </RailFrame>
        ) : (
          <ScreenSheet headingRef={props.headingRef} />
        )}
      </FormKeys>
      {press.said && <Said said={press.said} onDismiss={() => press.setSaid(undefined)} />}
      {press.asked && (
        <QuestionDialog
          question={press.asked.question}
          onAnswer={press.answer}
          onClose={press.dismiss}
          keeps={keeps}
          titles={call.titles}
        />
      )}
    </ScreenProvider>
  );
}

/** Puts newly resolved elements in the stead of those that are shown. */
function put(s: Shown, depth: number, changed: View['elements']): Shown {
  const byId = new Map(changed.map((e) => [e.id, e]));
  const into = (v: View): View => ({ ...v, elements: v.elements.map((e) => byId.get(e.id) ?? e) });
  if (depth === 0) return { ...s, view: into(s.view) };
  return { ...s, overlays: s.overlays?.map((o, i) => (i === depth - 1 ? { ...o, view: into(o.view) } : o)) };
}
